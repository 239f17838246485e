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
  type State,
  type Work,
} from '#core/balance';
import type { Ingredient } from '#core/ingredient';
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
import { costOf, isOnHand, massOf, savingOf, usedUp, type SeasonRequest, type UsedUp } from './stock';
import { triesOf, type SeasonChange, type Try } from './tries';

/** A way by what is cheap to ask: sums and palate. */
interface OnPaper {
  readonly changes: readonly SeasonChange[];
  readonly portions: readonly JudgedPortion[];
  /** Per batch; what must go anyway counts as paid. Null: something in it before or after has no price. */
  readonly saving: number | null;
  /** What of it is used up in the batch. */
  readonly usesUp: readonly UsedUp[];
  /** What tastes of itself and is less in it, by so much of it, 0..1. */
  readonly loses: readonly { readonly ingredient: Ingredient; readonly share: number }[];
  /** What a taster would notice, most first. */
  readonly moved: readonly { readonly measure: PalateKey; readonly steps: number }[];
}
export interface SeasonWay extends OnPaper {
  readonly effect: Effect;
  /** Where it is shorter, within its class. */
  readonly holdS: { readonly before: number | null; readonly after: number | null } | null;
}

/** @returns all that go together first, then those of them that stand well alone; none: nothing is to be gained */
export function* seasonWays(request: SeasonRequest): Work<readonly SeasonWay[]> {
  if (!(request.times > 0 && Number.isFinite(request.times)))
    throw new RangeError('A batch is more than nothing.');
  const before = stateOf(request.portions);
  if (!(before.massG > 0)) return [];
  const alone = yield* bestOf(request, before, null, triesOf(request, request.portions), 1 + MOST_ALONE);
  const [first] = alone;
  if (!first) return [];
  let now: SeasonWay = first;
  for (let round = 1; round < MOST_CHANGES; round++) {
    yield { done: round / MOST_CHANGES, total: 1 };
    // What did not stand alone is not tried again on top of others.
    const tries = triesOf(request, now.portions).filter(({ from, to }) =>
      alone.some(({ changes: [own] }) => own!.from.id === from.id && own!.to.id === to.id),
    );
    const further: readonly SeasonWay[] = yield* bestOf(request, before, now, tries, 1);
    if (!further[0]) break;
    now = further[0];
  }
  return [now, ...(now === first ? alone.slice(1) : alone)].slice(0, 1 + MOST_ALONE);
}

/** The best of these on top of what is changed already, each of another pair of things, as many as wanted. */
function* bestOf(
  request: SeasonRequest,
  before: State,
  now: SeasonWay | null,
  tries: readonly Try[],
  wanted: number,
): Work<readonly SeasonWay[]> {
  const least = gainOf(request, now) + LEAST_GAIN;
  const papers = tries
    .flatMap((one) => {
      const next = tried(request, before, now?.portions ?? request.portions, one);
      const paper = next && onPaper(request, before, next, [...(now?.changes ?? []), one.said(next)]);
      return paper ? [{ paper, pair: `${one.from.id} ${one.to.id}`, gain: gainOf(request, paper) }] : [];
    })
    .filter(({ gain }) => gain > least)
    .sort((a, b) => b.gain - a.gain);
  const found = new Map<string, SeasonWay>();
  for (const [place, { paper, pair }] of papers.entries()) {
    if (found.size === wanted) break;
    yield { done: place / papers.length / MOST_CHANGES, total: 1 };
    const way = found.has(pair) ? null : proven(request, before, paper);
    if (way) found.set(pair, way);
  }
  return [...found.values()];
}

const MOST_CHANGES = 3;
const MOST_ALONE = 3;
/** Three hundredths of what the dressing costs are not worth another jar from the shelf. */
const LEAST_GAIN = 0.03;
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

/** Null where it is dearer, or tastes worse than before. */
function onPaper(
  request: SeasonRequest,
  before: State,
  portions: readonly JudgedPortion[],
  changes: readonly SeasonChange[],
): OnPaper | null {
  const { style } = request;
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
  return { changes, portions, saving, usesUp, moved, loses: lostFlavours(request.portions, portions) };
}

/** With its hold and its safety; null where either is worse in what must not be. */
function proven({ style }: SeasonRequest, before: State, paper: OnPaper): SeasonWay | null {
  const effect = effectOf(before, paper.portions, style);
  const lost = lostBy(before.hold, effect.hold);
  if (lost.splits || lost.mightSplit || isShortened(before.hold, effect.hold)) return null;
  // It may keep a shorter time, which is said; a graver caution is no price for a saving.
  if (effect.newCautions.some(({ tier }) => tier === 1) || lessAcidThanAllowed(effect)) return null;
  // Nor is an allergen that guests were not told of; what would be thrown away may bring one, and it is said.
  if (effect.newAllergens.length > 0 && paper.usesUp.length === 0) return null;
  const [was, is] = [before.hold?.medianS ?? null, effect.hold?.medianS ?? null];
  const holdS = is !== null && (was === null || is < was * SAME_HOLD) ? { before: was, after: is } : null;
  return { ...paper, effect, holdS };
}

const NOTICED = 1;
/** A tenth of a hold nobody sees. */
const SAME_HOLD = 0.9;

/** In shares of what the dressing costs, and of what would be thrown away; less by what is lost of its taste. */
function gainOf(request: SeasonRequest, way: OnPaper | null): number {
  if (!way) return 0;
  const before = new Map(
    usedUp(request, request.portions).map(({ ingredient, massG }) => [ingredient.id, massG]),
  );
  const used = way.usesUp.reduce((sum, { ingredient: { id }, massG }) => {
    const onHandG = request.stock.get(id)?.onHandG ?? Infinity;
    return sum + (massG - (before.get(id) ?? 0)) / Math.max(onHandG, massG);
  }, 0);
  const cost = costOf(request, request.portions);
  const saved = way.saving === null ? 0 : way.saving / Math.max(cost ?? Math.abs(way.saving), 1e-9);
  const worse = way.moved.reduce((sum, { steps }) => sum + Math.abs(steps), 0);
  const flavour = way.loses.reduce(
    (sum, { ingredient, share }) => sum + FLAVOUR_COSTS[ingredient.strength]! * share,
    0,
  );
  return Math.min(1, saved) + used - NOTICED_COSTS * worse - flavour;
}
/** Each step that a taster notices is worth so much of the cost; so is the whole of what a thing tastes of. Estimate. */
const NOTICED_COSTS = 0.01;
const FLAVOUR_COSTS: Readonly<Record<string, number>> = { assertive: 0.3, mild: 0.1 };

/** What tastes of itself and is less in it by a tenth or more: no measure of the palate speaks of it. */
function lostFlavours(before: readonly JudgedPortion[], after: readonly JudgedPortion[]): OnPaper['loses'] {
  const things = [...new Map(before.map(({ ingredient }) => [ingredient.id, ingredient])).values()];
  return things.flatMap((ingredient) => {
    const share = 1 - massOf(after, ingredient.id) / massOf(before, ingredient.id);
    return ingredient.strength in FLAVOUR_COSTS && share >= NOTICED_LESS ? [{ ingredient, share }] : [];
  });
}
const NOTICED_LESS = 0.1;
