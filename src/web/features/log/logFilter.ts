/** The log of a formula, searched: over words, by cook, bottle and day. Its state is the address. */
import type { TrialRecord } from '#contract';

export interface LogFilter {
  readonly q: string;
  readonly cook: string;
  readonly bottle: string;
  /** YYYY-MM-DD, or empty. */
  readonly from: string;
  readonly to: string;
}

export const logFilterFrom = (params: URLSearchParams): LogFilter => ({
  q: params.get('q') ?? '',
  cook: params.get('cook') ?? '',
  bottle: params.get('bottle') ?? '',
  from: params.get('from') ?? '',
  to: params.get('to') ?? '',
});

/** Everything a jar says in words, in lower case. */
const wordsOf = ({ events, making }: TrialRecord): string =>
  [
    ...events.flatMap(({ event }) => ('note' in event ? [event.note] : [])),
    ...Object.values(making?.bottles ?? {}),
  ]
    .join(' ')
    .toLowerCase();

/** The day of a moment where this browser is, YYYY-MM-DD. */
export const dayOf = (iso: string): string => {
  const date = new Date(iso);
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
};

export function passesLog(jar: TrialRecord, { q, cook, bottle, from, to }: LogFilter): boolean {
  const day = dayOf(jar.at);
  if ((from && day < from) || (to && day > to)) return false;
  const cooks = new Set([jar.by.cookId, ...jar.events.map(({ by }) => by.cookId)]);
  if (cook && !cooks.has(cook)) return false;
  if (bottle && !Object.values(jar.making?.bottles ?? {}).includes(bottle)) return false;
  const words = wordsOf(jar);
  return q
    .toLowerCase()
    .split(/\s+/)
    .filter(Boolean)
    .every((word) => words.includes(word));
}

export const bottlesOf = (jars: readonly TrialRecord[]): readonly string[] =>
  [
    ...new Set(
      jars.flatMap(({ making }) => Object.values(making?.bottles ?? {}).filter((name) => name !== undefined)),
    ),
  ].sort();
