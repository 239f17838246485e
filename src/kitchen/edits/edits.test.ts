import { describe, expect, it } from 'vitest';
import { emptyFormula, inOrder, stagesOf, type AdditionId, type Formula } from '#core/formula';
import { madeId, measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import { reckonFormula } from '#core/reckoning';
import { STARTING_VESSELS } from '#core/vessel';
import {
  addTyped,
  dropAddition,
  fillFactor,
  moveAll,
  patchAddition,
  patchAll,
  removeAll,
  scaleAll,
  setRatio,
  stepAddition,
} from './edits';
import { withBaseAt } from './baseEdits';
import {
  closeStage,
  moveToStage,
  openStage,
  renameStage,
  stageNameProblem,
  stageNamesFrom,
} from './stageEdits';

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;
const vessel = STARTING_VESSELS[2]!;
let count = 0;
const nextId = (): AdditionId => `a${++count}` as AdditionId;
function typed(...lines: string[]): Formula {
  count = 0;
  const empty = emptyFormula('x', vessel.id, 'metric');
  return lines.reduce((formula, line) => addTyped(formula, line, context, nextId), empty);
}
const id = (n: number): AdditionId => `a${n}` as AdditionId;
const ids = (...list: number[]): ReadonlySet<AdditionId> => new Set(list.map(id));
const order = (formula: Formula): string[] =>
  inOrder(formula.additions).map((a) => `${a.phase}:${a.ingredientText}`);
const amounts = (formula: Formula): string[] => formula.additions.map((a) => a.amountText);
const reckoned = (formula: Formula) => reckonFormula(formula, vessel, context);

describe('adding and ordering', () => {
  const formula = typed(
    '90 ml rapeseed oil',
    '30 ml cider vinegar',
    '1 tsp honey',
    'salt to taste',
    'some moonlight',
  );
  it('puts each where a cook would, oil last, to taste at the finish, and keeps what it cannot read', () => {
    expect(order(formula)).toEqual([
      'base:cider vinegar',
      'base:honey',
      'base:some moonlight',
      'oil:rapeseed oil',
      'finish:salt',
    ]);
  });
  it('steps within a phase, over its end into the next, and stops at the ends', () => {
    expect(order(stepAddition(formula, id(3), 'up'))[0]).toBe('base:honey');
    expect(order(stepAddition(formula, id(5), 'down'))[2]).toBe('oil:some moonlight');
    expect(stepAddition(formula, id(2), 'up')).toBe(formula);
    expect(stepAddition(formula, id(4), 'down')).toBe(formula);
  });
  it('drops where it was let go, also into an empty phase', () => {
    const dropped = dropAddition(formula, id(2), [
      { stage: 0, phase: 'base' },
      id(3),
      id(5),
      { stage: 0, phase: 'oil' },
      id(1),
      { stage: 0, phase: 'finish' },
      id(4),
      id(2),
    ]);
    expect(order(dropped).at(-1)).toBe('finish:cider vinegar');
  });
  it('works on several at once', () => {
    expect(patchAll(formula, ids(2, 3), { optional: true }).additions.filter((a) => a.optional)).toHaveLength(
      2,
    );
    expect(removeAll(formula, ids(1, 5)).additions).toHaveLength(3);
    expect(order(moveAll(formula, ids(2, 3), 'finish')).slice(-2)).toEqual([
      'finish:cider vinegar',
      'finish:honey',
    ]);
  });
});

describe('amounts that move together', () => {
  const formula = typed(
    '30 ml cider vinegar',
    '60 ml rapeseed oil',
    '30 ml walnut oil',
    '2 yolks',
    'salt to taste',
  );
  it('the oil follows the ratio, each in its own words; what is locked stays', () => {
    const set = setRatio(formula, reckoned(formula), 2, 'oil', context);
    expect('blocked' in set ? set : amounts(set).slice(0, 3)).toEqual(['30 ml', '40 ml', '20 ml']);
    const locked = patchAddition(formula, id(3), { locked: true });
    const around = setRatio(locked, reckoned(locked), 2, 'oil', context);
    expect('blocked' in around ? around : amounts(around).slice(0, 3)).toEqual(['30 ml', '30 ml', '30 ml']);
  });
  it('says what stands in the way', () => {
    const dry = typed('60 ml rapeseed oil');
    expect(setRatio(dry, reckoned(dry), 2, 'oil', context)).toHaveProperty('blocked');
    const all = patchAll(formula, ids(2, 3), { locked: true });
    expect(setRatio(all, reckoned(all), 2, 'oil', context)).toHaveProperty('blocked');
  });
  it('scales the whole jar; yolks stay whole, to taste stays to taste', () => {
    expect(amounts(scaleAll(formula, reckoned(formula), 2, context))).toEqual([
      '60 ml',
      '120 ml',
      '60 ml',
      '4 yolks',
      'to taste',
    ]);
  });
  it('fills a volume to within rounding', () => {
    const factor = fillFactor(reckoned(formula), 300);
    if (factor.status !== 'scale') throw new Error(factor.status);
    const scaled = reckoned(scaleAll(formula, reckoned(formula), factor.factor, context));
    expect(Math.abs(scaled.totals.mixedVolumeMl - 300)).toBeLessThan(3);
    expect(fillFactor(reckoned(typed('salt to taste')), 300).status).toBe('nothing-to-scale');
  });
});

describe('places to stop', () => {
  const formula = typed('30 ml cider vinegar', '90 ml rapeseed oil');
  const staged = addTyped(openStage(formula, ' + pesto '), '2 tbsp basil', context, nextId);
  it('are opened, named, and what is typed next goes in there', () => {
    expect(stagesOf(staged)).toEqual(['Base', '+ pesto']);
    expect(staged.additions.map(({ stage }) => stage)).toEqual([0, 0, 1]);
    expect(stagesOf(renameStage(staged, 0, 'Lean base'))).toEqual(['Lean base', '+ pesto']);
    expect(stagesOf(openStage(staged, '+ cream'))).toEqual(['Base', '+ pesto', '+ cream']);
  });
  it('have names that tell them apart, and are not without end', () => {
    expect(stageNameProblem(staged, '  ')).toContain('name');
    expect(stageNameProblem(staged, '+ PESTO')).toContain('Another');
    expect(stageNameProblem(staged, '+ pesto', 1)).toBeNull();
    expect(openStage(staged, '+ pesto')).toBe(staged);
    expect(renameStage(staged, 1, 'base')).toBe(staged);
    const many = Array.from({ length: 20 }, (_one, i) => `+ ${i}`).reduce(openStage, staged);
    expect(stagesOf(many)).toHaveLength(12);
    expect(stageNameProblem(many, 'one more')).toContain('12');
  });
  it('are taken out again: what went in there goes in with the stage before it', () => {
    expect(closeStage(staged, 1)).toMatchObject({ stageNames: '' });
    expect(closeStage(staged, 1).additions.map(({ stage }) => stage)).toEqual([0, 0, 0]);
    const three = addTyped(openStage(staged, '+ cream'), '1 tbsp cream', context, nextId);
    for (const stage of [0, 1]) {
      const closed = closeStage(three, stage);
      expect(stagesOf(closed)).toEqual(['Base', '+ pesto', '+ cream'].filter((_one, i) => i !== stage));
      expect(closed.additions.map((addition) => addition.stage)).toEqual([0, 0, 0, 1]);
    }
    expect(moveToStage(three, ids(1), 2).additions[0]!.stage).toBe(2);
  });
  it('are walked over by a step, from the last phase of one into the first of the next', () => {
    const [, , basil] = staged.additions;
    expect(stepAddition(staged, basil!.id, 'up').additions[2]).toMatchObject({ stage: 0, phase: 'finish' });
    expect(stepAddition(staged, id(2), 'down').additions[1]).toMatchObject({ stage: 0, phase: 'finish' });
    const dropped = dropAddition(staged, basil!.id, [
      { stage: 0, phase: 'base' },
      basil!.id,
      id(1),
      { stage: 0, phase: 'oil' },
      id(2),
      { stage: 1, phase: 'base' },
    ]);
    expect(inOrder(dropped.additions)[0]!.ingredientText).toBe('basil');
  });
  it('come from the headings of a text; one alone is none', () => {
    expect(stageNamesFrom([''])).toBe('');
    expect(stageNamesFrom(['Base'])).toBe('');
    expect(stageNamesFrom(['', '+ pesto', ''])).toBe('Base\n+ pesto\nStage 3');
  });
});

describe('a base that changed', () => {
  it('is taken over by every line of it, and by no other', () => {
    const formula = typed('200 g water', '30 ml cider vinegar');
    const pinned = patchAddition(formula, id(1), {
      ingredientId: madeId('lean', 1),
      ingredientText: 'Lean v1',
    });
    const taken = withBaseAt(pinned, 'lean', 3, 'Lean');
    expect(taken.additions[0]).toMatchObject({
      ingredientId: madeId('lean', 3),
      ingredientText: 'Lean v3',
      amountText: '200 g',
    });
    expect(taken.additions[1]).toBe(pinned.additions[1]);
    expect(withBaseAt(taken, 'lean', 3, 'Lean')).toBe(taken);
    expect(withBaseAt(pinned, 'other', 3, 'Other')).toBe(pinned);
  });
});
