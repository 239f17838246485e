import { useMemo } from 'react';
import { ENOUGH_LOSS, type BatchPlan, type BatchRequest, type LoadLine } from '#core/batch';
import { remixOf, type Hold } from '#core/emulsion';
import { sayHoldMove, sayRemix } from '#words/hold';
import type { Formula } from '#core/formula';
import { MEASURE_WORDS } from '#words/palate';
import { formatAmount, formatNumber, formatVolume, inSentence } from '#words/numbers';
import { batchPlanWords } from '#words/screens/batchPlan';
import { showMeasure } from '#words/judgement';
import { freshAmountText } from '#kitchen/edits';
import { contextFor, type Kitchen } from '#kitchen/reading';
import { useHolds } from '../../workers/useHolds';

interface PlanTableProps {
  readonly plan: BatchPlan;
  readonly request: BatchRequest;
  readonly formula: Formula;
  readonly kitchen: Kitchen;
  readonly toTaste: readonly string[];
}

/** Exact, rounded, by spoons, by load; then what the rounding does. */
export function PlanTable({ plan, request, formula, kitchen, toTaste }: PlanTableProps) {
  const { settings } = kitchen;
  const context = useMemo(() => contextFor(formula, kitchen), [formula, kitchen]);
  const { lines, loads, scaleFactor, madeMl, yieldMl, limiting } = plan;
  const grams = (g: number): string => formatAmount(g, 'g', settings);
  // No more decimals than the scale has.
  const fine = request.rounding.kind !== 'spoons' && request.rounding.readabilityG >= 1;
  const weighed = (g: number): string => (fine ? `${Math.round(g)} g` : grams(g));
  const kinds = loadKinds(plan);
  const aside = lines.some(({ asideG }) => asideG > 0);
  const rounded = plan.rounding !== null;
  return (
    <>
      <p className="text-lg" data-testid="plan-says">
        <strong>{formatVolume(yieldMl, settings)}</strong>
        {madeMl > yieldMl * 1.0001 && batchPlanWords.mademlMade(formatVolume(madeMl, settings))}
        {batchPlanWords.theTestedAmounts}{' '}
        {batchPlanWords.scalefactorFloorPortionsOfPortionml(
          formatNumber(scaleFactor, scaleFactor < 10 ? 2 : 1, settings),
          Math.floor(plan.portions + 1e-6),
          request.portionMl,
        )}
        {limiting && batchPlanWords.nameRunsOutFirstGrams(limiting.ingredient.name, grams(limiting.onHandG))}
      </p>
      <div
        className="overflow-x-auto"
        tabIndex={0}
        role="region"
        aria-label={batchPlanWords.amountsOfTheBatch}
      >
        <table className="w-full text-left" data-testid="plan-table">
          <caption className="sr-only">{batchPlanWords.amountsOfTheBatch}</caption>
          <thead className="text-sm text-quiet">
            <tr>
              <th className="font-normal">{batchPlanWords.addition}</th>
              {kinds.map(({ label }) => (
                <th key={label} className="pl-3 text-right font-normal whitespace-nowrap">
                  {label}
                </th>
              ))}
              <th className="pl-4 font-normal">{batchPlanWords.inSpoonsAndCups}</th>
              {aside && <th className="pl-3 text-right font-normal">{batchPlanWords.keptAside}</th>}
              {rounded && <th className="pl-3 text-right font-normal">{batchPlanWords.measured2}</th>}
              <th className="pl-3 text-right font-normal">{batchPlanWords.exact}</th>
            </tr>
          </thead>
          <tbody>
            {lines
              .filter(({ exactG }) => exactG > 0)
              .map((line) => (
                <tr key={line.id} className="border-t border-rule align-baseline">
                  <th scope="row" className="py-1 pr-2 font-semibold">
                    {line.ingredient.name}
                    {line.form && <span className="font-normal text-quiet">, {line.form}</span>}
                  </th>
                  {kinds.map(({ label, load }) => (
                    <td key={label} className="pl-3 text-right font-semibold">
                      <LoadCell entry={load.lines.find((entry) => entry.line.id === line.id)} grams={grams} />
                    </td>
                  ))}
                  <td className="pl-4 text-sm">
                    {freshAmountText(line.exactG, line.ingredient, formula, context, true)}
                  </td>
                  {aside && (
                    <td className="pl-3 text-right whitespace-nowrap">
                      {line.asideG > 0 && grams(line.asideG)}
                      {line.heldBack.how === 'per-service' && (
                        <span className="block text-sm text-quiet">{batchPlanWords.perService}</span>
                      )}
                    </td>
                  )}
                  {rounded && (
                    <td className="pl-3 text-right text-quiet whitespace-nowrap">
                      {line.plannedG > 0 ? weighed(line.plannedG) : '–'}
                    </td>
                  )}
                  <td className="pl-3 text-right whitespace-nowrap text-quiet">{grams(line.exactG)}</td>
                </tr>
              ))}
          </tbody>
        </table>
      </div>
      {toTaste.length > 0 && <p>{batchPlanWords.toTasteAtTheEnd(toTaste.join('; '))}</p>}
      {aside && <p className="text-sm text-quiet">{batchPlanWords.keptAsideSaltRawGarlic}</p>}
      <Drift plan={plan} kitchen={kitchen} loads={loads.length} />
    </>
  );
}

