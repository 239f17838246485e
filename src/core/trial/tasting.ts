/**
 * What a mouth says of a jar, in seven rows and two chips, and which complaints that makes. A row is
 * −2..2: below 0 it lacks, above 0 there is too much of it.
 */
import type { Complaint, Severity } from '#core/balance';

export const TASTE_ROWS = ['acid', 'salt', 'sweet', 'oil', 'body', 'bite', 'bitter'] as const;
export type TasteRow = (typeof TASTE_ROWS)[number];
export type TasteValue = -2 | -1 | 0 | 1 | 2;
export type TasteRows = Readonly<Partial<Record<TasteRow, TasteValue>>>;

export const BITES = ['garlic', 'onion', 'chilli', 'mustard'] as const;
export type Bite = (typeof BITES)[number];
export const TASTED_ON = ['leaf', 'spoon', 'dish'] as const;
export type TastedOn = (typeof TASTED_ON)[number];

export interface Tasting {
  readonly on: TastedOn;
  readonly temperatureC: number | null;
  readonly minutesAfterShake: number | null;
  readonly rows: TasteRows;
  /** Where the bite is too much: of what. */
  readonly bite: Bite | null;
  /** Asks for the salt plan and the acid plan. */
  readonly flat: boolean;
  readonly right: boolean;
  readonly note: string;
  /** Taken out for it, g; nothing goes back in. */
  readonly drawnG: number;
}

/** A clean spoon or leaf takes about this much; estimate. */
export const DRAWN_G = 2;

/** Tasted, and nothing said of it yet. */
export const NOTHING_SAID: Tasting = {
  on: 'leaf',
  temperatureC: null,
  minutesAfterShake: null,
  rows: {},
  bite: null,
  flat: false,
  right: false,
  note: '',
  drawnG: DRAWN_G,
};

/** What each row may lack, and have too much of; bitterness cannot be too little. */
const SAYS: Readonly<Record<Exclude<TasteRow, 'bite'>, readonly [low: Complaint | null, high: Complaint]>> = {
  acid: ['needs-acid', 'too-sharp'],
  salt: ['needs-salt', 'too-salty'],
  sweet: ['needs-sweet', 'too-sweet'],
  oil: ['lean', 'too-oily'],
  body: ['too-thin', 'too-thick'],
  bitter: [null, 'bitter'],
};
const BITE_SAYS: Readonly<Record<Bite, Complaint>> = {
  garlic: 'harsh-garlic',
  onion: 'harsh-garlic',
  chilli: 'too-hot',
  mustard: 'strong-mustard',
};

export interface Said {
  readonly complaint: Complaint;
  readonly severity: Severity;
}

/** Complaints of a tasting, strongest first; none where it is right. */
export function complaintsOf({
  rows,
  bite,
  flat,
  right,
}: Pick<Tasting, 'rows' | 'bite' | 'flat' | 'right'>): readonly Said[] {
  if (right) return [];
  const said: Said[] = flat ? [{ complaint: 'flat', severity: 2 }] : [];
  for (const row of TASTE_ROWS) {
    const value = rows[row] ?? 0;
    if (value === 0) continue;
    const severity: Severity = Math.abs(value) === 2 ? 2 : 1;
    const complaint =
      row === 'bite' ? (value > 0 && bite ? BITE_SAYS[bite] : null) : SAYS[row][value < 0 ? 0 : 1];
    if (complaint) said.push({ complaint, severity });
  }
  return said.sort((a, b) => b.severity - a.severity);
}

/** Nothing was said at all: there is nothing to record. */
export const saysNothing = ({
  rows,
  flat,
  right,
  note,
}: Pick<Tasting, 'rows' | 'flat' | 'right' | 'note'>): boolean =>
  !flat && !right && note.trim() === '' && TASTE_ROWS.every((row) => (rows[row] ?? 0) === 0);
