import { Suspense, useMemo } from 'react';
import { usualTemperatureC } from '#core/emulsion';
import { sayMixed } from '#words/hold';
import type { Formula } from '#core/formula';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { holdAskedOf, mixedWith } from '#kitchen/holds';
import { contextFor, vesselOf, type Kitchen } from '#kitchen/reading';
import { versionsWords } from '#words/screens/versions';
import { ThicknessSpoon } from '../../parts/drawing/ThicknessSpoon';
import { Alert } from '../../ui/Alert';
import { useDrawnHolds } from '../../workers/useHolds';
import { later } from '../../ui/later';

/** The chart comes with its library only when it is looked at. */
const HoldChart = later(async () => (await import('../../parts/chart/HoldChart')).HoldChart);

/** How both hold, layers against time, at the same temperature: the colder one that either asks for. */
export function HoldCompare({
  formulas,
  names,
  kitchen,
}: {
  formulas: readonly [Formula, Formula];
  names: readonly [string, string];
  kitchen: Kitchen;
}) {
  const [before, after] = formulas;
  const requests = useMemo(() => {
    const reckoned = [before, after].map((formula) => {
      const vessel = vesselOf(formula, kitchen.vessels);
      const reckoning = reckonFormula(formula, vessel, contextFor(formula, kitchen));
      return { formula, vessel, reckoning, judgement: judgeFormula(reckoning) };
    });
    const temperatureC = usualTemperatureC(reckoned.some(({ judgement }) => judgement.keeping.cold));
    return reckoned.map(({ formula, vessel, reckoning, judgement }) =>
      holdAskedOf(judgement, reckoning, vessel, mixedWith(formula, vessel), temperatureC),
    );
  }, [before, after, kitchen]);
  const { holds, failed } = useDrawnHolds(requests);
  const temperatureC = requests.find((request) => request)?.temperatureC;
  return (
    <section aria-label={versionsWords.howItHolds} className="mt-5" data-testid="hold-compare">
      <h3 className="font-name font-bold">
        {versionsWords.howItHolds}
        {temperatureC !== undefined && versionsWords.atTemperaturecC(temperatureC)}
      </h3>
      <ul className="mb-2 text-sm">
        {holds.map((hold, i) => (
          <li key={i} className="flex items-center gap-2">
            {hold && !hold.state.split && <ThicknessSpoon thickness={hold.state.thickness.class} size={36} />}
            <span>
              <strong>{names[i]}:</strong> {hold ? sayMixed(hold) : versionsWords.nothingInItSeparates}
            </span>
          </li>
        ))}
      </ul>
      {failed !== null && <Alert>{versionsWords.theLayersCouldNotBe(failed)}</Alert>}
      {failed === null && requests.some((request) => request !== null) && (
        <div className="min-h-66">
          {holds.some((hold) => hold !== null && hold.frames.length > 0) && (
            <Suspense fallback={null}>
              <HoldChart holds={holds} names={names} />
            </Suspense>
          )}
        </div>
      )}
    </section>
  );
}
