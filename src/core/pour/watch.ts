/**
 * What went into the jar, read off the scale's display alone: rests, and what lies between them.
 *   pour       it rests higher than before; by how fast it came a stream, a spoonful or a pinch
 *   set down   more at once than any spoon holds: a jar
 *   lift       far down, and back to where it was (a shake too); what is more than before went in while in the hand
 *   tare       to zero, and it goes on from there
 * A tap or a knock comes back to where it was; drift is followed while nothing moves. Thresholds: estimate.
 */
import { afterSetDown, came, isSetDown, poursBetween, VESSEL_G, type Pour } from './between';
import { noiseOf, type DisplayReading, type Fineness } from './display';
import { DRIFT_G_PER_S, restsIn, riseBetween, type Rest } from './rests';
import { straightPieces, type Piece } from './segments';

/** A jar is put back as quickly as that. */
const PUT_BACK_S = 1.6;
/** Down by more than this the jar was taken off; by less, a spoonful out of it. */
const LIFT_G = 40;
/** What goes again so soon was a hand that leaned on it. */
const LEANED_S = 3;
/** A shorter rest is none, where next to nothing follows. */
const PAUSE_S = 1.5;
/** A jar stands elsewhere on the plate, and the scale has drifted, g/s. */
const BACK_DRIFT_G_PER_S = 0.02;

export interface PourWatch {
  readonly pours: readonly Pour[];
  /** What it rests at, g; null while it moves. */
  readonly restsAtG: number | null;
  /** Since when, by the readings' clock. */
  readonly restsSinceS: number | null;
  /** The jar is in the hand. */
  readonly lifted: boolean;
  /** Nothing is under way: no later reading changes what went in up to now, but for a hand that leaned on it. */
  readonly settled: boolean;
}

/** Where it was before it went away. */
interface Away {
  readonly beforeG: number;
  readonly sinceS: number;
}
interface Seen {
  readonly pours: Pour[];
  /** In the hand. */
  lifted: Away | null;
  /** Zero after a lift, or by the tare key: what comes next says which. */
  zeroed: Away | null;
  /** Where the last change left it. */
  base: { readonly heightG: number; readonly atS: number };
}

/**
 * Everything that went in over a course of readings.
 *
 * @param all oldest first; what is no number is passed over
 * @param stepG smallest step of the scale, > 0, g
 * @throws RangeError where the step is no number above 0
 */
export function watchPours(all: readonly DisplayReading[], stepG: number): PourWatch {
  if (!(stepG > 0 && Number.isFinite(stepG))) throw new RangeError('A scale reads to more than nothing.');
  const readings = all.filter(({ atS, grams }) => Number.isFinite(atS) && Number.isFinite(grams));
  const noiseG = noiseOf(readings, stepG);
  const fine: Fineness = { stepG, noiseG, thresholdG: Math.max(1.3 * stepG, 0.3, 2.2 * noiseG) };
  const pieces = straightPieces(readings, noiseG);
  const rests = restsIn(readings, pieces, fine);
  const [first] = rests;
  const seen: Seen = {
    pours: [],
    lifted: null,
    zeroed: null,
    base: { heightG: first?.firstG ?? 0, atS: first?.fromS ?? 0 },
  };
  for (const [i, after] of rests.entries()) {
    const before = rests[i - 1];
    if (before) look(seen, readings, pieces, { before, after }, fine);
  }
  const last = rests.at(-1);
  const still = last !== undefined && last.to === readings.length - 1;
  return {
    pours: seen.pours,
    restsAtG: still ? last.lastG : null,
    restsSinceS: still ? last.fromS : null,
    lifted: seen.lifted !== null,
    settled: still && seen.lifted === null && seen.zeroed === null,
  };
}

interface Change {
  readonly before: Rest;
  readonly after: Rest;
}

