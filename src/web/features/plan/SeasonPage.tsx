import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { daySchema, type PlanRecord, type ShelfRecord } from '#contract';
import { judgePortions } from '#core/reckoning';
import type { SeasonWay } from '#core/season';
import { daysAfter, mondayOf, today } from '#kitchen/day';
import type { Kitchen } from '#kitchen/reading';
import { inSeason, seasonJob, stockForSeason, type SeasonJob } from '#kitchen/season';
import { formatDay, formatMoney, formatVolume, inSentence, listed } from '#words/numbers';
import { seasonWords } from '#words/screens/season';
import { usePlannedBowls } from '../../data/bowls';
import { useKitchen } from '../../data/kitchen';
import { sayError, usePlanWeekQuery } from '../../data/kitchenApi';
import { useOpenDocs } from '../../data/openDocs';
import { useFormulasById } from '../../data/shelf';
import { judgedBy, useStyles } from '../../data/styles';
import { typedNumber } from '../../form/typed';
import { FormulaChoice, useChoices } from '../../parts/FormulaChoice';
import { NextStep } from '../../parts/NextStep';
import { SearchState } from '../../parts/SearchState';
import { useOpenDraft } from '../../parts/useOpenDraft';
import { newId } from '../../sync/device';
import { Alert } from '../../ui/Alert';
import { Chips } from '../../ui/Chips';
import { Field } from '../../ui/Field';
import { useSearch } from '../../workers/useSearch';
import { batchesOfWeek } from './batchesOfWeek';
import { MustGo, useMustGo } from './MustGo';
import { SeasonWays } from './SeasonWays';
import { dishesOf, useAsked } from './usePlan';

const MOST_NAME = 120;
const NO_PLANS: readonly PlanRecord[] = [];
/** A day to a batch; null for one dressing. */
type Job = SeasonJob & { readonly day: string | null };

/** The batches of a week, each with its day. */
function useWeekJobs(
  from: string,
  kitchen: Kitchen,
  jobOf: (record: ShelfRecord, ml: number) => SeasonJob | null,
) {
  const week = usePlanWeekQuery(from);
  const open = useOpenDocs('plan');
  const plans = useMemo(
    () => week.data?.map((plan) => ({ ...plan, content: open[plan.day] ?? plan.content })) ?? NO_PLANS,
    [week.data, open],
  );
  const services = useMemo(() => plans.flatMap(({ content }) => content.services), [plans]);
  const shelf = useFormulasById(dishesOf(services));
  const asked = useAsked(services, shelf, kitchen);
  const { needOf } = usePlannedBowls(
    services.flatMap(({ dishes }) => dishes),
    shelf,
    kitchen,
  );
  const batches = JSON.stringify(batchesOfWeek(plans, needOf, asked));
  return useMemo(
    () =>
      (JSON.parse(batches) as ReturnType<typeof batchesOfWeek>).flatMap(
        ({ formulaId, day, volumeMl }): Job[] => {
          const record = shelf.find(({ id }) => id === formulaId);
          const job = record && volumeMl > 0 ? jobOf(record, volumeMl) : null;
          return job ? [{ ...job, day: daysAfter(from, day) }] : [];
        },
      ),
    [batches, shelf, jobOf, from],
  );
}

