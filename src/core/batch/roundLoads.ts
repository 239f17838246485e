/**
 * Amounts of every load, rounded to what can be measured there. It is a load that is weighed, so a load is
 * what is rounded; loads of one size are rounded once. Whole things are settled for the batch first and
 * then dealt out.
 */
import {
  roundPlan,
  type PlanLine,
  type RoundedLine,
  type Rounding,
  type RoundTo,
  type Work,
} from '#core/balance';
import type { Ingredient } from '#core/ingredient';
import type { SpoonSystem } from '#core/quantity';
import { boughtUnitOf } from './boughtUnits';

export const ROUNDINGS = ['exact', 'scale', 'spoons', 'mixed', 'bought'] as const;
/** `mixed`: the scale, and spoons or a dilution for what is too small for it. `bought`: that, and lemons, eggs and bunches whole. */
export type RoundingKind = (typeof ROUNDINGS)[number];

export interface RoundingSetting {
  readonly kind: RoundingKind;
  readonly readabilityG: number;
  readonly spoons: SpoonSystem;
}

export interface LineToRound {
  readonly ingredient: Ingredient;
  readonly form: string;
  /** In the whole batch, g. */
  readonly massG: number;
}

export interface RoundedLoad {
  readonly volumeShare: number;
  readonly lines: readonly RoundedLine[];
  /** Null where nothing was rounded. */
  readonly rounding: Rounding | null;
}

/** A twentieth of a step of one measure: no tongue could tell anything better. */
export const ENOUGH_LOSS = 0.05 ** 2;

export const roundToOf = ({ kind, readabilityG, spoons }: RoundingSetting): RoundTo | null => {
  switch (kind) {
    case 'exact':
      return null;
    case 'scale':
      return { kind: 'scale', readabilityG };
    case 'spoons':
      return { kind: 'spoons', spoons };
    case 'mixed':
    case 'bought':
      return { kind: 'mixed', readabilityG, spoons };
  }
};

/** What is used whole here: eggs always, other counted things where it is asked for. */
export function wholeUnitOf(
  ingredient: Ingredient,
  kind: RoundingKind,
): { readonly unit: string; readonly massG: number } | null {
  if (kind === 'exact') return null;
  const { unitWeightsG, hazards } = ingredient;
  if (unitWeightsG.yolk && hazards.includes('raw_egg'))
    return { unit: 'yolk', massG: unitWeightsG.yolk.nominal };
  if (unitWeightsG.egg) return { unit: 'egg', massG: unitWeightsG.egg.nominal };
  if (kind !== 'bought') return null;
  const bought = boughtUnitOf(ingredient);
  // A bunch is no measure of a herb, nor is a head one of garlic: what is meant is a number of cloves.
  if (bought.kind !== 'counted' || bought.unit === 'bunch' || bought.unit === 'head') return null;
  return { unit: bought.unit, massG: bought.massG.nominal };
}

/** @param shares of the batch in each load, adding up to 1 */
export function* roundLoads(
  lines: readonly LineToRound[],
  shares: readonly number[],
  setting: RoundingSetting,
): Work<readonly RoundedLoad[]> {
  const to = roundToOf(setting);
  if (!to) return shares.map((share) => exactLoad(lines, share));
  const units = lines.map(({ ingredient }) => wholeUnitOf(ingredient, setting.kind));
  const counts = lines.map(({ massG }, i) => {
    const unit = units[i];
    // Less than half of one, and it is measured as anything else.
    return unit && massG >= unit.massG / 2
      ? dealOut(Math.max(1, Math.round(massG / unit.massG)), shares)
      : null;
  });
  const kept = new Map<string, Rounding>();
  const loads: RoundedLoad[] = [];
  for (const [place, share] of shares.entries()) {
    yield { done: place, total: shares.length };
    const plan = lines.map(({ ingredient, form, massG }, i): PlanLine => {
      const count = counts[i]?.[place];
      const wholeG = count === undefined ? null : count * units[i]!.massG;
      return { ingredient, form, massG: wholeG ?? massG * share, kept: wholeG !== null };
    });
    const key = plan.map(({ massG }) => massG.toPrecision(9)).join(' ');
    const rounding = kept.get(key) ?? roundPlan(plan, to, ENOUGH_LOSS);
    kept.set(key, rounding);
    loads.push({
      volumeShare: share,
      rounding,
      lines: rounding.lines.map((line, i) => {
        const count = counts[i]?.[place];
        return count === undefined ? line : { ...line, how: 'whole', text: sayCount(units[i]!.unit, count) };
      }),
    });
  }
  return loads;
}

const sayCount = (unit: string, count: number): string => `${count} ${unit}${count === 1 ? '' : 's'}`;

const exactLoad = (lines: readonly LineToRound[], share: number): RoundedLoad => ({
  volumeShare: share,
  rounding: null,
  lines: lines.map(({ massG }, index) => ({
    index,
    massG: massG * share,
    text: null,
    how: 'kept',
    carrier: null,
  })),
});

/** Whole things into loads by their shares; the largest remainders get one more. */
export function dealOut(count: number, shares: readonly number[]): readonly number[] {
  const exact = shares.map((share) => share * count);
  const dealt = exact.map((x) => Math.floor(x + 1e-9));
  const left = count - dealt.reduce((sum, n) => sum + n, 0);
  const byRemainder = exact
    .map((x, i) => ({ i, rest: x - dealt[i]! }))
    .sort((a, b) => b.rest - a.rest || a.i - b.i);
  for (const { i } of byRemainder.slice(0, left)) dealt[i]! += 1;
  return dealt;
}
