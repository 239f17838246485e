/**
 * What today's prices and what must be used up change in a dressing. Tried: each line, whole or half, for what is on
 * hand and does its work (see `swapIngredient`), and more of what must go and is in it already. Kept is only what leaves
 * the band of the palate as good, the hold as long, brings no grave caution, costs no more than before and is on hand for the
 * whole batch. What must be used up is paid: so much of it costs nothing more. Greedy, dearest gain first, each change on
 * top of those before it. Money in the kitchen's own currency.
 */
import {
  effectOf,
  lessAcidThanAllowed,
  lostBy,
  stateOf,
  type Effect,
  type Lost,
  type State,
  type Work,
} from '#core/balance';
import { composition } from '#core/composition';
import type { Hold } from '#core/emulsion';
import {
  bandOfScore,
  palateOf,
  type Palate,
  PALATE,
  PALATE_KEYS,
  verdictOf,
  type PalateKey,
  type ScoreBand,
  type Style,
} from '#core/palate';
import { exactly } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import { costOf, isOnHand, savingOf, usedUp, type SeasonRequest, type UsedUp } from './stock';
import { triesOf, type SeasonChange, type Try } from './tries';

export interface SeasonWay {
  readonly changes: readonly SeasonChange[];
  readonly portions: readonly JudgedPortion[];
  /** Per batch; what must go anyway counts as paid. Null: something in it before or after has no price. */
  readonly saving: number | null;
  /** What of it is used up in the batch. */
  readonly usesUp: readonly UsedUp[];
  readonly effect: Effect;
  readonly lost: Lost;
  /** Where it is shorter, within its class. */
  readonly holdS: { readonly before: number | null; readonly after: number | null } | null;
  /** What a taster would notice, most first. */
  readonly moved: readonly { readonly measure: PalateKey; readonly steps: number }[];
}

/** @returns all that go together first, then those of them that stand well alone; none: nothing is to be gained */
export function* seasonWays(request: SeasonRequest): Work<readonly SeasonWay[]> {
  if (!(request.times > 0 && Number.isFinite(request.times)))
    throw new RangeError('A batch is more than nothing.');
  const before = stateOf(request.portions);
  if (!(before.massG > 0)) return [];
  let now: SeasonWay | null = null;
  const alone: SeasonWay[] = [];
  for (let round = 0; round < MOST_CHANGES; round++) {
    const portions: readonly JudgedPortion[] = now?.portions ?? request.portions;
    // What did not stand alone is not tried again on top of others.
    const tries = triesOf(request, portions).filter(
      ({ from, to }) =>
        round === 0 || alone.some(({ changes: [own] }) => own!.from.id === from.id && own!.to.id === to.id),
    );
    let best: SeasonWay | null = null;
    for (const [place, one] of tries.entries()) {
      yield { done: (round + place / tries.length) / MOST_CHANGES, total: 1 };
      const next = tried(request, before, portions, one);
      if (!next) continue;
      const way = wayOf(request, before, next, [...(now?.changes ?? []), one.said(next)]);
      if (way && round === 0) alone.push(way);
      if (way && gainOf(request, way) > gainOf(request, best ?? now) + LEAST_GAIN) best = way;
    }
    if (!best) break;
    now = best;
  }
  if (!now) return [];
  const first = now;
  const own = alone
    .filter((way) => gainOf(request, way) > LEAST_GAIN)
    .sort((a, b) => gainOf(request, b) - gainOf(request, a));
  const others: SeasonWay[] = [];
  for (const way of own) {
    const { from, to } = way.changes[0]!;
    const isThere = [first, ...others].some(
      ({ changes }) => changes.length === 1 && changes[0]!.to.id === to.id && changes[0]!.from.id === from.id,
    );
    if (!isThere) others.push(way);
    if (others.length === MOST_ALONE) break;
  }
  return [first, ...others];
}

const MOST_CHANGES = 3;
const MOST_ALONE = 3;
/** A hundredth of what the dressing is worth is not worth another jar from the shelf. */
const LEAST_GAIN = 0.01;
/** As large a jar as before; null where it is not on hand for the whole batch. */
function tried(
  request: SeasonRequest,
  before: State,
  portions: readonly JudgedPortion[],
  one: Try,
): readonly JudgedPortion[] | null {
  const next = one.make(portions);
  const volumeMl = composition(next).mixedVolumeMl;
  if (!(volumeMl > 0)) return null;
  const same = next.map((portion) => ({
    ...portion,
    massG: exactly((portion.massG.nominal * before.mixedVolumeMl) / volumeMl),
  }));
  return isOnHand(request, same) ? same : null;
}

