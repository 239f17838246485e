import { describe, expect, it } from 'vitest';
import type { Doubt, Problem } from './finding';
import { sayDoubt, sayProblem } from '#words/reading';

const DOUBTS: readonly Doubt[] = [
  { code: 'thousands-or-decimal', text: '1,500', takenAs: 1500 },
  { code: 'mixed-or-range', text: '1-1/2', takenAs: 1.5 },
  { code: 'ounce-weight-or-volume', choices: ['3 oz by weight', '3 fl oz'] },
  { code: 'part-size', partVolumeMl: 30 },
  { code: 'counted-as', unit: 'the juice of one', ingredient: 'Lemon juice' },
  { code: 'ingredient-guessed', text: 'walnut', ingredient: 'Walnut oil' },
];
const PROBLEMS: readonly Problem[] = [
  { code: 'empty' },
  { code: 'no-amount', text: 'vinegar' },
  { code: 'no-unit', ingredient: 'Olive oil', units: [] },
  { code: 'no-unit', ingredient: 'Garlic', units: ['clove'] },
  { code: 'no-unit-weight', unit: 'fillet', ingredient: 'Olive oil', units: ['g', 'ml'] },
  { code: 'pack-size', pack: 'jar', ingredient: 'Basil pesto', amounts: ['190 g', '280 g'] },
  { code: 'bad-number', text: '1.2.3' },
  { code: 'negative', text: '-5 ml' },
  { code: 'too-large', limitKg: 1000 },
  { code: 'leftover', text: 'blurb' },
  { code: 'two-things', text: 'juice and zest of 1 lemon' },
  { code: 'no-ingredient' },
  { code: 'unknown-ingredient', text: 'moonlight', near: [] },
  { code: 'unknown-ingredient', text: 'lemn', near: ['Lemon juice'] },
  { code: 'ambiguous-ingredient', text: 'vinegar', near: ['Cider vinegar 5 %', 'Sherry vinegar 7 %'] },
];

describe('what is said of a reading', () => {
  it.each(DOUBTS.map((doubt) => [doubt.code, sayDoubt(doubt)]))('%s: %s', (_code, sentence) => {
    expect(sentence).toMatch(/^[A-Z“].*[.?]$/s);
    expect(sentence).not.toMatch(/undefined|null|NaN/);
  });
  it.each(PROBLEMS.map((problem) => [problem.code, sayProblem(problem)]))('%s: %s', (_code, sentence) => {
    expect(sentence).toMatch(/^[A-Z“].*[.?]$/s);
    expect(sentence).not.toMatch(/undefined|null|NaN/);
  });
  it('repeats what was typed, and says what would be understood', () => {
    expect(sayProblem({ code: 'bad-number', text: '1.2.3' })).toMatch(/“1\.2\.3”.*Try/);
    expect(sayProblem({ code: 'unknown-ingredient', text: 'lemn', near: ['Lemon juice'] })).toContain(
      'Lemon juice',
    );
  });
});
