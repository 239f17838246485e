import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { finish, roundPlan, type PlanLine } from '#core/balance';
import { mixedVolumeMlPerG } from '#core/composition';
import { PALATE, PALATE_KEYS, STYLES } from '#core/palate';
import { exactly } from '#core/quantity';
import { judgePortions } from '#core/reckoning';
import { spoonCandidates } from '../balance/ladder';
import { dealOut, ENOUGH_LOSS, roundLoads, wholeUnitOf } from './roundLoads';
import { lineOf, planOf, thing, VINAIGRETTE } from './testing';

const MAYONNAISE = [
  lineOf('egg_yolk', 34),
  lineOf('vin_whitewine6', 30),
  lineOf('mustard_dijon', 10),
  lineOf('salt_sea_fine', 3),
  lineOf('sunflower', 258),
];

/** Every choice there is, tried one by one: apart from the search it checks. */
function leastLoss(exact: readonly PlanLine[], options: readonly (readonly number[])[]): number {
  let least = Infinity;
  const visit = (chosen: readonly number[]): void => {
    if (chosen.length === exact.length) {
      const fixed = exact.map((line, i) => ({ ...line, massG: chosen[i]! }));
      least = Math.min(least, lossAgainst(exact, fixed));
      return;
    }
    for (const massG of options[chosen.length]!) visit([...chosen, massG]);
  };
  visit([]);
  return least;
}

/** The loss as it is written down, from the palate and the volume themselves. */
function lossAgainst(exact: readonly PlanLine[], chosen: readonly PlanLine[]): number {
  const palateOf = (lines: readonly PlanLine[]) =>
    judgePortions(lines.map(({ ingredient, form, massG }) => ({ ingredient, form, massG: exactly(massG) })))
      .palate;
  const volume = (lines: readonly PlanLine[]): number =>
    lines.reduce((ml, { ingredient, massG }) => ml + massG * mixedVolumeMlPerG(ingredient), 0);
  const [before, after] = [palateOf(exact), palateOf(chosen)];
  const steps = PALATE_KEYS.reduce((sum, key) => {
    const [from, to] = [before[key].value, after[key].value];
    return from === null ? sum : sum + Math.min(3, Math.abs(to! - from) / PALATE[key].step) ** 2;
  }, 0);
  return steps + (Math.log(volume(chosen) / volume(exact)) / 0.1) ** 2;
}

describe('rounding with whole eggs', () => {
  it('is as good as the best of all choices on small cases', () => {
    // 1.3 to 3.4 yolks: whole ones, and the rest in steps of 5 g around.
    for (const scale of [0.65, 0.8, 1.1, 1.45, 1.7]) {
      const plan = MAYONNAISE.slice(0, 4).map(({ ingredient, form, massG }): PlanLine => {
        const whole = wholeUnitOf(ingredient, 'mixed');
        return { ingredient, form, massG: massG * scale, kept: false, ...(whole ? { whole } : {}) };
      });
      const rounded = roundPlan(plan, { kind: 'scale', readabilityG: 5 });
      const options = plan.map(({ massG, whole, ingredient }) => {
        const step = whole?.massG ?? 5;
        const all = [-1, 0, 1, 2].map((d) => (Math.floor(massG / step) + d) * step).filter((g) => g > 0);
        // As the rules say: salt within a tenth, others within a quarter, unless nothing else fits.
        const most = whole ? Infinity : ingredient.category === 'salt' ? 0.1 : 0.25;
        const near = all.filter((g) => Math.abs(g / massG - 1) <= most);
        const byDistance = [...all].sort(
          (a, b) => Math.abs(Math.log(a / massG)) - Math.abs(Math.log(b / massG)),
        );
        return near.length > 0 ? near : byDistance.slice(0, 2);
      });
      const chosen = rounded.lines.map(({ massG }, i) => ({ ...plan[i]!, massG }));
      expect(rounded.proven).toBe(true);
      expect(chosen[0]!.massG % 17).toBeCloseTo(0, 6);
      expect(lossAgainst(plan, chosen)).toBeCloseTo(leastLoss(plan, options), 9);
      expect(rounded.loss).toBeLessThanOrEqual(rounded.naiveLoss + 1e-9);
    }
  });

  it('finds the best spoons of all', () => {
    for (const scale of [0.9, 1.3, 2.2]) {
      const plan = VINAIGRETTE.slice(0, 4).map(({ ingredient, form, massG }): PlanLine => ({
        ingredient,
        form,
        massG: massG * scale,
        kept: false,
      }));
      const rounded = roundPlan(plan, { kind: 'spoons', spoons: 'metric' });
      const options = plan.map(({ massG, ingredient }) => {
        const all = spoonCandidates(massG, ingredient, 'metric').map((candidate) => candidate.massG);
        const byDistance = [...all].sort(
          (a, b) => Math.abs(Math.log(a / massG)) - Math.abs(Math.log(b / massG)),
        );
        // No measure of the palate stands up for the shape of a clove: nearest.
        if (ingredient.category === 'aromatic') return byDistance.slice(0, 1);
        const most = ingredient.category === 'salt' ? 0.1 : 0.25;
        const near = all.filter((g) => Math.abs(g / massG - 1) <= most);
        return near.length > 0 ? near : byDistance.slice(0, 2);
      });
      const chosen = rounded.lines.map(({ massG }, i) => ({ ...plan[i]!, massG }));
      expect(rounded.proven).toBe(true);
      expect(lossAgainst(plan, chosen)).toBeCloseTo(leastLoss(plan, options), 9);
    }
  });

  it('deals whole eggs out over the loads', () => {
    expect(dealOut(7, [0.5, 0.5])).toEqual([4, 3]);
    expect(dealOut(10, [0.45, 0.45, 0.1])).toEqual([5, 4, 1]);
    const plan = planOf({
      lines: MAYONNAISE,
      target: { kind: 'mass', massG: 33.5 * 100 },
      tool: 'stick' as const,
      rounding: { kind: 'mixed', readabilityG: 1, spoons: 'metric' },
    });
    const yolks = plan.loads.map(({ lines }) => lines[0]!);
    expect(yolks.every(({ how, massG }) => how === 'whole' && massG % 17 === 0)).toBe(true);
    expect(yolks.reduce((sum, { massG }) => sum + massG, 0)).toBe(plan.lines[0]!.plannedG);
    // 10 × 2 yolks for ten times the jar.
    expect(plan.lines[0]!.plannedG).toBe(20 * 17);
    expect(yolks[0]!.text).toMatch(/^\d+ yolks$/);
  });

  it('deals out exactly as many as there are, whatever the shares', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 500 }),
        fc.array(fc.double({ min: 0.01, max: 1, noNaN: true }), { minLength: 1, maxLength: 9 }),
        (count, raw) => {
          const total = raw.reduce((a, b) => a + b, 0);
          const dealt = dealOut(
            count,
            raw.map((x) => x / total),
          );
          expect(dealt.reduce((a, b) => a + b, 0)).toBe(count);
          expect(dealt.every((n, i) => Math.abs(n - (count * raw[i]!) / total) < 1)).toBe(true);
        },
      ),
    );
  });

  it('takes lemons whole only where it is asked to', () => {
    expect(wholeUnitOf(thing('lemon_juice'), 'mixed')).toBeNull();
    expect(wholeUnitOf(thing('lemon_juice'), 'bought')).toEqual({ unit: 'lemon', massG: 48 });
    expect(wholeUnitOf(thing('garlic'), 'bought')).toBeNull();
    expect(wholeUnitOf(thing('egg_yolk_past'), 'bought')).toBeNull();
  });
});