/** One change from rest to rest. */
function look(
  seen: Seen,
  readings: readonly DisplayReading[],
  pieces: readonly Piece[],
  change: Change,
  fine: Fineness,
): void {
  const { before, after } = change;
  const byG = after.firstG - before.lastG;
  const rise = riseBetween(readings, before, after);
  const seconds = rise.toS - rise.fromS;
  if (byG > 0 && cameBack(seen, change, seconds, fine)) return;
  if (byG < -fine.thresholdG) {
    seen.base = baseAt(after);
    wentDown(seen, change, fine);
    return;
  }
  if (seen.lifted) return;
  if (byG <= fine.thresholdG) {
    crept(seen, change, fine);
    return;
  }
  seen.base = baseAt(after);
  if (isSetDown(byG, seconds)) return;
  const start = afterSetDown(readings, before, after) ?? before;
  if (after.firstG - start.lastG <= fine.thresholdG) return;
  const found = poursBetween(readings, pieces, start, after, fine);
  const last = seen.pours.at(-1);
  // A thin stream on a coarse scale stands still between two steps.
  const goesOn =
    last?.kind === 'stream' &&
    found.length === 1 &&
    before.toS - before.fromS < PAUSE_S &&
    byG <= 3 * fine.stepG;
  if (goesOn) seen.pours[seen.pours.length - 1] = came(last.fromS, found[0]!.toS, last.massG + byG);
  else seen.pours.push(...found);
}

const baseAt = (rest: Rest): Seen['base'] => ({ heightG: rest.firstG, atS: rest.fromS });

/** Up while it was away: the jar put back, or another one. @returns whether that was all */
function cameBack(seen: Seen, { before, after }: Change, seconds: number, { thresholdG }: Fineness): boolean {
  const away = seen.lifted ?? seen.zeroed;
  if (!away) return false;
  const slackG = thresholdG + BACK_DRIFT_G_PER_S * (after.fromS - away.sinceS);
  const moreG = after.firstG - away.beforeG;
  const isBack = seen.lifted ? moreG >= -slackG : Math.abs(moreG) <= slackG && seconds <= PUT_BACK_S;
  if (isBack) {
    if (moreG > slackG && moreG < VESSEL_G) seen.pours.push(came(away.sinceS, after.fromS, moreG));
    seen.lifted = seen.zeroed = null;
    seen.base = baseAt(after);
    return true;
  }
  seen.zeroed = null;
  if (!seen.lifted) return false;
  // Another jar, or this one emptied: it goes on from there.
  if (isSetDown(after.firstG - before.lastG, seconds)) seen.lifted = null;
  return true;
}

function wentDown(seen: Seen, { before, after }: Change, { stepG, thresholdG }: Fineness): void {
  const byG = before.lastG - after.firstG;
  const away: Away = { beforeG: before.lastG, sinceS: before.toS };
  if (Math.abs(after.firstG) <= Math.max(1.6 * stepG, 0.3)) seen.zeroed = away;
  else if (byG >= LIFT_G || after.firstG < -thresholdG) seen.lifted ??= away;
  else leaned(seen.pours, after.fromS, byG, thresholdG);
}

/** Step by step: a stream so thin that each step of the display is a rest. */
function crept(seen: Seen, { before, after }: Change, { thresholdG }: Fineness): void {
  const { base, pours } = seen;
  const creptG = after.firstG - base.heightG - DRIFT_G_PER_S * (after.fromS - base.atS);
  if (creptG <= 1.3 * thresholdG) return;
  const last = pours.at(-1);
  if (last?.kind === 'stream' && before.fromS - last.toS < PAUSE_S)
    pours[pours.length - 1] = came(last.fromS, after.fromS, last.massG + creptG);
  else pours.push(came(base.atS, after.fromS, after.firstG - base.heightG));
  seen.base = baseAt(after);
}

/** A hand that leaned on the jar: what seemed to go in is taken back. */
function leaned(pours: Pour[], atS: number, downG: number, thresholdG: number): void {
  const last = pours.at(-1);
  if (!last || last.kind === 'stream' || atS - last.toS > LEANED_S) return;
  if (Math.abs(downG - last.massG) <= thresholdG + 0.1 * last.massG) pours.pop();
}
