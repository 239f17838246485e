/** Cautions, pH, allergens and keeping as sentences: made here and nowhere else. Short, what to do, never "safe". */
import { listed } from './numbers';
import { sentencesNow, spoken } from './tongue';
import type { Ingredient } from '#core/ingredient';
import {
  THRESHOLDS,
  LOW_ACID_DAYS,
  type AllergenEntry,
  type Allergens,
  type Caution,
  type CautionCode,
  type CautionRecord,
  type Keeping,
  type LimitName,
  type Named,
  type SafetyOfTheDay,
  type SafetyRecord,
} from '#core/safety';

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
/** "Garlic, raw, peeled" is garlic in a sentence. */
const shortOf = ({ name }: Named): string => {
  const short = name.split(',')[0]!;
  return short.charAt(0).toLowerCase() + short.slice(1);
};
const names = (ingredients: readonly Named[], otherwise: string): string =>
  listed([...new Set(ingredients.map(shortOf))]) || otherwise;
const MOST_QUOTED = 3;
const quoted = (words: readonly string[]): string => {
  const shown = words.slice(0, MOST_QUOTED).map((word) => `“${word}”`);
  return words.length > MOST_QUOTED
    ? `${shown.join(', ')} and ${words.length - MOST_QUOTED} more`
    : listed(shown);
};
const PLANT = 'a plant in a line that could not be read';

interface SaidCaution {
  readonly what: string;
  readonly why: string;
}
type CautionWords = SaidCaution | ((caution: CautionRecord) => SaidCaution);

