/** The dish that is told or listed with its dressing: invented, in the words that cooks use. */
import { describe, expect, it } from 'vitest';
import { readDish } from '#core/dish';
import { measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import { readPasted } from './pastedRecipe';
import { toldServings } from './telling';

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;
const read = (text: string): { readonly jar: readonly string[]; readonly dish: readonly string[] } => {
  const { lines, dish } = readPasted(text, context);
  const things = readDish(dish.map((thing) => thing.text).join('\n'), context);
  return {
    jar: lines.map(({ line }) => line.ingredientId ?? line.ingredientText),
    dish: things.map(({ thing, text: typed }) => thing?.ingredient.id ?? `? ${typed}`),
  };
};

const TOLD: readonly (readonly [text: string, jar: readonly string[], dish: readonly string[]])[] = [
  [
    'Whisk a teaspoon of Dijon mustard with two tablespoons of red wine vinegar, then 90 ml olive oil. Toss it with 200 g mixed leaves, 100 g feta and a handful of walnuts.',
    ['mustard_dijon', 'vin_redwine6', 'olive_ev'],
    ['mixed_leaves', 'feta', 'walnuts'],
  ],
  [
    'Put 200 g yoghurt into the bowl, add the juice of half a lemon and a pinch of salt. The salad is 300 g cooked pasta, 100 g peas and 80 g ham.',
    ['yoghurt_whole', 'lemon_juice', 'salt_table'],
    ['pasta', 'peas', 'ham_cooked'],
  ],
  [
    'I take 3 tbsp soy sauce, 1 tbsp rice vinegar and a drizzle of toasted sesame oil, and pour it over 400 g cooked soba noodles and 150 g edamame.',
    ['soy_sauce', 'vin_rice42', 'sesame_toasted'],
    ['noodles_soba', 'edamame'],
  ],
  [
    'Shake 30 ml lemon juice with 80 ml olive oil and 2 g salt.',
    ['lemon_juice', 'olive_ev', 'salt_table'],
    [],
  ],
];

describe('a telling that names what it dresses', () => {
  it.each(TOLD)('%s', (text, jar, dish) => {
    expect(read(text)).toEqual({ jar, dish });
  });

  it('keeps every thing of a list in one place: the jar, or the dish', () => {
    expect(
      read(
        [
          'Green bowl',
          '60 ml olive oil',
          '20 ml lemon juice',
          '1 romaine lettuce',
          '200 g cooked couscous',
          'a handful of croutons',
          '3 g salt',
        ].join('\n'),
      ),
    ).toEqual({
      jar: ['olive_ev', 'lemon_juice', 'salt_table'],
      dish: ['romaine', 'couscous', 'croutons'],
    });
    expect(
      read('Dressing:\n60 ml olive oil\n20 ml vinegar\nFor the salad:\n2 tomatoes\n120 g feta, rinsed').dish,
    ).toEqual(['tomato_fresh', 'feta']);
  });

  it('knows for how many it is', () => {
    expect(toldServings('Serves 6')).toBe(6);
    expect(toldServings('serves about four')).toBe(4);
    expect(toldServings('Enough for 12, left 10 minutes')).toBe(12);
    expect(toldServings('A salad for six people')).toBe(6);
    expect(toldServings('Leave it for 10 minutes, for the salad')).toBeNull();
  });
});
