/** Numbers for the screen. The only place where fractions become per cent. */
import { sensibleDecimals, type DecimalSign } from '#core/quantity';

export interface NumberStyle {
  readonly decimalSign: DecimalSign;
}

const signed = (text: string, { decimalSign }: NumberStyle): string =>
  decimalSign === 'comma' ? text.replace('.', ',') : text;

export function formatAmount(value: number, unit: 'g' | 'ml', style: NumberStyle): string {
  const decimals = unit === 'ml' && Math.abs(value) >= 9.95 ? 0 : sensibleDecimals(value);
  return `${signed(value.toFixed(decimals), style)} ${unit}`;
}

/** "12.2 l", "850 ml": three figures are plenty of a batch. */
export const formatVolume = (ml: number, style: NumberStyle): string =>
  Math.abs(ml) < 1000
    ? formatAmount(ml, 'ml', style)
    : `${signed(String(Number((ml / 1000).toPrecision(3))), style)} l`;

/** "5.33 kg", "850 g"; what is weighed keeps its grams. */
export const formatMass = (g: number, style: NumberStyle): string =>
  Math.abs(g) < 1000
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

export function formatSpan(
  low: number | null,
  high: number | null,
  format: (value: number) => string,
): string | null {
  if (low === null && high === null) return null;
  const [from, to] = [low === null ? 'nothing' : format(low), high === null ? 'no limit' : format(high)];
  return from === to ? null : `${from} to ${to}`;
}

/** "Red wine vinegar 6 %" inside a sentence: "red wine vinegar 6 %". */
export const inSentence = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);

/** "€ 2.35": the kitchen's own sign, two decimals. */
export const formatMoney = (amount: number, style: NumberStyle & { readonly currency: string }): string =>
  `${style.currency} ${signed(amount.toFixed(2), style)}`;

export const formatNumber = (value: number, decimals: number, style: NumberStyle): string =>
  signed(value.toFixed(decimals), style);

/** Who reads it: left out, the language and the clock of this machine. */
export interface Reader {
  /** BCP 47, such as "en-GB". */
  readonly language?: string | undefined;
  /** IANA, such as "Europe/Berlin". */
  readonly timeZone?: string | undefined;
}

/** "25 Nov 2026, 14:05", in the reader's language and by the reader's clock. */
export const formatMoment = (iso: string, { language, timeZone }: Reader = {}): string =>
  new Date(iso).toLocaleString(language, { dateStyle: 'medium', timeStyle: 'short', timeZone });
