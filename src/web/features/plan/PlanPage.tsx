import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import { planContentSchema, type PlanContent } from '#contract';
import { sayDuration } from '#core/emulsion';
import { daySchema } from '#contract';
import { sayError, useFormulasQuery, usePlanQuery, useSavePlanMutation } from '../../api/kitchenApi';
import { today } from '../../day';
import { useKitchen } from '../../store/kitchen';
import { Field } from '../../ui/Field';
import { Loading, Trouble } from '../../ui/PageState';
import { Button } from '../../ui/Button';
import { DayNeeds } from './DayNeeds';
import { JobForm } from './JobForm';
import { ServiceForm } from './ServiceForm';
import { TickList } from './TickList';
import { Timeline } from './Timeline';
import { calendarOf, servicesFrom } from './calendar';
import { readTime, sayTime } from './clock';
import { usePlan } from './usePlan';

/** A day from its services backwards to the first thing to fetch. */
export function PlanPage() {
  const [search, setSearch] = useSearchParams();
  const day = daySchema.safeParse(search.get('day')).data ?? today();
  const { data, error, refetch } = usePlanQuery(day);
  if (error && !data) return <Trouble error={error} retry={() => void refetch()} />;
  if (!data || data.day !== day) return <Loading what="the day" />;
  return (
    <Day
      key={day}
      day={day}
      revision={data.revision}
      content={data.content}
      onDay={(next) => {
        setSearch({ day: next }, { replace: true });
      }}
    />
  );
}

interface DayProps {
  readonly day: string;
  readonly revision: number;
  readonly content: PlanContent;
  readonly onDay: (day: string) => void;
}

/** The clock of the page, by the half minute. */
function useNow(): Date {
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    const timer = setInterval(() => {
      setNow(new Date());
    }, 30_000);
    return () => {
      clearInterval(timer);
    };
  }, []);
  return now;
}

function Day({ day, revision, content, onDay }: DayProps) {
  const kitchen = useKitchen();
  const shelf = useFormulasQuery().data ?? [];
  const [save, saving] = useSavePlanMutation();
  const now = useNow();
  const plan = usePlan(day, content, shelf, kitchen, now);
  const [before, setBefore] = useState<readonly PlanContent[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const [dayText, setDayText] = useState(day);
  const change = (patch: Partial<PlanContent>): void => {
    const next = { ...content, ...patch };
    // Leaving a field as it was is no change, and nothing to undo.
    if (JSON.stringify(next) === JSON.stringify(content)) return;
    const checked = planContentSchema.safeParse(next);
    if (!checked.success) {
      const [issue] = checked.error.issues;
      setProblem(`${issue!.path.join(' ')}: ${issue!.message}.`);
      return;
    }
    setProblem(null);
    setBefore([...before.slice(-30), content]);
    void save({ day, revision, content: checked.data });
  };
  const undo = (): void => {
    const last = before.at(-1);
    if (!last) return;
    setBefore(before.slice(0, -1));
    void save({ day, revision, content: last });
  };
  const first = plan.placed[0];
  const hands = plan.placed.reduce((sum, { task }) => sum + (task.handsOn ? task.seconds : 0), 0);
  const waiting = plan.placed.reduce((sum, { task }) => sum + (task.handsOn ? 0 : task.seconds), 0);
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap items-end gap-4">
        <h1 className="font-name text-2xl font-bold">Service plan</h1>
        <Field
          label="Day"
          type="date"
          value={dayText}
          onText={(text) => {
            setDayText(text);
            if (daySchema.safeParse(text).success) onDay(text);
          }}
          className="w-44"
        />
        <NumberOf
          label="Cooks"
          value={content.cooks}
          onChange={(cooks) => {
            change({ cooks });
          }}
        />
        <TimeOf
          label="Nobody before"
          value={content.from}
          onChange={(from) => {
            change({ from });
          }}
        />
        <Button disabled={before.length === 0} onClick={undo}>
          Undo
        </Button>
        <CalendarTools
          day={day}
          content={content}
          onServices={(services) => {
            change({ services: [...content.services, ...services] });
          }}
        />
      </div>
      {(problem ?? plan.problem) && (
        <p role="alert" className="font-semibold text-acid-ink">
          {problem ?? plan.problem}
        </p>
      )}
      {saving.error !== undefined && (
        <p role="alert" className="font-semibold text-acid-ink">
          Not kept. {sayError(saving.error)}
        </p>
      )}
      {content.services.length === 0 && (
        <p className="card p-4">
          Nothing is planned for this day. Add a service with its time and covers, then what is dressed at it.
        </p>
      )}
      {plan.placed.length > 0 && (
        <section aria-label="The day" className="card grid gap-2 p-4">
          <p data-testid="plan-sum">
            First at <strong>{sayTime(first!.startS)}</strong>: {first!.task.name}. {sayDuration(hands)} of
            work, {waiting > 0 ? `${sayDuration(waiting)} of waiting` : 'no waiting'}.{' '}
            <span className="text-quiet">
              {plan.proven ? 'Nothing could begin later.' : 'The latest found; not every order was tried.'}
            </span>
          </p>
          {plan.conflicts.length > 0 && (
            <div role="alert" className="border-l-4 border-l-acid pl-3" data-testid="conflicts">
              <p className="font-semibold">
                {plan.conflicts
                  .map(
                    ({ task, byS }) =>
                      `${plan.names.get(task.id) ?? task.id} should have begun ${sayDuration(byS)} ago`,
                  )
                  .join('; ')}
                .
              </p>
              <p>
                {plan.ways.length === 0
                  ? 'Nothing here takes all of it away: leave something out.'
                  : `Cheapest: ${plan.ways.map((way) => sayWay(way, plan.names)).join('; or ')}.`}
              </p>
            </div>
          )}
          <Timeline
            placed={plan.placed}
            cooks={content.cooks}
            moved={content.moved}
            nowS={(now.getTime() - new Date(`${day}T00:00:00`).getTime()) / 1000}
            onMove={(taskId, minutes) => {
              const { [taskId]: _gone, ...rest } = content.moved;
              change({ moved: minutes === null ? rest : { ...rest, [taskId]: minutes } });
            }}
          />
        </section>
      )}
      <div className="grid gap-3.5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_340px]">
        <TickList
          day={day}
          plan={plan}
          content={content}
          onDone={(done) => {
            change({ done });
          }}
        />
        <div className="grid content-start gap-3.5">
          <ServiceForm
            content={content}
            shelf={shelf}
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
        <DayNeeds day={day} content={content} shelf={shelf} settings={kitchen.settings} />
      </div>
    </div>
  );
}

