/**
 * Dressings as cooks would type them, and what a careful kitchen would say of each. Reasons name a
 * source as it is recalled, "common practice" where it is a fact of the trade. Days: most (and least,
 * where less would be absurd). Codes: + must be said, - must not.
 */
import { describe, expect, it } from 'vitest';
import type { Judgement } from '#core/reckoning';
import { judgedLines } from '../reckoning/testing';

type Cold = 'cold' | 'cupboard' | 'either';
type Case = readonly [lines: string, days: string, cold: Cold, says: string];
interface Group {
  readonly why: string;
  readonly cases: readonly Case[];
}

const GROUPS: readonly Group[] = [
  {
    why: 'strong acetic acid, calculated well below 4.0, nothing that spoils (trade line for mayonnaise 1.4 %, recalled)',
    cases: [
      ['100 g rapeseed oil; 40 g red wine vinegar; 2 g salt', '10-14', 'cupboard', '-high_ph -infused_oil'],
      ['75 g grapeseed oil; 30 g champagne vinegar; 1 g salt', '10-14', 'cupboard', '-high_ph'],
      [
        '60 g hazelnut oil; 20 g sherry vinegar; 1 g salt',
        '10-14',
        'cupboard',
        '-high_ph eu:nuts (hazelnut)',
      ],
      ['60 g rapeseed oil; 60 g balsamic vinegar', '10-14', 'cupboard', '-high_ph eu:sulphites'],
      [
        '80 g olive oil; 30 g malt vinegar; 1 g salt',
        '10-14',
        'cupboard',
        'eu:cereals containing gluten (barley)',
      ],
      ['60 g sunflower oil; 30 g rice vinegar; 10 g sugar', '10-14', 'cupboard', '-infants_honey'],
      ['90 g olive oil; 30 g cider vinegar; 10 g wholegrain mustard', '10-14', 'cupboard', 'eu:mustard'],
      [
        '90 g olive oil; 30 g raspberry vinegar; 5 g maple syrup',
        '10-14',
        'cupboard',
        '-infants_honey -high_ph',
      ],
      ['90 g olive oil; 30 g white vinegar; 1 g black pepper', '10-14', 'cupboard', '-infused_oil'],
      ['90 g olive oil; 30 g white vinegar; 1 g paprika', '10-14', 'cupboard', '-infused_oil -keep_dry'],
      ['90 g olive oil; 30 g red wine vinegar; 1 g dried thyme', '10-14', 'cupboard', '-infused_oil'],
      ['90 g olive oil; 30 g white vinegar; 3 g caraway', '10-14', 'cupboard', '-infused_oil'],
    ],
  },
  {
    why: 'oil, sugar, salt and dry things alone: nothing grows without water (common practice)',
    cases: [
      ['60 g olive oil; 5 g salt', '10-14', 'cupboard', '-cold_holding -high_ph'],
      ['60 g tahini; 30 g sunflower oil', '10-14', 'cupboard', 'eu:sesame -high_ph'],
      ['50 g cashew butter; 50 g sunflower oil; 3 g sugar', '10-14', 'cupboard', 'eu:nuts (cashew)'],
      ['200 g olive oil; 4 g dried oregano', '10-14', 'cupboard', '+keep_dry -infused_oil'],
      ['200 g sunflower oil; 4 g garlic powder', '10-14', 'cupboard', '+keep_dry -infused_oil'],
      ['100 g rapeseed oil; 5 g black pepper', '10-14', 'cupboard', '-keep_dry -infused_oil'],
      ['20 g sugar; 10 g salt; 5 g mustard powder', '10-14', 'cupboard', 'eu:mustard'],
    ],
  },
  {
    why: 'pH above 4.6, or not known, and wet: time and temperature control (Food Code 1-201.10 Table B, recalled)',
    cases: [
      ['60 g peanut butter; 120 g water', '1-3', 'cold', '+high_ph eu:peanuts'],
      ['60 g cashew butter; 90 g water; 2 g salt', '1-3', 'cold', '+high_ph eu:nuts (cashew)'],
      ['50 g tahini; 90 g water; 20 g soy sauce', '1-3', 'cold', '+high_ph eu:sesame eu:soy'],
      ['40 g nutritional yeast; 100 g water', '1-3', 'cold', '+high_ph'],
      ['30 g mustard powder; 80 g water', '1-3', 'cold', '+high_ph eu:mustard'],
      ['100 g milk; 50 g sunflower oil', '1-3', 'cold', '+high_ph eu:milk'],
      ['150 g cream; 2 g salt', '1-3', 'cold', '+high_ph eu:milk'],
      ['80 g coconut milk; 80 g water', '1-3', 'cold', '+high_ph -infused_oil'],
      ['80 g silken tofu; 40 g water', '1-3', 'cold', '+high_ph eu:soy'],
      ['90 g miso; 200 g water', '1-3', 'cold', '+high_ph'],
      ['60 g soy sauce; 90 g water', '1-3', 'cold', '+high_ph'],
      ['60 g soy sauce; 90 g water; 5 g capers', '1-3', 'cold', '+high_ph'],
      ['100 g water; 10 g sunflower oil', '1-3', 'cold', '+high_ph'],
      ['60 g maple syrup; 90 g water', '1-3', 'cold', '+high_ph'],
      ['200 g white beans; 20 g lemon juice', '1-3', 'cold', '+high_ph'],
    ],
  },
  {
    why: 'low-acid plants in oil without acid: botulinum; garlic-in-oil stands in the Food Code by name (recalled)',
    cases: [
      ['200 g olive oil; 15 g garlic', '1-4', 'cold', '+infused_oil'],
      ['200 g olive oil; 15 g garlic, steeped and taken out', '1-4', 'cold', '+infused_oil'],
      ['200 g olive oil; 15 g garlic, confit', '1-4', 'cold', '+infused_oil'],
      ['200 g sunflower oil; 20 g shallot', '1-4', 'cold', '+infused_oil'],
      ['200 g rapeseed oil; 20 g spring onion', '1-4', 'cold', '+infused_oil'],
      ['150 g olive oil; 8 g basil', '1-4', 'cold', '+infused_oil'],
      ['150 g olive oil; 4 g thyme', '1-4', 'cold', '+infused_oil'],
      ['150 g olive oil; 4 g rosemary', '1-4', 'cold', '+infused_oil'],
      ['150 g olive oil; 10 g jalapeño', '1-4', 'cold', '+infused_oil'],
      ['150 g olive oil; 10 g ginger', '1-4', 'cold', '+infused_oil'],
      ['150 g olive oil; 6 g orange zest', '1-4', 'cold', '+infused_oil'],
      ['150 g olive oil; 50 g roasted pepper', '1-4', 'cold', '+infused_oil'],
      ['150 g olive oil; 50 g beetroot', '1-4', 'cold', '+infused_oil'],
      ['150 g olive oil; 50 g carrot', '1-4', 'cold', '+infused_oil'],
      ['150 g olive oil; 30 g shiitake mushrooms', '1-4', 'cold', '+infused_oil'],
      ['150 g olive oil; 60 g chickpeas', '1-4', 'cold', '+infused_oil'],
      ['150 g olive oil; thyme to taste', '1-4', 'cold', '+infused_oil'],
    ],
  },
  {
    why: 'a drop makes no acid: water, soy sauce, sugar, or little vinegar under much oil lift nothing (estimate)',
    cases: [
      ['200 g olive oil; 15 g garlic; 2 g water', '1-4', 'cold', '+infused_oil'],
      ['200 g olive oil; 15 g garlic; 200 g water', '1-3', 'cold', '+infused_oil'],
      ['200 g olive oil; 15 g garlic; 5 g soy sauce', '1-4', 'cold', '+infused_oil'],
      ['200 g olive oil; 15 g garlic; 20 g honey', '1-4', 'cold', '+infused_oil +infants_honey'],
      ['200 g olive oil; 15 g garlic; 10 g white vinegar', '1-4', 'cold', '+infused_oil'],
      ['200 g olive oil; 3 g onion powder; 10 g water', '1-3', 'cold', '+infused_oil'],
      ['200 g olive oil; 3 g dried basil; 5 g soy sauce', '1-4', 'cold', '+infused_oil'],
    ],
  },
  {
    why: 'enough acid reaches it: not the gravest line, and still cold and four days (common practice)',
    cases: [
      [
        '90 g olive oil; 40 g red wine vinegar; 1 clove garlic, grated',
        '3-4',
        'cold',
        '-infused_oil +garlic_or_herb_under_oil',
      ],
      ['90 g olive oil; 40 g cider vinegar; 15 g shallot, chopped', '3-4', 'cold', '-infused_oil -high_ph'],
      ['90 g olive oil; 40 g lemon juice; 5 g parsley, chopped', '3-4', 'cold', '-infused_oil -high_ph'],
      ['60 g sesame oil; 40 g rice vinegar; 8 g ginger, grated', '3-4', 'cold', '-infused_oil -high_ph'],
      ['90 g olive oil; 40 g red wine vinegar; 2 whole cloves garlic', '2-4', 'cold', '-infused_oil'],
      ['60 g olive oil; 40 g white wine vinegar; 5 g chives, chopped', '3-4', 'cold', '-infused_oil'],
      ['200 g yoghurt; 15 g olive oil; 1 clove garlic, grated', '3-4', 'cold', '-infused_oil eu:milk'],
      ['150 g mayonnaise; 20 g olive oil; 1 clove garlic, grated', '3-4', 'cold', '-infused_oil'],
    ],
  },
  {
    why: 'raw egg: two days and the gravest line whatever the acid (Food Code 3-801.11, recalled); 4.1 and 1.4 % acetic (trade, from memory)',
    cases: [
      [
        '1 yolk; 150 g sunflower oil; 30 g white wine vinegar; 2 g salt',
        '1-2',
        'cold',
        '+raw_egg -raw_egg_acid eu:eggs',
      ],
      ['1 yolk; 150 g sunflower oil; 6 g white wine vinegar', '1-2', 'cold', '+raw_egg +raw_egg_acid'],
      ['1 yolk; 150 g sunflower oil; 40 g lemon juice', '1-2', 'cold', '+raw_egg +raw_egg_acid'],
      ['1 yolk; 150 g sunflower oil', '1-2', 'cold', '+raw_egg +raw_egg_acid +high_ph'],
      ['1 egg; 200 g rapeseed oil; 20 g cider vinegar', '1-2', 'cold', '+raw_egg'],
      ['egg yolk to taste; 90 g olive oil; 30 g white vinegar', '1-2', 'cold', '+raw_egg +menu_notice'],
      ['60 g home-made mayonnaise; 40 g yoghurt', '1-2', 'cold', '+raw_egg eu:eggs eu:milk'],
      ['1 soft egg thing; 60 g olive oil', '1-2', 'cold', '+raw_egg'],
      ['1 pasteurised yolk; 150 g sunflower oil; 30 g white wine vinegar', '3-4', 'cold', '-raw_egg eu:eggs'],
      ['80 g mayonnaise; 10 g Dijon mustard', '4-5', 'cold', '-raw_egg -high_ph'],
    ],
  },
  {
    why: 'cultured milk is at most 4.6 (yoghurt: 21 CFR 131.200, recalled); water from the tap has no acid to take away',
    cases: [
      ['200 g yoghurt', '4-5', 'cold', '-high_ph eu:milk'],
      ['200 g yoghurt; 2 g water', '4-5', 'cold', '-high_ph'],
      ['200 g buttermilk; 20 g water', '4-5', 'cold', '-high_ph'],
      ['150 g soured cream; 10 g cider vinegar; 2 g salt', '4-5', 'cold', '-high_ph'],
      ['150 g crème fraîche; 20 g Dijon mustard', '4-5', 'cold', '-high_ph eu:mustard'],
      ['120 g mayonnaise; 120 g buttermilk; 10 g cider vinegar', '4-5', 'cold', '-high_ph -raw_egg'],
      ['100 g mayonnaise; 100 g yoghurt', '4-5', 'cold', '-high_ph'],
      ['200 g Greek yoghurt; 15 g white wine vinegar; 3 g salt', '4-5', 'cold', '-high_ph'],
      ['200 g yoghurt; 200 g milk', '1-3', 'cold', '+high_ph'],
      ['100 g yoghurt; 60 g cream', '1-3', 'cold', '+high_ph'],
    ],
  },
  {
    why: 'perishables by their kind (days: estimate, bounded by Food Code 3-501.17, recalled)',
    cases: [
      ['100 g avocado; 30 g lime juice', '1-1', 'cold', '-infused_oil'],
      [
        '60 g blue cheese, mashed; 100 g yoghurt; 10 g white vinegar',
        '1-5',
        'cold',
        '+susceptible_guests eu:milk',
      ],
      ['90 g olive oil; 30 g red wine vinegar; 10 g anchovy, mashed', '3-5', 'cold', 'eu:fish (anchovy)'],
      ['40 g tomato, chopped; 60 g olive oil; 30 g red wine vinegar', '3-4', 'cold', '-infused_oil -high_ph'],
      ['60 g strawberry purée; 60 g sunflower oil; 20 g white vinegar', '3-4', 'cold', '-infused_oil'],
      ['60 g basil pesto; 20 g white wine vinegar', '2-4', 'cold', 'eu:milk eu:nuts'],
      [
        '60 g sun-dried tomato, chopped; 90 g olive oil; 30 g red wine vinegar',
        '2-4',
        'cold',
        'eu:sulphites',
      ],
      ['40 g bean sprouts; 30 g rice vinegar', '1-2', 'cold', '+sprouts'],
      ['40 g alfalfa sprouts; 60 g yoghurt', '1-2', 'cold', '+sprouts +susceptible_guests'],
      ['40 g beansprouts; 30 g rice vinegar', '1-2', 'cold', '+sprouts'],
      ['30 g brussels sprouts; 60 g olive oil', '1-4', 'cold', '-sprouts'],
      ['50 g oxtail gravy; 60 g olive oil; 30 g white vinegar', '1-3', 'cold', '+unread'],
      ['30 g bacon; 60 g olive oil; 30 g white vinegar', '1-4', 'cold', '-infused_oil'],
      ['30 g pancetta; 60 g olive oil; 30 g white vinegar', '1-3', 'cold', '+unread'],
    ],
  },
  {
    why: 'raw fish and meat, and what is not pasteurised, are for nobody who is highly susceptible; acid does not cook them (FDA Food Code 3-603.11 and 3-801.11, recalled)',
    cases: [
      ['80 g raw salmon; 30 g lemon juice', '1-2', 'cold', '+raw_food +susceptible_guests eu:fish (salmon)'],
      ['60 g tuna, raw; 20 g soy sauce', '1-2', 'cold', '+raw_food'],
      ['60 g unpasteurised cider; 60 g olive oil', '1-2', 'cold', '+raw_food +unread'],
      ['200 g raw milk; 20 g lemon juice', '1-2', 'cold', '+raw_food eu:milk'],
      ['50 g beef tartare; 20 g olive oil', '1-2', 'cold', '+raw_food'],
      ['60 g salmon; 30 g lemon juice', '1-5', 'cold', '-raw_food'],
      ['60 g olive oil; 30 g white vinegar; 10 g oyster sauce', '1-14', 'either', '-raw_food'],
      ['20 g raw onion, chopped; 60 g olive oil; 40 g white vinegar', '1-4', 'cold', '-raw_food'],
      ['60 g raw cashews; 60 g water; 20 g lemon juice', '1-5', 'cold', '-raw_food'],
    ],
  },
  {
    why: 'fresh juice that is sour is cold for flavour and yeast; a week while all of it is sour (common practice)',
    cases: [
      ['90 g olive oil; 35 g lemon juice; 2 g salt', '5-7', 'cold', '-high_ph -infused_oil'],
      ['60 g sunflower oil; 40 g lime juice; 10 g sugar', '5-7', 'cold', '-high_ph'],
      ['60 g olive oil; 40 g verjuice; 1 g salt', '5-7', 'cold', '-high_ph'],
      ['60 g olive oil; 60 g orange juice; 15 g white vinegar', '3-4', 'cold', '-high_ph'],
      ['10 g lemon juice; 200 g water', '1-7', 'cold', '-high_ph'],
      ['90 g olive oil; 30 g white vinegar; lemon juice to taste', '5-7', 'cold', '-high_ph'],
    ],
  },
  {
    why: 'thin acid holds nothing for long: 0.3 and 1.4 % of the water (50 meq/kg: estimate; trade line, recalled)',
    cases: [
      ['300 g water; 5 g white vinegar; 1 g xanthan', '1-3', 'cold', '-infused_oil'],
      ['200 g water; 25 g rice vinegar; 1 g xanthan', '3-7', 'cold', '-high_ph'],
      ['60 g white vinegar; 40 g water; 40 g sunflower oil', '10-14', 'cupboard', '-high_ph'],
      ['60 g white vinegar; 900 g water', '1-7', 'cold', '-infused_oil'],
    ],
  },
  {
    why: 'dissolved salt and sugar take up the water (21 CFR 114.3: 0.85, recalled)',
    cases: [
      ['100 g honey', '10-14', 'cupboard', '+infants_honey -high_ph'],
      ['100 g water; 35 g salt', '7-14', 'either', '-high_ph'],
      ['100 g agave syrup; 120 g water', '1-3', 'cold', '+high_ph'],
      ['60 g pomegranate molasses; 60 g olive oil', '7-14', 'either', '-infused_oil -high_ph'],
      ['100 g water; 5 g salt', '1-3', 'cold', '+high_ph'],
      ['90 g honey; 20 g garlic, crushed; 60 g olive oil', '1-4', 'cold', '+infused_oil +infants_honey'],
    ],
  },
  {
    why: 'honey: not under 12 months, any amount, in words too (national advice, recalled)',
    cases: [
      ['90 g olive oil; 30 g cider vinegar; honey to taste', '5-14', 'either', '+infants_honey'],
      ['10 g honeycomb; 60 g olive oil', '1-3', 'cold', '+infants_honey'],
      ['20 g honey-lavender glaze; 60 g olive oil', '1-3', 'cold', '+infants_honey +unread'],
      ['90 g olive oil; 30 g cider vinegar; 60 g honeydew melon', '1-4', 'cold', '-infants_honey'],
      ['90 g olive oil; 30 g cider vinegar; 10 g date syrup', '7-14', 'either', '-infants_honey'],
    ],
  },
  {
    why: 'what could not be read may hold anything: listed as probable, never as none (1169/2011 Annex II, FALCPA, recalled)',
    cases: [
      ['60 g almond spread; 90 g olive oil', '1-3', 'cold', '+allergen_unknown +unread ?eu:nuts (almond)'],
      [
        '30 g pecan brittle; 60 g olive oil; 30 g white vinegar',
        '1-3',
        'cold',
        '+allergen_unknown ?eu:nuts (pecan)',
      ],
      ['30 g prawns; 60 g mayonnaise', '1-4', 'cold', 'eu:crustaceans (shrimp) eu:eggs'],
      ['30 g crayfish; 60 g mayonnaise', '1-3', 'cold', '+allergen_unknown eu:eggs'],
      ['30 g cream cheese spread; 60 g milk', '1-3', 'cold', '+allergen_unknown eu:milk'],
      ['20 g panko; 60 g olive oil', '1-3', 'cold', '+allergen_unknown ?eu:cereals containing gluten'],
      ['20 g lupin flour; 60 g olive oil', '1-3', 'cold', '+allergen_unknown ?eu:lupin'],
      ['60 g soya whip; 20 g white vinegar', '1-3', 'cold', '+allergen_unknown ?eu:soy no:milk'],
      ['5 g nutmeg glaze; 60 g olive oil', '1-3', 'cold', '+allergen_unknown no:nuts'],
      ['60 g eggplant; 60 g olive oil', '1-4', 'cold', '-raw_egg no:eggs'],
      ['60 g eggfruit; 60 g olive oil', '1-3', 'cold', '+allergen_unknown -raw_egg'],
      ['60 g soybean oil; 20 g white vinegar', '10-14', 'cupboard', '-allergen_unknown eu:soy'],
      ['60 g soybean oil, fully refined; 20 g white vinegar', '10-14', 'cupboard', 'no:soy'],
      ['60 g coconut oil; 20 g white vinegar', '10-14', 'cupboard', 'no:nuts -allergen_unknown'],
      [
        '90 g olive oil; 30 g white vinegar; black pepper, freshly ground',
        '10-14',
        'cupboard',
        '-unread -allergen_unknown',
      ],
    ],
  },
];

