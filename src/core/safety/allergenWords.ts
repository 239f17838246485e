/**
 * Words of a line that could not be read, and the allergens they name: "probably", never more.
 * Names after Regulation (EU) 1169/2011 Annex II and FALCPA/FASTER, as recalled. What is not found
 * here is not free of anything.
 */
interface AllergenWord {
  readonly words: RegExp;
  readonly eu: readonly string[];
  readonly us: readonly string[];
}

const nut = (words: RegExp, name: string): AllergenWord => ({
  words,
  eu: [`nuts (${name})`],
  us: [`tree nuts (${name})`],
});
const cereal = (words: RegExp, name: string, us: readonly string[]): AllergenWord => ({
  words,
  eu: [`cereals containing gluten (${name})`],
  us,
});
const fish = (words: RegExp, name: string | null): AllergenWord => ({
  words,
  eu: [name ? `fish (${name})` : 'fish'],
  us: [name ? `fish (${name})` : 'fish'],
});
const shellfish = (words: RegExp, name: string): AllergenWord => ({
  words,
  eu: [`crustaceans (${name})`],
  us: [`crustacean shellfish (${name})`],
});
const one = (words: RegExp, eu: string, us: string | null): AllergenWord => ({
  words,
  eu: [eu],
  us: us ? [us] : [],
});

