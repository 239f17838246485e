import { useSearchParams } from 'react-router';
import { sayVersion } from '#words/version';
import { standingOf } from '#core/trial';
import { tasteWords } from '#words/screens/taste';
import { type Jar } from '../../data/jars';
import type { WorkingFormula } from '../../sync/working';
import { Choice } from '../../ui/Choice';
import { NameTape, WithJars } from '../../parts/FormulaPage';
import { FormulaStages } from '../../parts/FormulaStages';
import { OutboxNotice } from '../../parts/OutboxNotice';
import { BeginJar } from './BeginJar';
import { TasteJar } from './TasteJar';

export function TastePage() {
  return (
    <WithJars what={tasteWords.theJar}>
      {(working, jars) => <TasteBench key={working.id} working={working} jars={jars} />}
    </WithJars>
  );
}

const STANDING_WORDS = {
  untasted: tasteWords.notTastedYet,
  right: tasteWords.rightAsMade,
  'right-after-mending': tasteWords.rightAfterMending,
  'not-right': tasteWords.notRightYet,
} as const;

/** Taste a jar, say what the mouth says, mend it by additions, and keep every gram and word. */
function TasteBench({ working, jars: all }: { working: WorkingFormula; jars: readonly Jar[] }) {
  const [search, setSearch] = useSearchParams();
  const jars = all.filter(({ batch }) => batch?.role !== 'load');
  const jar = jars.find(({ id }) => id === search.get('jar')) ?? jars[0];
  const show = (jarId: string): void => {
    setSearch({ jar: jarId }, { replace: true });
  };
  const placeOf = (one: Jar): number => jars.length - jars.indexOf(one);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <NameTape
          name={working.formula.name}
          detail={
            jar
              ? tasteWords.vVersionJarPlaceof(jar.version, placeOf(jar))
              : sayVersion(working.formula, working.baseVersion)
          }
        />
        {jar && jars.length > 1 && (
          <Choice
            label={tasteWords.jar}
            value={jar.id}
            options={jars.map((one) => ({
              value: one.id,
              label: tasteWords.jarPlaceofVVersion(placeOf(one), one.version),
            }))}
            onChange={show}
          />
        )}
        {jar && <span className="text-sm text-quiet">{STANDING_WORDS[standingOf(jar.events)]}</span>}
        <span className="ml-auto max-w-full min-w-0">
          <FormulaStages id={working.id} />
        </span>
      </div>
      {jar && <OutboxNotice trialId={jar.id} />}
      {jar ? (
        <TasteJar key={jar.id} working={working} jar={jar} />
      ) : (
        <section aria-label={tasteWords.noJarYet} className="card max-w-3xl p-5">
          <h2 className="font-name mb-1 text-lg font-bold">{tasteWords.noJarOfThisYet}</h2>
          <p className="mb-3 text-quiet">{tasteWords.aTastingBelongsToA}</p>
          <BeginJar working={working} onBegun={show} />
        </section>
      )}
      {jar && (
        <details className="card p-4">
          <summary className="font-name min-h-8 cursor-pointer font-bold">{tasteWords.anotherJar}</summary>
          <BeginJar working={working} onBegun={show} />
        </details>
      )}
    </div>
  );
}