const CAUTION_WORDS: Readonly<Record<CautionCode, CautionWords>> = spoken('cautions', {
  infused_oil: ({ value, ingredients }) => ({
    what: `${capital(names(ingredients, PLANT))} under oil, and not known to be acid enough: make it fresh, keep it at 5 °C or below and throw it away after ${Math.min(value ?? 4, THRESHOLDS.garlicOilDays.value)} days.`,
    why: 'Botulinum grows under oil without air and without smell, and heat spares its spores. A pH means nothing in oil.',
  }),
  raw_egg: {
    what: 'Raw egg: use pasteurised egg for anyone young, old, pregnant or ill.',
    why: 'Salmonella may be in the egg. Cold slows it and does not make raw egg fit for them; acid works more slowly in the cold.',
  },
  raw_egg_acid: ({ value, limit }) => ({
    what:
      value === null
        ? 'How acid it is round the egg is not known here: more vinegar, or pasteurised egg.'
        : limit !== null && limit < 1
          ? `Only ${(value * 100).toFixed(1)} % acetic acid in its water, wanted at least ${(limit * 100).toFixed(1)} %: more vinegar, or pasteurised egg.`
          : `Its pH may be as high as ${value.toFixed(1)}, wanted ${limit?.toFixed(1)} at most: more vinegar, or pasteurised egg.`,
    why: 'Vinegar kills Salmonella slowly, and only where it is acid enough all through; lemon alone works less well.',
  }),
  sprouts: {
    what: 'Raw sprouts: not for anyone young, old, pregnant or ill.',
    why: 'What is on the seed grows while it sprouts, and washing does not take it off.',
  },
  raw_food: ({ ingredients }) => ({
    what: `Raw or not pasteurised: ${names(ingredients, 'what a line that could not be read names')}. Not for anyone young, old, pregnant or ill; say it on the menu.`,
    why: 'Raw fish and meat may carry parasites, Listeria and Salmonella, what is not pasteurised Listeria and E. coli. The acid of a dressing does not cook them.',
  }),
  allergen_unknown: ({ words }) => ({
    what: `Allergens not complete: ${quoted(words)}.`,
    why: 'What could not be read, or was entered by hand without its allergens, may hold any of them.',
  }),
  infants_honey: {
    what: 'Not for infants under 12 months: honey.',
    why: 'Honey may hold botulinum spores, which an infant’s gut does not yet keep down.',
  },
  unread: ({ words }) => ({
    what: `Not read: ${quoted(words)}. Counted as the worst it may be.`,
    why: 'What is not known may spoil soonest. Say it so that it is read, and the rest is reckoned anew.',
  }),
  high_ph: ({ value }) => ({
    what:
      value === null
        ? `How acid it is is not known, and counts as hardly acid: cold, ${LOW_ACID_DAYS} days at most.`
        : `Hardly acid: its pH may be as high as ${value.toFixed(1)}. Cold, ${LOW_ACID_DAYS} days at most.`,
    why: 'Above 4.6 botulinum and others can grow.',
  }),
  cold_holding: ({ ingredients }) => ({
    what: `Keep at 5 °C or below from the start${ingredients.length > 0 ? `, because of ${names(ingredients, '')}` : ''}.`,
    why: 'Cold slows what spoils it. Acid and salt slow it too and do not stop all of it.',
  }),
  garlic_or_herb_under_oil: ({ value, ingredients }) => ({
    what: `With ${names(ingredients, PLANT)} under oil: cold, and within ${Math.min(value ?? 4, 4)} days, cooked or raw.`,
    why: 'What settles under the oil is out of the acid’s and the air’s reach.',
  }),
  boil_dried_beans: ({ words }) => ({
    what: `Dried beans: soak, pour the water away, boil hard 10 minutes before use (${quoted(words)}).`,
    why: 'Raw and slow-cooked beans hold a lectin that makes ill; only boiling breaks it.',
  }),
  keep_dry: ({ ingredients }) => ({
    what: `${capital(names(ingredients, ''))} in oil: keep it dry. A wet spoon, and it is 5 °C or below and 4 days.`,
    why: 'Dry, nothing grows on it. With water it is a plant under oil.',
  }),
  susceptible_guests: ({ ingredients }) => ({
    what: `Not for guests who are highly susceptible: ${names(ingredients, 'what a line that could not be read names')}.`,
    why: 'Raw egg and sprouts may carry Salmonella, soft and blue cheese Listeria, raw fish, meat and milk both.',
  }),
  menu_notice: {
    what: 'Say on the menu that it holds raw egg.',
    why: 'Guests can only decide if they know.',
  },
  cold_service: {
    what: 'Out of the cold it may stand 4 hours in a service, 2 at home, counted from the first time it left the cold; then throw it away.',
    why: 'Standing out adds up, container by container. New dressing is never poured onto old.',
  },
  salt_undissolved: {
    what: 'More salt than its water can hold: some stays as crystals.',
    why: 'Saturated brine holds 26 %.',
  },
  soy_oil: {
    what: 'Soybean oil counts as soy unless the bottle is marked fully refined.',
    why: 'Only full refining takes the protein out.',
  },
  acid_and_metal: {
    what: 'Keep it in glass, steel, glazed ware or food plastic: no bare aluminium, copper or brass.',
    why: 'Acid takes metal up.',
  },
  dressed_dishes: {
    what: 'Dressed cut leaves, tomatoes, rice, pasta, potatoes and beans need time and temperature control of their own.',
    why: 'The dressing does not preserve the dish.',
  },
  marinade: { what: 'What raw meat or fish lay in is not served.', why: 'It carries what was on them.' },
  local_code: {
    what: 'An estimate, no certificate: your local code and a licensed professional decide.',
    why: 'Limits differ by country, by guest and by what your own kitchen can show.',
  },
});

/** Two sentences at most: what to do, and why. */
export function sayCaution(caution: CautionRecord): SaidCaution {
  const words = CAUTION_WORDS[caution.code];
  return typeof words === 'function' ? words(caution) : words;
}

