import { describe, expect, it } from 'vitest';
import {
  emptyFormula,
  readLine,
  type Addition,
  type AdditionId,
  type Formula,
  type VesselId,
} from '#core/formula';
import { madeId, measuringWith, readMadeId, REFERENCE_CATALOGUE, type Catalogue } from '#core/ingredient';
import { composition } from '#core/composition';
import { emulsionState, holdRequest } from '#core/emulsion';
import { PALATE_KEYS, palateOf } from '#core/palate';
import { judgePortions, madeWith, withMade, type MadeVersion } from '.';
import { readAddition } from '#core/formula';
import type { JudgedPortion } from './judgement';

const contextOf = (catalogue: Catalogue) =>
  ({ catalogue, measuring: measuringWith('metric'), decimalSign: 'point' }) as const;

function formulaOf(name: string, catalogue: Catalogue, ...lines: string[]): Formula {
  const additions = lines.map((text, rank): Addition => {
    const { amountText, ingredientId, ingredientText, form } = readLine(text, contextOf(catalogue));
    const rest = {
      form,
      note: '',
      phase: 'base',
      optional: false,
      locked: false,
      measuredBy: null,
      stage: 0,
      rank,
    } as const;
    return { id: `a${rank}` as AdditionId, amountText, ingredientId, ingredientText, ...rest };
  });
  return { ...emptyFormula(name, 'jar' as VesselId, 'metric'), additions };
}
const portionsOf = (formula: Formula, catalogue: Catalogue): readonly JudgedPortion[] =>
  formula.additions.flatMap((addition) => {
    const reading = readAddition(addition, contextOf(catalogue));
    return reading.status === 'read'
      ? [{ ingredient: reading.ingredient, massG: reading.massG, form: addition.form }]
      : [];
  });
const version = (formulaId: string, formula: Formula, number = 1, latest = number): MadeVersion => ({
  formulaId,
  number,
  latest,
  formula,
});
const made = (...versions: MadeVersion[]): Catalogue =>
  withMade(REFERENCE_CATALOGUE, versions, (_formula, catalogue) => contextOf(catalogue));

const MAYO = [
  '17 g egg yolk',
  '160 ml sunflower oil',
  '20 g white wine vinegar',
  '1.5 g salt',
  '5 g dijon mustard',
];

