/**
 * One ingredient for another. Where one measure carries the swap it is kept exactly,
 * g_b = g_a N_a / N_b (two acids: tasted acid; two sweet things: sweetness; two salts: salt; two
 * alliums: their bite; two mustards: theirs; two oils: volume), and water makes up the volume.
 * Where many do (mayonnaise for yoghurt), amounts of oil, acid, water, salt, sweetener and gum are
 * found anew by {@link formulate}: old values as targets, the newcomer at 0.5 to 1.5 of the swap,
 * volume as it was. Where the swap comes apart, what would keep it together is proposed with it. Then allergens, cautions, keeping and pH are looked at again.
 */
import { mixedVolumeMlPerG } from '#core/composition';
import type { Catalogue, Ingredient, IngredientId } from '#core/ingredient';
import { PALATE, PALATE_KEYS, type PalateKey, type PalatePortion, type Style } from '#core/palate';
import { exactly } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import { rolesOf } from './candidates';
import { effectOf, stateOf, type Effect } from './effect';
import { formulate } from './formulate';
import type { OnHand, Target } from './formulateRequest';
import { finish } from './steps';
import { lostBy, secondThing, type Lost } from './swapHolds';

export interface SwapRequest {
  readonly portions: readonly JudgedPortion[];
  /** Which portion goes. */
  readonly index: number;
  readonly to: Ingredient;
  readonly form?: string;
  readonly catalogue: Catalogue;
  readonly style: Style | null;
  /** Portions whose amounts stay. */
  readonly locked: ReadonlySet<number>;
}

export interface SwappedLine {
  /** The portion it was; null for one that comes new. */
  readonly index: number | null;
  readonly ingredient: Ingredient;
  readonly form: string;
  readonly fromG: number;
  readonly toG: number;
}

export interface Moved {
  readonly measure: PalateKey;
  readonly before: number | null;
  readonly after: number | null;
  readonly steps: number;
}

export interface Swap {
  readonly id: 'one-for-one' | 'rest-follows' | 'with-second';
  readonly keeps: readonly PalateKey[];
  readonly lines: readonly SwappedLine[];
  readonly effect: Effect;
  /** What could not be kept: moved by half a step or more, most first. */
  readonly notKept: readonly Moved[];
  /** What it loses of binder, hold and thickness. */
  readonly lost: Lost;
}

export interface SwapAnswer {
  readonly kept: PalateKey | 'volume' | 'weight';
  readonly swaps: readonly Swap[];
}

const NOTICED_STEPS = 0.5;
const BOUNDS = { low: 0.5, high: 1.5 };
/** How much of an adjuster may come, as a share of the batch. */
const MOST_ADJUSTER = 0.5;
const MOST_GUM_OF_WATER = 0.003;

export function swapIngredient(request: SwapRequest): SwapAnswer {
  const { portions, index, to } = request;
  const from = portions[index];
  if (!from) throw new RangeError('There is no such addition to swap.');
  const kept = measureOf(from, { ...from, ingredient: to, form: request.form ?? '' });
  const plain = oneForOne(request, from, kept);
  const second = withSecondThing(request, plain);
  const simple = second ? [second, plain] : [plain];
  if (!carriesMuch(from.ingredient) && !carriesMuch(to)) return { kept, swaps: simple };
  const followed = restFollows(request, plain);
  const swaps = followed ? [followed, ...simple] : simple;
  // What would split comes last, whatever it keeps of the palate.
  return { kept, swaps: [...swaps].sort((a, b) => Number(a.lost.splits) - Number(b.lost.splits)) };
}

/** One for one and what keeps it together: less oil, and mustard where that is not enough. */
function withSecondThing(request: SwapRequest, plain: Swap): Swap | null {
  const { portions, index, locked, catalogue } = request;
  const after = applySwap(portions, plain.lines);
  const second = secondThing(stateOf(portions).hold, after, locked, catalogue);
  if (!second) return null;
  const lines = [...plain.lines];
  portions.forEach(({ ingredient, form, massG }, i) => {
    if (i === index || ingredient.category !== 'oil' || locked.has(i) || second.oilFactor === 1) return;
    lines.push({ index: i, ingredient, form, fromG: massG.nominal, toG: second.oilFactor * massG.nominal });
  });
  if (second.mustard && second.mustardG > 0)
    lines.push(addTo(after, second.mustard, second.mustardG, locked));
  return swapOf(request, 'with-second', lines, plain.keeps);
}