/** As short as a label asks. Null: never on a label. */
function shortCaution({ code, ingredients }: CautionRecord): string | null {
  const other = sentencesNow();
  if (other) return other.shortCaution({ code, ingredients });
  switch (code) {
    case 'raw_egg':
      return 'Raw egg: not for young, old, pregnant or ill guests';
    case 'infants_honey':
      return 'Honey: not under 12 months';
    case 'sprouts':
      return 'Raw sprouts: not for young, old, pregnant or ill guests';
    case 'raw_food':
      return 'Raw or not pasteurised: not for young, old, pregnant or ill guests';
    case 'infused_oil':
      return `${capital(names(ingredients, 'plants'))} under oil: never uncooled`;
    default:
      return null;
  }
}
/** The eater's first; what lies under oil is carried by use-by and 5 °C already. */
const LABEL_ORDER: readonly CautionCode[] = [
  ...(['raw_egg', 'raw_food', 'infants_honey', 'sprouts', 'infused_oil'] as const),
];
const MOST_ON_A_LABEL = 2;

export const labelCautions = (cautions: readonly CautionRecord[]): readonly string[] =>
  LABEL_ORDER.flatMap((code) => cautions.filter((caution) => caution.code === code))
    .flatMap((caution) => shortCaution(caution) ?? [])
    .slice(0, MOST_ON_A_LABEL);

export interface SaidCautions {
  /** What may hurt somebody now, in one line; null: nothing. */
  readonly grave: string | null;
  /** At most two: keeping first, then what to do. */
  readonly lines: readonly string[];
  /** The rest, on request, graver first. */
  readonly more: readonly Caution[];
}

/** The keeping line says these. */
const SAID_BY_KEEPING: ReadonlySet<CautionCode> = new Set<CautionCode>(['cold_holding', 'high_ph']);

/** @param serving guests and menu are told then; elsewhere on request */
export function sayCautions(
  { cautions, keeping }: { readonly cautions: readonly Caution[]; readonly keeping: Keeping },
  { serving = false } = {},
): SaidCautions {
  const grave = cautions.filter(({ tier }) => tier === 1);
  const second = cautions.filter(
    ({ tier, whenServed, code }) =>
      tier === 2 &&
      (serving || !whenServed) &&
      !SAID_BY_KEEPING.has(code) &&
      !(code === 'garlic_or_herb_under_oil' && keeping.limit === 'under_oil'),
  );
  const [todo] = serving ? [...second].sort((a, b) => Number(b.whenServed) - Number(a.whenServed)) : second;
  const said = new Set<Caution>([...grave, ...(todo ? [todo] : [])]);
  return {
    grave: grave.length > 0 ? grave.map((caution) => sayCaution(caution).what).join(' ') : null,
    lines: [sayKeeping(keeping), ...(todo ? [sayCaution(todo).what] : [])],
    more: cautions.filter((caution) => !said.has(caution) && !(caution.code === 'cold_holding')),
  };
}

/** "milk (yoghurt); nuts (walnut) (walnut oil)": who brings it in brackets behind. */
export function sayAllergens(
  entries: readonly AllergenEntry[],
  nameOf: (ingredient: Ingredient) => string = shortOf,
): string {
  return entries.map(({ allergen, from }) => `${allergen} (${from.map(nameOf).join(', ')})`).join('; ');
}

/** As a label names them. @returns never "none" where something is not known */
export const allergenNames = ({ eu14, mayBeIn, probableEu14, missing }: Allergens): readonly string[] =>
  sayAllergenNames({
    missing,
    certain: eu14.map(({ allergen }) => allergen),
    probable: probableEu14.map(({ allergen }) => allergen),
    mayBe: mayBeIn.map(({ allergen }) => allergen),
  });

/** One of them, in the language that is spoken. */
export const sayAllergen = (allergen: string): string =>
  sayAllergenNames({ missing: [], certain: [allergen], probable: [], mayBe: [] })[0]!;

const sayAllergenNames = (found: SafetyRecord['allergens']): readonly string[] =>
  sentencesNow()?.allergens(found) ?? allergenWords(found);
const allergenWords = ({
  certain,
  probable,
  mayBe,
  missing,
}: SafetyRecord['allergens']): readonly string[] => [
  ...(missing.length > 0 ? [`not complete (${quoted(missing)})`] : []),
  ...certain,
  ...probable.map((allergen) => `probably ${allergen}`),
  ...mayBe.map((allergen) => `perhaps ${allergen}`),
];