describe('a formula inside a formula', () => {
  const mayonnaise = formulaOf('House mayonnaise', REFERENCE_CATALOGUE, ...MAYO);
  const catalogue = made(version('mayo', mayonnaise, 2));
  const outer = formulaOf('Ranch', catalogue, '120 g house mayonnaise', '100 g buttermilk', '4 g dill');

  it('tastes as if its parts had gone in one by one', () => {
    const flat = formulaOf('Flat', REFERENCE_CATALOGUE, '100 g buttermilk', '4 g dill');
    const parts = portionsOf(mayonnaise, REFERENCE_CATALOGUE);
    const total = parts.reduce((sum, { massG }) => sum + massG.nominal, 0);
    const share = 120 / total;
    const scaled = parts.map((portion) => ({
      ...portion,
      massG: {
        nominal: portion.massG.nominal * share,
        low: portion.massG.nominal * share,
        high: portion.massG.nominal * share,
      },
    }));
    const unfolded = [...scaled, ...portionsOf(flat, REFERENCE_CATALOGUE)];
    const nested = portionsOf(outer, catalogue);
    const [a, b] = [palateOf(nested), palateOf(unfolded)];
    // The ratio is another matter: oil held in a mayonnaise is no poured oil. And so is body: it stands.
    for (const key of PALATE_KEYS.filter((candidate) => candidate !== 'ratio' && candidate !== 'body')) {
      expect(a[key].value!, key).toBeCloseTo(b[key].value!, 9);
    }
    expect(a.ratio.value).toBe(0);
    expect(a.body.value!).toBeGreaterThan(b.body.value!);
    expect(composition(nested).mixedVolumeMl).toBeCloseTo(composition(unfolded).mixedVolumeMl, 6);
    const [one, other] = [judgePortions(nested), judgePortions(unfolded)];
    expect(one.ph.status).toBe(other.ph.status);
    expect(Math.abs((one.ph.high ?? 0) - (other.ph.high ?? 0))).toBeLessThan(0.35);
  });

  it('brings allergens, hazards, keeping and cautions with it', () => {
    const { allergens, keeping, cautions } = judgePortions(portionsOf(outer, catalogue));
    expect(allergens.eu14.map(({ allergen }) => allergen)).toEqual(
      expect.arrayContaining(['eggs', 'milk', 'mustard']),
    );
    expect(keeping).toMatchObject({ days: 2, limit: 'raw_egg' });
    expect(cautions.map(({ code }) => code)).toContain('raw_egg');
  });

  it('counts the acid and oil of a vinaigrette base in the ratio', () => {
    const base = formulaOf(
      'Base',
      REFERENCE_CATALOGUE,
      '30 ml red wine vinegar',
      '2 g salt',
      '30 ml olive oil',
    );
    const known = made(version('base', base));
    const dressed = formulaOf('Dressed', known, '60 g base', '30 ml olive oil');
    const { value } = palateOf(portionsOf(dressed, known)).ratio;
    expect(value).toBeGreaterThan(1.9);
    expect(value).toBeLessThan(2.1);
  });

  it('is as thick as its own mixing leaves it where yolk holds it; what nothing holds is its parts again', () => {
    const setting = { tool: 'whisk', seconds: 60, volumeMl: 250, heightM: 0.08, temperatureC: 5 } as const;
    const thick = (portions: readonly JudgedPortion[]) => emulsionState(holdRequest(portions, setting))!;
    const [house] = portionsOf(formulaOf('Neat', catalogue, '200 g house mayonnaise'), catalogue);
    const neat = thick([house!]);
    const own = thick(portionsOf(mayonnaise, REFERENCE_CATALOGUE));
    expect(neat.fresh).toBeNull();
    expect(neat.thickness.yieldStressPa / own.thickness.yieldStressPa).toBeGreaterThan(0.5);
    expect(neat.thickness.yieldStressPa / own.thickness.yieldStressPa).toBeLessThan(2);
    const base = formulaOf(
      'Base',
      REFERENCE_CATALOGUE,
      '90 ml olive oil',
      '30 ml red wine vinegar',
      '1 g salt',
    );
    const withBase = made(version('base', base));
    const inIt = thick(portionsOf(formulaOf('Lunch', withBase, '110 g base'), withBase));
    expect(inIt.fresh!.diameterM).toBeCloseTo(
      thick(portionsOf(base, REFERENCE_CATALOGUE)).fresh!.diameterM,
      6,
    );
  });

  it('pins the version, knows when a newer one exists, and finds only the latest by name', () => {
    const both = made(
      version('mayo', mayonnaise, 2, 3),
      version('mayo', formulaOf('House mayonnaise', REFERENCE_CATALOGUE, ...MAYO, '2 g honey'), 3),
    );
    expect(both.get(madeId('mayo', 2))!.made).toMatchObject({ version: 2, newer: 3 });
    expect(both.get(madeId('mayo', 3))!.made).toMatchObject({ newer: null });
    expect(readLine('50 g house mayonnaise', contextOf(both)).ingredientId).toBe(madeId('mayo', 3));
    expect(readMadeId(madeId('a-b_c', 12))).toEqual({ formulaId: 'a-b_c', version: 12 });
    expect(readMadeId('olive_ev')).toBeNull();
  });

  it('rests on versions that rest on versions, and finds the circle', () => {
    const outerVersion = version('ranch', outer);
    const nested = made(version('mayo', mayonnaise, 2), outerVersion);
    const third = formulaOf('Third', nested, '100 g ranch');
    const versionOf = (id: string) =>
      id === madeId('ranch', 1) ? outer : id === madeId('mayo', 2) ? mayonnaise : null;
    expect([...madeWith(third, versionOf)].sort()).toEqual(['mayo', 'ranch']);
    expect(madeWith(mayonnaise, versionOf).size).toBe(0);
  });

  it('takes what could not be read for perishable, and nothing for nothing', () => {
    const vague = made(
      version('vague', formulaOf('Vague', REFERENCE_CATALOGUE, '50 ml olive oil', 'some moonlight')),
    );
    expect(vague.get(madeId('vague', 1))!.hazards).toContain('unlisted');
    expect(made(version('empty', formulaOf('Empty', REFERENCE_CATALOGUE))).has(madeId('empty', 1))).toBe(
      false,
    );
  });
});
