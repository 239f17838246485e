import { useEffect, useMemo, useState } from 'react';
import type { VersionRecord } from '#contract';
import { dishAt, minutesOf } from '#core/dish';
import type { Style } from '#core/palate';
import type { Moment } from '#core/service';
import { serveWords } from '#words/screens/serve';
import type { WorkingFormula } from '../../sync/working';
import { judgedBy, useStyles } from '../../data/styles';
import { ClashNotice } from '../../parts/ClashList';
import { newId } from '../../sync/device';
import { keyOf } from '../../sync/shared';
import { Button } from '../../ui/Button';
import { BowlDrawing } from './BowlDrawing';
import { BowlList, freshDish } from './BowlList';
import { DishForm } from './DishForm';
import { HowMuch } from './HowMuch';
import { InService } from './InService';
import { Thinned } from './Thinned';
import { NO_BOWL } from './dish';
import { useServed } from './useServed';
import { WithServed } from './WithServed';
import { Mouth } from './Mouth';
import { dishWith, type Bowl } from './useBowl';
import { StageHead } from '../../parts/StageHead';

/** The right amount on the right dish at the right time. */
export function ServePage() {
  return <WithServed>{(served) => <Serve key={served.working.id} {...served} />}</WithServed>;
}

function Serve({ working, versions }: { working: WorkingFormula; versions: readonly VersionRecord[] }) {
  const served = useServed(working, versions);
  const { kitchen, own, thing, version, formula, reckoning, judgement } = served;
  const { plain, listed, coversText, covers, bowl, dish, need } = served;
  const styles = useStyles();
  // A dressing that aims at nothing is held against what it is nearest to.
  const { style } = useMemo(
    () => judgedBy(formula, styles, judgement.portions),
    [formula, styles, judgement],
  );
  const chooseBowl = (id: string | null): void => {
    plain.set({ bowl: id ?? NO_BOWL, when: null, covers: null });
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <StageHead
        id={working.id}
        name={working.formula.name}
        detail={version ? serveWords.vNumberOnTheDish(version.number) : serveWords.onTheDish}
      />
      {thing && thing.clashes.length > 0 && <ClashNotice workKey={keyOf('dishes', working.id)} />}
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[310px_minmax(0,1fr)_360px]">
        {bowl && thing ? (
          <BowlList
            thing={thing}
            bowl={bowl}
            coversText={coversText}
            covers={covers}
            onCovers={(text) => {
              plain.set({ covers: text });
            }}
            onChoose={chooseBowl}
          />
        ) : (
          <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5">
            <DishForm dish={dish} />
            {thing && (
              <Button
                className="min-h-11"
                onClick={() => {
                  const id = listed?.id ?? newId();
                  if (!listed)
                    thing.edit(
                      dishWith(thing.doc, freshDish(id, serveWords.dishNumber(1), plain.covers ?? 4)),
                    );
                  chooseBowl(id);
                }}
              >
                {listed ? serveWords.backToTheBowl(listed.name) : serveWords.listWhatIsInTheBowl}
              </Button>
            )}
          </div>
        )}
        <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5">
          <HowMuch
            dish={dish}
            own={own}
            need={bowl && bowl.things.length === 0 ? null : need}
            bowl={bowl}
            kitchen={kitchen}
            version={version}
            formulaId={working.id}
            volumeMl={reckoning.totals.mixedVolumeMl}
            massG={reckoning.totals.massG}
          />
          {bowl ? (
            <InTheBowl bowl={bowl} moment={dish.moment} style={style} working={working} />
          ) : (
            <Thinned dish={dish} own={own} />
          )}
        </div>
        <InService
          dish={dish}
          bowl={bowl}
          ml={need?.ml ?? 0}
          kitchen={kitchen}
          reckoning={reckoning}
          judgement={judgement}
          formula={formula}
          formulaId={working.id}
          name={working.formula.name}
        />
      </div>
    </div>
  );
}

/** What becomes of it between dressing and eating: drawn, and in the mouth. */
function InTheBowl({
  bowl,
  moment,
  style,
  working,
}: {
  bowl: Bowl;
  moment: Moment;
  style: Style | null;
  working: WorkingFormula;
}) {
  const [minutes, setMinutes] = useState(minutesOf(moment));
  useEffect(() => {
    setMinutes(minutesOf(moment));
  }, [moment]);
  const { things, dressing, need } = bowl;
  const at = useMemo(
    () => (dressing && need.ml > 0 ? dishAt(things, dressing, need.ml, minutes) : null),
    [things, dressing, need, minutes],
  );
  if (!at) return null;
  return (
    <>
      <Mouth bowl={bowl} at={at} minutes={minutes} style={style} working={working} />
      <BowlDrawing bowl={bowl} at={at} minutes={minutes} onMinutes={setMinutes} />
    </>
  );
}
