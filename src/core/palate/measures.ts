/**
 * The eleven measures of the palate, each N/D with N and D linear in grams, so that a dressing is
 * judged, and later amended, by the same rows. Fractions are 0..1 of the whole; pungency is
 * reference grams a gram (garlic: raw and minced; heat: chilli flakes; mustard: powder); bitter is
 * the share of extra-virgin-like oil, bitter when blended hard.
 */
import type { Bounds, Portion } from '#core/composition';
import { fractionExtreme } from '#core/numeric';
import { G_ACETIC_PER_MEQ, tastedMeqPer100G } from '#core/acidity';
import { acidLiquidOf, pouredOilOf, type PungencyKind } from '#core/ingredient';
import { formFactor } from './pungency';
import { sucroseEquivalentOf } from './sweetness';

/** A portion with what was done to it. */
export interface PalatePortion extends Portion {
  readonly form: string;
}

export const PALATE_KEYS = [
  ...(['acid', 'ratio', 'salt', 'sweet', 'sugarToAcid', 'fat', 'body'] as const),
  ...(['garlic', 'heat', 'mustard', 'bitter'] as const),
] as const;
export type PalateKey = (typeof PALATE_KEYS)[number];

export interface PalateMeasure {
  readonly numerator: (portion: PalatePortion) => number;
  readonly denominator: (portion: PalatePortion) => number;
  /** A change that a taster would notice, in the unit of the measure; tag: estimate. */
  readonly step: number;
  readonly weight: number;
}

const one = (): number => 1;
/** As acetic, g per g. */
const acid = ({ ingredient }: Portion): number => (tastedMeqPer100G(ingredient) / 100) * G_ACETIC_PER_MEQ;
const pungency =
  (kind: PungencyKind) =>
  ({ ingredient, form }: PalatePortion): number =>
    ingredient.pungencyIndex[kind] * formFactor(kind, form);

export const PALATE: Readonly<Record<PalateKey, PalateMeasure>> = {
  acid: { numerator: acid, denominator: one, step: 0.002, weight: 1.5 },
  ratio: {
    numerator: ({ ingredient }) => pouredOilOf(ingredient).ml,
    denominator: ({ ingredient }) => acidLiquidOf(ingredient).ml,
    step: 0.5,
    weight: 1,
  },
  salt: {
    numerator: ({ ingredient }) => ingredient.composition.salt,
    denominator: one,
    step: 0.002,
    weight: 1.5,
  },
  sweet: {
    numerator: ({ ingredient }) => sucroseEquivalentOf(ingredient),
    denominator: one,
    step: 0.015,
    weight: 1,
  },
  sugarToAcid: {
    numerator: ({ ingredient }) => sucroseEquivalentOf(ingredient),
    denominator: acid,
    step: 1,
    weight: 0.7,
  },
  fat: {
    numerator: ({ ingredient }) => ingredient.composition.fat,
    denominator: one,
    step: 0.06,
    weight: 0.7,
  },
  body: { numerator: ({ ingredient }) => ingredient.bodyIndex, denominator: one, step: 6, weight: 0.7 },
  garlic: { numerator: pungency('garlic'), denominator: one, step: 0.005, weight: 0.7 },
  heat: { numerator: pungency('heat'), denominator: one, step: 0.0005, weight: 0.7 },
  mustard: { numerator: pungency('mustard'), denominator: one, step: 0.006, weight: 0.5 },
  bitter: { numerator: pungency('bitterOil'), denominator: one, step: 0.2, weight: 0.4 },
};

export interface PalateValue {
  /** Null where it is not defined: no acid liquid, nothing in the jar. */
  readonly value: number | null;
  readonly range: Bounds;
}
export type Palate = Readonly<Record<PalateKey, PalateValue>>;

/** Below this the denominator is rounding, not acid. */
const LEAST_DENOMINATOR = 1e-9;

export function palateValue(portions: readonly PalatePortion[], key: PalateKey): number | null {
  const { numerator, denominator } = PALATE[key];
  let [n, d] = [0, 0];
  for (const portion of portions) {
    n += numerator(portion) * portion.massG.nominal;
    d += denominator(portion) * portion.massG.nominal;
  }
  return d > LEAST_DENOMINATOR ? n / d : null;
}

/** Every measure with its range under loose amounts. */
export function palateOf(portions: readonly PalatePortion[]): Palate {
  const uncertain = portions.some(({ massG }) => massG.low !== massG.high);
  const valueOf = (key: PalateKey): PalateValue => {
    const value = palateValue(portions, key);
    if (!uncertain || value === null) return { value, range: { low: value, high: value } };
    const { numerator, denominator } = PALATE[key];
    const terms = portions.map((portion) => ({
      numerator: numerator(portion),
      denominator: denominator(portion),
      low: portion.massG.low,
      high: portion.massG.high,
    }));
    return { value, range: { low: fractionExtreme(terms, 'low'), high: fractionExtreme(terms, 'high') } };
  };
  return Object.fromEntries(PALATE_KEYS.map((key) => [key, valueOf(key)])) as Record<PalateKey, PalateValue>;
}

export interface PalateShare {
  readonly index: number;
  readonly portion: PalatePortion;
  /** In the unit of the numerator times grams: g of salt, g of sucrose, g of acid as acetic. */
  readonly amount: number;
  readonly share: number;
}

/** Who brings a measure, largest first; none where nothing does. */
export function palateContributions(
  portions: readonly PalatePortion[],
  key: PalateKey,
): readonly PalateShare[] {
  const { numerator } = PALATE[key];
  const parts = portions.map((portion, index) => ({
    index,
    portion,
    amount: numerator(portion) * portion.massG.nominal,
  }));
  const total = parts.reduce((sum, { amount }) => sum + amount, 0);
  return parts
    .filter(({ amount }) => amount > 0)
    .map((part) => ({ ...part, share: part.amount / total }))
    .sort((a, b) => b.amount - a.amount || a.index - b.index);
}
