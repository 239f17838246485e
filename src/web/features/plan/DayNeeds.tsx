import { Link } from 'react-router';
import type { PlanContent, Settings, ShelfRecord } from '#contract';
import { dressingFor } from '#core/service';
import { formatVolume } from '../../format';

/** How much of each dressing the day takes, and the way to its batch. */
export function DayNeeds({
  day,
  content,
  shelf,
  settings,
}: {
  day: string;
  content: PlanContent;
  shelf: readonly ShelfRecord[];
  settings: Settings;
}) {
  const needs = new Map<string, { ml: number; highMl: number }>();
  for (const { covers, dishes } of content.services) {
    for (const { formulaId, kind, servingG, dressed } of dishes) {
      const need = dressingFor(kind, servingG * covers, dressed);
      const before = needs.get(formulaId) ?? { ml: 0, highMl: 0 };
      needs.set(formulaId, { ml: before.ml + need.ml, highMl: before.highMl + need.highMl });
    }
  }
  if (needs.size === 0) return <div />;
  return (
    <section aria-label="What the day needs" className="card grid content-start gap-1 p-4">
      <h2 className="font-name text-lg font-bold">What the day needs</h2>
      <ul data-testid="day-needs">
        {[...needs].map(([id, { ml, highMl }]) => {
          const record = shelf.find((one) => one.id === id);
          const litres = Math.ceil(highMl / 100) / 10;
          return (
            <li key={id} className="border-t border-rule py-1.5">
              <strong>{record?.formula.name ?? 'a dressing that is gone'}</strong>:{' '}
              {formatVolume(ml, settings)}, up to {formatVolume(highMl, settings)}
              {record && (
                <Link
                  to={`/formulas/${id}/batch?by=volume&amount=${litres}&day=${day}`}
                  className="flex min-h-8 items-center font-semibold text-bottle underline"
                >
                  Plan its batch
                </Link>
              )}
            </li>
          );
        })}
      </ul>
      <Link to={`/batches?day=${day}`} className="flex min-h-8 items-center text-bottle underline">
        Batches and pull list of the day
      </Link>
    </section>
  );
}
