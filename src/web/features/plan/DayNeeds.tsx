import { Link } from 'react-router';
import type { PlanContent, ShelfRecord } from '#contract';
import { formatVolume } from '#words/numbers';
import type { Kitchen } from '#kitchen/reading';
import { planWords } from '#words/screens/plan';
import type { PlannedBowls } from '../../data/bowls';
import { SharedBases } from './SharedBases';
import { litresFor, needsOf, useTakeOn } from './takeOn';
import { TakeOnButton, TakenOn } from './TakenOn';
import { nameIn } from './usePlan';

interface DayNeedsProps {
  readonly day: string;
  readonly content: PlanContent;
  readonly shelf: readonly ShelfRecord[];
  readonly kitchen: Kitchen;
  readonly bowls: PlannedBowls;
}

/** How much of each dressing the day takes; what is made that day becomes batches. */
export function DayNeeds({ day, content, shelf, kitchen, bowls }: DayNeedsProps) {
  const { settings } = kitchen;
  const { needOf } = bowls;
  const all = needsOf(content, needOf);
  const fresh = needsOf(content, needOf, true);
  const nameOf = nameIn(shelf);
  const taking = useTakeOn(
    fresh.map(({ formulaId, highMl }) => ({ formulaId, day, volumeMl: highMl })),
    kitchen,
    nameOf,
  );
  if (all.length === 0) return <div />;
  return (
    <section
      aria-label={planWords.whatTheDayNeeds}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-1 p-4"
    >
      <h2 className="font-name text-lg font-bold">{planWords.whatTheDayNeeds}</h2>
      <ul data-testid="day-needs">
        {all.map(({ formulaId, ml, highMl }) => {
          const covered = taking.covered.find((one) => one.formulaId === formulaId);
          return (
            <li key={formulaId} className="border-t border-rule py-1.5">
              <strong>{nameOf(formulaId)}</strong>
              {planWords.mlUpTo(formatVolume(ml, settings))} {formatVolume(highMl, settings)}
              {covered ? (
                <TakenOn covered={covered} settings={settings} />
              ) : (
                <span className="block text-sm text-quiet">{planWords.fromTheFridge}</span>
              )}
              {covered && covered.missingMl > 0 && (
                <Link
                  to={`/formulas/${formulaId}/batch?by=volume&amount=${litresFor(covered.missingMl)}&day=${day}`}
                  className="flex min-h-8 items-center text-leaf underline"
                >
                  {planWords.planItsBatchByHand}
                </Link>
              )}
            </li>
          );
        })}
      </ul>
      <SharedBases
        day={day}
        toMake={taking.covered.filter(({ missingMl }) => missingMl > 0)}
        kitchen={kitchen}
        nameOf={nameOf}
      />
      <TakeOnButton taking={taking} />
      <Link to={`/batches?day=${day}`} className="flex min-h-8 items-center text-leaf underline">
        {planWords.batchesAndPullListOf}
      </Link>
    </section>
  );
}
