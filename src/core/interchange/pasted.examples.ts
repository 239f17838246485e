/** Invented recipes in many ways of writing, each with what has to be read of it. */
export interface PastedExample {
  readonly style: string;
  readonly text: string;
  readonly title: string | null;
  /** Ingredient id and grams as typical; null: it has to be asked for. */
  readonly lines: readonly (readonly [id: string | null, grams: number | null])[];
  readonly notes: number;
}

const of = (
  style: string,
  text: string,
  title: string | null,
  lines: PastedExample['lines'],
  notes = 0,
): PastedExample => ({ style, text, title, lines, notes });

export const EXAMPLES: readonly PastedExample[] = [
  of('plain list', '30 ml cider vinegar\n1 tsp honey\n90 ml rapeseed oil', null, [
    ['vin_cider5', 30.3],
    ['honey', 7.1],
    ['rapeseed', 82.5],
  ]),
  of(
    'title and list',
    'Lake salad dressing\n\n30 ml cider vinegar\n90 ml rapeseed oil',
    'Lake salad dressing',
    [
      ['vin_cider5', 30.3],
      ['rapeseed', 82.5],
    ],
  ),
  of(
    'headings',
    'House\nIngredients\n60 ml red wine vinegar\n180 ml olive oil\nMethod\nWhisk it all.\nTaste.',
    'House',
    [
      ['vin_redwine6', 60.6],
      ['olive_ev', 164.3],
    ],
    2,
  ),
  of(
    'headings with colons',
    'Ingredients:\n- 2 tbsp lemon juice\n- 6 tbsp olive oil\n\nDirections:\n1. Shake.\n2. Serve at once.',
    null,
    [
      ['lemon_juice', 30.5],
      ['olive_ev', 81],
    ],
    2,
  ),
  of('bullets', '• 1 tsp Dijon mustard\n• 45 ml white wine vinegar\n• 1/2 tsp salt', null, [
    ['mustard_dijon', 5.2],
    ['vin_whitewine6', 45.5],
    ['salt_table', 3],
  ]),
  of('asterisks and boxes', '* 100 g yoghurt\n[ ] 1 tbsp lemon juice\n☐ a pinch of salt', null, [
    ['yoghurt_whole', 100],
    ['lemon_juice', 15.3],
    ['salt_table', 0.37],
  ]),
  of(
    'Markdown',
    '# Terrace\n\n## Ingredients\n\n- 90 ml walnut oil\n- 30 ml cider vinegar\n\n## Method\n\n1. Shake well.',
    'Terrace',
    [
      ['walnut_oil', 82.7],
      ['vin_cider5', 30.3],
    ],
    1,
  ),
  of('bold title', '**Bright one**\n\n60 ml olive oil\n20 ml lemon juice', 'Bright one', [
    ['olive_ev', 54.8],
    ['lemon_juice', 20.6],
  ]),
  of('amount behind a dash', 'Olive oil – 90 ml\nRed wine vinegar – 30 ml\nSalt – 2 g', null, [
    ['olive_ev', 82.2],
    ['vin_redwine6', 30.3],
    ['salt_table', 2],
  ]),
  of('amount behind a colon', 'honey: 10 g\ncider vinegar: 40 ml', null, [
    ['honey', 10],
    ['vin_cider5', 40.4],
  ]),
  of('amount behind dots', 'Sunflower oil ..... 200 ml\nWhite wine vinegar ..... 50 ml', null, [
    ['sunflower', 184],
    ['vin_whitewine6', 50.5],
  ]),
  of('amount in brackets', 'olive oil (90 ml)\nlemon juice (30 ml)', null, [
    ['olive_ev', 82.2],
    ['lemon_juice', 30.9],
  ]),
  of('tabs from a table', 'olive oil\t90 ml\nlemon juice\t30 ml', null, [
    ['olive_ev', 82.2],
    ['lemon_juice', 30.9],
  ]),
  of('fractions written', '1/3 cup olive oil\n1 1/2 tbsp sherry vinegar\n3/4 tsp salt', null, [
    ['olive_ev', 72],
    ['vin_sherry7', 22.4],
    ['salt_table', 4.4],
  ]),
  of('fraction signs', '⅓ cup olive oil\n1½ tbsp lemon juice\n¼ tsp salt', null, [
    ['olive_ev', 72],
    ['lemon_juice', 22.8],
    ['salt_table', 1.5],
  ]),
  of('ranges', '2–3 tbsp olive oil\n1-2 tsp honey', null, [
    ['olive_ev', 33.7],
    ['honey', 10.6],
  ]),
  of('words for numbers', 'two tablespoons olive oil\none teaspoon honey\nhalf a teaspoon salt', null, [
    ['olive_ev', 27],
    ['honey', 7.1],
    ['salt_table', 3],
  ]),
  of('pinch and dash', 'a pinch of salt\na dash of hot sauce\n60 ml olive oil', null, [
    ['salt_table', 0.37],
    ['hot_sauce', 0.6],
    ['olive_ev', 54.8],
  ]),
  of('garlic', '1 clove garlic, grated\n90 ml olive oil\n30 ml lemon juice', null, [
    ['garlic', 3],
    ['olive_ev', 82.2],
    ['lemon_juice', 30.9],
  ]),
  of('juice of', 'juice of ½ lemon\n60 ml olive oil\n1 clove of garlic, minced', null, [
    ['lemon_juice', 24],
    ['olive_ev', 54.8],
    ['garlic', 3],
  ]),
  of('yolks', '2 egg yolks\n1 tbsp Dijon mustard\n200 ml sunflower oil', null, [
    ['egg_yolk', 34],
    ['mustard_dijon', 15.5],
    ['sunflower', 184],
  ]),
  of('to taste', '60 ml olive oil\n20 ml cider vinegar\nsalt to taste', null, [
    ['olive_ev', 54.8],
    ['vin_cider5', 20.2],
    ['salt_table', 0],
  ]),
  of('optional', '60 ml olive oil\n1 tsp honey (optional)\n20 ml lemon juice, or to taste', null, [
    ['olive_ev', 54.8],
    ['honey', 7.1],
    ['lemon_juice', 20.6],
  ]),
  of('plus more', '60 ml olive oil, plus more to drizzle\n20 ml lemon juice', null, [
    ['olive_ev', 54.8],
    ['lemon_juice', 20.6],
  ]),
  of('approximations', 'about 60 ml olive oil\n~20 ml lemon juice\napprox. 5 g salt', null, [
    ['olive_ev', 54.8],
    ['lemon_juice', 20.6],
    ['salt_table', 5],
  ]),
  of('second amount in brackets', '90 ml (6 tbsp) olive oil\n30 ml (2 tbsp) lemon juice', null, [
    ['olive_ev', 82.2],
    ['lemon_juice', 30.9],
  ]),
  of(
    'facts on top',
    'Green one\nServes 4\nPrep time: 10 min\n\n60 ml olive oil\n20 ml lemon juice',
    'Green one',
    [
      ['olive_ev', 54.8],
      ['lemon_juice', 20.6],
    ],
    2,
  ),
  of(
    'parts of it',
    'For the base:\n30 ml cider vinegar\n1 tsp salt\nFor the oil:\n90 ml rapeseed oil',
    null,
    [
      ['vin_cider5', 30.3],
      ['salt_table', 6],
      ['rapeseed', 82.5],
    ],
  ),
  of(
    'numbered method after',
    '60 ml olive oil\n20 ml lemon juice\n1. Put both in a jar.\n2. Shake for 20 seconds.',
    null,
    [
      ['olive_ev', 54.8],
      ['lemon_juice', 20.6],
    ],
    2,
  ),
  of(
    'prose after',
    '60 ml olive oil\n20 ml lemon juice\nWhisk the lemon with the salt, then trickle in the oil until it holds.',
    null,
    [
      ['olive_ev', 54.8],
      ['lemon_juice', 20.6],
    ],
    1,
  ),
  of(
    'prose before',
    'Our cook makes this every morning, before the guests come down.\n60 ml olive oil\n20 ml lemon juice',
    null,
    [
      ['olive_ev', 54.8],
      ['lemon_juice', 20.6],
    ],
    1,
  ),
  of(
    'notes below',
    'Ingredients\n60 ml olive oil\n20 ml lemon juice\nNotes\nKeeps two days, cold.\nShake again.',
    null,
    [
      ['olive_ev', 54.8],
      ['lemon_juice', 20.6],
    ],
    2,
  ),
  of('a thing nobody knows', 'Ingredients\n60 ml olive oil\n2 tbsp cloudberry vinegar\n5 g salt', null, [
    ['olive_ev', 54.8],
    [null, null],
    ['salt_table', 5],
  ]),
  of('no amount in the list: to taste', 'Ingredients\n60 ml olive oil\nblack pepper\n5 g salt', null, [
    ['olive_ev', 54.8],
    ['black_pepper', 0],
    ['salt_table', 5],
  ]),
  of('a title that is the name of a thing', 'Honey\n60 ml olive oil\n20 ml lemon juice', 'Honey', [
    ['olive_ev', 54.8],
    ['lemon_juice', 20.6],
  ]),
  of('shouting', 'HOUSE DRESSING\n60 ML OLIVE OIL\n20 ML LEMON JUICE', 'HOUSE DRESSING', [
    ['olive_ev', 54.8],
    ['lemon_juice', 20.6],
  ]),
  of('no space before the unit', '60ml olive oil\n20ml lemon juice\n5g salt', null, [
    ['olive_ev', 54.8],
    ['lemon_juice', 20.6],
    ['salt_table', 5],
  ]),
  of('ounces', '2 oz honey\n60 ml olive oil', null, [
    ['honey', 56.7],
    ['olive_ev', 54.8],
  ]),
  of('kilograms and litres', '1 l sunflower oil\n0.25 l white wine vinegar\n0.02 kg salt', null, [
    ['sunflower', 920],
    ['vin_whitewine6', 252.5],
    ['salt_table', 20],
  ]),
  of('windows line ends and blanks', '60 ml olive oil\r\n\r\n   20 ml lemon juice   \r\n', null, [
    ['olive_ev', 54.8],
    ['lemon_juice', 20.6],
  ]),
  of('forms behind a comma', '20 g shallot, finely chopped\n2 tbsp parsley, chopped\n60 ml olive oil', null, [
    ['shallot', 20],
    ['parsley', 7.6],
    ['olive_ev', 54.8],
  ]),
  of('an empty method', 'Ingredients\n60 ml olive oil\nMethod', null, [['olive_ev', 54.8]]),
  of(
    'steps called steps',
    'Ingredients\n60 ml olive oil\n20 ml lemon juice\nStep 1. Stir.\nStep 2. Serve.',
    null,
    [
      ['olive_ev', 54.8],
      ['lemon_juice', 20.6],
    ],
    2,
  ),
];
