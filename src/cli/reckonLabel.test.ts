import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { labelJsonSchema } from '#contract';
import { labelFrom } from './reckonLabel';
import { reckon } from './testing';

const ask = (label: unknown) => {
  const said = labelFrom(typeof label === 'string' ? label : JSON.stringify(label), 'label.json');
  if (typeof said === 'string') throw new Error(said);
  return said;
};
const VINAIGRETTE = {
  ingredients:
    'Ingredients: rapeseed oil (60 %), white wine vinegar, water, Dijon mustard 3.5%, sugar, salt, thickener (xanthan gum), preservative: potassium sorbate.',
  per100G: { energyKcal: 572, fatG: 61, sugarsG: 3.2, saltG: 1.9 },
};

describe('reckon --label', () => {
  it('answers with amounts that keep order, percentages and nutrition, and says what it left out', () => {
    const { answers, impossible, leftOut } = ask(VINAIGRETTE);
    expect(impossible).toEqual([]);
    const [first] = answers;
    expect(first!.misfit).toBeLessThan(0.05);
    const g = Object.fromEntries(
      first!.additions.map(({ ingredientId, gPer100G }) => [ingredientId, gPer100G]),
    );
    expect(g.rapeseed).toBeGreaterThanOrEqual(59.5);
    expect(g.rapeseed).toBeLessThanOrEqual(60.5);
    expect(g.mustard_dijon).toBeCloseTo(3.5, 1);
    const order = first!.additions.map(({ gPer100G }) => gPer100G);
    expect([...order].sort((a, b) => b - a)).toEqual(order);
    for (const { gPer100G, low, high } of first!.additions) {
      expect(gPer100G).toBeGreaterThanOrEqual(low - 1e-6);
      expect(gPer100G).toBeLessThanOrEqual(high + 1e-6);
    }
    expect(leftOut.map(({ additive }) => additive)).toEqual(['preservative']);
    expect(first!.additions.at(-1)!.ingredientId).toBe('xanthan');
  });
  it('answers an impossible, an empty and a foreign label, and fits none of them', () => {
    const troubles = (label: object) => {
      const { answers, impossible } = ask(label);
      expect(answers).toEqual([]);
      return impossible.map(({ code }) => code);
    };
    expect(troubles({ ingredients: '' })).toEqual(['nothing-listed']);
    expect(troubles({ ingredients: 'zonnebloemolie, azijn, zout' })).toEqual(['first-unknown']);
    expect(troubles({ ingredients: 'water (60%), olive oil (70%)' })).toEqual(['order-or-percentages']);
    expect(troubles({ ...VINAIGRETTE, per100G: { fatG: 5 } })).toEqual(['nutrition']);
  });
  it('says what is wrong with a file, and where', () => {
    expect(labelFrom('{', 'label.json')).toContain('label.json');
    expect(labelFrom('{"ingredients": "oil", "per100G": {"fatG": -1}}', 'label.json')).toContain(
      'per100G.fatG',
    );
    expect(labelFrom('{"list": "oil"}', 'label.json')).toContain('label.json, at');
  });
  it('reads a file, and exits 1 where nothing fits', () => {
    const run = (label: object) => {
      const { status, stdout } = reckon(JSON.stringify(label), '--json', '--label', '-');
      return { status, said: (JSON.parse(stdout) as { label: ReturnType<typeof ask> }).label };
    };
    const { status, said } = run(VINAIGRETTE);
    expect([status, said.answers[0]!.additions[0]!.ingredientId]).toEqual([0, 'rapeseed']);
    expect(run({ ingredients: '' })).toMatchObject({
      status: 1,
      said: { answers: [], impossible: [{ message: expect.stringContaining('No ingredients') as string }] },
    });
    expect(reckon('{', '--json', '--label', '-').status).toBe(2);
  });
  it('is published as it is checked', () => {
    const published = JSON.parse(
      readFileSync(join(import.meta.dirname, '../../docs/label.schema.json'), 'utf8'),
    ) as unknown;
    expect(published).toEqual(labelJsonSchema());
  });
});