function check({ keeping, cautions, allergens }: Judgement, [, days, cold, says]: Case): readonly string[] {
  const wrong: string[] = [];
  const [least, most] = days.split('-').map(Number) as [number, number];
  if (keeping.days > most || keeping.days < least) wrong.push(`${keeping.days} days by ${keeping.limit}`);
  if (cold !== 'either' && keeping.cold !== (cold === 'cold')) wrong.push(keeping.cold ? 'cold' : 'uncooled');
  const codes = new Set<string>(cautions.map(({ code }) => code));
  const named = new Set(allergens.eu14.map(({ allergen }) => allergen));
  const probable = new Set(allergens.probableEu14.map(({ allergen }) => allergen));
  for (const word of says.split(/ (?=[+-]|\??eu:|no:)/).filter(Boolean)) {
    const [kind, what] = /^(\+|-|\?eu:|eu:|no:)(.*)$/.exec(word)!.slice(1) as [string, string];
    const held =
      kind === '+'
        ? codes.has(what)
        : kind === '-'
          ? !codes.has(what)
          : kind === 'eu:'
            ? named.has(what)
            : kind === '?eu:'
              ? named.has(what) || probable.has(what)
              : ![...named, ...probable].some((allergen) => allergen.startsWith(what));
    if (!held) wrong.push(word);
  }
  return wrong;
}

describe.each(GROUPS)('$why', ({ cases }) => {
  it.each(cases)('%s', (...row) => {
    expect(check(judgedLines(row[0].split(';').map((line) => line.trim())), row)).toEqual([]);
  });
});

it('there are at least 120 of them, no two alike', () => {
  const lines = GROUPS.flatMap(({ cases }) => cases.map(([typed]) => typed));
  expect(lines.length).toBeGreaterThanOrEqual(120);
  expect(new Set(lines).size).toBe(lines.length);
});
