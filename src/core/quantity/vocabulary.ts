/** The words of the parser: units, numbers and sizes as cooks write them. English only so far. */
import { range, type Range } from './range';
import type { Unit } from './units';

interface UnitWord {
  readonly unit: Unit;
  /** May stand without a number: "pinch of salt", "scant tbsp". "g" may not. */
  readonly bare: boolean;
}

const words: [Unit, boolean, string][] = [
  ['mg', false, 'mg milligram milligrams'],
  ['g', false, 'g gr gm gms gram grams gramme grammes'],
  ['kg', false, 'kg kgs kilo kilos kilogram kilograms'],
  ['oz', false, 'oz ounce ounces'],
  ['lb', false, 'lb lbs pound pounds'],
  ['ml', false, 'ml mls cc millilitre millilitres milliliter milliliters'],
  ['cl', false, 'cl centilitre centilitres centiliter centiliters'],
  ['dl', false, 'dl decilitre decilitres deciliter deciliters'],
  ['l', false, 'l ltr litre litres liter liters'],
  ['tsp', true, 'tsp tsps teaspoon teaspoons teaspoonful teaspoonfuls'],
  ['dessertspoon', true, 'dsp dessertspoon dessertspoons'],
  ['tbsp', true, 'tbsp tbsps tbs tb tbl tablespoon tablespoons tablespoonful tablespoonfuls'],
  ['cup', true, 'cup cups cupful cupfuls'],
  ['floz', false, 'floz'],
  ['pint', true, 'pt pint pints'],
  ['quart', true, 'qt quart quarts'],
  ['part', true, 'part parts'],
  ['pinch', true, 'pinch pinches'],
  ['dash', true, 'dash dashes'],
  ['drop', true, 'drop drops'],
  ['splash', true, 'splash splashes'],
  ['ladle', true, 'ladle ladles ladleful ladlefuls'],
  ['grind', true, 'grind grinds grinding grindings twist twists'],
  ['knob', true, 'knob knobs'],
  ['handful', true, 'handful handfuls'],
  ['clove', true, 'clove cloves'],
  ['yolk', true, 'yolk yolks'],
  ['egg', true, 'egg eggs'],
  ['fillet', true, 'fillet fillets'],
  ['sprig', true, 'sprig sprigs'],
  ['leaf', true, 'leaf leaves'],
  ['stalk', true, 'stalk stalks stick sticks rib ribs'],
  ['slice', true, 'slice slices'],
  ['sheet', true, 'sheet sheets'],
  ['katori', true, 'katori katoris'],
  ['bunch', true, 'bunch bunches'],
  ['piece', true, 'piece pieces'],
  ['squeeze', true, 'squeeze squeezes squirt squirts'],
  ['glug', true, 'glug glugs slug slugs slosh sloshes'],
  ['dollop', true, 'dollop dollops blob blobs'],
  ['drizzle', true, 'drizzle drizzles swirl swirls trickle trickles'],
  ['spoonful', true, 'spoonful spoonfuls spoon spoons'],
  ['bit', true, 'bit bits touch smidge smidgen smidgin hint'],
  ['splash', true, 'shot shots'],
  // As the other language of the station says them.
  ['tsp', false, 'tl teelöffel'],
  ['tbsp', false, 'el esslöffel'],
  ['pinch', true, 'prise prisen'],
  ['clove', true, 'zehe zehen'],
  ['yolk', true, 'eigelb'],
  ['cm', false, 'cm centimetre centimetres centimeter centimeters'],
  ['leaf', true, 'lvs'],
];

export const UNIT_WORDS: ReadonlyMap<string, UnitWord> = new Map(
  words.flatMap(([unit, bare, list]) => list.split(' ').map((word) => [word, { unit, bare }])),
);

/** Case tells these two apart, as it does in handwriting: T for the larger spoon. */
export const CASED_UNITS: Readonly<Record<string, Unit>> = { T: 'tbsp', t: 'tsp', c: 'cup', C: 'cup' };

export const NUMBER_WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  dozen: 12,
  half: 0.5,
  quarter: 0.25,
};

/** "a couple" and "a few" are ranges by nature; tag: common practice. */
/** Parts of a whole, as words; "fourth" is how some say a quarter. */
export const FRACTION_WORDS: Readonly<Record<string, number>> = {
  half: 1 / 2,
  halves: 1 / 2,
  third: 1 / 3,
  thirds: 1 / 3,
  quarter: 1 / 4,
  quarters: 1 / 4,
  fourth: 1 / 4,
  fourths: 1 / 4,
  fifth: 1 / 5,
  fifths: 1 / 5,
  sixth: 1 / 6,
  sixths: 1 / 6,
  eighth: 1 / 8,
  eighths: 1 / 8,
};

export const LOOSE_COUNTS: Readonly<Record<string, readonly [number, number]>> = {
  couple: [2, 3],
  few: [3, 5],
};

export type Size = 'small' | 'large' | 'fat';
export const SIZE_WORDS: Readonly<Record<string, Size | null>> = {
  small: 'small',
  little: 'small',
  thin: 'small',
  medium: null,
  large: 'large',
  big: 'large',
  fat: 'fat',
  plump: 'fat',
};

/** Factor on the ordinary unit weight. Common practice: fat clove 6 g (5-8) of 3, small shallot 20 g (12-30) of 30; "large": estimate. */
export const SIZE_FACTORS: Readonly<Record<Size, Range>> = {
  small: range(2 / 3, 0.4, 1),
  large: range(1.5, 1.2, 2),
  fat: range(2, 5 / 3, 8 / 3),
};

/** Small, large and extra large eggs by weight class, against the large one; tag: common practice. */
export const EGG_SIZE_FACTORS: Readonly<Record<Size, Range>> = {
  small: range(0.8, 0.72, 0.88),
  large: range(1, 0.95, 1.08),
  fat: range(1.12, 1.05, 1.2),
};

/** How a spoon is filled. Scant and heaped: common practice; rounded and generous: estimate. */
export const FILL_WORDS: Readonly<Record<string, Range>> = {
  level: range(1, 1, 1),
  scant: range(0.9, 0.9, 0.9),
  heaped: range(1.5, 1.3, 2),
  heaping: range(1.5, 1.3, 2),
  rounded: range(1.25, 1.1, 1.5),
  generous: range(1.25, 1.1, 1.5),
  good: range(1.2, 1.05, 1.5),
  decent: range(1.2, 1.05, 1.5),
  tiny: range(0.5, 0.3, 0.7),
};

/** "about 90 ml": plus or minus a tenth; tag: common practice. */
export const ABOUT_WORDS = /^(?:about|around|approx\.?|approximately|roughly|circa|ca\.|~|≈)\s*/i;
export const ABOUT_FACTOR: Range = range(1, 0.9, 1.1);
