/** How full is too full to shake. Shares of the brimful volume; tag: common practice. */
import type { Vessel } from './vessel';

export const SHAKE_LINE_SHARE = 2 / 3;
export const AMBER_SHARE = 3 / 4;
export const HARDLY_MIXES_SHARE = 0.85;

export type Headspace =
  /** Nothing in it. */
  | 'empty'
  /** Shakes well: at or below the shake line. */
  | 'room'
  /** Above the shake line, still mixes. */
  | 'snug'
  /** Above three quarters: shakes poorly. */
  | 'amber'
  | 'hardly-mixes'
  | 'overflows';

export const fillShare = (vessel: Vessel, mixedVolumeMl: number): number =>
  mixedVolumeMl / vessel.brimfulVolumeMl;

export function headspaceOf(vessel: Vessel, mixedVolumeMl: number): Headspace {
  const share = fillShare(vessel, mixedVolumeMl);
  if (mixedVolumeMl <= 0) return 'empty';
  if (share > 1) return 'overflows';
  if (!vessel.closes) return share > HARDLY_MIXES_SHARE ? 'hardly-mixes' : 'room';
  if (share > HARDLY_MIXES_SHARE) return 'hardly-mixes';
  if (share > AMBER_SHARE) return 'amber';
  return share > SHAKE_LINE_SHARE ? 'snug' : 'room';
}

/** What it takes and can still be mixed in, ml: closed it must be shaken, open it must not spill. */
export const usableVolumeMl = ({
  brimfulVolumeMl,
  closes,
}: Pick<Vessel, 'brimfulVolumeMl' | 'closes'>): number =>
  brimfulVolumeMl * (closes ? AMBER_SHARE : HARDLY_MIXES_SHARE);
