/**
 * What is wrong with something typed or sent, in words. The contract's messages are its codes: each has its
 * words here, and those with a bound are put together from their number and unit.
 */
const PROBLEMS: Readonly<Record<string, string>> = {
  'more than nothing': 'more than nothing',
  'needs a name': 'needs a name',
  'pH is 0 to 14': 'pH is 0 to 14',
  'not below nothing': 'not below nothing',
  'must be more than nothing': 'must be more than nothing',
  'must be a day such as 2026-05-31': 'must be a day such as 2026-05-31',
  'is no day of the calendar': 'is no day of the calendar',
  'whole days': 'whole days',
  'the scale must carry more than what is weighed into':
    'the scale must carry more than what is weighed into',
  'the low end must be below the high end': 'the low end must be below the high end',
  'needs words': 'needs words',
  'needs initials': 'needs initials',
  'needs a title': 'needs a title',
  'needs a sign': 'needs a sign',
  'must say what it is for': 'must say what it is for',
  'must be a version, or what is to be frozen': 'must be a version, or what is to be frozen',
  'must hold something, or be made step by step': 'must hold something, or be made step by step',
  'must have words for every line': 'must have words for every line',
  'must have a cell for every column': 'must have a cell for every column',
  'must end at the brim': 'must end at the brim',
  'must be three digits': 'must be three digits',
  'must be base64': 'must be base64',
  'must be letters, digits, _ or -': 'must be letters, digits, _ or -',
  'must be another dressing than the first': 'must be another dressing than the first',
  'must be after the mixing': 'must be after the mixing',
  'must be a pH from 0 to 14, or from -40 to 200 °C': 'must be a pH from 0 to 14, or from -40 to 200 °C',
  'must be 1-64 letters, digits, _ or -': 'must be 1-64 letters, digits, _ or -',
  'low must not be above the usual value, nor high below it':
    'low must not be above the usual value, nor high below it',
  'is no field of this': 'is no field of this',
  'is a time zone such as Europe/Berlin': 'is a time zone such as Europe/Berlin',
  'is a language such as en-GB': 'is a language such as en-GB',
  'heights must rise from bottom to brim': 'heights must rise from bottom to brim',
  'must go with its pack': 'Price and pack go together',
};
const UNITS: Readonly<Record<string, string>> = {
  one: 'one',
  half: 'half',
  characters: 'characters',
  letters: 'letters',
  additions: 'additions',
  loads: 'loads',
  load: 'load',
  tasters: 'tasters',
  taster: 'taster',
  weighings: 'weighings',
  days: 'days',
  day: 'day',
  ml: 'ml',
  '°C': '°C',
  'g per 100 ml': 'g per 100 ml',
  'mm: it would not fit on A4': 'mm: it would not fit on A4',
  'at once': 'at once',
};
const BOUND = /^at (least|most) (one|half|-?[\d.]+)(?: (.+))?$/;

/** As zod finds it. */
interface Issue {
  readonly code?: string | undefined;
  /** Of the contract where it has its own; left out while a schema is still asking for one. */
  readonly message?: string | undefined;
  readonly minimum?: unknown;
  readonly maximum?: unknown;
  readonly format?: unknown;
}

/** Words for one of the contract's own messages; null: it is none. */
export function sayCode(code: string): string | null {
  const plain = PROBLEMS[code];
  if (plain !== undefined) return plain;
  const [, side, bound, unit] = BOUND.exec(code) ?? [];
  if (bound === undefined) return null;
  const amount = [UNITS[bound] ?? bound, unit === undefined ? null : (UNITS[unit] ?? null)]
    .filter((part) => part !== null)
    .join(' ');
  return side === 'least' ? `at least ${amount}` : `at most ${amount}`;
}

/** "at most 20 characters", "a number": what it should be, without its field and without a full stop. */
export function sayIssue(issue: Issue): string {
  const own = sayCode(issue.message ?? '');
  if (own !== null) return own;
  switch (issue.code) {
    case 'invalid_type':
      return 'of the wrong kind, or missing';
    case 'too_small':
      return `at least ${String(issue.minimum)}`;
    case 'too_big':
      return `at most ${String(issue.maximum)}`;
    case 'invalid_value':
      return 'not one of the choices there are';
    case 'unrecognized_keys':
      return 'holding fields that are not known here';
    case 'invalid_format':
      return 'not of the right form';
    case 'not_multiple_of':
      return 'a whole number';
    default:
      return 'not understood';
  }
}