const BANDS: readonly ScoreBand[] = ['off', 'doubtful', 'served', 'inside'];
const bandAt = (palate: Palate, style: Style): number =>
  BANDS.indexOf(bandOfScore(verdictOf(palate, style).score));
const HOLDS: readonly Hold['class'][] = ['temporary', 'short', 'semi-stable', 'stable'];
const HALF = 0.5;

/**
 * Another class of hold, or less than half of what it was: within half and double the model itself is in doubt, and a
 * dressing that sees a service through still does.
 */
function isShortened(before: Hold | null, after: Hold | null): boolean {
  if (!before || !after) return false;
  if (HOLDS.indexOf(after.class) < HOLDS.indexOf(before.class)) return true;
  const [was, is] = [before.medianS, after.medianS];
  return is !== null && was !== null && is < HALF * was;
}

/** Null where it is worse than before in what must not be. */
function wayOf(
  request: SeasonRequest,
  before: State,
  portions: readonly JudgedPortion[],
  changes: readonly SeasonChange[],
): SeasonWay | null {
  const { style } = request;
  // What is cheap to ask is asked first.
  const saving = savingOf(request, portions);
  const usesUp = usedUp(request, portions);
  // What cannot be reckoned is no saving; it is worth it only for what would be thrown away.
  if (saving === null ? usesUp.length === 0 : saving < -1e-9) return null;
  const palate = palateOf(portions);
  if (style && bandAt(palate, style) < bandAt(before.judgement.palate, style)) return null;
  const moved = PALATE_KEYS.flatMap((measure) => {
    const [was, is] = [before.judgement.palate[measure].value, palate[measure].value];
    const steps = was === null || is === null ? 0 : (is - was) / PALATE[measure].step;
    return Math.abs(steps) >= NOTICED ? [{ measure, steps }] : [];
  }).sort((a, b) => Math.abs(b.steps) - Math.abs(a.steps));
  // Without a style there is no band: then it stays as it is, to a step.
  if (!style && moved.length > 0) return null;
  const effect = effectOf(before, portions, style);
  const lost = lostBy(before.hold, effect.hold);
  if (lost.splits || lost.mightSplit || isShortened(before.hold, effect.hold)) return null;
  // It may keep a shorter time, which is said; a graver caution is no price for a saving.
  if (effect.newCautions.some(({ tier }) => tier === 1) || lessAcidThanAllowed(effect)) return null;
  const [was, is] = [before.hold?.medianS ?? null, effect.hold?.medianS ?? null];
  const holdS = is !== null && (was === null || is < was * SAME_HOLD) ? { before: was, after: is } : null;
  return { changes, portions, saving, usesUp, effect, lost, holdS, moved };
}

const NOTICED = 1;
/** A tenth of a hold nobody sees. */
const SAME_HOLD = 0.9;

/** In shares of what the dressing costs, and of its mass for what would be thrown away. */
function gainOf(request: SeasonRequest, way: SeasonWay | null): number {
  if (!way) return 0;
  const massG = request.portions.reduce((sum, one) => sum + one.massG.nominal, 0) * request.times;
  const before = new Map(
    usedUp(request, request.portions).map(({ ingredient, massG: g }) => [ingredient.id, g]),
  );
  const used = way.usesUp.reduce(
    (sum, { ingredient, massG: g }) => sum + g - (before.get(ingredient.id) ?? 0),
    0,
  );
  const cost = costOf(request, request.portions);
  const saved = way.saving === null ? 0 : way.saving / Math.max(cost ?? Math.abs(way.saving), 1e-9);
  const worse = way.moved.reduce((sum, { steps }) => sum + Math.abs(steps), 0);
  return Math.min(1, saved) + used / massG - NOTICED_COSTS * worse;
}
/** Each step that a taster notices is worth so much of the cost; estimate. */
const NOTICED_COSTS = 0.01;