/** What today's prices and what must go change in the week's batches, or in one dressing. */
export function SeasonPage() {
  const kitchen = useKitchen();
  const styles = useStyles();
  const [search, setSearch] = useSearchParams();
  const from = mondayOf(daySchema.safeParse(search.get('from')).data ?? today());
  const of = search.get('of');
  const litresText = search.get('l') ?? '2';
  const litres = typedNumber(litresText, { from: 0.1, to: 200 });
  const first = useChoices('', false);
  const [asked] = useFormulasById(of ? [of] : []);
  const chosen = asked ?? first?.records[0] ?? null;
  const goes = useMustGo(kitchen);
  const jobOf = useMemo(
    () => (record: ShelfRecord, ml: number) =>
      seasonJob(record, ml, kitchen, (formula, portions) => judgedBy(formula, styles, portions).style),
    [kitchen, styles],
  );
  const week = useWeekJobs(from, kitchen, jobOf);
  const one = useMemo((): readonly Job[] => {
    const job = chosen && litres.fits ? jobOf(chosen, litres.value * 1000) : null;
    return job ? [{ ...job, day: null }] : [];
  }, [chosen, litres.fits, litres.value, jobOf]);
  const jobs = of === null ? week : one;
  const mustGo = [...goes.mustGo].sort().join(' ');
  const question = useMemo(
    () =>
      jobs.length === 0
        ? null
        : {
            batches: jobs.map(({ request }) => request),
            ingredients: [...kitchen.catalogue.values()].filter(({ made }) => !made),
            stock: stockForSeason(kitchen, new Set(mustGo.split(' '))),
          },
    [jobs, kitchen, mustGo],
  );
  const { search: found, stop, again } = useSearch('season', question);
  const patch = (change: Readonly<Record<string, string | null>>): void => {
    const next = new URLSearchParams(search);
    for (const [key, value] of Object.entries(change)) {
      if (value === null) next.delete(key);
      else next.set(key, value);
    }
    setSearch(next, { replace: true });
  };
  if (first?.total === 0)
    return <NextStep says={seasonWords.noDressing} label={seasonWords.toTheShelf} to="/" />;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5">
      <h1 className="font-name text-2xl font-bold">{seasonWords.seasonAndPrice}</h1>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[360px_minmax(0,1fr)]">
        <section aria-label={seasonWords.whatIsMade} className="card grid content-start gap-4 self-start p-4">
          <Chips
            label={seasonWords.whatIsMade}
            value={of === null ? 'week' : 'one'}
            options={(['week', 'one'] as const).map((value) => ({ value, label: seasonWords.made[value] }))}
            onChange={(value) => {
              patch({ of: value === 'week' ? null : (chosen?.id ?? '') });
            }}
          />
          {of !== null && (
            <div className="grid gap-3">
              <FormulaChoice
                label={seasonWords.dressing}
                chosen={chosen}
                onChoose={({ id }) => {
                  patch({ of: id });
                }}
              />
              <Field
                label={seasonWords.toMakeL}
                inputMode="decimal"
                className="w-32"
                value={litresText}
                onText={(l) => {
                  patch({ l });
                }}
                problem={litres.fits ? null : seasonWords.aVolume}
              />
            </div>
          )}
          <MustGo kitchen={kitchen} goes={goes} />
        </section>
        <section
          aria-label={seasonWords.ways}
          className="card grid grid-cols-[minmax(0,1fr)] content-start gap-4 p-4"
        >
          {jobs.length === 0 && (
            <p className="text-quiet">
              {of === null
                ? seasonWords.nothingMade
                : chosen && litres.fits
                  ? seasonWords.emptyFormula(chosen.formula.name)
                  : seasonWords.aVolume}
            </p>
          )}
          {question && (
            <SearchState search={found} what={seasonWords.working} onStop={stop} onAgain={again} />
          )}
          {question && found.status === 'done' && found.answer.length === jobs.length && (
            <Answer jobs={jobs} ways={found.answer} kitchen={kitchen} />
          )}
          <p className="text-sm text-quiet">{seasonWords.anEstimate}</p>
        </section>
      </div>
    </div>
  );
}

/** Batch by batch, with what it comes to together. */
function Answer({
  jobs,
  ways,
  kitchen,
}: {
  readonly jobs: readonly Job[];
  readonly ways: readonly (readonly SeasonWay[])[];
  readonly kitchen: Kitchen;
}) {
  const { settings } = kitchen;
  const draft = useOpenDraft();
  const use = ({ record, ml }: Job, way: SeasonWay): void => {
    const things = [...new Set(way.changes.map(({ to }) => inSentence(to.name.split(',')[0]!)))];
    const name = seasonWords.draftName(record.formula.name, listed(things)).slice(0, MOST_NAME);
    const formula = inSeason(record.formula, kitchen, way, name, newId);
    void draft.open(formula, `batch?amount=${(ml / 1000).toFixed(1)}`);
  };
  const saved = ways.reduce((sum, [best]) => sum + (best?.saving ?? 0), 0);
  return (
    <>
      {jobs.length > 1 && saved > 0.005 && (
        <p className="text-lg font-semibold" data-testid="together">
          {seasonWords.together(formatMoney(saved, settings))}
        </p>
      )}
      {jobs.map((job, place) => (
        <section
          key={place}
          aria-label={job.record.formula.name}
          className="grid grid-cols-[minmax(0,1fr)] gap-2"
        >
          <h2 className="font-name text-lg font-bold">
            {seasonWords.batchOf(job.record.formula.name, formatVolume(job.ml, settings))}{' '}
            {job.day !== null && (
              <span className="text-sm font-normal text-quiet">{seasonWords.onDay(formatDay(job.day))}</span>
            )}
          </h2>
          {job.request.calledAfter.size > 0 && (
            <p className="text-sm text-quiet">
              {seasonWords.calledAfter(
                listed(
                  [...job.request.calledAfter].map((id) =>
                    inSentence(kitchen.catalogue.get(id)!.name.split(',')[0]!),
                  ),
                ),
              )}
            </p>
          )}
          <SeasonWays
            ways={job.day === null ? ways[place]! : ways[place]!.slice(0, 1)}
            times={job.request.times}
            keepsDays={judgePortions(job.request.portions).keeping.days}
            settings={settings}
            busy={draft.busy}
            onUse={(way) => {
              use(job, way);
            }}
          />
        </section>
      ))}
      {draft.error !== undefined && <Alert>{seasonWords.notOpened(sayError(draft.error))}</Alert>}
    </>
  );
}
