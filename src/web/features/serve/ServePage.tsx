import { useMemo } from 'react';
import { useParams } from 'react-router';
import type { VersionRecord } from '#contract';
import type { FormulaId } from '#core/formula';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { serveWords } from '#words/screens/serve';
import { useDressingsQuery, useStandingsQuery, useVersionsQuery } from '../../data/kitchenApi';
import { usualVersion } from '#kitchen/batch';
import { contextFor, vesselOf } from '#kitchen/reading';
import { useKitchen } from '../../data/kitchen';
import { useWorking } from '../../sync/useWorking';
import type { WorkingFormula } from '../../sync/working';
import { FormulaPending } from '../../parts/FormulaPage';
import { DishForm } from './DishForm';
import { HowMuch } from './HowMuch';
import { InService } from './InService';
import { Thinned } from './Thinned';
import { useDish } from './dish';
import { StageHead } from '../../parts/StageHead';

/** The right amount on the right dish at the right time. */
export function ServePage() {
  const id = useParams().id as FormulaId;
  const { working, error, retry } = useWorking(id);
  const versions = useVersionsQuery(id).data;
  if (!working || !versions) return <FormulaPending error={error} retry={retry} what={serveWords.theDish2} />;
  return <Serve key={id} working={working} versions={versions} />;
}

function Serve({ working, versions }: { working: WorkingFormula; versions: readonly VersionRecord[] }) {
  const kitchen = useKitchen();
  const standings = useStandingsQuery(working.id).data;
  const dressings = useDressingsQuery().data;
  const own = useMemo(
    () =>
      (dressings ?? []).map(({ kind, dressed, massG, ml }) => ({
        kind,
        dressed,
        mlPer100G: (ml / massG) * 100,
      })),
    [dressings],
  );
  const dish = useDish();
  const newest = [...versions].sort((a, b) => b.number - a.number);
  const usual = usualVersion(standings, newest[0]?.number ?? 0);
  const version = newest.find(({ number }) => number === usual) ?? null;
  // A dressing that was never frozen can be served, too: as it is composed.
  const formula = version?.formula ?? working.formula;
  const read = useMemo(() => {
    const reckoning = reckonFormula(
      formula,
      vesselOf(formula, kitchen.vessels),
      contextFor(formula, kitchen),
    );
    return { reckoning, judgement: judgeFormula(reckoning) };
  }, [formula, kitchen]);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <StageHead
        id={working.id}
        name={working.formula.name}
        detail={version ? serveWords.vNumberOnTheDish(version.number) : serveWords.onTheDish}
      />
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[310px_minmax(0,1fr)_360px]">
        <DishForm dish={dish} />
        <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5">
          <HowMuch
            dish={dish}
            own={own}
            kitchen={kitchen}
            version={version}
            formulaId={working.id}
            volumeMl={read.reckoning.totals.mixedVolumeMl}
            massG={read.reckoning.totals.massG}
          />
          <Thinned dish={dish} own={own} />
        </div>
        <InService
          dish={dish}
          own={own}
          kitchen={kitchen}
          {...read}
          formula={formula}
          formulaId={working.id}
          name={working.formula.name}
        />
      </div>
    </div>
  );
}
