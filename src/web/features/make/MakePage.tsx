import { useEffect, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { sayVersion, type FormulaId } from '#core/formula';
import { isBeingMade, statesOf, useJars, type Jar } from '../../store/jars';
import { useWorking } from '../../store/useWorking';
import type { WorkingFormula } from '../../store/workingSlice';
import { Button } from '../../ui/Button';
import { FormulaPending, NameTape } from '../../ui/FormulaPage';
import { FormulaStages } from '../../ui/FormulaStages';
import { BeginMaking } from './BeginMaking';
import { Making } from './Making';
import { SoundSwitch } from './SoundSwitch';

export function MakePage() {
  const id = useParams().id as FormulaId;
  const { working, error, retry } = useWorking(id);
  const { jars, error: jarsError, retry: retryJars } = useJars(id);
  if (working && jars) return <MakeBench key={id} working={working} jars={jars} />;
  return (
    <FormulaPending
      error={error ?? jarsError}
      what="the making"
      retry={() => {
        retry();
        retryJars();
      }}
    />
  );
}

/** The jar that is being made, or the way to begin one. */
function MakeBench({ working, jars }: { working: WorkingFormula; jars: readonly Jar[] }) {
  const [search, setSearch] = useSearchParams();
  const [another, setAnother] = useState(false);
  const asked = search.get('jar');
  // A jar that was begun as made already comes here for what mends it.
  const made = jars.filter((jar) => jar.making !== null || statesOf(jar).length > 0);
  const shown = another ? undefined : (made.find((jar) => jar.id === asked) ?? made.find(isBeingMade));
  // Its address keeps it on the screen once its last step is done.
  useEffect(() => {
    if (shown && shown.id !== asked) setSearch({ jar: shown.id }, { replace: true });
  }, [shown, asked, setSearch]);
  const place = shown ? jars.length - jars.indexOf(shown) : 0;
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <NameTape
          name={working.formula.name}
          detail={
            shown ? `v${shown.version}, jar ${place}` : sayVersion(working.formula, working.baseVersion)
          }
        />
        <SoundSwitch />
        <span className="ml-auto">
          <FormulaStages id={working.id} />
        </span>
      </div>
      {shown ? (
        <Making
          key={shown.id}
          jar={shown}
          working={working}
          onAnother={() => {
            setAnother(true);
          }}
        />
      ) : (
        <BeginMaking
          working={working}
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
          Back to jar {jars.length - jars.indexOf(made[0]!)}
        </Button>
      )}
      {!shown && jars.length > 0 && (
        <Link to={`/formulas/${working.id}/taste`} className="text-bottle underline">
          {jars.length === 1 ? 'The jar' : `${jars.length} jars`} so far: taste
        </Link>
      )}
    </div>
  );
}
