/**
 * Amounts from targets and what is on hand. Variables x_i ≥ 0 with Σ v_i x_i = V; for a target t_k
 *   N_k − t_k D_k − step_k Dref_k (p_k − n_k) = 0,  Dref = V (ratio: V/4; sugar to acid: 0.015 V)
 * and min Σ w_k (p_k + n_k), windows of the style with slack at a higher price, their middles at a
 * low one. Nothing is infeasible but the volume: what cannot be met is reported as missed by so
 * much, and the shadow prices say what stands in the way.
 */
import { mixedVolumeMlPerG } from '#core/composition';
import type { Ingredient } from '#core/ingredient';
import { solveLinear } from '#core/numeric';
import { DEFINED_BY, PALATE, type PalateKey } from '#core/palate';
import { exactly } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import { rolesOf } from './candidates';
import { ceilingOf } from './ceilings';
import { stateOf, type State } from './effect';
import { obstacles, programFor } from './formulateProgram';
import type { FormulateRequest, Obstacle, OnHand } from './formulateRequest';
import { doseG } from './program';
import type { Work } from './steps';
import { nearestWhole, WEIGHED_FROM_ML, wholeOf } from './wholeUnits';

export interface Missed {
  readonly measure: PalateKey;
  readonly wanted: number;
  readonly value: number | null;
  /** In steps that a taster notices, > 0. */
  readonly steps: number;
}

export interface FormulateAnswer {
  /** What sets this answer apart. */
  readonly variant: Variant;
  readonly portions: readonly JudgedPortion[];
  readonly state: State;
  /** Weighted steps off the targets, 0 where all are met. */
  readonly loss: number;
  readonly missed: readonly Missed[];
  /** What stands in the way, dearest first; empty where nothing is missed. */
  readonly inTheWay: readonly Obstacle[];
}

export type Variant =
  | { readonly kind: 'best' | 'lighter' | 'richer' }
  | { readonly kind: 'only' | 'without'; readonly ingredient: Ingredient };

export type FormulateOutcome =
  | { readonly status: 'answers'; readonly answers: readonly FormulateAnswer[] }
  /** Everything on hand together does not fill it. */
  | { readonly status: 'not-enough'; readonly mostMl: number }
  /** What has to go in overfills it. */
  | { readonly status: 'too-much'; readonly leastMl: number }
  | { readonly status: 'nothing-to-aim-for' };

const MOST_ANSWERS = 4;
/** Below this share of a kitchen step a line is not worth fetching the jar for. */
const WORTH_FETCHING = 0.3;
/** Answers nearer to each other than this share of the mass are one answer. */
const DIFFERENT = 0.08;
/** Weighted steps beyond the plain answer at which another is not worth showing. */
const MUCH_WORSE = 1;

export function* formulate(request: FormulateRequest): Work<FormulateOutcome> {
  const { volumeMl, style, onHand, targets } = request;
  if (!(volumeMl > 0)) throw new RangeError('The volume must be more than nothing.');
  if (targets.length === 0 && Object.keys(style?.windows ?? {}).length === 0) {
    return { status: 'nothing-to-aim-for' };
  }
  const volume = (of: (item: OnHand) => number): number =>
    onHand.reduce((sum, item) => sum + of(item) * mixedVolumeMlPerG(item.ingredient), 0);
  const mostMl = volume(({ maxG }) => maxG ?? Infinity);
  if (onHand.length === 0 || mostMl < volumeMl * (1 - 1e-9)) {
    return { status: 'not-enough', mostMl: onHand.length === 0 ? 0 : mostMl };
  }
  const leastMl = volume(({ minG }) => minG);
  if (leastMl > volumeMl * (1 + 1e-9)) return { status: 'too-much', leastMl };
  const tries = variantsOf(request);
  const answers: FormulateAnswer[] = [];
  for (let index = 0; index < tries.length; index++) {
    yield { done: index / tries.length, total: 1 };
    const answer = answerFor(request, tries[index]!);
    if (answer) answers.push(inWholes(request, tries[index]!, fewer(request, tries[index]!, answer)));
    if (index === 0 && answer) tries.push(...without(request, answer));
  }
  // Spices alone fill no jar: no cook puts in so much of any of them.
  if (answers.length === 0) return { status: 'not-enough', mostMl: 0 };
  return { status: 'answers', answers: different(answers) };
}

interface Attempt {
  readonly variant: Variant;
  readonly onHand: readonly OnHand[];
  /** Middles moved for this attempt. */
  readonly middles: Readonly<Partial<Record<PalateKey, number>>>;
}