function LoadCell({ entry, grams }: { entry: LoadLine | undefined; grams: (g: number) => string }) {
  if (!entry) return null;
  const { massG, text, carrier, pours } = entry;
  return (
    <>
      <span className="whitespace-nowrap">{text ?? grams(massG)}</span>
      {pours.length > 1 && (
        <span className="block text-sm text-quiet">{batchPlanWords.inLengthPours(pours.length)}</span>
      )}
      {carrier && (
        <span className="block text-sm text-quiet">
          {batchPlanWords.n19InSplitTake(inSentence(carrier.name.split(',')[0]!), grams(massG * 10))}
        </span>
      )}
    </>
  );
}

/** Loads that are weighed alike share a column. */
function loadKinds({ loads }: BatchPlan) {
  const kinds: { first: number; last: number; load: (typeof loads)[number]; key: string }[] = [];
  loads.forEach((load, i) => {
    const key = load.lines.map(({ massG }) => massG.toFixed(4)).join();
    const before = kinds.at(-1);
    if (before?.key === key) before.last = i + 1;
    else kinds.push({ first: i + 1, last: i + 1, load, key });
  });
  return kinds.map(({ first, last, load }) => ({
    load,
    label: sayLoads(first, last, loads.length),
  }));
}

const sayLoads = (first: number, last: number, all: number): string => {
  if (all === 1) return 'weigh';
  if (first === last) return batchPlanWords.loadFirst(first);
  return last - first + 1 === all
    ? batchPlanWords.eachOfAllLoads(all)
    : batchPlanWords.eachOfLoadsFirstTo(first, last);
};

function Drift({ plan, kitchen: { settings }, loads }: { plan: BatchPlan; kitchen: Kitchen; loads: number }) {
  const { drift, rounding, holds } = plan;
  const requests = useMemo(() => [holds.jar, holds.batch], [holds]);
  const [jar = null, batch = null] = useHolds(requests);
  const noticed = drift.filter(({ steps }) => Math.abs(steps) >= 0.5);
  return (
    <div className="grid gap-1 border-t border-rule pt-2" data-testid="drift">
      <p>
        {!rounding && batchPlanWords.notRoundedEveryRatioIs}
        {rounding && noticed.length === 0 && batchPlanWords.nobodyWillTasteTheRounding}
        {rounding && noticed.length > 0 && batchPlanWords.theRoundingCanBeTasted}
        {noticed.map(({ measure, from, to, inside }, i) => (
          <span key={measure} className="font-semibold">
            {i > 0 && '; '}
            {MEASURE_WORDS[measure].title} {showMeasure(measure, from, settings.decimalSign)} →{' '}
            {showMeasure(measure, to, settings.decimalSign)}
            {inside === false && batchPlanWords.outsideItsWindow}
          </span>
        ))}
        {rounding && (
          <span className="text-quiet">
            {' '}
            {rounding.loss > ENOUGH_LOSS &&
              (rounding.proven
                ? batchPlanWords.bestOfAllCombinations
                : rounding.gap !== null
                  ? batchPlanWords.theBestFoundAtMost(formatNumber(rounding.gap * 100, 0, settings))
                  : batchPlanWords.theBestFoundNotEvery)}
          </span>
        )}
      </p>
      <p data-testid="batch-hold">
        {batchPlanWords.asAJarThenAs(
          loads === 1 ? batchPlanWords.batch : batchPlanWords.load,
          sayHoldMove(jar, batch),
          sayDrops(jar, batch),
          sayRemix(remixOf(batch)),
        )}
      </p>
    </div>
  );
}

/** Nobody in a kitchen measures drops: a guide. */
function sayDrops(jar: Hold | null, batch: Hold | null): string {
  const um = (hold: Hold | null): number | null =>
    hold?.state.fresh ? Number((hold.state.fresh.diameterM * 1e6).toPrecision(2)) : null;
  const [small, large] = [um(jar), um(batch)];
  if (small === null || large === null) return '';
  return batchPlanWords.dropsAboutUmMThen(small, large);
}