/** What the two are in the dressing for. */
function measureOf(a: PalatePortion, b: PalatePortion): SwapAnswer['kept'] {
  const both = (test: (ingredient: Ingredient) => boolean): boolean =>
    test(a.ingredient) && test(b.ingredient);
  const share = (key: PalateKey): boolean => PALATE[key].numerator(a) > 0 && PALATE[key].numerator(b) > 0;
  if (both(({ isAcidLiquid }) => isAcidLiquid) && share('acid')) return 'acid';
  if (both(({ category }) => category === 'oil')) return 'volume';
  const SALTY = (ingredient: Ingredient): boolean =>
    rolesOf(ingredient).some((role) => role === 'salt' || role === 'savoury');
  if (both(SALTY) && share('salt')) return 'salt';
  if (both(({ category }) => category === 'sweet') && share('sweet')) return 'sweet';
  if (share('garlic')) return 'garlic';
  if (share('mustard')) return 'mustard';
  return share('heat') ? 'heat' : 'weight';
}

const MAKES_UP_VOLUME: ReadonlySet<string> = new Set(['acid', 'sweet']);

function oneForOne(request: SwapRequest, from: JudgedPortion, kept: SwapAnswer['kept']): Swap {
  const lines = linesOneForOne(request, from, kept);
  return swapOf(request, 'one-for-one', lines, kept === 'volume' || kept === 'weight' ? [] : [kept]);
}

/** The amounts alone, for who tries many: null where one thing cannot stand for the other by one measure. */
export function swappedPlainly(request: SwapRequest): readonly JudgedPortion[] | null {
  const { portions, index, to } = request;
  const from = portions[index];
  if (!from) throw new RangeError('There is no such addition to swap.');
  if (carriesMuch(from.ingredient) || carriesMuch(to)) return null;
  const kept = measureOf(from, { ...from, ingredient: to, form: request.form ?? '' });
  return applySwap(portions, linesOneForOne(request, from, kept));
}

function linesOneForOne(
  request: SwapRequest,
  from: JudgedPortion,
  kept: SwapAnswer['kept'],
): readonly SwappedLine[] {
  const { portions, index, to, form = '' } = request;
  const fromG = from.massG.nominal;
  const toG = fromG * factorFor(from, { ...from, ingredient: to, form }, kept);
  const lines: SwappedLine[] = [{ index, ingredient: to, form, fromG, toG }];
  // A sweetener or a weaker acid brings water; its fellow must not leave the jar emptier.
  const missingMl = fromG * mixedVolumeMlPerG(from.ingredient) - toG * mixedVolumeMlPerG(to);
  const waterG =
    kept === 'sweet' ? fromG * from.ingredient.composition.water - toG * to.composition.water : missingMl;
  const water = request.catalogue.get('water' as IngredientId);
  if (MAKES_UP_VOLUME.has(kept) && water && waterG > 0.05 * Math.max(fromG, toG)) {
    lines.push(addTo(portions, water, waterG, request.locked));
  }
  return lines;
}

function factorFor(a: PalatePortion, b: PalatePortion, kept: SwapAnswer['kept']): number {
  if (kept === 'weight') return 1;
  if (kept === 'volume') return b.ingredient.spoonDensityGPerMl / a.ingredient.spoonDensityGPerMl;
  const { numerator } = PALATE[kept];
  return numerator(a) / numerator(b);
}

/** More of a line that is there already, or a line of its own. */
function addTo(
  portions: readonly JudgedPortion[],
  ingredient: Ingredient,
  massG: number,
  locked: ReadonlySet<number>,
): SwappedLine {
  const at = portions.findIndex((portion, i) => portion.ingredient.id === ingredient.id && !locked.has(i));
  const fromG = at < 0 ? 0 : portions[at]!.massG.nominal;
  return { index: at < 0 ? null : at, ingredient, form: '', fromG, toG: fromG + massG };
}

/** Creamy things bring fat, acid, salt and body at once: one measure cannot stand for them. */
const carriesMuch = ({ category, bodyIndex, isAcidLiquid }: Ingredient): boolean =>
  bodyIndex >= 10 &&
  bodyIndex < 1000 &&
  !isAcidLiquid &&
  ['creamy', 'emulsifier', 'savoury', 'fruit', 'veg'].includes(category);

const ADJUSTERS: ReadonlySet<string> = new Set(['oil', 'acid', 'water', 'salt', 'sweet']);
/** Brought in where the dressing has none of its kind: of these kinds, this one. */
const SUPPLIED: readonly (readonly [id: string, insteadOf: Ingredient['category']])[] = [
  ['water', 'water'],
  ['salt_table', 'salt'],
  ['sunflower', 'oil'],
  ['xanthan', 'thickener'],
];

