import { describe, expect, it } from 'vitest';
import { describeChange, namedByIngredient, sayChange } from './changes';
import {
  emptyFormula,
  type Addition,
  type AdditionId,
  type Formula,
  type VesselId,
  restoredFrom,
  sameContent,
} from '#core/formula';
import { sayStanding, sayVersion } from './version';

const addition = (id: string, amountText: string, rank: number, rest: Partial<Addition> = {}): Addition => ({
  id: id as AdditionId,
  amountText,
  ingredientId: null,
  ingredientText: id,
  form: '',
  note: '',
  phase: 'base',
  optional: false,
  locked: false,
  measuredBy: null,
  stage: 0,
  rank,
  ...rest,
});
const formula = (...additions: Addition[]): Formula => ({
  ...emptyFormula('House', 'jar' as VesselId, 'us'),
  additions,
});
const naming = {
  ingredient: (a: Addition) => a.ingredientText,
  vessel: (id: string) => `the ${id}`,
  style: (id: string) => id,
};
const say = (before: Formula, after: Formula): string[] =>
  describeChange(before, after, naming).map(sayChange);

const start = formula(
  addition('vinegar', '30 ml', 0),
  addition('salt', '1 tsp', 1),
  addition('honey', '1 tbsp', 2),
);

describe('what changed, in a cook’s words', () => {
  it('tells amounts, comings, goings and the frame', () => {
    const after = {
      ...formula(
        addition('vinegar', '35 ml', 0),
        addition('honey', '1 tbsp', 2),
        addition('oil', '90 ml', 3),
      ),
      vesselId: 'bottle' as VesselId,
    };
    expect(say(start, after)).toEqual([
      'vinegar: 30 ml → 35 ml.',
      'oil came in: 90 ml.',
      'salt went out: it was 1 tsp.',
      'Vessel: the jar → the bottle.',
    ]);
  });

  it('names only what was really moved, however ranks were renumbered', () => {
    const moved = formula(
      addition('honey', '1 tbsp', 5),
      addition('vinegar', '30 ml', 10),
      addition('salt', '1 tsp', 15),
    );
    expect(say(start, moved)).toEqual(['honey moved to another place in the order.']);
    const renumbered = formula(...start.additions.map((a) => ({ ...a, rank: a.rank * 7 + 3 })));
    expect(say(start, renumbered)).toEqual([]);
  });

  it('tells form, note, phase, optional and lock', () => {
    const change = { form: 'warmed', note: 'lime', phase: 'finish', optional: true, locked: true } as const;
    const after = formula(
      addition('vinegar', '30 ml', 0),
      addition('salt', '1 tsp', 1),
      addition('honey', '1 tbsp', 2, change),
    );
    expect(say(start, after)).toEqual([
      'honey moved from the base to the finish.',
      'honey, form: none → warmed.',
      'honey, note: none → lime.',
      'honey: always in → optional.',
      'honey: not locked → locked.',
    ]);
  });

  it('tells the tool and the time', () => {
    expect(say(start, { ...start, tool: 'whisk', mixSeconds: 90 })).toEqual([
      'Mixed with: none → whisk.',
      'Mixed for: none → 90 s.',
    ]);
  });

  it('tells two formulas apart by what is in them', () => {
    const other = formula(
      addition('x', '40 ml', 0, { ingredientText: 'vinegar' }),
      addition('y', '1 tsp', 1, { ingredientText: 'salt' }),
    );
    expect(say(namedByIngredient(start), namedByIngredient(other))).toEqual([
      'vinegar: 30 ml → 40 ml.',
      'honey went out: it was 1 tbsp.',
    ]);
  });

  it('is silent between a state and itself', () => {
    expect(say(start, start)).toEqual([]);
  });
});

describe('versions', () => {
  it('stands against the version it grew from', () => {
    const v3 = { number: 3, formula: { ...start, basedOnVersion: 2 } };
    expect(sayVersion({ ...start, basedOnVersion: 3 }, v3)).toBe('v3');
    expect(sayVersion({ ...start, name: 'Other', basedOnVersion: 3 }, v3)).toBe('v3 + changes');
    expect(sayVersion(start, null)).toBe('no version yet');
    expect(sayStanding(2, true)).toBe('v2 + changes');
  });

  it('brought back, an old state is working changes that grow from it', () => {
    const back = restoredFrom({ number: 1, formula: { ...start, basedOnVersion: null } });
    expect(back.basedOnVersion).toBe(1);
    expect(sameContent(back, start)).toBe(true);
  });
});
