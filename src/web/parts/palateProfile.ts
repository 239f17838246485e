/** What the drawn profile shows of a dressing in its style. */
import { PALATE, type PalateKey, type Palate, type Style } from '#core/palate';
import type { DecimalSign } from '#core/quantity';
import { MARKS, showMeasure } from '#words/judgement';
import { MEASURE_WORDS } from '#words/palate';
import { drawingWords } from '#words/screens/drawing';
import type { ProfileRow } from './drawing/Profile';

/** Always shown, and those that only matter where there is some. */
const ALWAYS: ReadonlySet<PalateKey> = new Set<PalateKey>(['acid', 'salt', 'sweet', 'fat']);
const ORDER: readonly PalateKey[] = [
  'acid',
  'fat',
  'salt',
  'sweet',
  'body',
  'garlic',
  'heat',
  'mustard',
  'bitter',
];
const BODY_MATTERS = 10;

function isShown(key: PalateKey, palate: Palate, style: Style | null): boolean {
  if (ALWAYS.has(key)) return true;
  const { value } = palate[key];
  if (key === 'body') return (value ?? 0) >= BODY_MATTERS || (style?.windows.body?.low ?? 0) >= BODY_MATTERS;
  const window = style?.windows[key];
  return (value ?? 0) > 0 && (!window || value! > window.high * 0.1);
}

/** Rows in the order of the tongue: sharp, rich, salt, sweet, and what bites. */
export function profileRows(palate: Palate, style: Style | null, sign: DecimalSign): readonly ProfileRow[] {
  return ORDER.filter((key) => isShown(key, palate, style)).map((measure) => {
    const { value, range } = palate[measure];
    const window = style?.windows[measure];
    const { title, low, high } = MEASURE_WORDS[measure];
    const figure = showMeasure(measure, value, sign);
    const isOff = value !== null && window !== undefined;
    // A hair outside is drawn at the edge and not said: rounding moves it.
    const hair = PALATE[measure].step / 4;
    const off = isOff && value > window.high + hair ? high : isOff && value < window.low - hair ? low : '';
    return {
      measure,
      component: MARKS[measure],
      title,
      value,
      range,
      window,
      step: PALATE[measure].step,
      off,
      figure,
      state: drawingWords.profileState(off, window !== undefined),
    };
  });
}
