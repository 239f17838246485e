/** Single words: tools, what a mouth says, thickness, what limits the days. */
import type { InstrumentInfo } from '#contract';
import type { PhReason } from '#core/acidity';
import type { Complaint, PlanId } from '#core/balance';
import type { ThicknessClass } from '#core/emulsion';
import type { Tool } from '#core/formula';
import type { EmulsifierKind } from '#core/ingredient';
import type { PalateKey, ScoreBand } from '#core/palate';
import type { LimitName } from '#core/safety';
import type { AddedWay, Bite, PlanWay, Sight, TastedOn, TasteRow } from '#core/trial';
import type { MeasureWords } from '../palate';

export const tools: Readonly<Record<Tool, string>> = {
  fork: 'Gabel',
  shake: 'Glas, geschüttelt',
  whisk: 'Schneebesen',
  frother: 'Milchschäumer',
  mortar: 'Mörser',
  processor: 'Küchenmaschine',
  blender: 'Standmixer',
  stick: 'Pürierstab',
  'stick-pro': 'Großer Pürierstab',
};
export const rows: Readonly<Record<TasteRow, readonly [low: string, high: string]>> = {
  acid: ['braucht Säure', 'zu sauer'],
  salt: ['braucht Salz', 'zu salzig'],
  sweet: ['braucht Süße', 'zu süß'],
  oil: ['mager', 'zu ölig'],
  body: ['zu dünn', 'zu dick'],
  bite: ['schwach', 'zu scharf oder beißend'],
  bitter: ['gut', 'bitter'],
};
export const bites: Readonly<Record<Bite, string>> = {
  garlic: 'Knoblauch',
  onion: 'Zwiebel',
  chilli: 'Chili',
  mustard: 'Senf',
};
export const on: Readonly<Record<TastedOn, string>> = {
  leaf: 'auf einem Blatt',
  spoon: 'vom Löffel',
  dish: 'auf dem Gericht',
};
export const ways: Readonly<Record<PlanWay | AddedWay, string>> = {
  'other-loads': 'in den anderen Ladungen ausgeglichen',
  'the-rest': 'der Rest',
  additions: 'Zugaben',
  'fill-vessel': 'das Gefäß gefüllt',
  rescaled: 'umgerechnet',
  'as-it-is': 'so gelassen',
  rescue: 'gerettet',
  'without-rescue': 'ohne Rettung weiter',
  'kept-aside': 'zurückbehalten',
};
export const sights: Readonly<Record<Sight, string>> = {
  fine: 'noch gut',
  'thin-layer': 'eine dünne Schicht',
  split: 'geronnen',
};
export const complaints: Readonly<Record<Complaint, string>> = {
  'into-band': 'Ins Gleichgewicht',
  'too-sharp': 'Zu sauer',
  'needs-acid': 'Braucht Säure',
  flat: 'Flach',
  'too-salty': 'Zu salzig',
  'needs-salt': 'Braucht Salz',
  'too-sweet': 'Zu süß',
  'needs-sweet': 'Braucht Süße',
  'too-oily': 'Zu ölig',
  lean: 'Mager',
  'too-thin': 'Zu dünn',
  'too-thick': 'Zu dick',
  'harsh-garlic': 'Beißt nach Knoblauch oder Zwiebel',
  'too-hot': 'Zu scharf',
  'strong-mustard': 'Zu viel Senf',
  bitter: 'Bitteres Öl',
};
export const asides: Readonly<Partial<Record<Complaint, string>>> = {
  'harsh-garlic':
    'Nächstes Mal den Knoblauch 10 Minuten in der Säure lassen, bevor Öl dazukommt, oder kurz abbrühen.',
  bitter: 'Nächstes Mal neutrales Öl mixen und das Olivenöl von Hand unterheben.',
  'too-hot': 'Es wird beim Stehen schärfer. In zehn Minuten noch einmal probieren.',
};
export const plans: Readonly<Record<PlanId, string>> = {
  acid: 'Säure dazu',
  salt: 'Salz dazu',
  savoury: 'Mit etwas Würzigem salzen',
  cover: 'Überdecken',
  band: 'Ins Gleichgewicht bringen',
  dilute: 'Strecken',
  thin: 'Verdünnen',
  balance: 'Ausgleichen',
  sweeten: 'Süßen',
  cut: 'Dem Öl etwas entgegensetzen',
  enrich: 'Fülliger machen',
  thicken: 'Andicken',
  gum: 'Mit Xanthan andicken, erst in Öl angerührt',
  together: 'Alles auf einmal',
};
export const binders: Readonly<Record<EmulsifierKind, string>> = {
  yolk: 'Eigelb',
  milk: 'Milcheiweiß',
  lecithin: 'Lecithin',
  mustard: 'Senf',
  protein: 'Eiweiß',
  weak: 'schwache Binder',
  none: 'nichts',
};
export const thickness: Readonly<Record<ThicknessClass, string>> = {
  runny: 'dünnflüssig',
  'pours-like-cream': 'fließt wie Sahne',
  'coats-a-spoon': 'bleibt am Löffel',
  spoonable: 'zum Löffeln',
  'holds-its-shape': 'hält seine Form',
  stiff: 'steif',
};
const titles: Readonly<Record<PalateKey, readonly [title: string, unit: string, low: string, high: string]>> =
  {
    acid: ['Säure', '% Säure', 'mild', 'sauer'],
    ratio: ['Öl zu Säure', ': 1', 'wenig Öl', 'ölig'],
    salt: ['Salz', '% Salz', 'flach', 'salzig'],
    sweet: ['Süße', '% als Zucker', 'zu wenig süß', 'süß'],
    sugarToAcid: ['Zucker zu Säure', '', 'herb', 'süß für seine Säure'],
    fat: ['Fülle', '% Fett', 'mager', 'füllig'],
    body: ['Körper', 'von 70', 'dünn', 'dick'],
    garlic: ['Knoblauch und Zwiebel', '% als roher Knoblauch', 'schwach', 'beißend'],
    heat: ['Schärfe', '% als Chili', 'schwach', 'scharf'],
    mustard: ['Senfschärfe', '% als Senf', 'schwach', 'stark'],
    bitter: ['Bitteres Öl', '% wie nativ extra', 'mild', 'bitter, wenn hart gemixt'],
  };