function sayWay(way: ReturnType<typeof usePlan>['ways'][number], names: ReadonlyMap<string, string>): string {
  switch (way.kind) {
    case 'shorten':
      return `cut “${names.get(way.taskId) ?? 'the rest'}” to ${sayDuration(way.toS)}`;
    case 'another-tool':
      return `a second ${way.tool.toLowerCase()}`;
    case 'another-cook':
      return 'another pair of hands';
    case 'serve-later':
      return `serve ${sayDuration(way.byS)} later`;
  }
}

export function NumberOf({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number;
  onChange: (value: number) => void;
}) {
  const [text, setText] = useState<string | null>(null);
  const number = Number(text);
  const fits =
    text === null || (text.trim() !== '' && Number.isInteger(number) && number >= 1 && number <= 5000);
  return (
    <Field
      label={label}
      inputMode="numeric"
      value={text ?? String(value)}
      onText={(next) => {
        setText(next);
        const read = Number(next);
        if (next.trim() !== '' && Number.isInteger(read) && read >= 1 && read <= 5000) onChange(read);
      }}
      onBlur={() => {
        if (fits) setText(null);
      }}
      problem={fits ? null : 'A whole number.'}
      className="w-24"
    />
  );
}

export function TimeOf({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number;
  onChange: (minutes: number) => void;
}) {
  const [text, setText] = useState<string | null>(null);
  const fits = text === null || readTime(text) !== null;
  return (
    <Field
      label={label}
      value={text ?? sayTime(value * 60)}
      onText={(next) => {
        setText(next);
        const read = readTime(next);
        if (read !== null && next.length >= 4) onChange(read);
      }}
      onBlur={() => {
        const read = text === null ? null : readTime(text);
        if (read !== null) {
          onChange(read);
          setText(null);
        }
      }}
      problem={fits ? null : 'Such as 12:30.'}
      className="w-32"
    />
  );
}

/** Out as a calendar, and services in from one. */
function CalendarTools({
  day,
  content,
  onServices,
}: {
  day: string;
  content: PlanContent;
  onServices: (services: PlanContent['services']) => void;
}) {
  const [said, setSaid] = useState<string | null>(null);
  const save = (): void => {
    const url = URL.createObjectURL(
      new Blob([calendarOf(day, content)], { type: 'text/calendar;charset=utf-8' }),
    );
    const link = document.createElement('a');
    link.href = url;
    link.download = `services-${day}.ics`;
    link.click();
    setTimeout(() => {
      URL.revokeObjectURL(url);
    }, 60_000);
  };
  const open = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    try {
      const found = servicesFrom(await file.text(), day);
      if (found.length > 0) onServices(found);
      setSaid(
        found.length > 0
          ? `${found.length} services of ${day} brought in.`
          : `There is nothing on ${day} in this calendar.`,
      );
    } catch {
      setSaid('This is no calendar that can be read (iCalendar, .ics). Nothing was changed.');
    }
  };
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Button disabled={content.services.length === 0} onClick={save}>
        Save as calendar
      </Button>
      <label className="inline-flex min-h-8 cursor-pointer items-center rounded-md border border-edge bg-paper px-3 font-semibold hover:border-bottle hover:bg-mint has-focus-visible:outline-3 has-focus-visible:outline-bottle">
        Services from a calendar…
        <input
          type="file"
          aria-label="Calendar file"
          accept=".ics,text/calendar"
          className="sr-only"
          onChange={({ target }) => {
            void open(target.files?.[0]);
            target.value = '';
          }}
        />
      </label>
      {said && (
        <span role="status" className="text-sm">
          {said}
        </span>
      )}
    </div>
  );
}