/** The plain answer first; then each acid and each creamy thing alone; then the two ends of richness. */
function variantsOf({ onHand, style, targets }: FormulateRequest): Attempt[] {
  const tries: Attempt[] = [{ variant: { kind: 'best' }, onHand, middles: {} }];
  const families = [
    onHand.filter(({ ingredient }) => ingredient.isAcidLiquid),
    onHand.filter(({ ingredient }) => ingredient.category === 'oil'),
    onHand.filter(({ ingredient }) => rolesOf(ingredient).includes('creamy')),
  ];
  for (const family of families) {
    if (family.length < 2) continue;
    for (const only of family) {
      const others = family.filter((item) => item !== only);
      if (others.some(({ minG }) => minG > 0)) continue;
      const { ingredient } = only;
      tries.push({
        variant: { kind: 'only', ingredient },
        onHand: onHand.filter((item) => !others.includes(item)),
        middles: {},
      });
    }
  }
  const fat = style?.windows.fat;
  if (fat && !targets.some(({ measure }) => measure === 'fat')) {
    const at = (share: number): number => fat.low + share * (fat.high - fat.low);
    tries.push({ variant: { kind: 'lighter' }, onHand, middles: { fat: at(0.1) } });
    tries.push({ variant: { kind: 'richer' }, onHand, middles: { fat: at(0.9) } });
  }
  return tries;
}

/** The plain answer again without each of its smaller things that could be spared. */
function without({ onHand }: FormulateRequest, { portions, state }: FormulateAnswer): readonly Attempt[] {
  return portions
    .filter(
      ({ ingredient: { category }, massG }) => !PLAIN.has(category) && massG.nominal < SMALLER * state.massG,
    )
    .flatMap(({ ingredient }): Attempt[] => {
      const spared = onHand.find((item) => item.ingredient.id === ingredient.id);
      if (!spared || spared.minG > 0) return [];
      return [
        {
          variant: { kind: 'without', ingredient },
          onHand: onHand.filter((item) => item !== spared),
          middles: {},
        },
      ];
    });
}

const PLAIN: ReadonlySet<string> = new Set(['salt', 'water']);
const SMALLER = 0.25;
/** As a cook would put them in: acid and salt first, oil last. */
const ORDER: readonly Ingredient['category'][] = [
  ...([
    'vinegar',
    'citrus',
    'salt',
    'savoury',
    'sweet',
    'fruit',
    'aromatic',
    'spice',
    'herb',
    'veg',
  ] as const),
  ...(['emulsifier', 'thickener', 'creamy', 'water', 'oil'] as const),
];
const inOrder = (a: JudgedPortion, b: JudgedPortion): number =>
  ORDER.indexOf(a.ingredient.category) - ORDER.indexOf(b.ingredient.category);

function answerFor(request: FormulateRequest, attempt: Attempt): FormulateAnswer | null {
  let { onHand } = attempt;
  for (let round = 0; round < 2; round++) {
    const program = programFor(request, onHand, attempt.middles);
    const outcome = solveLinear(program.linear);
    if (outcome.status !== 'optimal') return null;
    const massG = onHand.map((item, i) => item.minG + outcome.values[i]!);
    const total = massG.reduce((sum, g) => sum + g, 0);
    const kept = onHand.filter(
      ({ ingredient, minG }, i) => minG > 0 || massG[i]! >= WORTH_FETCHING * doseG(ingredient, total),
    );
    if (round === 0 && kept.length < onHand.length) {
      onHand = kept;
      continue;
    }
    const portions = onHand
      .map(({ ingredient, form = '' }, i): JudgedPortion => ({ ingredient, form, massG: exactly(massG[i]!) }))
      .filter((portion) => portion.massG.nominal > 1e-6 * total)
      .sort(inOrder);
    const state = stateOf(portions);
    const missed = missedOf(request, state);
    return {
      variant: attempt.variant,
      portions,
      state,
      loss: missed.reduce((sum, { measure, steps }) => sum + PALATE[measure].weight * steps, 0),
      missed,
      inTheWay: missed.length > 0 ? obstacles(program) : [],
    };
  }
  return null;
}

/** Things that a cook would not fetch for this: each goes that nobody would miss. */
function fewer(request: FormulateRequest, attempt: Attempt, answer: FormulateAnswer): FormulateAnswer {
  let now = answer;
  const smallFirst = [...answer.portions].sort((a, b) => a.massG.nominal - b.massG.nominal);
  for (const { ingredient } of smallFirst) {
    if (now.portions.length <= FEW) break;
    const item = attempt.onHand.find((one) => one.ingredient.id === ingredient.id);
    if (!item || item.minG > 0 || PLAIN.has(ingredient.category) || makes(request, ingredient)) continue;
    const used = new Set(now.portions.map((portion) => portion.ingredient.id));
    const onHand = attempt.onHand.filter((one) => one !== item && used.has(one.ingredient.id));
    const without = answerFor(request, { ...attempt, onHand });
    if (without && without.loss <= now.loss + NOBODY_MISSES) now = without;
  }
  return now;
}
/** The style is nothing without it. */
const makes = ({ style }: FormulateRequest, ingredient: Ingredient): boolean =>
  (DEFINED_BY[style?.id ?? ''] ?? []).some(({ is }) => is(ingredient));

