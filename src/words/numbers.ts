/** Numbers for the screen. The only place where fractions become per cent. */
import { sentencesNow } from './tongue';
import { sensibleDecimals, type DecimalSign } from '#core/quantity';

export interface NumberStyle {
  readonly decimalSign: DecimalSign;
}

const signed = (text: string, { decimalSign }: NumberStyle): string =>
  decimalSign === 'comma' ? text.replace('.', ',') : text;

/** "a, b and c". */
export const listed = (words: readonly string[]): string =>
  sentencesNow()?.listed(words) ??
  (words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`);

export function formatAmount(value: number, unit: 'g' | 'ml', style: NumberStyle): string {
  const decimals = unit === 'ml' && Math.abs(value) >= 9.95 ? 0 : sensibleDecimals(value);
  return `${signed(value.toFixed(decimals), style)} ${unit}`;
}

/** What would be written as 1000 is one of the larger unit. */
const ONE_MORE = 999.5;

/** "12.2 l", "850 ml": three figures are plenty of a batch. */
export const formatVolume = (ml: number, style: NumberStyle): string =>
  Math.abs(ml) < ONE_MORE
    ? formatAmount(ml, 'ml', style)
    : `${signed(String(Number((ml / 1000).toPrecision(3))), style)} l`;

/** "5.33 kg", "850 g"; what is weighed keeps its grams. */
export const formatMass = (g: number, style: NumberStyle): string =>
  Math.abs(g) < ONE_MORE
    ? formatAmount(g, 'g', style)
    : `${signed(String(Number((g / 1000).toPrecision(3))), style)} kg`;

/** One decimal below 20 %, none above where none is deserved. */
export function formatPercent(fraction: number | null, style: NumberStyle, decimals = 1): string {
  return fraction === null ? '–' : `${signed((fraction * 100).toFixed(decimals), style)} %`;
}

/** "2.7 : 1"; two decimals below 1, where a tenth is a lot. */
export function formatRatio(ratio: number | null, style: NumberStyle): string {
  if (ratio === null) return '–';
  return `${signed(ratio.toFixed(ratio < 1 ? 2 : 1), style)} : 1`;
}

/** A ratio that is aimed at, as it is said: "3 : 1", "2.5 : 1". */
export const formatPlainRatio = (ratio: number, style: NumberStyle): string =>
  `${formatNumber(ratio, Number.isInteger(ratio) ? 0 : 1, style)} : 1`;

export function formatSpan(
  low: number | null,
  high: number | null,
  format: (value: number) => string,
): string | null {
  if (low === null && high === null) return null;
  const [from, to] = [low === null ? 'nothing' : format(low), high === null ? 'no limit' : format(high)];
  return from === to ? null : `${from} to ${to}`;
}

/** Places and peoples that food is named after: English writes them with a capital everywhere. */
const PROPER =
  /^(?:Aleppo|Brazil|Brie|Brussels|Caesar|Cheddar|Chinese|Dijon|English|French|Gouda|Greek|Indian|Italian|Japanese|Kalamata|Korean|Lima|Mexican|Modena|Parmesan|Savoy|Seville|Sichuan|Spanish|Swiss|Thai|Turkish|Worcester(?:shire)?)\b/;

/** "Red wine vinegar 6 %" inside a sentence: "red wine vinegar 6 %"; "Dijon-type mustard" stays. */
export const inSentence = (name: string): string =>
  sentencesNow()?.inSentence(name) ??
  (PROPER.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1));

/** "€ 2.35": the kitchen's own sign, two decimals. */
export const formatMoney = (amount: number, style: NumberStyle & { readonly currency: string }): string =>
  `${style.currency} ${signed(amount.toFixed(2), style)}`;

/** "14 kB", "1.2 MB". @param bytes at least 0 */
export const formatBytes = (bytes: number, style: NumberStyle): string =>
  bytes < 1_000_000
    ? `${formatNumber(Math.ceil(bytes / 1000), 0, style)} kB`
    : `${formatNumber(bytes / 1_000_000, 1, style)} MB`;

export const formatNumber = (value: number, decimals: number, style: NumberStyle): string =>
  signed(value.toFixed(decimals), style);

/** Who reads it: left out, the language and the clock of this machine. */
export interface Reader {
  /** BCP 47, such as "en-GB". */
  readonly language?: string | undefined;
  /** IANA, such as "Europe/Berlin". */
  readonly timeZone?: string | undefined;
  /** Left out: as the language has it. */
  readonly hours?: 12 | 24 | undefined;
}
let reading: Reader = {};
/** A page has one reader: what it says is said to them unless another is named. */
export function readAs(reader: Reader): void {
  reading = reader;
}
export const readerHere = (): Reader => reading;

const clockOf = ({ hours }: Reader): { readonly hour12?: boolean } =>
  hours === undefined ? {} : { hour12: hours === 12 };

/** "25 Nov 2026, 14:05", in the reader's language and by the reader's clock. */
export const formatMoment = (iso: string, reader: Reader = reading): string =>
  new Date(iso).toLocaleString(reader.language, {
    dateStyle: 'medium',
    timeStyle: 'short',
    timeZone: reader.timeZone,
    ...clockOf(reader),
  });

/** "14:05" of a moment, by the reader's clock. */
export const formatClock = (moment: Date, reader: Reader = reading): string =>
  moment.toLocaleTimeString(reader.language, {
    timeStyle: 'short',
    timeZone: reader.timeZone,
    ...clockOf(reader),
  });

/** "14:05" or "2:05 pm" of a time of day. @param minutes from midnight, 0 to 1439 */
export function formatTimeOfDay(minutes: number, reader: Reader = reading): string {
  const { language } = reader;
  const usual = new Intl.DateTimeFormat(language, { hour: 'numeric', ...clockOf(reader) }).resolvedOptions();
  const [hour, rest] = [Math.floor(minutes / 60), String(minutes % 60).padStart(2, '0')];
  return usual.hour12 === true ? `${hour % 12 || 12}:${rest} ${hour < 12 ? 'am' : 'pm'}` : `${hour}:${rest}`;
}

/** "November 2026". @param month YYYY-MM */
export const formatMonth = (month: string, { language }: Reader = reading): string =>
  new Date(`${month}-15T12:00:00`).toLocaleDateString(language, { month: 'long', year: 'numeric' });

/** "Thu 26 November 2026". @param day YYYY-MM-DD */
export const formatDay = (day: string, { language }: Reader = reading): string =>
  new Date(`${day}T12:00:00Z`).toLocaleDateString(language, {
    timeZone: 'UTC',
    weekday: 'short',
    day: 'numeric',
    month: 'long',
    year: 'numeric',
  });

/** "Mon 7". @param day YYYY-MM-DD */
export function formatWeekday(day: string, { language }: Reader = reading): string {
  const noon = new Date(`${day}T12:00:00Z`);
  return `${noon.toLocaleDateString(language, { weekday: 'short', timeZone: 'UTC' })} ${noon.getUTCDate()}`;
}

/** A whole number with its thousands apart: "20,000". */
export const formatCount = (value: number, { language }: Reader = reading): string =>
  new Intl.NumberFormat(language).format(value);
