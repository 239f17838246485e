/**
 * What the words of a line that could not be read, or of an ingredient entered by hand, give away:
 * hazards, plants that spoil under oil, things that make any pH unknown. A hit counts; no hit frees
 * nothing. Common practice of kitchens that speak English; not complete, and need not be.
 */
import type { Hazard } from '#core/ingredient';

interface WordRule {
  readonly hazard: Hazard;
  readonly words: RegExp;
  /** Taken out of the text before it is searched. */
  readonly not?: RegExp;
}

const HARD_BOILED = /\bhard[- ]?(?:boiled|cooked)\b/i;

const RAW = String.raw`(?:raw|uncooked|undercooked|rare|sushi|sashimi|ceviche|tartare?|carpaccio)`;
const FLESH = String.raw`(?:fish|salmon|tuna|trout|mackerel|cod|sea ?bass|bream|halibut|sardines?|herring|scallops?|prawns?|shrimps?|crab|mussels?|clams?|squid|octopus|meat|beef|steak|veal|lamb|pork|chicken|turkey|duck|venison|liver)`;

/** One row a hazard. */
const HAZARD_WORDS: readonly WordRule[] = [
  { hazard: 'avocado', words: /\b(?:avocados?|guacamole)\b/i, not: /\bavocado oil\b/gi },
  {
    hazard: 'raw_egg',
    words: /\b(?:eggs?|yolks?|aioli|hollandaise|b[ée]arnaise)\b/i,
    not: /\b(?:no|without|free of) eggs?\b|\begg[- ]?(?:free|less)\b|\bhard[- ]?(?:boiled|cooked)\s+(?:eggs?|yolks?)\b|\b(?:eggs?|yolks?),?\s+hard[- ]?(?:boiled|cooked)\b/gi,
  },
  {
    hazard: 'sprouts',
    words: /\b(?:bean|pea)?sprout(?:s|ed)?\b|\bmung shoots\b/i,
    not: /\bbrussels?(?:['’]s)? sprouts?\b/gi,
  },
  {
    hazard: 'cooked_food',
    words:
      /\b(?:meat|bacon|ham|pancetta|prosciutto|lardons?|chorizo|sausages?|salami|chicken|beef|pork|lamb|turkey|duck|stock|broth|bouillon|dashi|gravy|rice|quinoa|couscous|bulgur|barley|pasta|noodles?|potato(?:es)?|bread|brioche|croutons?)\b|\bhard[- ]?(?:boiled|cooked)\b/i,
    not: /\brice (?:vinegar|wine|bran oil|syrup|flour)\b|\bbread ?crumbs?\b|\bmeat[- ]?free\b|\bdried noodles?\b/gi,
  },
  {
    hazard: 'soft_or_blue_cheese',
    words: /\b(?:blue cheese|brie|camembert|feta|ricotta|gorgonzola|roquefort|queso fresco|soft cheese)\b/i,
  },
  {
    hazard: 'raw_food',
    words: new RegExp(
      String.raw`\bun-?pasteuri[sz]ed\b|\bnot pasteuri[sz]ed\b|\braw[- ]milk\b|\boysters?\b|\b${RAW}\b.*\b${FLESH}\b|\b${FLESH}\b.*\b${RAW}\b`,
      'i',
    ),
    not: /\b(?:smoked|tinned|canned|cooked|grilled|baked|poached|roast(?:ed)?|fried) oysters?\b|\boyster (?:sauce|mushrooms?|extract)\b/gi,
  },
  { hazard: 'honey', words: /\bhoney(?:s|combs?)?\b/i, not: /\bhoney[- ]?free\b|\bno honey\b/gi },
];

const PLANT_WORDS =
  /\b(?:garlic|onions?|shallots?|scallions?|leeks?|chives?|ramps?|ramsons|chill?i(?:es)?|chill?ies|chiles?|jalape[nñ]os?|habaneros?|peppers|capsicums?|(?:bell|red|green|sweet|roasted) peppers?|ginger|galangal|turmeric|lemongrass|zest|peel|rind|herbs?|basil|parsley|dill|cilantro|coriander|mint|tarragon|thyme|rosemary|sage|oregano|marjoram|bay lea(?:f|ves)|lovage|chervil|sorrel|nettles?|curry lea(?:f|ves)|mushrooms?|porcini|shiitake|truffles?|carrots?|beets?|beetroots?|celery|celeriac|parsnips?|fennel|pumpkin|squash|courgettes?|zucchinis?|aubergines?|eggplants?|cucumbers?|radish(?:es)?|cabbage|kale|spinach|rocket|arugula|watercress|asparagus|artichokes?|peas?|beans?|chickpeas?|lentils?|sweetcorn|vegetables?|roots?)\b/i;
/** A vinegar with tarragon in it is a vinegar; seeds, salts and pepper are outside the class. */
const NOT_PLANTS =
  /\b[\w’'-]+(?:\s+(?:wine|cider|rice))?\s+vinegar\b|\b(?:fennel|coriander|celery|dill|mustard|pumpkin)\s+seeds?\b|\b(?:celery|garlic|onion|herb)\s+salt\b|\bpumpkin(?: seed)? oil\b|\b(?:soya?|vanilla) beans?\b/gi;

const OIL_WORDS = /\b(?:oils?|ghee|dripping|lard)\b/i;
/** Alkali, gas or a living brew: no pH of a table holds. */
const RESTLESS_WORDS =
  /\b(?:baking soda|bicarbonate|lye|limewater|slaked lime|soda water|sparkling|kombucha|kefir|sourdough|starter|live yeast|fresh yeast|kvass|rejuvelac)\b/i;
const DRIED_BEAN_WORDS =
  /\b(?:dried|dry|raw)\b.*\b(?:beans?|chickpeas?|lentils?)\b|\bbeans?,\s*(?:dried|raw)\b/i;

export function hazardsInWords(text: string): readonly Hazard[] {
  const found = HAZARD_WORDS.filter(({ words, not }) => words.test(not ? text.replace(not, ' ') : text)).map(
    ({ hazard }) => hazard,
  );
  return HARD_BOILED.test(text) && !found.includes('cooked_food') ? [...found, 'cooked_food'] : found;
}
export const isHardBoiled = (form: string): boolean => HARD_BOILED.test(form);
export const namesLowAcidPlant = (text: string): boolean => PLANT_WORDS.test(text.replace(NOT_PLANTS, ' '));
export const namesOil = (text: string): boolean => OIL_WORDS.test(text);
export const isRestless = (text: string): boolean => RESTLESS_WORDS.test(text);
export const namesRawBeans = (text: string): boolean => DRIED_BEAN_WORDS.test(text);

const HOME_MADE = /\bhome[- ]?made\b|\bleft[- ]?over\b|^(?:the |our |my )?(?:own|house)\b/i;
/** "Home-made mayonnaise" is nobody's table row. */
export const isHomeMade = (words: string): boolean => HOME_MADE.test(words);
