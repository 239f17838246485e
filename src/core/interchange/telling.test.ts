/** Dressings as they are told; invented, in the words that cooks use. */
import { describe, expect, it } from 'vitest';
import { restOf } from '#core/formula';
import { measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import { readTelling, toldTool } from './telling';

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;

const ids = (text: string): readonly string[] =>
  (readTelling(text, context) ?? []).flatMap(({ lines }) =>
    lines.flatMap(({ ingredientId }) => (ingredientId ? [ingredientId as string] : [])),
  );

const TELLINGS: readonly (readonly [text: string, ids: readonly string[]])[] = [
  [
    'First goes in a spoon of Dijon mustard, then two tablespoons of cider vinegar, and last, slowly, six tablespoons of olive oil.',
    ['mustard_dijon', 'vin_cider5', 'olive_ev'],
  ],
  [
    'So I start with a clove of garlic, then I add 2 tbsp of lemon juice and a pinch of salt. Then 90 ml of olive oil in a thin stream.',
    ['garlic', 'lemon_juice', 'salt_table', 'olive_ev'],
  ],
  [
    'Whisk a teaspoon of honey with two tablespoons of sherry vinegar, then pour in 80 ml walnut oil slowly.',
    ['honey', 'vin_sherry7', 'walnut_oil'],
  ],
  [
    'Put 200 g yoghurt into the bowl, add the juice of half a lemon, a tablespoon of tahini and a good pinch of salt. Stir.',
    ['yoghurt_whole', 'lemon_juice', 'tahini', 'salt_table'],
  ],
  [
    'In go two egg yolks; then a teaspoon of Dijon; then 250 ml of sunflower oil, drop by drop.',
    ['egg_yolk', 'mustard_dijon', 'sunflower'],
  ],
  [
    'I always take a tablespoon of red wine vinegar first. Then 1 tbsp lemon juice, then six tablespoons of rapeseed oil.',
    ['vin_redwine6', 'lemon_juice', 'rapeseed'],
  ],
  [
    'I take 3 tbsp soy sauce, 1 tbsp rice vinegar, 1 tsp grated ginger and a drizzle of toasted sesame oil.',
    ['soy_sauce', 'vin_rice42', 'ginger', 'sesame_toasted'],
  ],
  [
    'Start with a tablespoon of white miso, then two tablespoons of rice vinegar, and finally a couple of tablespoons of rapeseed oil.',
    ['miso_white', 'vin_rice42', 'rapeseed'],
  ],
  [
    'Mash 1 avocado, add the juice of 1 lime, 50 g yoghurt and a pinch of salt.',
    ['lime_juice', 'yoghurt_whole', 'salt_table'],
  ],
  [
    'A spoonful of mustard goes in first, then about 30 ml of white wine vinegar, then 100 ml of grapeseed oil little by little.',
    ['vin_whitewine6', 'grapeseed'],
  ],
  [
    'Add 100 ml buttermilk, then 2 tbsp mayonnaise, 1 tbsp chopped dill, and season with a pinch of salt.',
    ['buttermilk', 'mayo_full', 'dill', 'salt_table'],
  ],
  [
    'Blend 60 g peanut butter with the juice of one lime, a tablespoon of soy sauce and 60 ml hot water.',
    ['peanut_butter', 'lime_juice', 'soy_sauce', 'water'],
  ],
  [
    'Three tablespoons of olive oil go in, then one of balsamic vinegar, then a pinch of salt.',
    ['olive_ev', 'vin_balsamic', 'salt_table'],
  ],
  [
    'You need 1 tsp cumin, 2 tbsp lime juice and 80 ml rapeseed oil. Shake it hard.',
    ['cumin', 'lime_juice', 'rapeseed'],
  ],
  [
    'First 2 tbsp orange juice. Next 1 tbsp cider vinegar. Then 1 tsp wholegrain mustard. Finally 5 tbsp olive oil.',
    ['orange_juice', 'vin_cider5', 'mustard_grain', 'olive_ev'],
  ],
  [
    'Pour 50 ml cream into the jar, add 1 tbsp grated horseradish and 2 tsp white wine vinegar.',
    ['cream', 'horseradish', 'vin_whitewine6'],
  ],
  [
    'Take 2 anchovy fillets, 1 clove of garlic, the juice of half a lemon and 90 ml olive oil.',
    ['anchovy', 'garlic', 'lemon_juice', 'olive_ev'],
  ],
  [
    'Begin with 60 ml white wine vinegar and a teaspoon of sugar, followed by a finely chopped shallot; then 120 ml sunflower oil.',
    ['vin_whitewine6', 'sugar_white', 'shallot', 'sunflower'],
  ],
  [
    'A tablespoon of capers, then a tablespoon of red wine vinegar, then three tablespoons of olive oil, and some black pepper.',
    ['capers', 'vin_redwine6', 'olive_ev', 'black_pepper'],
  ],
  [
    'Stir 1 tbsp gochujang into 2 tbsp rice vinegar, then add 1 tsp honey and 3 tbsp rapeseed oil.',
    ['vin_rice42', 'honey', 'rapeseed'],
  ],
];

describe('a telling', () => {
  it.each(TELLINGS)('“%s”', (text, expected) => {
    // What is told beside it is kept; what goes in comes in its order.
    expect(ids(text).filter((id) => expected.includes(id))).toEqual(expected);
    expect(ids(text).length - expected.length).toBeLessThanOrEqual(1);
  });

  it('loses no word: its pieces and what parts them are all of it', () => {
    for (const [text] of TELLINGS) {
      const told = readTelling(text, context)!;
      const pieces = told.map(({ source }) => source).sort((a, b) => b.length - a.length);
      let rest = text;
      for (const piece of pieces) {
        expect(rest).toContain(piece);
        rest = rest.replace(piece, ' ');
      }
      // Only words that say "next", and marks, stand between.
      expect(rest).toMatch(
        /^(?:\s|[.,;!?:]|and|then|next|finally|lastly|last|followed by|after that|plus|with|into|over|onto|afterwards)*$/i,
      );
    }
  });

  it('a rest is kept with what was told before it, and is no note', () => {
    const told = readTelling(
      'Chop 1 shallot and add 2 tablespoons of cider vinegar. Leave it ten minutes. Then 6 tablespoons of rapeseed oil.',
      context,
    )!;
    const lines = told.flatMap((piece) => piece.lines);
    expect(lines.map(({ ingredientId, form }) => [ingredientId, restOf(form)?.seconds ?? 0])).toEqual([
      ['shallot', 0],
      ['vin_cider5', 600],
      ['rapeseed', 0],
    ]);
    expect(told.filter(({ rests }) => rests).map(({ source }) => source)).toEqual(['Leave it ten minutes']);
  });

  it('“six of oil” is six of the spoons before', () => {
    const told = readTelling('Two tablespoons of cider vinegar, then six of rapeseed oil.', context)!;
    const oil = told.at(-1)!.lines[0]!.reading;
    expect(oil.status === 'read' && oil.massG.nominal).toBeCloseTo(6 * 15 * 0.915, -1);
  });

  it('is no method and no list: with fewer than two things in it, it is none', () => {
    expect(readTelling('Shake it hard and leave it for ten minutes.', context)).toBeNull();
    expect(readTelling('', context)).toBeNull();
  });

  it('says what it is mixed with', () => {
    expect(toldTool('Shake it hard in a jar.')).toBe('shake');
    expect(toldTool('whisking all the time')).toBe('whisk');
    expect(toldTool('use a stick blender')).toBe('stick');
    expect(toldTool('Serve.')).toBeNull();
  });
});
