/** A number as typed, with comma or point; null where it is none. Never NaN. */
export function readDecimal(text: string): number | null {
  const tidy = text.trim().replace(',', '.');
  if (!/^[+-]?(?:\d+\.?\d*|\.\d+)$/.test(tidy)) return null;
  const value = Number(tidy);
  return Number.isFinite(value) ? value : null;
}
