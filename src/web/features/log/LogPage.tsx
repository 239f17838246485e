import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { IngredientId } from '#core/ingredient';
import { whatItComesTo, type ComesTo } from '#core/trial';
import { inSentence } from '#words/numbers';
import { sayComesTo } from '#words/trial';
import { logWords } from '#words/screens/log';
import { isBeingMade, type Jar } from '../../data/jars';
import { useKitchen } from '../../data/kitchen';
import type { WorkingFormula } from '../../sync/working';
import { WithJars } from '../../parts/FormulaPage';
import { OutboxNotice } from '../../parts/OutboxNotice';
import { DiaryRow } from './DiaryRow';
import { Learning } from './Learning';
import { Lineage } from './Lineage';
import { LogFields } from './LogFields';
import { LookAt } from './LookAt';
import { MonthStrip } from './MonthStrip';
import { bottlesOf, dayOf, jarsLink, logFilterFrom, passesLog, type LogFilter } from './logFilter';
import { MadeOverTime } from './MadeOverTime';
import { StageHead } from '../../parts/StageHead';

export function LogPage() {
  return (
    <WithJars what={logWords.theLog}>
      {(working, jars) => <Log key={working.id} working={working} jars={jars} />}
    </WithJars>
  );
}

/** Everything that happened to a formula's jars, newest jar first. */
function Log({ working, jars: all }: { working: WorkingFormula; jars: readonly Jar[] }) {
  const kitchen = useKitchen();
  const [params, setParams] = useSearchParams();
  const filter = logFilterFrom(params);
  const set = (patch: Partial<LogFilter>): void => {
    const next = Object.entries({ ...filter, ...patch }).filter(([, value]) => value !== '');
    setParams(Object.fromEntries(next), { replace: true });
  };
  // The loads of a batch are told by the batch; together they are one jar.
  const jars = useMemo(() => all.filter(({ batch }) => batch?.role !== 'load'), [all]);
  const shown = jars.filter((jar) => passesLog(jar, filter));
  const days = jars.map(({ at }) => dayOf(at));
  const placeOf = (jar: Jar): number => jars.length - jars.indexOf(jar);
  const finished = jars.filter((jar) => !isBeingMade(jar));
  const [newest] = finished;
  const comesTo = useMemo(() => whatItComesTo(jars)[0], [jars]);
  const sayFound = (one: ComesTo): string =>
    sentence(
      sayComesTo(
        one,
        one.since &&
          inSentence(
            kitchen.catalogue.get(one.since.ingredientId as IngredientId)?.name ?? one.since.ingredientId,
          ),
      ),
    );
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <StageHead id={working.id} name={working.formula.name} detail={logWords.log} />
      {newest && <OutboxNotice trialId={newest.id} />}
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[minmax(0,1fr)_440px]">
        <section aria-label={logWords.jars} className="card content-start p-4">
          {comesTo && (
            <p className="mb-3 text-lg font-semibold" data-testid="comes-to">
              <Link to={jarsLink(working.id, comesTo.jarIds)} className="text-leaf underline">
                {sayFound(comesTo)}
              </Link>
            </p>
          )}
          <LogFields filter={filter} bottles={bottlesOf(jars)} set={set} />
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

const sentence = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
