import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { STARTING_VESSELS } from '#core/vessel';
import {
  emptyFormula,
  inOrder,
  inStages,
  lastStage,
  stagesOf,
  stageStarts,
  upToStage,
  withLaterStages,
  withStageNames,
  type Addition,
  type AdditionId,
  type Formula,
} from '.';

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;
const vessel = STARTING_VESSELS[2]!;
const reckoned = (formula: Formula) => reckonFormula(formula, vessel, context);

const PANTRY = [
  'vin_cider5',
  'salt_table',
  'honey',
  'olive_ev',
  'mustard_dijon',
  'walnuts',
  'yolk',
  'garlic',
];
const additionArb = fc.record({
  ingredientId: fc.constantFrom(...PANTRY),
  grams: fc.integer({ min: 1, max: 200 }),
  stage: fc.integer({ min: 0, max: 4 }),
  phase: fc.constantFrom('base' as const, 'oil' as const, 'finish' as const),
});
const formulaArb: fc.Arbitrary<Formula> = fc
  .tuple(fc.integer({ min: 1, max: 4 }), fc.array(additionArb, { minLength: 1, maxLength: 10 }))
  .map(([count, lines]) => ({
    ...emptyFormula('x', vessel.id, 'metric'),
    stageNames: count === 1 ? '' : withStageNames(Array.from({ length: count }, (_one, i) => `stage ${i}`)),
    additions: lines.map(({ ingredientId, grams, stage, phase }, rank) => ({
      id: `a${rank}` as AdditionId,
      amountText: `${grams} g`,
      ingredientId: ingredientId as Addition['ingredientId'],
      ingredientText: ingredientId,
      form: '',
      note: '',
      phase,
      optional: false,
      locked: false,
      measuredBy: null,
      stage: Math.min(stage, count - 1),
      rank,
    })),
  }));

const names = ({ allergens }: ReturnType<typeof judgeFormula>) =>
  allergens.eu14.map(({ allergen }) => allergen);

describe('a formula in stages', () => {
  it('holds at each stage what went in before, and at the last all of it', () => {
    fc.assert(
      fc.property(formulaArb, (formula) => {
        let before = 0;
        let lines = 0;
        for (let stage = 0; stage <= lastStage(formula); stage++) {
          const until = upToStage(formula, stage);
          const { massG } = reckoned(until).totals;
          expect(massG).toBeGreaterThanOrEqual(before - 1e-9);
          const own = reckoned(until)
            .additions.filter(({ addition }) => addition.stage === stage)
            .reduce((sum, { reading }) => sum + (reading.status === 'read' ? reading.massG.nominal : 0), 0);
          expect(massG - before).toBeCloseTo(own, 6);
          before = massG;
          lines = until.additions.length;
        }
        expect(before).toBeCloseTo(reckoned(formula).totals.massG, 6);
        expect(lines).toBe(formula.additions.length);
      }),
    );
  });

  it('has in a later stage every allergen and every danger of the one before it', () => {
    fc.assert(
      fc.property(formulaArb, (formula) => {
        const judged = stagesOf(formula).map((_name, stage) =>
          judgeFormula(reckoned(upToStage(formula, stage))),
        );
        for (const [i, later] of judged.entries()) {
          const before = judged[i - 1];
          if (!before) continue;
          expect(names(later)).toEqual(expect.arrayContaining(names(before)));
          const hazards = (one: typeof later) => one.portions.flatMap(({ ingredient }) => ingredient.hazards);
          expect(hazards(later)).toEqual(expect.arrayContaining(hazards(before)));
        }
      }),
      { numRuns: 60 },
    );
  });

  it('loses nothing where one stage is changed and the others are put back under it', () => {
    fc.assert(
      fc.property(formulaArb, fc.nat(4), (formula, wanted) => {
        const stage = Math.min(wanted, lastStage(formula));
        expect(withLaterStages(formula, upToStage(formula, stage))).toEqual({
          ...formula,
          additions: expect.arrayContaining([...formula.additions]) as unknown,
        });
        const [first, ...rest] = upToStage(formula, stage).additions;
        if (!first) return;
        const changed = withLaterStages(formula, { ...upToStage(formula, stage), additions: rest });
        expect(changed.additions).toHaveLength(formula.additions.length - 1);
        expect(changed.stageNames).toBe(formula.stageNames);
      }),
    );
  });

  it('is told in its order, each stage where it begins', () => {
    fc.assert(
      fc.property(formulaArb, (formula) => {
        const all = inOrder(formula.additions);
        expect(all.map(({ stage }) => stage)).toEqual(
          [...all.map(({ stage }) => stage)].sort((a, b) => a - b),
        );
        const starts = stageStarts(formula, all);
        if (stagesOf(formula).length < 2) expect(starts).toEqual([]);
        else for (const { from } of starts) expect(all[from]!.stage).not.toBe(all[from - 1]?.stage);
      }),
    );
  });

  it('what was kept before there were any is made in one', () => {
    const { stageNames: _names, ...old } = emptyFormula('x', vessel.id, 'metric');
    const line = { id: 'a1', amountText: '1 tsp', phase: 'base', rank: 0 };
    const kept = { ...old, additions: [line] } as unknown as Formula;
    const today = inStages(kept);
    expect(stagesOf(today)).toEqual(['']);
    expect(today.additions[0]!.stage).toBe(0);
    expect(inStages(today)).toBe(today);
  });
});
