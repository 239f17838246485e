import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { daySchema, planContentSchema, type PlanContent } from '#contract';
import { sayDuration } from '#words/hold';
import { sayIssue } from '#words/problems';
import { planWords } from '#words/screens/plan';
import { Alert } from '../../ui/Alert';
import { ClashNotice } from '../../parts/ClashList';
import { keyOf } from '../../sync/shared';
import { useShared, type SharedThing } from '../../sync/useWork';
import { mondayOf, today } from '#kitchen/day';
import { useKitchen } from '../../data/kitchen';
import { Field } from '../../ui/Field';
import { BehindNote } from './BehindNote';
import { CalendarTools } from './CalendarTools';
import { NumberOf, TimeOf } from './planFields';
import { Loading, Trouble } from '../../parts/PageState';
import { Button } from '../../ui/Button';
import { DayNeeds } from './DayNeeds';
import { JobForm } from './JobForm';
import { NextStep } from '../../parts/NextStep';
import { NextThree } from './NextThree';
import { ServiceForm } from './ServiceForm';
import { TickList } from './TickList';
import { Timeline } from './Timeline';
import { sayTime } from '#kitchen/day';
import { useDay } from './usePlan';

/** A day from its services backwards to the first thing to fetch. */
export function PlanPage() {
  const [search, setSearch] = useSearchParams();
  const day = daySchema.safeParse(search.get('day')).data ?? today();
  const { thing, error, retry } = useShared('plan', day);
  if (error) return <Trouble error={error} retry={retry} />;
  if (!thing) return <Loading what={planWords.theDay} />;
  return (
    <Day
      key={day}
      day={day}
      thing={thing}
      onDay={(next) => {
        setSearch({ day: next }, { replace: true });
      }}
    />
  );
}

interface DayProps {
  readonly day: string;
  readonly thing: SharedThing<PlanContent>;
  readonly onDay: (day: string) => void;
}

function Day({ day, thing, onDay }: DayProps) {
  const content = thing.doc;
  const kitchen = useKitchen();
  const { shelf, now, asked, plan, bowls } = useDay(day, content, kitchen);
  const [problem, setProblem] = useState<string | null>(null);
  const [dayText, setDayText] = useState(day);
  const change = (patch: Partial<PlanContent>): void => {
    const next = { ...content, ...patch };
    // Leaving a field as it was is no change, and nothing to undo.
    if (JSON.stringify(next) === JSON.stringify(content)) return;
    const checked = planContentSchema.safeParse(next);
    if (!checked.success) {
      const [issue] = checked.error.issues;
      setProblem(`${issue!.path.join(' ')}: ${sayIssue(issue!)}.`);
      return;
    }
    setProblem(null);
    thing.edit(checked.data);
  };
  const first = plan.placed[0];
  const hands = plan.placed.reduce((sum, { task }) => sum + (task.handsOn ? task.seconds : 0), 0);
  const waiting = plan.placed.reduce((sum, { task }) => sum + (task.handsOn ? 0 : task.seconds), 0);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <div className="flex flex-wrap items-end gap-4">
        <h1 className="font-name text-2xl font-bold">{planWords.servicePlan}</h1>
        <Field
          label={planWords.day}
          type="date"
          value={dayText}
          onText={(text) => {
            setDayText(text);
            if (daySchema.safeParse(text).success) onDay(text);
          }}
          className="w-44"
        />
      </div>
      {plan.placed.length > 0 && (
        <NextThree day={day} plan={plan} content={content} now={now} onChange={change} />
      )}
      <div className="flex flex-wrap items-end gap-4">
        <NumberOf
          label={planWords.cooks}
          value={content.cooks}
          onChange={(cooks) => {
            change({ cooks });
          }}
        />
        <TimeOf
          label={planWords.nobodyBefore}
          value={content.fromMin}
          onChange={(from) => {
            change({ fromMin: from });
          }}
        />
        <Button disabled={!thing.canUndo} onClick={thing.undo}>
          {planWords.undo}
        </Button>
        <Link
          to={`/plan/week?from=${mondayOf(day)}`}
          className="flex min-h-8 items-center text-leaf underline"
        >
          {planWords.theWeek}
        </Link>
        {plan.placed.length > 0 && (
          <Button
            onClick={() => {
              window.print();
            }}
          >
            {planWords.printTheDay}
          </Button>
        )}
        <CalendarTools
          day={day}
          content={content}
          onServices={(services) => {
            change({ services: [...content.services, ...services] });
          }}
        />
      </div>
      {(problem ?? plan.problem) && <Alert>{problem ?? plan.problem}</Alert>}
      <ClashNotice workKey={keyOf('plan', day)} />
      {content.services.length === 0 && (
        <div className="card p-4">
          <NextStep
            says={planWords.nothingIsPlannedForThis}
            label={planWords.addAService}
            to={() => {
              document.querySelector<HTMLInputElement>('#add-service input')?.focus();
            }}
          />
        </div>
      )}
      {plan.placed.length > 0 && (
        <section aria-label={planWords.theDay2} className="card grid gap-2 p-4">
          <p data-testid="plan-sum">
            {planWords.firstAt} <strong>{sayTime(first!.startS)}</strong>
            {planWords.nameHandsOfWorkForm(
              first!.task.name,
              sayDuration(hands),
              waiting > 0 ? planWords.waitingOfWaiting(sayDuration(waiting)) : planWords.noWaiting,
            )}{' '}
            <span className="text-quiet">
              {plan.proven ? planWords.nothingCouldBeginLater : planWords.theLatestFoundNotEvery}
            </span>
          </p>
          <BehindNote plan={plan} content={content} />
          <Timeline
            placed={plan.placed}
            cooks={content.cooks}
            slack={plan.slack}
            moved={content.movedMin}
            begun={content.begun}
            isToday={day === today(now)}
            nowS={(now.getTime() - new Date(`${day}T00:00:00`).getTime()) / 1000}
            onMove={(taskId, minutes) => {
              const { [taskId]: _gone, ...rest } = content.movedMin;
              change({ movedMin: minutes === null ? rest : { ...rest, [taskId]: minutes } });
            }}
          />
        </section>
      )}
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_340px]">
        <TickList day={day} plan={plan} content={content} now={now} onChange={change} />
        <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5 print:hidden">
          <ServiceForm
            content={content}
            shelf={shelf}
            asked={asked}
            bowls={bowls}
            onChange={(services) => {
              change({ services });
            }}
          />
          <JobForm
            content={content}
            onChange={(jobs) => {
              change({ jobs });
            }}
          />
        </div>
        <DayNeeds day={day} content={content} shelf={shelf} kitchen={kitchen} bowls={bowls} />
      </div>
    </div>
  );
}
