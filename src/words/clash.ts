/** What was changed on two screens at once, or is not taken: where it is, and both values. */
import { at, type Clash, type Path } from '#core/document';
import type { SharedKind } from '#contract';

type Kind = SharedKind | 'formula';
type Fields = Readonly<Record<string, unknown>>;

const KINDS: Readonly<Record<Kind, string>> = {
  formula: 'formula',
  plan: 'plan of the day',
  settings: 'settings',
  pantry: 'pantry',
  vessel: 'vessel',
  style: 'style',
  ingredient: 'ingredient',
  cook: 'cook',
  dishes: 'dishes',
  practice: 'practice',
};
const FIELDS: Readonly<Record<string, string>> = {
  amountText: 'amount',
  ingredientId: 'ingredient',
  ingredientText: 'ingredient',
  form: 'form',
  note: 'note',
  phase: 'place in the order of the work',
  optional: 'optional or not',
  locked: 'lock',
  measuredBy: 'measure it was typed with',
  stage: 'stage',
  stageNames: 'places to stop',
  rank: 'place',
  name: 'name',
  vesselId: 'vessel',
  spoons: 'spoons',
  partVolumeMl: 'size of a part, ml',
  servingVolumeMl: 'serving, ml',
  countsOptional: 'counting of optional additions',
  styleId: 'style',
  targetRatio: 'ratio aimed at',
  tool: 'tool',
  mixSeconds: 'time of mixing, s',
  basedOnVersion: 'version it grows from',
  cooks: 'cooks',
  fromMin: 'start of the day',
  services: 'services',
  jobs: 'side jobs',
  dishes: 'dishes',
  done: 'ticked off',
  begun: 'begun',
  movedMin: 'moved to',
  atMin: 'time',
  covers: 'covers',
  servingG: 'g a cover',
  fresh: 'made that day',
  dressed: 'way of dressing',
  moment: 'moment of dressing',
  kind: 'kind',
  version: 'version',
  minutes: 'minutes',
  handsOn: 'hands needed',
  serviceId: 'service',
  beforeMinutes: 'minutes before',
  kitchenName: 'name of the kitchen',
  decimalSign: 'decimal sign',
  amountsIn: 'amounts in',
  currency: 'currency',
  smallMeasures: 'small measures',
  provenAfter: 'good jars before it counts as proven',
  learning: 'learning',
  batch: 'batches',
  scale: 'scale',
  holdBack: 'held back',
  lossShare: 'losses',
  fridgeC: 'fridge, °C',
  roomC: 'room, °C',
  onHandG: 'on hand, g',
  price: 'price',
  packMassG: 'pack, g',
  bottle: 'bottle',
  label: 'label',
  acidityGPer100Ml: 'acidity, g per 100 ml',
  ph: 'pH',
  openedOn: 'opened on',
  useBy: 'use by',
  thickness: 'thickness',
  handPace: 'pace of work by hand',
  windows: 'windows',
  initials: 'initials',
};

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What a line, a service or a dish is called by whoever looks at it. */
function nameOf(value: unknown): string | null {
  if (!isFields(value)) return null;
  const { name, ingredientText, amountText } = value;
  if (typeof ingredientText === 'string')
    return [amountText, ingredientText].filter(Boolean).join(' ') || 'an empty line';
  return typeof name === 'string' ? name : null;
}

/** Of a line what it is of: how much is what is asked about. */
const shortNameOf = (value: unknown): string | null =>
  isFields(value) && typeof value.ingredientText === 'string' && value.ingredientText !== ''
    ? value.ingredientText
    : nameOf(value);

function sayValue(value: unknown): string {
  if (value === undefined || value === null) return 'nothing';
  if (value === true) return 'yes';
  if (value === false) return 'no';
  if (value === '') return 'left empty';
  if (typeof value === 'string' || typeof value === 'number') return String(value);
  return (
    nameOf(value) ??
    Object.values(value)
      .filter((one) => typeof one !== 'object')
      .join(', ')
  );
}

const isItem = (value: unknown): boolean => isFields(value) && typeof value.id === 'string';

export interface SaidClash {
  /** "Amount of 2 tbsp olive oil". */
  readonly what: string;
  readonly mine: string;
  readonly theirs: string;
  /** Why it is not taken; null: it was changed elsewhere, too. */
  readonly why: string | null;
}

/** @param doc what stands on the screen @param name what the thing itself is called, where it has a name */
export function sayClash(kind: Kind, doc: unknown, clash: Clash, name?: string): SaidClash {
  const { path, base, mine, theirs, why = null } = clash;
  const whole = [mine, theirs, base].find(isItem);
  const said = (value: unknown): string => (whole && value === undefined ? 'taken out' : sayValue(value));
  return { what: placeOf(kind, doc, path, whole, name), mine: said(mine), theirs: said(theirs), why };
}

function placeOf(kind: Kind, doc: unknown, path: Path, whole: unknown, name: string | undefined): string {
  const about = name ?? nameOf(doc) ?? KINDS[kind];
  if (path.length === 0) return about;
  const field = whole === undefined ? (FIELDS[path.at(-1)!] ?? path.at(-1)!) : (nameOf(whole) ?? 'line');
  const within = path
    .slice(0, -1)
    .map((_, i) => at(doc, path.slice(0, i + 1)))
    .filter(isItem)
    .map(shortNameOf)
    .filter((one) => one !== null)
    .at(-1);
  const where = within ?? (kind === 'formula' || kind === 'plan' ? null : about);
  const text = where === null ? field : `${field} of ${where}`;
  return text.charAt(0).toUpperCase() + text.slice(1);
}

export const clashWords = {
  title: 'Changed elsewhere too',
  whichStays: 'Changed elsewhere while you worked. Which stays?',
  notTaken: 'Not taken. Mend it where it was typed, or let it go.',
  keepMine: (mine: string) => `Keep mine: ${mine}`,
  takeTheirs: (theirs: string) => `Take theirs: ${theirs}`,
  sendAgain: (mine: string) => `Send again: ${mine}`,
  letGo: 'Let it go',
  keys: 'Keys: K keeps mine, T takes theirs, for the first of the list.',
  keepsMine: 'Of what was changed elsewhere too: keep mine',
  takesTheirs: 'Of what was changed elsewhere too: take theirs',
  allMine: 'Keep all of mine',
  allTheirs: 'Take all of theirs',
};