const LIMIT_WORDS: Record<LimitName, string> = spoken('limits', {
  avocado: 'avocado',
  raw_egg: 'raw egg',
  sprouts: 'raw sprouts',
  raw_food: 'raw fish or meat, or something not pasteurised',
  low_acid: 'it is hardly acid, or how acid is not known',
  not_all_read: 'a line that could not be read',
  no_acid_reserve: 'hardly any acid holds it',
  cooked_food: 'cooked food in it',
  under_oil: 'garlic, herbs or vegetables under oil',
  pasteurised_egg: 'pasteurised egg',
  plant_protein: 'beans, soy or nut milk',
  raw_allium: 'raw garlic or onion',
  cooked_allium: 'cooked garlic or onion',
  fresh_herb: 'fresh herbs',
  cut_plant: 'cut fruit, vegetables or zest',
  unlisted: 'something entered by hand',
  opened_preserve: 'an opened jar',
  dairy: 'dairy',
  soft_or_blue_cheese: 'soft or blue cheese',
  mayonnaise: 'mayonnaise',
  fish: 'fish',
  sour_juice: 'fresh juice, which loses flavour and ferments',
  tcs: 'sour, and not sour enough for longer',
  weak_acid: 'only a little acid holds it',
  shelf: 'nothing in it sets a shorter time',
});
/** What sets the days: "raw garlic or onion". */
export const sayLimit = ({ limit }: Pick<Keeping, 'limit'>): string => LIMIT_WORDS[limit];

/** "5 °C or below" or "closed, cool and dark". */
export const sayStorage = ({ cold }: Pick<Keeping, 'cold'>): string =>
  sentencesNow()?.storage(cold) ?? (cold ? 'at 5 °C or below' : 'closed, cool and dark');

export function sayKeeping(keeping: Keeping): string {
  const other = sentencesNow()?.keeping(keeping, LIMIT_WORDS[keeping.limit]);
  if (other !== undefined) return other;
  const { days, limit, ingredients } = keeping;
  const word = days === 1 ? 'the day it is made' : `${days} days, counting the day it is made`;
  const why = limit === 'under_oil' ? `${names(ingredients, PLANT)} under oil` : LIMIT_WORDS[limit];
  return `Keep ${sayStorage(keeping)}, ${word}: ${why}. An estimate.`;
}

/** What was written down of a day's safety, in words: those of today, or those it was kept in. */
export function saySafetyOfTheDay(safety: SafetyOfTheDay): {
  readonly because: string;
  readonly allergens: readonly string[];
  /** The list as a label says it. */
  readonly contains: string;
  readonly cautions: readonly string[];
  readonly onLabel: readonly string[];
} {
  if (safety.kind === 'said') {
    const { because, allergens, cautions } = safety;
    // An open list began so in the words of that day.
    const isComplete = !allergens.some((words) => words.startsWith(OPEN_LIST_OF_SHAPE_1));
    return {
      because,
      allergens,
      contains: sayContains(allergens, isComplete),
      cautions,
      onLabel: (safety.onLabel ?? cautions).slice(0, MOST_ON_A_LABEL),
    };
  }
  const allergens = sayAllergenNames(safety.allergens);
  return {
    because: sayLimit(safety),
    allergens,
    contains: sayContains(allergens, safety.allergens.missing.length === 0),
    cautions: safety.cautions.map((caution) => sayCaution(caution).what),
    onLabel: labelCautions(safety.cautions),
  };
}

const OPEN_LIST_OF_SHAPE_1 = String.raw`not complete`;
const sayContains = (allergens: readonly string[], isComplete: boolean): string => {
  const list = allergens.join(', ');
  const other = sentencesNow()?.contains(list, isComplete);
  if (other !== undefined) return other;
  if (!isComplete) return `Allergens ${list}`;
  return list === '' ? 'No listed allergens known' : `Contains: ${list}`;
};
