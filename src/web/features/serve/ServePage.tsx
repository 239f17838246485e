import { useEffect, useMemo, useState } from 'react';
import { useParams } from 'react-router';
import type { VersionRecord } from '#contract';
import { dishAt, minutesOf } from '#core/dish';
import type { FormulaId } from '#core/formula';
import type { Style } from '#core/palate';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { dressingFor, type Moment } from '#core/service';
import { serveWords } from '#words/screens/serve';
import { useDressingsQuery, useStandingsQuery, useVersionsQuery } from '../../data/kitchenApi';
import { usualVersion } from '#kitchen/batch';
import { entriesOf } from '#kitchen/bowl';
import { contextFor, vesselOf } from '#kitchen/reading';
import { useKitchen } from '../../data/kitchen';
import { useWorking } from '../../sync/useWorking';
import type { WorkingFormula } from '../../sync/working';
import { FormulaPending } from '../../parts/FormulaPage';
import { aimOf, useStyles } from '../../data/styles';
import { ClashNotice } from '../../parts/ClashList';
import { newId } from '../../sync/device';
import { keyOf } from '../../sync/shared';
import { useShared } from '../../sync/useWork';
import { Button } from '../../ui/Button';
import { BowlDrawing } from './BowlDrawing';
import { BowlList, coversOf, freshDish } from './BowlList';
import { DishForm } from './DishForm';
import { HowMuch } from './HowMuch';
import { InService } from './InService';
import { Thinned } from './Thinned';
import { NO_BOWL, useDish, type Dish } from './dish';
import { Mouth } from './Mouth';
import { dishWith, useBowl, type Bowl } from './useBowl';
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
  const own = useMemo(() => entriesOf(dressings ?? []), [dressings]);
  const { thing } = useShared('dishes', working.id);
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
  const { reckoning, judgement } = read;
  const styles = useStyles();
  const style = useMemo(() => aimOf(formula, styles), [formula, styles]);
  const plain = useDish();
  const listed = thing?.doc.dishes.find(({ id }) => id === plain.bowl) ?? thing?.doc.dishes[0] ?? null;
  const kept = plain.bowl === NO_BOWL ? null : listed;
  const coversText = plain.coversTyped ?? String(kept?.servings ?? plain.coversText);
  const covers = kept ? coversOf(coversText) : plain.covers;
  const bowl = useBowl(kept, covers, own, { reckoning, judgement, formula }, kitchen);
  const dish: Dish = bowl ? asDish(bowl, plain, coversText, covers) : plain;
  const need =
    bowl?.need ?? (dish.massG === null ? null : dressingFor(dish.kind, dish.massG, dish.dressed, own));
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
          ml={need?.ml ?? 0}
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

/** A bowl as the other cards know a dish: by what most of it is. */
function asDish(bowl: Bowl, plain: Dish, coversText: string, covers: number | null): Dish {
  const kind = bowl.kind ?? plain.kind;
  return {
    ...plain,
    kind,
    dressed: bowl.kept.dressed,
    moment: plain.momentTyped ?? bowl.moment,
    coversText,
    covers,
    massG: bowl.massG > 0 ? bowl.massG : null,
    servingG: covers !== null && covers > 0 ? bowl.massG / covers : null,
    watery: [],
  };
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
