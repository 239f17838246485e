import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyFormula, type AdditionId, type Formula, type VesselId } from '#core/formula';
import { madeId, measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import { withMade } from '#core/reckoning';
import { madeMl } from './batchRecord';
import { sharedBases } from './sharedBases';
import { endingTarget, massPerMl, splitOf } from './split';
import { lineOf, planOf, thing, vesselOf, VINAIGRETTE } from './testing';

const BASE_ID = madeId('base', 1);
const baseFormula: Formula = {
  ...emptyFormula('Base', 'jar' as VesselId, 'metric'),
  additions: VINAIGRETTE.map(({ id, ingredient, massG, form, phase }, rank) => ({
    id: id as AdditionId,
    amountText: `${massG} g`,
    ingredientId: ingredient.id,
    ingredientText: ingredient.name,
    form,
    phase,
    rank,
    note: '',
    optional: false,
    locked: false,
    measuredBy: null,
    stage: 0,
  })),
};
const BASE = withMade(
  REFERENCE_CATALOGUE,
  [{ formulaId: 'base', number: 1, latest: 1, formula: baseFormula }],
  (_formula, catalogue) => ({ catalogue, measuring: measuringWith('metric'), decimalSign: 'point' }),
).get(BASE_ID)!;
const baseLine = (massG: number) => lineOf(BASE_ID, massG, { ingredient: BASE });

const massArb = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const endingArb = fc.record({
  baseG: massArb(50, 300),
  more: fc.subarray(['parsley', 'yoghurt_whole', 'tahini', 'lemon_juice', 'honey'], { minLength: 1 }),
  moreG: massArb(5, 200),
  litres: massArb(0.2, 4),
});

describe('a base that is poured on', () => {
  it('splits without losing a gram: what comes out is what goes on and what stays', () => {
    fc.assert(
      fc.property(
        fc.array(endingArb, { minLength: 1, maxLength: 4 }),
        massArb(0, 0.1),
        (endings, lossShare) => {
          const poured = endings.reduce((sum, { litres }) => sum + litres * 1000, 0);
          const yieldMl = poured + 500;
          const base = planOf({
            target: { kind: 'volume', volumeMl: yieldMl },
            lossShare,
            pouredOnMl: poured,
            tool: 'whisk',
          });
          const plans = endings.map(({ baseG, more, moreG, litres }) => {
            const lines = [baseLine(baseG), ...more.map((id) => lineOf(id, moreG / more.length))];
            const into = litres * 1000 * massPerMl(VINAIGRETTE);
            const target = endingTarget(lines, BASE_ID, into, lossShare)!;
            const plan = planOf({ lines, target, lossShare, tool: 'whisk' });
            const taken = plan.lines.find(({ ingredient }) => ingredient.id === BASE_ID)!;
            expect(taken.plannedG + taken.asideG).toBeCloseTo(into, 4);
            // The tested ratio stays.
            expect(plan.massG / taken.plannedG).toBeCloseTo((baseG + moreG) / baseG, 6);
            return plan;
          });
          const split = splitOf(base, plans, BASE_ID, new Map());
          const outG = base.massG * (base.yieldMl / base.madeMl);
          const sum = split.takenG.reduce((all, g) => all + g, split.plainG);
          expect(sum).toBeCloseTo(outG, 2);
          expect(split.plainMl).toBeCloseTo(500, 1);
          expect(split.overMl).toBe(0);
          expect(madeMl([{ plan: { yieldMl: base.yieldMl, pouredOnMl: poured } }])).toBeCloseTo(500, 6);
          // The one list has all that each of them needs, and no line for what is made here.
          const onList = split.pullList.lines.reduce((all, { neededG }) => all + neededG, 0);
          const ownG = plans.reduce(
            (all, plan, i) => all + plan.massG - split.takenG[i]!,
            base.lines.reduce((all, line) => all + line.plannedG + line.asideG, 0),
          );
          expect(onList).toBeCloseTo(ownG, 2);
          expect(split.pullList.lines.some(({ ingredient }) => ingredient.made)).toBe(false);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('says how much more goes on than comes out', () => {
    const base = planOf({ target: { kind: 'volume', volumeMl: 4000 } });
    const lines = [baseLine(100), lineOf('parsley', 10)];
    const ending = planOf({
      lines,
      target: endingTarget(lines, BASE_ID, 5000 * massPerMl(VINAIGRETTE), 0)!,
    });
    const split = splitOf(base, [ending], BASE_ID, new Map());
    expect(split.overMl).toBeCloseTo(1000, 0);
    expect(split).toMatchObject({ plainG: 0, plainMl: 0 });
  });

  it('stores and portions only what stays as it is', () => {
    const about = {
      target: { kind: 'volume', volumeMl: 6000 } as const,
      storage: vesselOf(2000),
      mixingVessel: vesselOf(20_000),
    };
    expect(planOf(about)).toMatchObject({ portions: 200, storage: { count: 4 } });
    const split = planOf({ ...about, pouredOnMl: 5000 });
    expect(split.portions).toBeCloseTo(1000 / 30, 6);
    expect(split.storage).toMatchObject({ count: 1, fillMl: 1000 });
    // A portion costs what it costs.
    expect(split.costPerPortion).toBe(planOf(about).costPerPortion);
    expect(planOf({ ...about, pouredOnMl: 6000 })).toMatchObject({ portions: 0, storage: null });
  });

  it('is not poured into what it is not in, nor by no mass at all', () => {
    expect(endingTarget(VINAIGRETTE, BASE_ID, 500, 0)).toBeNull();
    for (const baseG of [0, -1, NaN, Infinity])
      expect(() => endingTarget([baseLine(100)], BASE_ID, baseG, 0)).toThrow(RangeError);
    expect(massPerMl([])).toBe(0);
    expect(massPerMl([{ ingredient: thing('water'), massG: 50 }])).toBeCloseTo(1, 2);
    expect(REFERENCE_CATALOGUE.has(BASE_ID)).toBe(false);
  });
});

describe('a base that several dressings of a day have in them', () => {
  const herbs = {
    formulaId: 'herbs',
    madeAs: madeId('herbs', 1),
    lines: [baseLine(200), lineOf('parsley', 20)],
  };
  const creamy = {
    formulaId: 'creamy',
    madeAs: madeId('creamy', 1),
    lines: [baseLine(100), lineOf('yoghurt_whole', 100)],
  };
  const plain = { formulaId: 'base', madeAs: BASE_ID, lines: VINAIGRETTE };
  const of = (one: Omit<Parameters<typeof sharedBases>[0][number], 'volumeMl'>, volumeMl: number) => ({
    ...one,
    volumeMl,
  });

  it('is made once, as much as all of them take', () => {
    const [shared, ...others] = sharedBases([of(herbs, 1000), of(creamy, 2000), of(plain, 500)], 0);
    expect(others).toEqual([]);
    expect(shared).toMatchObject({ plainMl: 500, savedWashings: 2 });
    expect(shared!.into.map(({ formulaId }) => formulaId)).toEqual(['herbs', 'creamy']);
    expect(shared!.totalMl).toBeCloseTo(
      shared!.into.reduce((sum, { baseMl }) => sum + baseMl, 500),
      9,
    );
    // 200 of 220 g, and half of a litre's mass, as volumes.
    expect(shared!.into[0]!.baseMl).toBeGreaterThan(880);
    expect(shared!.into[0]!.baseMl).toBeLessThan(950);
    expect(shared!.into[1]!.baseMl).toBeGreaterThan(980);
    expect(shared!.into[1]!.baseMl).toBeLessThan(1080);
    // Five weighings, a bowl and a tool, twice: minutes, not hours.
    expect(shared!.savedS).toBeGreaterThan(2 * (5 * 40 + 240));
    expect(shared!.savedS).toBeLessThan(3600);
  });

  it('is what a batch of that size is poured on into, loss and all', () => {
    const lossShare = 0.04;
    const [shared] = sharedBases([of(herbs, 3000), of(creamy, 2000)], lossShare);
    for (const { formulaId, baseMl } of shared!.into) {
      const { lines, volumeMl } = formulaId === 'herbs' ? of(herbs, 3000) : of(creamy, 2000);
      const target = endingTarget(
        lines,
        BASE_ID,
        baseMl * massPerMl([{ ingredient: BASE, massG: 1 }]),
        lossShare,
      )!;
      expect(planOf({ lines, target, lossShare, tool: 'whisk' }).yieldMl).toBeCloseTo(volumeMl, 3);
    }
  });

  it('is nothing for one dressing alone, nor for those that have none', () => {
    expect(sharedBases([of(herbs, 1000)], 0)).toEqual([]);
    expect(sharedBases([of(herbs, 1000), of({ ...plain, madeAs: madeId('base', 2) }, 500)], 0)).toEqual([]);
    expect(sharedBases([], 0)).toEqual([]);
    expect(sharedBases([of(herbs, 1000), of(plain, 500)], 0)).toHaveLength(1);
  });
});