function restFollows(request: SwapRequest, plain: Swap): Swap | null {
  const { portions, index, to, form = '', catalogue, locked } = request;
  const before = stateOf(portions);
  const toG = plain.lines[0]!.toG;
  const onHand: OnHand[] = portions.map((portion, i): OnHand => {
    const massG = portion.massG.nominal;
    const { ingredient } = portion;
    if (i === index) return { ingredient: to, form, minG: BOUNDS.low * toG, maxG: BOUNDS.high * toG };
    const adjusts = !locked.has(i) && rolesOf(ingredient).some((role) => ADJUSTERS.has(role));
    return adjusts
      ? { ingredient, form: portion.form, minG: 0, maxG: massG + MOST_ADJUSTER * before.massG }
      : { ingredient, form: portion.form, minG: massG, maxG: massG };
  });
  const waterG = portions.reduce(
    (sum, portion) => sum + portion.ingredient.composition.water * portion.massG.nominal,
    0,
  );
  for (const [id, category] of SUPPLIED) {
    const ingredient = catalogue.get(id as IngredientId);
    if (!ingredient || portions.some((portion) => portion.ingredient.category === category)) continue;
    const maxG = id === 'xanthan' ? MOST_GUM_OF_WATER * waterG : MOST_ADJUSTER * before.massG;
    onHand.push({ ingredient, minG: 0, maxG });
  }
  const targets = judgedKeys(request.style).flatMap((measure): Target[] => {
    const { value } = before.judgement.palate[measure];
    return value === null ? [] : [{ measure, value }];
  });
  const outcome = finish(formulate({ volumeMl: before.mixedVolumeMl, style: null, onHand, targets }));
  if (outcome.status !== 'answers' || !outcome.answers[0]) return null;
  const found = [...outcome.answers].find(({ variant }) => variant.kind === 'best') ?? outcome.answers[0];
  const left = [...found.portions];
  const take = (ingredient: Ingredient, wantedForm: string): number => {
    const at = left.findIndex(
      (portion) => portion.ingredient.id === ingredient.id && portion.form === wantedForm,
    );
    return at < 0 ? 0 : left.splice(at, 1)[0]!.massG.nominal;
  };
  const lines = onHand.flatMap(({ ingredient, form: wantedForm = '' }, i): SwappedLine[] => {
    const line = portions[i];
    const fromG = line?.massG.nominal ?? 0;
    const nowG = take(ingredient, wantedForm);
    const changed = i === index || Math.abs(nowG - fromG) > 1e-3 * before.massG * 0.1;
    return changed ? [{ index: line ? i : null, ingredient, form: wantedForm, fromG, toG: nowG }] : [];
  });
  return swapOf(request, 'rest-follows', lines, judgedKeys(request.style));
}

/** What the style judges; without one, all but the ratio, which says nothing of creamy things. */
const judgedKeys = (style: Style | null): readonly PalateKey[] =>
  style ? PALATE_KEYS.filter((key) => style.windows[key]) : PALATE_KEYS.filter((key) => key !== 'ratio');

function swapOf(
  { portions, style }: SwapRequest,
  id: Swap['id'],
  lines: readonly SwappedLine[],
  keeps: readonly PalateKey[],
): Swap {
  const before = stateOf(portions);
  const after = applySwap(portions, lines);
  const effect = effectOf(before, after, style);
  const notKept = judgedKeys(style)
    .flatMap((measure): Moved[] => {
      const [was, is] = [before.judgement.palate[measure].value, effect.palate[measure].value];
      const steps =
        was === null || is === null ? (was === is ? 0 : 1) : Math.abs(is - was) / PALATE[measure].step;
      return steps >= NOTICED_STEPS ? [{ measure, before: was, after: is, steps }] : [];
    })
    .sort((a, b) => b.steps - a.steps);
  const gone = new Set(notKept.map(({ measure }) => measure));
  const lost = lostBy(before.hold, effect.hold);
  return { id, keeps: keeps.filter((key) => !gone.has(key)), lines, effect, notKept, lost };
}

export function applySwap(
  portions: readonly JudgedPortion[],
  lines: readonly SwappedLine[],
): readonly JudgedPortion[] {
  const changed = new Map(
    lines.flatMap((line) => (line.index === null ? [] : [[line.index, line] as const])),
  );
  const portionOf = ({ ingredient, form, toG }: SwappedLine): JudgedPortion => ({
    ingredient,
    form,
    massG: exactly(toG),
  });
  return [
    ...portions.map((portion, i) => (changed.has(i) ? portionOf(changed.get(i)!) : portion)),
    ...lines.filter(({ index }) => index === null).map(portionOf),
  ].filter(({ massG }, i) => massG.nominal > 0 || i < portions.length);
}
