/** Vessels of a kitchen. Shapes are our own estimates of common glass; brimful volumes: estimate. */
import type { VesselId } from '#core/formula';
import { scaleToBrimful, type Outline } from './shape';

export interface Vessel {
  readonly id: VesselId;
  readonly name: string;
  /** What is printed on it or sold as, ml. */
  readonly nominalVolumeMl: number;
  /** Filled to the very brim, ml. */
  readonly brimfulVolumeMl: number;
  readonly outline: Outline;
  /** Can be closed and shaken. */
  readonly closes: boolean;
}

type Profile = readonly (readonly [height: number, radius: number])[];

/** Proportions only; every vessel is scaled to its own brimful volume. */
const PROFILES = {
  jamJar: [
    [0, 30],
    [3, 34],
    [72, 34],
    [82, 29],
    [92, 29],
  ],
  swingTop: [
    [0, 33],
    [5, 38],
    [150, 38],
    [172, 31],
    [186, 21],
    [200, 20],
  ],
  preservingJar: [
    [0, 44],
    [4, 48],
    [118, 48],
    [128, 43],
    [142, 43],
  ],
  squeezeBottle: [
    [0, 30],
    [3, 33],
    [150, 33],
    [166, 24],
    [172, 24],
  ],
  beaker: [
    [0, 36],
    [160, 42],
  ],
  bowl: [
    [0, 30],
    [6, 52],
    [20, 76],
    [42, 96],
    [78, 108],
  ],
} as const satisfies Record<string, Profile>;

function vessel(
  id: string,
  name: string,
  profile: keyof typeof PROFILES,
  nominalVolumeMl: number,
  brimfulVolumeMl: number,
  closes = true,
): Vessel {
  const outline = rounded(PROFILES[profile].map(([heightMm, radiusMm]) => ({ heightMm, radiusMm })));
  return {
    id: id as VesselId,
    name,
    nominalVolumeMl,
    brimfulVolumeMl,
    outline: scaleToBrimful(outline, brimfulVolumeMl),
    closes,
  };
}

/** Glass has no corners: cuts each one twice (Chaikin 1974). Bottom and brim stay where they are. */
function rounded(outline: Outline, times = 2): Outline {
  if (times === 0 || outline.length < 3) return outline;
  const cut = outline.slice(1).flatMap((to, i) => {
    const from = outline[i]!;
    const at = (t: number) => ({
      heightMm: from.heightMm + t * (to.heightMm - from.heightMm),
      radiusMm: from.radiusMm + t * (to.radiusMm - from.radiusMm),
    });
    return [...(i === 0 ? [] : [at(0.25)]), ...(i === outline.length - 2 ? [] : [at(0.75)])];
  });
  return rounded([outline[0]!, ...cut, outline[outline.length - 1]!], times - 1);
}

/** What a new kitchen starts with. */
export const STARTING_VESSELS: readonly Vessel[] = [
  vessel('jam_jar_200', '200 ml jam jar', 'jamJar', 200, 228),
  vessel('jam_jar_350', '350 ml jam jar', 'jamJar', 350, 385),
  vessel('swing_top_500', '500 ml swing-top', 'swingTop', 500, 545),
  vessel('preserving_jar_500', '500 ml preserving jar', 'preservingJar', 500, 560),
  vessel('preserving_jar_1000', '1 l preserving jar', 'preservingJar', 1000, 1080),
  vessel('squeeze_bottle_750', '750 ml squeeze bottle', 'squeezeBottle', 750, 800),
  vessel('beaker_800', '800 ml blender beaker', 'beaker', 800, 860, false),
  vessel('bowl_1500', '1.5 l mixing bowl', 'bowl', 1500, 1750, false),
];

export const DEFAULT_VESSEL_ID = 'swing_top_500' as VesselId;
