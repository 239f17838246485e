import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { daySchema, type PlanRecord } from '#contract';
import { sayDuration } from '#words/hold';
import { planWords } from '#words/screens/plan';
import { usePlanWeekQuery } from '../../data/kitchenApi';
import { useOpenDocs } from '../../data/openDocs';
import { daysAfter, mondayOf, today } from '#kitchen/day';
import { formatWeekday, formatDay, formatVolume } from '#words/numbers';
import type { Kitchen } from '#kitchen/reading';
import { useKitchen } from '../../data/kitchen';
import { Loading, Trouble } from '../../parts/PageState';
import { NextStep } from '../../parts/NextStep';
import { AsLastWeek } from './AsLastWeek';
import { SaveCalendar } from './CalendarTools';
import { TakeOnButton, TakenOn } from './TakenOn';
import { sayTime } from '#kitchen/day';
import { planDay, type Asked } from '#kitchen/day';
import { SharedBases } from './SharedBases';
import { batchesOfWeek } from './batchesOfWeek';
import { needsOf, useTakeOn } from './takeOn';
import type { NeedOf } from '#kitchen/bowl';
import { usePlannedBowls } from '../../data/bowls';
import { useNow } from '../../ui/useNow';
import { useFormulasById } from '../../data/shelf';
import { dishesOf, nameIn, useAsked } from './usePlan';

/** Seven days beside each other, and the batches they come to. */
export function WeekPage() {
  const [search] = useSearchParams();
  const from = mondayOf(daySchema.safeParse(search.get('from')).data ?? today());
  const week = usePlanWeekQuery(from);
  const open = useOpenDocs('plan');
  if (!week.data || week.data[0]?.day !== from)
    return week.error ? (
      <Trouble error={week.error} retry={() => void week.refetch()} />
    ) : (
      <Loading what={planWords.theWeek2} />
    );
  const plans = week.data.map((plan) => ({ ...plan, content: open[plan.day] ?? plan.content }));
  return <Week key={from} from={from} plans={plans} />;
}

function Week({ from, plans }: { from: string; plans: readonly PlanRecord[] }) {
  const kitchen = useKitchen();
  const services = plans.flatMap(({ content }) => content.services);
  const shelf = useFormulasById(dishesOf(services));
  const asked = useAsked(services, shelf, kitchen);
  const { needOf } = usePlannedBowls(
    services.flatMap(({ dishes }) => dishes),
    shelf,
    kitchen,
  );
  const nameOf = useMemo(() => nameIn(shelf), [shelf]);
  const now = useNow();
  const isEmpty = plans.every(({ content }) => content.services.length === 0);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <h1 className="font-name text-2xl font-bold">{planWords.weekOfFrom(formatDay(from))}</h1>
        {[
          [daysAfter(from, -7), planWords.theWeekBefore],
          [mondayOf(today()), planWords.thisWeek],
          [daysAfter(from, 7), planWords.theWeekAfter],
        ].map(([day, words]) => (
          <Link
            key={words}
            to={`/plan/week?from=${day}`}
            className="flex min-h-8 items-center text-leaf underline"
          >
            {words}
          </Link>
        ))}
        <Link to={`/season?from=${from}`} className="flex min-h-8 items-center text-leaf underline">
          {planWords.seasonAndPrice}
        </Link>
        <AsLastWeek from={from} plans={plans} />
        <SaveCalendar
          days={plans.map(({ day, content }) => ({ day, services: content.services }))}
          name={`week-${from}`}
        />
      </div>
      {isEmpty && (
        <div className="card p-4">
          <NextStep
            says={planWords.nothingIsPlannedInThis}
            label={planWords.planTheFirstDay}
            to={`/plan?day=${from > today(now) ? from : today(now)}`}
          />
        </div>
      )}
      <ol
        aria-label={planWords.theDaysOfTheWeek}
        className="grid grid-cols-[minmax(0,1fr)] gap-2 lg:grid-cols-7"
        data-testid="week"
      >
        {plans.map((plan) => (
          <DayCard
            key={plan.day}
            plan={plan}
            kitchen={kitchen}
            asked={asked}
            nameOf={nameOf}
            needOf={needOf}
            now={now}
          />
        ))}
      </ol>
      <WeekBatches
        from={from}
        plans={plans}
        kitchen={kitchen}
        asked={asked}
        nameOf={nameOf}
        needOf={needOf}
      />
    </div>
  );
}

interface DayCardProps {
  readonly plan: PlanRecord;
  readonly kitchen: Kitchen;
  readonly asked: ReadonlyMap<string, Asked>;
  readonly nameOf: (formulaId: string) => string;
  readonly needOf: NeedOf;
  readonly now: Date;
}

