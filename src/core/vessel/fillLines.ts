/** Where the jar stands after each addition. Volumes are mixed volumes: what dissolves takes little room. */
import { heightOfMl } from './shape';
import type { Vessel } from './vessel';

export interface FillLine {
  /** Volume in the vessel after this addition, ml. */
  readonly volumeMl: number;
  readonly heightMm: number;
  readonly overflows: boolean;
}

/** @param mixedVolumesMl what each addition takes once mixed, ml, in the order of addition */
export function fillLines(vessel: Vessel, mixedVolumesMl: readonly number[]): readonly FillLine[] {
  let volumeMl = 0;
  return mixedVolumesMl.map((added) => {
    volumeMl += added;
    return {
      volumeMl,
      heightMm: heightOfMl(vessel.outline, volumeMl),
      overflows: volumeMl > vessel.brimfulVolumeMl,
    };
  });
}
