import { Link, useSearchParams } from 'react-router';
import { glassWords } from '#words/screens/glass';
import { isBeingMade, type Jar } from '../../data/jars';
import { WithJars } from '../../parts/FormulaPage';
import { StageHead } from '../../parts/StageHead';
import { Choice } from '../../ui/Choice';
import type { WorkingFormula } from '../../sync/working';
import { Looking } from './Looking';

/** A jar of a formula, looked at with pictures: the one in the address, else the newest. */
export function GlassPage() {
  return (
    <WithJars what={glassWords.lookWithAPicture}>
      {(working, jars) => <OfJars working={working} all={jars} />}
    </WithJars>
  );
}

function OfJars({ working, all }: { readonly working: WorkingFormula; readonly all: readonly Jar[] }) {
  const [search, setSearch] = useSearchParams();
  // As the log counts them: the loads of a batch are told by the batch.
  const jars = all.filter(({ batch }) => batch?.role !== 'load');
  const finished = jars.filter((one) => !isBeingMade(one));
  const jar = finished.find(({ id }) => id === search.get('jar')) ?? finished[0];
  const placeOf = (one: Jar): number => jars.length - jars.indexOf(one);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <StageHead id={working.id} name={working.formula.name} detail={glassWords.detail} />
      {jar && finished.length > 1 && (
        <Choice
          label={glassWords.whichJar}
          className="w-56"
          value={jar.id}
          options={finished.map((one) => ({
            value: one.id,
            label: glassWords.jarOfVersion(placeOf(one), one.version),
          }))}
          onChange={(id) => {
            setSearch({ jar: id }, { replace: true });
          }}
        />
      )}
      {jar ? (
        <Looking key={jar.id} working={working} jar={jar} />
      ) : (
        <p className="card p-4">
          {glassWords.noJar}{' '}
          <Link to={`/formulas/${working.id}/make`} className="text-leaf underline">
            {glassWords.makeOne}
          </Link>
        </p>
      )}
    </div>
  );
}
