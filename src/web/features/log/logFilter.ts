/** The log of a formula, searched: over words, by cook, bottle and day. Its state is the address. */
import type { TrialRecord } from '#contract';

export interface LogFilter {
  readonly q: string;
  readonly cook: string;
  readonly bottle: string;
  /** YYYY-MM-DD, or empty. */
  readonly from: string;
  readonly to: string;
  /** Only these, by id: what a sentence spoke of. */
  readonly jars: string;
  /** In the kitchen's log: of this formula. */
  readonly formula: string;
}

export const logFilterFrom = (params: URLSearchParams): LogFilter => ({
  q: params.get('q') ?? '',
  cook: params.get('cook') ?? '',
  bottle: params.get('bottle') ?? '',
  from: params.get('from') ?? '',
  to: params.get('to') ?? '',
  jars: params.get('jars') ?? '',
  formula: params.get('formula') ?? '',
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

export const jarsLink = (formulaId: string, ids: readonly string[]): string =>
  `/formulas/${formulaId}/log?${new URLSearchParams({ jars: ids.join(',') }).toString()}`;

export function passesLog(jar: TrialRecord, { q, cook, bottle, from, to, jars }: LogFilter): boolean {
  if (jars && !jars.split(',').includes(jar.id)) return false;
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

/** Midnight of a day where this browser is, and of the day after. */
export function dayBounds(day: string, daysAfter = 0): string {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  return new Date(year, month - 1, date + daysAfter).toISOString();
}

/** As the kitchen is asked for jars; null: the days are no days, nothing fits. */
export function asked({ q, cook, bottle, formula, from, to }: LogFilter) {
  const said = Object.entries({ q: q.trim(), cook, bottle, formula }).filter(([, value]) => value !== '');
  const isDay = (day: string): boolean => day === '' || /^\d{4}-\d{2}-\d{2}$/.test(day);
  if (!isDay(from) || !isDay(to)) return null;
  return {
    ...(Object.fromEntries(said) as Partial<Pick<LogFilter, 'q' | 'cook' | 'bottle' | 'formula'>>),
    ...(from === '' ? {} : { from: dayBounds(from) }),
    ...(to === '' ? {} : { to: dayBounds(to, 1) }),
  };
}