/** So many things are no trouble. */
const FEW = 5;
/** Weighted steps that are worth one thing less to fetch. */
const NOBODY_MISSES = 0.1;

/** Whole yolks, cloves and half lemons, where the rest can follow without harm. */
function inWholes(request: FormulateRequest, attempt: Attempt, answer: FormulateAnswer): FormulateAnswer {
  if (request.volumeMl >= WEIGHED_FROM_ML) return answer;
  let now = answer;
  let { onHand } = attempt;
  for (const { ingredient, massG } of answer.portions) {
    const whole = wholeOf(ingredient);
    const item = onHand.find((one) => one.ingredient.id === ingredient.id);
    if (!whole || !item || item.minG > 0) continue;
    const wholeG = nearestWhole(massG.nominal, whole, item.maxG);
    if (wholeG === null) continue;
    const next = onHand.map((one) => (one === item ? { ...one, minG: wholeG, maxG: wholeG } : one));
    const found = answerFor(request, { ...attempt, onHand: next });
    if (!found || found.loss > now.loss + WHOLE_COSTS || !keepsShares(request, found)) continue;
    [now, onHand] = [found, next];
  }
  return now;
}
/** What was set whole counts as the cook's own in the program: ceilings and what defines the style are looked at again. */
function keepsShares({ style }: FormulateRequest, { portions, state }: FormulateAnswer): boolean {
  const within = portions.every(
    ({ ingredient, massG }) => massG.nominal <= (ceilingOf(ingredient, style?.id ?? null) ?? 1) * state.massG,
  );
  return (
    within &&
    (DEFINED_BY[style?.id ?? ''] ?? []).every(({ is, least }) => {
      const held = portions.reduce((sum, one) => sum + (is(one.ingredient) ? one.massG.nominal : 0), 0);
      return held === 0 || held >= least * state.massG;
    })
  );
}

/** Weighted steps that a whole thing may cost. */
const WHOLE_COSTS = 0.35;

function missedOf({ style, targets }: FormulateRequest, { judgement }: State): readonly Missed[] {
  const aimed = new Set(targets.map(({ measure }) => measure));
  const misses = targets.flatMap(({ measure, value: wanted }) =>
    miss(judgement.palate[measure].value, measure, wanted, wanted),
  );
  for (const measure of Object.keys(style?.windows ?? {}) as PalateKey[]) {
    if (aimed.has(measure)) continue;
    const { low, high } = style!.windows[measure]!;
    misses.push(...miss(judgement.palate[measure].value, measure, low, high));
  }
  return misses.sort((a, b) => PALATE[b.measure].weight * b.steps - PALATE[a.measure].weight * a.steps);
}

function miss(value: number | null, measure: PalateKey, low: number, high: number): Missed[] {
  if (value === null)
    return low > 0 ? [{ measure, wanted: low, value, steps: low / PALATE[measure].step }] : [];
  const steps = Math.max(low - value, value - high) / PALATE[measure].step;
  return steps > 0.02 ? [{ measure, wanted: value < low ? low : high, value, steps }] : [];
}

/** The best, then those that are really others, best first. */
function different(answers: readonly FormulateAnswer[]): readonly FormulateAnswer[] {
  const [best, ...others] = answers;
  if (!best) return [];
  const kept = [best];
  for (const answer of others.sort((a, b) => a.loss - b.loss)) {
    if (kept.length === MOST_ANSWERS || answer.loss > best.loss + MUCH_WORSE) break;
    if (kept.every((other) => distance(other, answer) > DIFFERENT)) kept.push(answer);
  }
  return kept.sort((a, b) => a.loss - b.loss);
}

/** Share of the mass that would have to be exchanged. */
function distance(a: FormulateAnswer, b: FormulateAnswer): number {
  const massOf = ({ portions }: FormulateAnswer): Map<string, number> =>
    new Map(portions.map(({ ingredient, massG }) => [ingredient.id, massG.nominal]));
  const [inA, inB] = [massOf(a), massOf(b)];
  const ids = new Set([...inA.keys(), ...inB.keys()]);
  const moved = [...ids].reduce((sum, id) => sum + Math.abs((inA.get(id) ?? 0) - (inB.get(id) ?? 0)), 0);
  return moved / (2 * Math.max(a.state.massG, b.state.massG));
}
