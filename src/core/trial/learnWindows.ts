/**
 * The taster's word beats the window. Said of a measure that lies inside its window, it moves the edge it
 * speaks of; what is right outside a window opens it. One edge moves by the mean of what was said of it,
 * shrunk by n/(n + 3), so that one odd day moves it by a quarter. Rule and numbers: estimate.
 */
import type { Catalogue } from '#core/ingredient';
import { PALATE, palateOf, type PalateKey, type Style, type PalateWindow } from '#core/palate';
import { isKind, standingEvents, type LoggedEvent } from './event';
import type { TrialLine } from './step';
import type { Bite, TasteRow, Tasting } from './tasting';
import { trialPortions } from './trial';

export interface Observation {
  readonly measure: PalateKey;
  readonly value: number;
  readonly says: 'too-much' | 'too-little' | 'right';
}

const ROW_MEASURE: Readonly<Record<Exclude<TasteRow, 'bite'>, PalateKey>> = {
  acid: 'acid',
  salt: 'salt',
  sweet: 'sweet',
  oil: 'fat',
  body: 'body',
  bitter: 'bitter',
};
const BITE_MEASURE: Readonly<Record<Bite, PalateKey>> = {
  garlic: 'garlic',
  onion: 'garlic',
  chilli: 'heat',
  mustard: 'mustard',
};

/** What the tastings of one jar say, each of the jar as it stood. */
export function observationsOf(
  lines: readonly TrialLine[],
  log: readonly LoggedEvent[],
  catalogue: Catalogue,
): readonly Observation[] {
  const stands = standingEvents(log);
  return stands.filter(isKind('tasted')).flatMap(({ id, event }) => {
    const before = log.slice(
      0,
      log.findIndex((logged) => logged.id === id),
    );
    const portions = trialPortions(lines, before, catalogue);
    if (portions.length === 0) return [];
    const palate = palateOf(portions);
    return said(event).flatMap(({ measure, says }): Observation[] => {
      const { value } = palate[measure];
      return value === null ? [] : [{ measure, value, says }];
    });
  });
}

function said({ rows, bite, right }: Tasting): readonly Omit<Observation, 'value'>[] {
  if (right) {
    return Object.values(ROW_MEASURE).map((measure) => ({ measure, says: 'right' }));
  }
  const found: Omit<Observation, 'value'>[] = [];
  for (const [row, measure] of Object.entries(ROW_MEASURE) as [keyof typeof ROW_MEASURE, PalateKey][]) {
    const value = rows[row] ?? 0;
    if (value !== 0) found.push({ measure, says: value > 0 ? 'too-much' : 'too-little' });
  }
  if (bite && (rows.bite ?? 0) > 0) found.push({ measure: BITE_MEASURE[bite], says: 'too-much' });
  return found;
}

export interface Shift {
  readonly measure: PalateKey;
  readonly end: 'low' | 'high';
  readonly from: number;
  readonly to: number;
  /** Tastings that speak of this edge. */
  readonly count: number;
}

const PRIOR_COUNT = 3;

export function shiftedStyle(
  style: Style,
  observations: readonly Observation[],
): { readonly style: Style; readonly shifts: readonly Shift[] } {
  const shifts: Shift[] = [];
  const windows: Partial<Record<PalateKey, PalateWindow>> = { ...style.windows };
  for (const [key, window] of Object.entries(style.windows) as [PalateKey, PalateWindow][]) {
    const of = observations.filter(({ measure }) => measure === key);
    const half = PALATE[key].step / 2;
    const high = edge(
      window.high,
      of.flatMap((one) => highSaid(one, window, half)),
    );
    const low = edge(
      window.low,
      of.flatMap((one) => lowSaid(one, window, half)),
    );
    // Contrary tastings never turn a window inside out.
    if (high.to - low.to < half) continue;
    windows[key] = { low: Math.max(0, low.to), high: high.to };
    if (low.count > 0) shifts.push({ measure: key, end: 'low', from: window.low, ...low });
    if (high.count > 0) shifts.push({ measure: key, end: 'high', from: window.high, ...high });
  }
  return shifts.length > 0 ? { style: { ...style, windows }, shifts } : { style, shifts };
}

/** Where the high edge would have to be for the taster to be right; nothing where the window says so already. */
function highSaid(
  { value, says }: Observation,
  { low, high }: PalateWindow,
  half: number,
): readonly number[] {
  if (says === 'too-much' && value >= low && value <= high) return [value - half];
  return says === 'right' && value > high ? [value] : [];
}
function lowSaid({ value, says }: Observation, { low, high }: PalateWindow, half: number): readonly number[] {
  if (says === 'too-little' && value >= low && value <= high) return [value + half];
  return says === 'right' && value < low ? [value] : [];
}

function edge(at: number, wanted: readonly number[]): { readonly to: number; readonly count: number } {
  const count = wanted.length;
  if (count === 0) return { to: at, count };
  const mean = wanted.reduce((sum, value) => sum + value, 0) / count;
  return { to: at + ((mean - at) * count) / (count + PRIOR_COUNT), count };
}
