import { describe, expect, it } from 'vitest';
import { emptyFormula, type AdditionId, type Formula, type VesselId } from '#core/formula';
import { measuringWith, REFERENCE_CATALOGUE, type Ingredient, type IngredientId } from '#core/ingredient';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { DEFAULT_VESSEL_ID, STARTING_VESSELS } from '#core/vessel';
import { freshAmountText, takeDoses, takeRounding, takeSwap } from './balanceEdits';
import { addTyped, patchAddition } from './edits';
import { holdAskedOf, mixedWith } from '#kitchen/holds';

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;
const comma = { ...context, decimalSign: 'comma' } as const;
const vessel = STARTING_VESSELS.find(({ id }) => id === DEFAULT_VESSEL_ID)!;
let ids = 0;
const newId = (): AdditionId => `id-${++ids}` as AdditionId;
const ingredient = (id: string): Ingredient => REFERENCE_CATALOGUE.get(id as IngredientId)!;
const formulaOf = (...lines: string[]): Formula =>
  lines.reduce(
    (formula, line) => addTyped(formula, line, context, newId),
    emptyFormula('Test', 'jar' as VesselId, 'metric'),
  );
const reckoned = (formula: Formula) => reckonFormula(formula, vessel, context);
const amounts = (formula: Formula): Record<string, string> =>
  Object.fromEntries(
    formula.additions.map(({ ingredientId, amountText }) => [ingredientId ?? '', amountText]),
  );
const dose = (id: string, massG: number) => ({
  mayAdd: { ingredient: ingredient(id), form: '', stockG: null },
  massG,
});

describe('taking a remedy', () => {
  const formula = formulaOf('60 ml red wine vinegar', '90 ml olive oil', '1.5 g salt');

  it('adds to the line that is there, and makes a line for what is new, in its phase', () => {
    const next = takeDoses(
      formula,
      reckoned(formula).additions,
      [dose('olive_ev', 45.65), dose('honey', 3.2)],
      { context, newId },
    );
    expect(amounts(next)).toMatchObject({ olive_ev: '140 ml', vin_redwine6: '60 ml', honey: '2.3 ml' });
    expect(next.additions.at(-1)).toMatchObject({ phase: 'base', ingredientText: 'Honey' });
    const oil = takeDoses(formula, [], [dose('sunflower', 9.2)], { context: comma, newId });
    expect(oil.additions.at(-1)).toMatchObject({ phase: 'oil', amountText: '10 ml' });
  });

  it('leaves a locked line alone', () => {
    const id = formula.additions[1]!.id;
    const locked = patchAddition(formula, id, { locked: true });
    const next = takeDoses(locked, reckoned(locked).additions, [dose('olive_ev', 45.65)], { context, newId });
    expect(next.additions.find((addition) => addition.id === id)!.amountText).toBe('90 ml');
    expect(next.additions).toHaveLength(4);
  });
});

describe('taking a swap and a rounding', () => {
  const formula = formulaOf('30 ml lemon juice', '1.5 g salt', '90 ml olive oil');
  const order = formula.additions.map(({ id }) => id);

  it('puts the newcomer in the same place, follows with the rest, and drops what is gone', () => {
    const lines = [
      { index: 0, ingredient: ingredient('vin_whitewine6'), form: '', fromG: 30.9, toG: 23.15 },
      { index: 1, ingredient: ingredient('salt_table'), form: '', fromG: 1.5, toG: 0 },
      { index: null, ingredient: ingredient('water'), form: '', fromG: 0, toG: 7.2 },
    ];
    const next = takeSwap(formula, order, lines, { context, newId });
    expect(next.additions[0]).toMatchObject({
      id: order[0],
      ingredientId: 'vin_whitewine6',
      amountText: '22.9 ml',
    });
    expect(amounts(next)).toMatchObject({ water: '7.2 ml', olive_ev: '90 ml' });
    expect(next.additions.some(({ ingredientId }) => ingredientId === 'salt_table')).toBe(false);
  });

  it('writes rounded amounts, with a comma where the kitchen does, and the dilution into the note once', () => {
    const rounded = [
      { index: 0, massG: 31, text: '31 g', how: 'scale', carrier: null },
      { index: 1, massG: 1.5, text: '1.5 g', how: 'dilution', carrier: 0 },
      { index: 2, massG: 82, text: null, how: 'kept', carrier: null },
    ] as const;
    const names = ['lemon juice', 'salt', 'olive oil'];
    const once = takeRounding(formula, order, rounded, names, comma);
    const twice = takeRounding(once, order, rounded, names, comma);
    expect(amounts(once)).toMatchObject({ lemon_juice: '31 g', salt_table: '1,5 g', olive_ev: '90 ml' });
    expect(twice.additions[1]!.note).toBe('stir 10 g into 90 g lemon juice, take 15 g');
  });
});

describe('fresh amounts', () => {
  it('pours in ml, weighs in g, and takes spoons where they come near', () => {
    const formula = emptyFormula('x', 'jar' as VesselId, 'metric');
    expect(freshAmountText(91.3, ingredient('olive_ev'), formula, context)).toBe('100 ml');
    expect(freshAmountText(2.75, ingredient('salt_table'), formula, comma)).toBe('2,8 g');
    expect(freshAmountText(13.7, ingredient('olive_ev'), formula, context, true)).toBe('1 tbsp');
  });
});

describe('the hold of a formula', () => {
  it('takes the tool that was chosen, or what the vessel suggests', () => {
    const formula = formulaOf('30 ml lemon juice', '90 ml olive oil');
    expect(mixedWith(formula, vessel)).toEqual({ tool: 'shake', seconds: 30 });
    expect(mixedWith({ tool: 'whisk', mixSeconds: 90 }, vessel)).toEqual({ tool: 'whisk', seconds: 90 });
    const beaker = STARTING_VESSELS.find(({ closes }) => !closes)!;
    expect(mixedWith(formula, beaker).tool).toBe('stick');
    const reckoning = reckoned(formula);
    const request = holdAskedOf(judgeFormula(reckoning), reckoning, vessel, mixedWith(formula, vessel), 5)!;
    expect(request.heightM).toBeGreaterThan(0.01);
    expect(request.amounts).toHaveLength(2);
    const empty = reckoned(emptyFormula('x', 'jar' as VesselId, 'metric'));
    expect(holdAskedOf(judgeFormula(empty), empty, vessel, mixedWith(formula, vessel), 5)).toBeNull();
  });
});