export const ALLERGEN_WORDS: readonly AllergenWord[] = [
  nut(/\b(?:almonds?|marzipan|amaretto|frangipane|orgeat)\b/i, 'almond'),
  nut(/\b(?:hazelnuts?|filberts?|cobnuts?|gianduja)\b/i, 'hazelnut'),
  nut(/\bwalnuts?\b/i, 'walnut'),
  nut(/\bcashews?\b/i, 'cashew'),
  nut(/\bpecans?\b/i, 'pecan'),
  nut(/\bbrazil ?nuts?\b/i, 'Brazil nut'),
  nut(/\bpistachios?\b/i, 'pistachio'),
  nut(/\b(?:macadamias?|queensland nuts?)\b/i, 'macadamia'),
  one(/\b(?:mixed nuts?|nuts?|nut (?:butter|milk|oil|paste)|praline|pesto|dukkah)\b/i, 'nuts', 'tree nuts'),
  one(/\b(?:peanuts?|groundnuts?|satay)\b/i, 'peanuts', 'peanut'),
  one(
    /\b(?:soya?|soybeans?|tofu|tempeh|miso|edamame|tamari|shoyu|natto|teriyaki|hoisin|ponzu)\b/i,
    'soy',
    'soybean',
  ),
  one(
    /\b(?:milk|buttermilk|cream|cr[eè]me|butter|ghee|cheese|cheddar|parmesan|pecorino|ricotta|mascarpone|feta|mozzarella|gorgonzola|roquefort|brie|camembert|gruy[eè]re|halloumi|paneer|gouda|yogh?urts?|yoghourt|whey|casein|kefir|quark|skyr|labneh|tzatziki|raita|pesto)\b/i,
    'milk',
    'milk',
  ),
  one(
    /\b(?:eggs?|yolks?|mayo|mayonnaise|aioli|hollandaise|b[ée]arnaise|tartare|meringue|remoulade)\b/i,
    'eggs',
    'egg',
  ),
  fish(/\b(?:anchov(?:y|ies)|worcester(?:shire)?|colatura|garum)\b/i, 'anchovy'),
  fish(/\b(?:tuna|bonito|katsuobushi|dashi)\b/i, 'tuna'),
  fish(/\bsalmon\b/i, 'salmon'),
  fish(/\b(?:cod|taramasalata)\b/i, 'cod'),
  fish(
    /\b(?:mackerel|sardines?|herrings?|haddock|trout|pilchards?|fish|surimi|caviar|roe|bottarga)\b/i,
    null,
  ),
  shellfish(/\b(?:shrimps?|prawns?)\b/i, 'shrimp'),
  shellfish(/\bcrabs?\b/i, 'crab'),
  shellfish(/\blobsters?\b/i, 'lobster'),
  shellfish(/\b(?:crayfish|langoustines?|krill)\b/i, 'crayfish'),
  one(
    /\b(?:oysters?|mussels?|clams?|squids?|calamari|octopus|scallops?|cockles?|whelks?|cuttlefish|snails?)\b/i,
    'molluscs',
    null,
  ),
  cereal(/\b(?:wheat|bulgur|couscous|semolina|seitan|spelt|durum|kamut|farro|freekeh)\b/i, 'wheat', [
    'wheat',
  ]),
  cereal(/\b(?:rye|pumpernickel)\b/i, 'rye', []),
  cereal(/\b(?:barley|malt|beer|ale|stout)\b/i, 'barley', []),
  cereal(/\b(?:oats?|oatmeal|granola|muesli)\b/i, 'oat', []),
  one(
    /\b(?:gluten|bread(?:crumbs?)?|panko|croutons?|pasta|noodles?|flour|crackers?|soy sauce|hoisin|teriyaki)\b/i,
    'cereals containing gluten',
    'wheat',
  ),
  one(/\b(?:celery|celeriac)\b/i, 'celery', null),
  one(/\bmustards?\b/i, 'mustard', null),
  one(
    /\b(?:sesame|tahini?|halva|hummus|houmous|za['’]?atar|gomas[hi]io|benne|dukkah)\b/i,
    'sesame',
    'sesame',
  ),
  one(/\blupins?\b/i, 'lupin', null),
  one(
    /\b(?:sulph?ites?|sulfites?|wine|sherry|cider vinegar|raisins?|sultanas?|dried (?:fruit|apricots?|mango|apples?))\b/i,
    'sulphites',
    null,
  ),
];

/** What names something else by such a word: taken out before the search. */
const OTHER_THINGS =
  /\bcocoa butter\b|\bbutter ?(?:beans?|nut)\b|\bbutternut\b|\bnutmeg\b|\bcoconut(?: (?:milk|cream|butter|yogh?urt))?\b|\bcream of tartar\b|\b(?:rice|oat|hemp|almond|cashew|soya?|pea) (?:milk|cream|yogh?urt)\b|\b(?:peanut|almond|cashew|hazelnut|nut|apple|seed) butter\b|\bpine ?nuts?\b|\b(?:chest|dough)nuts?\b|\b(?:rice|corn|potato|chickpea|gram|buckwheat) (?:flour|noodles?)\b|\bbuckwheat\b|\begg[- ]?(?:free|less)\b|\bceleriac-free\b/gi;
/** Of what was taken out, what it is itself. */
const KEPT_OF_THEM: readonly (readonly [RegExp, string])[] = [
  [/\b(?:peanut)\s+butter\b/i, ' peanut '],
  [/\balmond\s+(?:butter|milk|cream|yogh?urt)\b/i, ' almond '],
  [/\bcashew\s+(?:butter|milk|cream|yogh?urt)\b/i, ' cashew '],
  [/\bhazelnut\s+butter\b/i, ' hazelnut '],
  [/\bnut\s+butter\b/i, ' nuts '],
  [/\bsoya?\s+(?:milk|cream|yogh?urt)\b/i, ' soy '],
  [/\boat\s+(?:milk|cream|yogh?urt)\b/i, ' oat '],
];

export interface WordedAllergens {
  readonly eu14: readonly string[];
  readonly us9: readonly string[];
}

/** The allergens that the words name, each once. */
export function allergensInWords(text: string): WordedAllergens {
  const kept = KEPT_OF_THEM.filter(([words]) => words.test(text)).map(([, instead]) => instead);
  const searched = `${text.replace(OTHER_THINGS, ' ')} ${kept.join(' ')}`;
  const hits = ALLERGEN_WORDS.filter(({ words }) => words.test(searched));
  return {
    eu14: [...new Set(hits.flatMap(({ eu }) => eu))],
    us9: [...new Set(hits.flatMap(({ us }) => us))],
  };
}