const SHOWN: Readonly<Record<PalateKey, readonly [decimals: number, factor: number]>> = {
  acid: [2, 100],
  ratio: [1, 1],
  salt: [2, 100],
  sweet: [1, 100],
  sugarToAcid: [1, 1],
  fat: [0, 100],
  body: [0, 1],
  garlic: [2, 100],
  heat: [3, 100],
  mustard: [2, 100],
  bitter: [0, 100],
};
export const measures = Object.fromEntries(
  (Object.keys(titles) as PalateKey[]).map((key) => {
    const [title, unit, low, high] = titles[key];
    const [decimals, factor] = SHOWN[key];
    return [key, { title, unit, low, high, decimals, factor }];
  }),
) as Readonly<Record<PalateKey, MeasureWords>>;

export const near: Readonly<Record<ScoreBand, string>> = {
  inside: 'Richtig für',
  served: 'Fast',
  doubtful: 'Nicht ganz',
  off: 'Weit weg von',
};

export const limits: Readonly<Record<LimitName, string>> = {
  avocado: 'Avocado',
  raw_egg: 'rohes Ei',
  sprouts: 'rohe Sprossen',
  raw_food: 'roher Fisch, rohes Fleisch oder nicht Pasteurisiertes',
  low_acid: 'kaum sauer, oder wie sauer ist nicht bekannt',
  not_all_read: 'eine Zeile, die nicht zu lesen war',
  no_acid_reserve: 'kaum Säure hält es',
  cooked_food: 'Gekochtes darin',
  under_oil: 'Knoblauch, Kräuter oder Gemüse unter Öl',
  pasteurised_egg: 'pasteurisiertes Ei',
  plant_protein: 'Bohnen, Soja oder Nussmilch',
  raw_allium: 'roher Knoblauch oder Zwiebel',
  cooked_allium: 'gegarter Knoblauch oder Zwiebel',
  fresh_herb: 'frische Kräuter',
  cut_plant: 'geschnittenes Obst, Gemüse oder Abrieb',
  unlisted: 'etwas von Hand Eingetragenes',
  opened_preserve: 'ein angebrochenes Glas',
  dairy: 'Milchprodukte',
  soft_or_blue_cheese: 'Weich- oder Blauschimmelkäse',
  mayonnaise: 'Mayonnaise',
  fish: 'Fisch',
  sour_juice: 'frischer Saft, der Aroma verliert und gärt',
  tcs: 'sauer, aber für länger nicht sauer genug',
  weak_acid: 'nur wenig Säure hält es',
  shelf: 'nichts darin setzt eine kürzere Frist',
};

export const phReasons: Readonly<Record<PhReason, string>> = {
  'too-little-water': 'es ist kaum Wasser darin, und der pH eines Öls sagt nichts',
  'water-from-plants-only':
    'Wasser ist nur in Kräutern, Knoblauch oder Gemüse, und der pH eines angesetzten Öls sagt nichts',
  pieces: 'es sind Stücke darin, die die Säure nicht erreicht hat; die Zahl wäre die einer gemixten Probe',
  'not-all-read': 'nicht jede Zeile war zu lesen',
  'much-protein': 'es ist viel Eiweiß darin, das den pH hochhält, wie keine Tabelle es weiß',
  'mostly-dairy': 'es ist vor allem Milch, die den pH hochhält, wie keine Tabelle es weiß',
  'interval-too-wide': 'was bekannt ist, lässt mehr als einen ganzen pH offen',
  'no-balance': 'die Rechnung ging nicht auf',
  'upper-estimate-only': 'nur eine obere Grenze lohnt das Sagen',
  bracketed: 'keine Mischung ist weniger sauer als ihr am wenigsten saurer Teil',
  'raw-egg-needs-acetic': 'rohes Ei verlangt Essig: zu wenig Essigsäure im Wasser',
  'above-threshold': 'auch bestenfalls über der Grenze',
  'straddles-threshold': 'die Grenze liegt in dem, was es sein kann',
};
export const instruments: Readonly<Record<InstrumentInfo['instrument'], string>> = {
  scale: 'Waage',
  thermometer: 'Thermometer',
  'ph-meter': 'pH-Messer',
};
