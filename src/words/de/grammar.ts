/** How German joins words, names things, and writes numbers and times. */
import type { Named } from '#core/safety';
import { INGREDIENTS } from './ingredients';

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
export const listed = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} und ${words.at(-1)!}`;
export const ingredient = (name: string): string => INGREDIENTS[name] ?? name;
/** Without what stands behind the comma: "Knoblauch" of "Knoblauch, roh, geschält". */
export const plain = (name: string): string => ingredient(name).split(',')[0]!;
export const names = (all: readonly Named[], otherwise = ''): string =>
  listed([...new Set(all.map(({ name }) => plain(name)))]) || otherwise;
export const quoted = (words: readonly string[]): string => {
  const shown = words.slice(0, 3).map((word) => `„${word}“`);
  return words.length > 3 ? `${shown.join(', ')} und ${words.length - 3} weitere` : listed(shown);
};
export const comma = (value: number, decimals: number): string => value.toFixed(decimals).replace('.', ',');
export const PLANT = 'eine Pflanze in einer Zeile, die nicht zu lesen war';

export const MIN = 60;
export const HOUR = 3600;
export const DAY = 86_400;
export function duration(seconds: number): string {
  if (seconds < MIN) return 'weniger als eine Minute';
  if (seconds < 1.5 * HOUR) {
    const minutes = seconds / MIN;
    return `${minutes < 10 ? Math.round(minutes) : Math.round(minutes / 5) * 5} min`;
  }
  return seconds < 36 * HOUR ? halves(seconds / HOUR, 'h', 'h') : halves(seconds / DAY, 'Tag', 'Tage');
}
export function halves(value: number, one: string, many: string): string {
  if (value >= 10) return `${Math.round(value)} ${many}`;
  const rounded = Math.max(0.5, Math.round(value * 2) / 2);
  const whole = Math.floor(rounded);
  return `${whole > 0 ? whole : ''}${rounded > whole ? '½' : ''} ${rounded > 1 ? many : one}`;
}
