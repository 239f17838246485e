import { useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { TrialBatch } from '#contract';
import { sayVersion } from '#words/version';
import { makeWords } from '#words/screens/make';
import { isBeingMade, statesOf, type Jar } from '../../data/jars';
import type { WorkingFormula } from '../../sync/working';
import { Button } from '../../ui/Button';
import { NameTape, WithJars } from '../../parts/FormulaPage';
import { FormulaStages } from '../../parts/FormulaStages';
import { BeginMaking } from './BeginMaking';
import { Making } from './Making';

export function MakePage() {
  return (
    <WithJars what={makeWords.theMaking}>
      {(working, jars) => <MakeBench key={working.id} working={working} jars={jars} />}
    </WithJars>
  );
}

const sayPart = ({ role, load, of }: TrialBatch): string =>
  role === 'whole' ? makeWords.theWholeBatch : makeWords.loadLoadOfPart(load, of);

/** From the address: whatever else stands there is the whole of it. */
const stageIn = (text: string | null): number | null =>
  text !== null && /^\d{1,2}$/.test(text) ? Number(text) : null;

/** The jar that is being made, or the way to begin one. */
function MakeBench({ working, jars }: { working: WorkingFormula; jars: readonly Jar[] }) {
  const [search, setSearch] = useSearchParams();
  const [another, setAnother] = useState(false);
  const asked = search.get('jar');
  // A jar that was begun as made already comes here for what mends it.
  const made = jars.filter((jar) => jar.making !== null || statesOf(jar).length > 0);
  // The loads of a batch are entered from the batch.
  const shown = another
    ? undefined
    : (made.find((jar) => jar.id === asked) ?? made.find((jar) => jar.batch === null && isBeingMade(jar)));
  // Its address keeps it on the screen once its last step is done.
  useEffect(() => {
    if (shown && shown.id !== asked) setSearch({ jar: shown.id }, { replace: true });
  }, [shown, asked, setSearch]);
  const place = shown ? jars.length - jars.indexOf(shown) : 0;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <NameTape
          name={working.formula.name}
          detail={
            shown
              ? `v${shown.version}, ${shown.batch ? sayPart(shown.batch) : makeWords.jarPlace(place)}`
              : sayVersion(working.formula, working.baseVersion)
          }
        />
        <span className="ml-auto max-w-full min-w-0">
          <FormulaStages id={working.id} />
        </span>
      </div>
      {shown ? (
        <Making
          key={shown.id}
          jar={shown}
          batchMates={jars.filter(
            ({ id, batch }) => shown.batch && batch?.batchId === shown.batch.batchId && id !== shown.id,
          )}
          working={working}
          onAnother={() => {
            setAnother(true);
          }}
        />
      ) : (
        <BeginMaking
          working={working}
          stage={stageIn(search.get('stage'))}
          onStage={(stage) => {
            setSearch(stage === null ? {} : { stage: String(stage) }, { replace: true });
          }}
          onBegun={(jarId) => {
            setAnother(false);
            setSearch({ jar: jarId }, { replace: true });
          }}
        />
      )}
      {another && made.length > 0 && (
        <Button
          className="justify-self-start"
          onClick={() => {
            setAnother(false);
          }}
        >
          {makeWords.backToJarPart(jars.length - jars.indexOf(made[0]!))}
        </Button>
      )}
      {!shown && jars.length > 0 && (
        <Link to={`/formulas/${working.id}/taste`} className="text-leaf underline">
          {makeWords.formSoFarTaste(jars.length === 1 ? makeWords.theJar : makeWords.lengthJars(jars.length))}
        </Link>
      )}
    </div>
  );
}
