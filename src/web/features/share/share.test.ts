import { describe, expect, it } from 'vitest';
import { DEFAULT_SETTINGS, printSheetSchema } from '#contract';
import { emptyFormula, type AdditionId, type Formula } from '#core/formula';
import { measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import { toJsonLd } from '#core/interchange';
import { reckonFormula } from '#core/reckoning';
import { DEFAULT_VESSEL_ID, STARTING_VESSELS } from '#core/vessel';
import { addTyped } from '#kitchen/edits';
import { formulaSheet, methodOf } from '#kitchen/paper';
import { sourceOf } from '#kitchen/tables';
import { sayReport } from '#kitchen/tables';

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;
const vessel = STARTING_VESSELS.find(({ id }) => id === DEFAULT_VESSEL_ID)!;
let ids = 0;
const formulaOf = (...lines: string[]): Formula =>
  lines.reduce(
    (formula, line) => addTyped(formula, line, context, () => `id-${++ids}` as AdditionId),
    emptyFormula('House', DEFAULT_VESSEL_ID, 'metric'),
  );
const sheet = (formula: Formula) =>
  formulaSheet(formula, reckonFormula(formula, vessel, context), vessel, DEFAULT_SETTINGS);

describe('a formula on paper', () => {
  const formula = formulaOf(
    '60 ml cider vinegar',
    '1 egg yolk',
    '180 ml rapeseed oil',
    '1 clove garlic',
    'moon dust',
  );
  const page = sheet({
    ...formula,
    additions: formula.additions.map((addition, i) =>
      i === 0 ? { ...addition, note: 'Warm it.\nThen wait.' } : addition,
    ),
  });

  it('is what the printer takes, in the order of the work', () => {
    expect(printSheetSchema.safeParse(page).error?.issues ?? []).toEqual([]);
    expect(page.tables.map(({ title }) => title)).toEqual([
      'First: acid, salt, sweet, aromatics',
      'Then the oil',
    ]);
    const cells = page.tables.flatMap(({ rows }) => rows.map((row) => row.join(' | ')));
    expect(cells).toContainEqual(expect.stringMatching(/^180 ml \| Rapeseed.* \| 16\d(\.\d)? g$/));
    // What was not read stands there as it was typed, without a weight.
    expect(cells).toContainEqual(expect.stringMatching(/moon dust \| $/));
  });

  it('names allergens, keeping and cautions, and that it is an estimate', () => {
    const facts = Object.fromEntries(page.facts);
    expect(facts.Allergens).toMatch(/egg/i);
    expect(facts.Keeps).toMatch(/day/);
    expect(page.notes.at(-1)).toContain('no certificate');
    expect(page.notes.join('\n')).toMatch(/raw (?:egg|yolk)/i);
    expect(page.notes).toContain('Warm it.');
    expect(page.subtitle).toContain('no version yet');
    expect(sheet({ ...formula, basedOnVersion: 3 }).subtitle).toContain('grown from v3');
  });

  it('stays within what a page takes, however much was noted', () => {
    const long = {
      ...formula,
      additions: formula.additions.map((addition) => ({
        ...addition,
        note: 'Stir. '.repeat(300) + '\n'.repeat(90),
      })),
    };
    expect(printSheetSchema.safeParse(sheet(long)).success).toBe(true);
    expect(sheet(long).notes.at(-1)).toContain('no certificate');
    expect(
      printSheetSchema.safeParse(sheet(emptyFormula('Empty', DEFAULT_VESSEL_ID, 'metric'))).success,
    ).toBe(true);
  });
});

describe('what somebody brought', () => {
  it('is told apart by what it is', () => {
    const recipe = JSON.stringify(
      toJsonLd({
        name: 'Fell',
        yields: '120 ml',
        ingredients: ['90 ml rapeseed oil'],
        instructions: ['Shake.'],
      }),
    );
    const kinds = (texts: readonly string[]): readonly string[] => texts.map((text) => sourceOf(text).kind);
    expect(
      kinds([
        '',
        '90 ml rapeseed oil',
        '{"ygranaDocument": 1}',
        recipe,
        `<html><script type="application/ld+json">${recipe}</script></html>`,
      ]),
    ).toEqual(['nothing', 'text', 'document', 'text', 'text']);
    expect(sourceOf(recipe)).toEqual({
      kind: 'text',
      text: 'Fell\nIngredients:\n90 ml rapeseed oil\nMethod:\nShake.',
    });
  });

  it('is refused in words where nothing can be made of it', () => {
    const says = (text: string): string => {
      const source = sourceOf(text);
      return source.kind === 'nothing' ? source.says : '';
    };
    expect(says('{"half": ')).toContain('not whole');
    expect(says('[1, 2]')).toContain('no recipe');
    expect(says('<html><p>Nothing here</p></html>')).toContain('no recipe');
    expect(says('formula,amount\nHouse,30 ml')).toContain('no column ingredient');
    expect(says('formula,amount,ingredient\n"House,30 ml')).toContain('line');
  });

  it('is reported with what was kept', () => {
    const none = { added: [], same: [], beside: [], ingredientsAdded: 0, ingredientsKept: [] };
    expect(sayReport(none)).toBe('There was nothing in it.');
    expect(sayReport({ ...none, added: ['a', 'b'], same: ['c'], ingredientsKept: ['d'] })).toBe(
      '2 formulas brought in; 1 here already; 1 ingredients kept as this kitchen has them.',
    );
  });
});

describe('how it is made', () => {
  it('is said in sentences: what goes in together in one, what is done in its own; notes are no method', () => {
    const noted = formulaOf('60 ml cider vinegar', '2 g salt', '120 ml rapeseed oil');
    const formula = {
      ...noted,
      additions: noted.additions.map((addition) => ({ ...addition, note: 'label says 5 % acid' })),
    };
    const reckoning = reckonFormula(formula, vessel, context);
    const method = methodOf(formula, reckoning, vessel, {
      catalogue: REFERENCE_CATALOGUE,
      settings: DEFAULT_SETTINGS,
    });
    expect(method[0]).toMatch(/^Put in the cider vinegar.* and .*salt\.$/);
    expect(method.at(-1)).toMatch(/shake\.$/);
    expect(method.join(' ')).not.toContain('label says');
    const empty = formulaOf();
    expect(
      methodOf(empty, reckonFormula(empty, vessel, context), vessel, {
        catalogue: REFERENCE_CATALOGUE,
        settings: DEFAULT_SETTINGS,
      }),
    ).toEqual([]);
  });
});
