import { useMemo, useState } from 'react';
import { safetyWithDish } from '#core/dish';
import { remixOf } from '#core/emulsion';
import { sayDuration, sayHold, sayRemix } from '#words/hold';
import type { Formula, FormulaId } from '#core/formula';
import type { Judgement, Reckoning } from '#core/reckoning';
import { ripeningOf } from '#core/ripening';
import { allergenNames } from '#words/safety';
import { serveWords } from '#words/screens/serve';
import { TimeInFlavour } from '../../parts/TimeInFlavour';
import { CautionLines } from '../../parts/CautionLines';
import { coldClockOf, dressingTimes, MOMENTS, TIMING } from '#core/service';
import { startTimer } from '../../data/timers';
import { formatClock, formatAmount } from '#words/numbers';
import type { Kitchen } from '#kitchen/reading';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import type { Dish } from './dish';
import type { Bowl } from './useBowl';
import { useOnTheLine } from './useOnTheLine';
import { MOMENT_WORDS } from '#words/service';

interface InServiceProps {
  readonly dish: Dish;
  /** Listed thing by thing; null: a kind of dish. */
  readonly bowl: Bowl | null;
  /** Of the dressing, ml; 0: not known. */
  readonly ml: number;
  readonly kitchen: Kitchen;
  readonly reckoning: Reckoning;
  readonly judgement: Judgement;
  readonly formula: Formula;
  readonly formulaId: FormulaId;
  readonly name: string;
}

/** When it goes on, how long it holds on the line, and the clock of what has left the cold. */
export function InService({
  dish,
  bowl,
  ml,
  kitchen,
  reckoning,
  judgement,
  formula,
  formulaId,
  name,
}: InServiceProps) {
  const { settings } = kitchen;
  const { kind, moment, set } = dish;
  const timing = TIMING[kind];
  const { firstMl, lastMl } = dressingTimes(kind, ml, moment);
  const { hold, standOut } = useOnTheLine({ kitchen, reckoning, judgement, formula });
  const safety = useMemo(
    () =>
      bowl
        ? safetyWithDish(
            judgement.portions,
            judgement,
            bowl.things,
            bowl.lines.flatMap(({ thing, text }) => (thing ? [] : [text])),
          )
        : judgement,
    [judgement, bowl],
  );
  const ripening = useMemo(() => ripeningOf(judgement.portions, judgement.keeping), [judgement]);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5">
      <section
        aria-label={serveWords.when}
        className="card grid grid-cols-[minmax(0,1fr)] content-start gap-2 p-4"
      >
        <h2 className="font-name text-lg font-bold">{serveWords.when}</h2>
        <Choice
          label={serveWords.whenItGoesOn}
          value={moment}
          options={MOMENTS.map((value) => ({
            value,
            label: value === timing.best ? serveWords.momentBest(MOMENT_WORDS[value]) : MOMENT_WORDS[value],
          }))}
          onChange={(value) => {
            set({ when: value });
          }}
        />
        <p data-testid="when-says">
          {lastMl > 0
            ? serveWords.firstmlMomentLastmlAtThe(
                formatAmount(firstMl, 'ml', settings),
                MOMENT_WORDS[moment],
                formatAmount(lastMl, 'ml', settings),
              )
            : serveWords.allMlMoment(formatAmount(ml, 'ml', settings), MOMENT_WORDS[moment])}
          {timing.saltAgain && moment !== 'at-once' && serveWords.tasteForSaltAgainAfter}
          {MOMENTS.indexOf(moment) > MOMENTS.indexOf(timing.latestOk) && (
            <strong> {serveWords.tooEarlyForItMoment(MOMENT_WORDS[timing.latestOk])}</strong>
          )}
        </p>
        {standOut?.code === 'oil-sets' && (
          <p data-testid="stand-out">
            {standOut.standOutS > 60
              ? serveWords.itsOilSetsInThe(sayDuration(standOut.standOutS))
              : serveWords.itsOilCloudsInThe}
          </p>
        )}
      </section>
      {judgement.portions.length > 0 && (
        <TimeInFlavour
          ripening={ripening}
          keepsDays={judgement.keeping.days}
          nameOf={(index) => judgement.portions[index]!.ingredient.name}
        />
      )}
      <section
        aria-label={serveWords.onTheLine}
        className="card grid grid-cols-[minmax(0,1fr)] content-start gap-2 p-4"
      >
        <h2 className="font-name text-lg font-bold">{serveWords.onTheLine}</h2>
        <p data-testid="line-hold">
          {`${hold ? sayHold(hold) : serveWords.nothingInItSeparates} ${sayRemix(remixOf(hold))}`}
        </p>
        <div className="grid gap-1 text-sm">
          <CautionLines of={{ cautions: safety.cautions, keeping: judgement.keeping }} serving />
          <p>
            {serveWords.allergensPart(
              bowl !== null,
              allergenNames(safety.allergens).join(', ') ||
                (safety.allergens.missing.length > 0
                  ? serveWords.notKnownWhich
                  : serveWords.noneListedIsKnown),
            )}
          </p>
        </div>
        {judgement.keeping.cold && <ColdClock formulaId={formulaId} name={name} />}
        <p className="text-sm text-quiet">{serveWords.anEstimateYourLocalCode}</p>
      </section>
    </div>
  );
}

/** Four hours from the first time a container leaves the cold; it is never set back. */
function ColdClock({ formulaId, name }: { formulaId: FormulaId; name: string }) {
  const [said, setSaid] = useState<string | null>(null);
  const clock = (): ReturnType<typeof coldClockOf> => coldClockOf(Date.now(), Date.now());
  return (
    <div className="grid gap-1">
      <Button
        className="min-h-16"
        onClick={() => {
          const label = serveWords.nameThrowAwayWhatStands(name).slice(0, 120);
          void startTimer({ label, seconds: clock().leftS, formulaId, trialId: null }).then(() => {
            const until = new Date(clock().throwAwayAtMs);
            setSaid(serveWords.outSinceNowThrowIt(formatClock(until)));
          });
        }}
      >
        {serveWords.aContainerLeavesTheCold}
      </Button>
      {said && <p role="status">{said}</p>}
    </div>
  );
}
