import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useMemo, useState } from 'react';
import { formatDay, formatMonth } from '#words/numbers';
import { logWords } from '#words/screens/log';
import { IconButton } from '../../ui/Button';
import { dayOf } from './logFilter';
import { daysOfMonth, monthOf, monthBeside } from './month';

interface MonthStripProps {
  /** The days of the jars, YYYY-MM-DD, as often as there are jars. */
  readonly days: readonly string[];
  /** The day that is looked at; empty: all. */
  readonly chosen: string;
  readonly onDay: (day: string) => void;
}

/** A month in one line: on which days jars were made, and how many; a day that is pressed shows its own. */
export function MonthStrip({ days, chosen, onDay }: MonthStripProps) {
  const newest = [...days].sort().at(-1);
  const [month, setMonth] = useState(() => monthOf(chosen || (newest ?? dayOf(new Date().toISOString()))));
  const count = useMemo(() => {
    const counted = new Map<string, number>();
    for (const day of days) counted.set(day, (counted.get(day) ?? 0) + 1);
    return counted;
  }, [days]);
  const all = daysOfMonth(month);
  const made = all.reduce((sum, day) => sum + (count.get(day) ?? 0), 0);
  return (
    <section aria-label={logWords.month} className="mb-3" data-testid="month">
      <div className="mb-1 flex items-center gap-2">
        <IconButton
          label={logWords.monthBefore}
          onClick={() => {
            setMonth(monthBeside(month, -1));
          }}
        >
          <ChevronLeft size={16} aria-hidden />
        </IconButton>
        <h2 className="min-w-40 text-center font-semibold">{formatMonth(month)}</h2>
        <IconButton
          label={logWords.monthAfter}
          onClick={() => {
            setMonth(monthBeside(month, 1));
          }}
        >
          <ChevronRight size={16} aria-hidden />
        </IconButton>
        <span className="text-sm text-quiet" role="status">
          {logWords.jarsInIt(made)}
        </span>
      </div>
      <ol className="grid grid-cols-7 gap-1 sm:grid-cols-[repeat(31,minmax(0,1fr))]">
        {all.map((day) => {
          const jars = count.get(day) ?? 0;
          return (
            <li key={day} className="grid">
              <button
                type="button"
                disabled={jars === 0}
                aria-pressed={day === chosen}
                className={`keeps-colour grid min-h-9 place-items-center rounded-md border text-sm ${day === chosen ? 'border-leaf bg-bottle font-semibold text-white' : jars > 0 ? 'border-leaf bg-mint font-semibold hover:bg-paper' : 'border-transparent text-quiet'}`}
                onClick={() => {
                  onDay(day === chosen ? '' : day);
                }}
              >
                <span aria-hidden className="grid place-items-center leading-tight">
                  {Number(day.slice(8))}
                  {jars > 1 && <span className="text-2xs leading-none">×{jars}</span>}
                </span>
                <span className="sr-only">{logWords.jarsOn(jars, formatDay(day))}</span>
              </button>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
