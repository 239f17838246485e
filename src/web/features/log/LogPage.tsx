import { Link, useSearchParams } from 'react-router';
import { logWords } from '#words/screens/log';
import { useCooksQuery } from '../../data/kitchenApi';
import { isBeingMade, type Jar } from '../../data/jars';
import { useKitchen } from '../../data/kitchen';
import type { WorkingFormula } from '../../sync/working';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { WithJars } from '../../parts/FormulaPage';
import { OutboxNotice } from '../../parts/OutboxNotice';
import { DiaryRow } from './DiaryRow';
import { Learning } from './Learning';
import { Lineage } from './Lineage';
import { LookAt } from './LookAt';
import { MonthStrip } from './MonthStrip';
import { bottlesOf, dayOf, logFilterFrom, passesLog, type LogFilter } from './logFilter';
import { MadeOverTime } from './MadeOverTime';
import { StageHead } from '../../parts/StageHead';

export function LogPage() {
  return (
    <WithJars what={logWords.theLog}>
      {(working, jars) => <Log key={working.id} working={working} jars={jars} />}
    </WithJars>
  );
}

const EVERY = 'every';

/** Everything that happened to a formula's jars, newest jar first. */
function Log({ working, jars: all }: { working: WorkingFormula; jars: readonly Jar[] }) {
  const kitchen = useKitchen();
  const cooks = useCooksQuery().data ?? [];
  const [params, setParams] = useSearchParams();
  const filter = logFilterFrom(params);
  const set = (patch: Partial<LogFilter>): void => {
    const next = Object.entries({ ...filter, ...patch }).filter(([, value]) => value !== '');
    setParams(Object.fromEntries(next), { replace: true });
  };
  // The loads of a batch are told by the batch; together they are one jar.
  const jars = all.filter(({ batch }) => batch?.role !== 'load');
  const shown = jars.filter((jar) => passesLog(jar, filter));
  const days = jars.map(({ at }) => dayOf(at));
  const placeOf = (jar: Jar): number => jars.length - jars.indexOf(jar);
  const finished = jars.filter((jar) => !isBeingMade(jar));
  const [newest] = finished;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <StageHead id={working.id} name={working.formula.name} detail={logWords.log} />
      {newest && <OutboxNotice trialId={newest.id} />}
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[minmax(0,1fr)_440px]">
        <section aria-label={logWords.jars} className="card content-start p-4">
          <div className="mb-3 flex flex-wrap items-end gap-3">
            <Field
              label={logWords.searchTheNotes}
              className="basis-full"
              value={filter.q}
              onText={(q) => {
                set({ q });
              }}
            />
            <Choice
              label={logWords.cook}
              value={filter.cook || EVERY}
              options={[
                { value: EVERY, label: logWords.everyCook },
                ...cooks.map(({ id, name }) => ({ value: id, label: name })),
              ]}
              onChange={(cook) => {
                set({ cook: cook === EVERY ? '' : cook });
              }}
            />
            <Choice
              label={logWords.bottle}
              value={filter.bottle || EVERY}
              options={[
                { value: EVERY, label: logWords.everyBottle },
                ...bottlesOf(jars).map((bottle) => ({ value: bottle, label: bottle })),
              ]}
              onChange={(bottle) => {
                set({ bottle: bottle === EVERY ? '' : bottle });
              }}
            />
            <Field
              label={logWords.from}
              type="date"
              className="w-44"
              value={filter.from}
              onText={(from) => {
                set({ from });
              }}
            />
            <Field
              label={logWords.to}
              type="date"
              className="w-44"
              value={filter.to}
              onText={(to) => {
                set({ to });
              }}
            />
          </div>
          {jars.length === 0 && (
            <p className="text-quiet">
              {logWords.nothingMadeYet}{' '}
              <Link to={`/formulas/${working.id}/make`} className="text-leaf underline">
                {logWords.makeTheFirstJar}
              </Link>
            </p>
          )}
          {jars.length > 0 && (
            <MonthStrip
              days={days}
              chosen={filter.from === filter.to ? filter.from : ''}
              onDay={(day) => {
                set({ from: day, to: day });
              }}
            />
          )}
          {jars.length > 0 && shown.length === 0 && (
            <p className="text-quiet">{logWords.noJarFitsThisSearch}</p>
          )}
          <p role="status" className="sr-only">
            {logWords.lengthJars(shown.length)}
          </p>
          {shown.map((jar) => (
            <DiaryRow key={jar.id} jar={jar} place={placeOf(jar)} kitchen={kitchen} open={jar === shown[0]} />
          ))}
        </section>
        <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5">
          {newest && <LookAt working={working} jar={newest} place={placeOf(newest)} />}
          {finished.length > 0 && <MadeOverTime working={working} jars={finished} all={jars} />}
          <Lineage working={working} jars={jars} />
          <Learning jars={jars} />
        </div>
      </div>
    </div>
  );
}