describe('rounding loads', () => {
  it('never rounds a small strong thing away', () => {
    const lines = [...VINAIGRETTE, lineOf('xanthan', 0.15), lineOf('chilli_flakes', 0.2)];
    const plan = planOf({
      lines,
      rounding: { kind: 'mixed', readabilityG: 5, spoons: 'metric' },
      target: { kind: 'volume', volumeMl: 3500 },
    });
    for (const { plannedG, exactG, ingredient } of plan.lines) {
      expect(plannedG, ingredient.id).toBeGreaterThan(0.7 * exactG);
    }
    const xanthan = plan.loads[0]!.lines.find(({ line }) => line.id === 'xanthan')!;
    // 4 g on a scale of 5 g: by the spoon, or mixed into oil first.
    expect(['spoons', 'dilution']).toContain(xanthan.how);
  });

  it('says with what to dilute', () => {
    const lines = [...VINAIGRETTE, lineOf('sugar_white', 0.17)];
    const plan = planOf({
      lines,
      rounding: { kind: 'mixed', readabilityG: 10, spoons: 'us' },
      target: { kind: 'volume', volumeMl: 3100 },
    });
    const sugar = plan.loads[0]!.lines.find(({ line }) => line.id === 'sugar_white')!;
    expect(sugar.how === 'dilution' ? sugar.carrier?.id : sugar.how).toMatch(/vin_redwine6|spoons/);
  });

  it('is never worse than the nearest step, and says how far from proven it is', () => {
    for (const readabilityG of [1, 5, 10]) {
      const plan = planOf({ rounding: { kind: 'scale', readabilityG, spoons: 'metric' } });
      expect(plan.rounding!.loss).toBeLessThanOrEqual(plan.rounding!.naiveLoss + 1e-9);
      const { proven, gap, loss } = plan.rounding!;
      expect(proven || gap !== null || loss <= ENOUGH_LOSS).toBe(true);
    }
  });

  it('shows the drift, and whether it stays in the window', () => {
    const style = STYLES.find(({ id }) => id === 'classic_3_1')!;
    const fine = planOf({ rounding: { kind: 'scale', readabilityG: 1, spoons: 'metric' }, style });
    expect(fine.drift).toEqual([]);
    const coarse = planOf({
      style,
      target: { kind: 'volume', volumeMl: 3100 },
      rounding: { kind: 'scale', readabilityG: 100, spoons: 'metric' },
    });
    const salt = coarse.drift.find(({ measure }) => measure === 'salt')!;
    // 49 g of salt on a scale of 100 g: the whole answer is 100 g, and it is said.
    expect(salt.to).toBeGreaterThan(1.5 * salt.from);
    expect(salt.inside).toBe(false);
  });

  it('rounds loads of one size once, and adds up to the whole', () => {
    const lines = VINAIGRETTE.map(({ ingredient, form, massG }) => ({ ingredient, form, massG: massG * 97 }));
    const loads = finish(
      roundLoads(lines, [0.25, 0.25, 0.25, 0.25], { kind: 'scale', readabilityG: 1, spoons: 'us' }),
    );
    expect(new Set(loads.map(({ lines: own }) => own.map(({ massG }) => massG).join())).size).toBe(1);
  });
});