/** A day as a column: what is served when, what is dressed for it, and when hands are first wanted. */
function DayCard({ plan: { day, content }, kitchen, asked, nameOf, needOf, now }: DayCardProps) {
  // By the minute, as the day's own page does.
  const minute = Math.floor(now.getTime() / 60_000);
  const { placed, conflicts, clashes, late } = useMemo(
    () => planDay(day, content, nameOf, asked, new Date(minute * 60_000), { ways: false }),
    [day, content, nameOf, asked, minute],
  );
  const hands = placed.reduce((sum, { task }) => sum + (task.handsOn ? task.seconds : 0), 0);
  const done = Object.keys(content.done).length;
  const troubled = conflicts.length + clashes.length + late.length > 0;
  const isToday = day === today(now);
  const stands = troubled
    ? late.length > 0
      ? planWords.doesNotFit
      : planWords.behind
    : content.services.length > 0 && placed.length === 0 && done > 0
      ? planWords.done
      : '';
  return (
    <li className={`card grid content-start gap-2 p-3 lg:min-h-64 ${isToday ? 'border-2 border-leaf' : ''}`}>
      <h2>
        <Link
          to={`/plan?day=${day}`}
          className="inline-flex min-h-6 items-center font-semibold text-leaf underline"
        >
          {formatWeekday(day)}
        </Link>
        {isToday && <span className="text-quiet">{planWords.today}</span>}
      </h2>
      {content.services.length === 0 && (
        <Link to={`/plan?day=${day}`} className="text-sm text-quiet underline">
          {planWords.planThisDay}
        </Link>
      )}
      {[...content.services]
        .sort((a, b) => a.atMin - b.atMin)
        .map(({ id, name, atMin: at, covers }) => (
          <p key={id}>
            <strong>{sayTime(at * 60)}</strong> {name}, {covers}
          </p>
        ))}
      <ul className="grid gap-1 text-sm">
        {needsOf(content, needOf).map(({ formulaId, highMl }) => (
          <li key={formulaId} className="[overflow-wrap:anywhere]">
            {nameOf(formulaId)}, {formatVolume(highMl, kitchen.settings)}
          </li>
        ))}
      </ul>
      {placed[0] && (
        <p className="text-sm">{planWords.firstAtWork(sayTime(placed[0].startS), sayDuration(hands))}</p>
      )}
      {stands && <p className={troubled ? 'font-semibold text-acid-ink' : 'text-quiet'}>{stands}</p>}
    </li>
  );
}

/** What is eaten from the fridge may be made once for several days; what has to be fresh is made that day. */
function WeekBatches({
  from,
  plans,
  kitchen,
  asked,
  nameOf,
  needOf,
}: {
  from: string;
  plans: readonly PlanRecord[];
  kitchen: Kitchen;
  asked: ReadonlyMap<string, Asked>;
  nameOf: (formulaId: string) => string;
  needOf: NeedOf;
}) {
  const batches = batchesOfWeek(plans, needOf, asked);
  const formulaOf = (id: string) =>
    plans
      .flatMap(({ content }) => content.services)
      .flatMap(({ dishes }) => dishes)
      .find(({ formulaId }) => (formulaId as string) === id)!.formulaId;
  const taking = useTakeOn(
    batches.map(({ formulaId, day, volumeMl }) => ({
      formulaId: formulaOf(formulaId),
      day: daysAfter(from, day),
      volumeMl,
    })),
    kitchen,
    nameOf,
  );
  if (batches.length === 0) return <div />;
  return (
    <section aria-label={planWords.batchesOfTheWeek} className="card grid gap-1 p-4">
      <h2 className="font-name text-lg font-bold">{planWords.batchesOfTheWeek}</h2>
      <p className="text-sm text-quiet">{planWords.whatComesFromTheFridge}</p>
      <ul data-testid="week-batches" className="grid gap-x-6 sm:grid-cols-2 lg:grid-cols-3">
        {batches.map(({ formulaId, day, volumeMl, serves }, i) => (
          <li key={`${formulaId} ${day}`} className="border-t border-rule py-1.5">
            <strong>{formatWeekday(daysAfter(from, day))}</strong> {nameOf(formulaId)}:{' '}
            {formatVolume(volumeMl, kitchen.settings)}
            {(serves.length > 1 || serves[0] !== day) && (
              <>
                {' '}
                {planWords.forServesKeeps(
                  serves.map((served) => formatWeekday(daysAfter(from, served))).join(', '),
                )}{' '}
                {asked.get(formulaId)?.keepingDays} {planWords.days}
              </>
            )}
            <TakenOn covered={taking.covered[i]!} settings={kitchen.settings} />
          </li>
        ))}
      </ul>
      {plans.map(({ day }) => (
        <SharedBases
          key={day}
          day={day}
          toMake={taking.covered.filter((one) => one.day === day && one.missingMl > 0)}
          kitchen={kitchen}
          nameOf={nameOf}
        />
      ))}
      <TakeOnButton taking={taking} />
    </section>
  );
}
