import { REFERENCE_STRENGTH, schoolRatios } from '#core/acidity';
import { palateContributions, type PalateKey, type Style } from '#core/palate';
import { MEASURE_WORDS } from '#words/palate';
import type { Judgement } from '#core/reckoning';
import type { Settings } from '#contract';
import { composeBalanceWords } from '#words/screens/composeBalance';
import { Track } from '../../parts/drawing/Track';
import { formatAmount, formatNumber, formatPercent, formatRatio } from '#words/numbers';
import { Dialog } from '../../ui/Dialog';
import { HOW, MARKS, sentenceFor, showMeasure } from '#words/judgement';

interface MeasurePanelProps {
  readonly measure: PalateKey;
  readonly judgement: Judgement;
  readonly style: Style | null;
  readonly settings: Settings;
  readonly servingMassG: number | null;
  readonly onClose: () => void;
}

/** One measure in full: who brings it, the figures trade people use, and how it is reckoned. */
export function MeasurePanel({
  measure,
  judgement,
  style,
  settings,
  servingMassG,
  onClose,
}: MeasurePanelProps) {
  const { palate, portions } = judgement;
  const { title } = MEASURE_WORDS[measure];
  const { value, range } = palate[measure];
  const show = (figure: number | null): string => showMeasure(measure, figure, settings.decimalSign);
  const window = style?.windows[measure];
  return (
    <Dialog title={title} open onClose={onClose}>
      <p className="font-name mb-2 text-xl font-semibold">{show(value)}</p>
      <Track
        component={MARKS[measure]}
        value={value}
        range={range}
        window={window}
        label={`${title} ${show(value)}`}
      />
      <p className="mt-2">
        {sentenceFor(measure, palate[measure], window, portions)}
        {window && composeBalanceWords.theBandOfNameIs(style!.name, show(window.low), show(window.high))}
        {range.low !== range.high &&
          composeBalanceWords.withLooseAmountsItMay(show(range.low), show(range.high))}
      </p>
      <Contributions measure={measure} judgement={judgement} settings={settings} />
      {measure === 'acid' && <AcidFigures judgement={judgement} settings={settings} />}
      {measure === 'sweet' && (
        <p className="mt-3">
          {composeBalanceWords.sugarToAcidShowmeasure(
            showMeasure('sugarToAcid', palate.sugarToAcid.value, settings.decimalSign),
          )}
        </p>
      )}
      {(measure === 'fat' || measure === 'salt' || measure === 'sweet') && (
        <NutritionFigures judgement={judgement} settings={settings} servingMassG={servingMassG} />
      )}
      <details className="mt-4">
        <summary className="cursor-pointer font-semibold">{composeBalanceWords.howIsThisReckoned}</summary>
        <p className="mt-1">{HOW[measure].formula}</p>
        <p className="mt-1 text-sm text-quiet">{HOW[measure].source}</p>
      </details>
    </Dialog>
  );
}

const GRAMS: ReadonlySet<PalateKey> = new Set<PalateKey>([
  'acid',
  'salt',
  'sweet',
  'fat',
  'garlic',
  'mustard',
]);

function Contributions({
  measure,
  judgement,
  settings,
}: Pick<MeasurePanelProps, 'measure' | 'judgement' | 'settings'>) {
  const parts = palateContributions(judgement.portions, measure);
  if (parts.length === 0) return null;
  const total = parts.reduce((sum, { amount }) => sum + amount, 0);
  const inGrams = GRAMS.has(measure);
  return (
    <>
      <h3 className="font-name mt-4 mb-1 font-bold">
        {composeBalanceWords.whoBringsIt}
        {inGrams && composeBalanceWords.ofTotal(formatAmount(total, 'g', settings))}
      </h3>
      <ul className="grid gap-1" data-testid="contributions">
        {parts.map(({ index, portion, amount, share }) => (
          <li key={index} className="grid grid-cols-[minmax(0,11rem)_1fr_auto] items-center gap-3">
            <span className="truncate">{portion.ingredient.name}</span>
            <span className="h-2.5 rounded bg-track" aria-hidden>
              <span className="block h-full rounded bg-bottle-soft" style={{ width: `${share * 100}%` }} />
            </span>
            <span className="text-right text-sm">
              {inGrams && `${formatAmount(amount, 'g', settings)} · `}
              {formatPercent(share, settings, 0)}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}

function AcidFigures({ judgement, settings }: Pick<MeasurePanelProps, 'judgement' | 'settings'>) {
  const { acidity, acidStrength, equivalentRatio, waterActivity } = judgement;
  if (!acidity) return null;
  const percent = (fraction: number | null): string => formatPercent(fraction, settings, 2);
  return (
    <>
      <dl className="mt-4 grid grid-cols-[1fr_auto] gap-y-1">
        <dt>{composeBalanceWords.titratableOfTheWhole}</dt>
        <dd>
          {composeBalanceWords.titratableaciditymeqper100gMeqPer100G(
            formatNumber(acidity.titratableAcidityMeqPer100G, 1, settings),
          )}
        </dd>
        <dt>{composeBalanceWords.tastedOfTheWholeAs}</dt>
        <dd>{percent(acidity.tastedAcidityAsCitricMassFraction)}</dd>
        <dt>{composeBalanceWords.tastedOfWhatIsNot}</dt>
        <dd>{percent(acidity.waterPhaseTastedAcidityAsAceticMassFraction)}</dd>
        <dt>{composeBalanceWords.aceticAcidInItsWater}</dt>
        <dd>{percent(acidity.aceticInWaterPhaseMassFraction)}</dd>
        <dt>{composeBalanceWords.asSharpAs5Vinegar}</dt>
        <dd>{formatRatio(equivalentRatio, settings)}</dd>
        <dt>{composeBalanceWords.waterActivity}</dt>
        <dd>{waterActivity ? formatNumber(waterActivity.value, 2, settings) : '–'}</dd>
      </dl>
      {acidStrength !== null && (
        <>
          <h3 className="font-name mt-4 mb-1 font-bold">{composeBalanceWords.whatEachSchoolComesTo}</h3>
          <table className="w-full text-left" data-testid="schools">
            <thead className="text-sm text-quiet">
              <tr>
                <th className="font-normal">{composeBalanceWords.schoolAt5}</th>
                <th className="font-normal">{composeBalanceWords.sameAcidPerDressing}</th>
                <th className="font-normal">{composeBalanceWords.sameAcidPerOil}</th>
              </tr>
            </thead>
            <tbody>
              {schoolRatios(acidStrength).map(({ school, samePerDressing, samePerOil }) => (
                <tr key={school} className="border-t border-rule">
                  <td className="py-1">{formatRatio(school, settings)}</td>
                  <td>
                    {samePerDressing === null
                      ? composeBalanceWords.tooWeakForIt
                      : formatRatio(samePerDressing, settings)}
                  </td>
                  <td>{formatRatio(samePerOil, settings)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-2 text-sm">{sayStrength(acidStrength, settings)}</p>
        </>
      )}
    </>
  );
}

function sayStrength(strength: number, settings: Settings): string {
  const shown = `${formatNumber(strength, 1, settings)} %`;
  if (strength < REFERENCE_STRENGTH * 0.95) {
    return composeBalanceWords.thisAcidIsMildShown(shown);
  }
  if (strength > REFERENCE_STRENGTH * 1.05) {
    return composeBalanceWords.thisAcidIsStrongShown(shown);
  }
  return composeBalanceWords.thisAcidIsAboutWhat(shown);
}

function NutritionFigures({
  judgement,
  settings,
  servingMassG,
}: Pick<MeasurePanelProps, 'judgement' | 'settings' | 'servingMassG'>) {
  const { nutrition } = judgement;
  if (!nutrition) return null;
  const rows = [
    [composeBalanceWords.energyKcal, nutrition.energyKcalPer100G, 0],
    [composeBalanceWords.fatG, nutrition.fatGPer100G, 1],
    [composeBalanceWords.sugarsG, nutrition.sugarsGPer100G, 1],
    [composeBalanceWords.proteinG, nutrition.proteinGPer100G, 1],
    [composeBalanceWords.saltG, nutrition.saltGPer100G, 2],
  ] as const;
  return (
    <table className="mt-4 w-full text-left" data-testid="nutrition">
      <caption className="mb-1 text-left text-sm text-quiet">
        {composeBalanceWords.anEstimateFromTableValues}
      </caption>
      <thead className="text-sm text-quiet">
        <tr>
          <th />
          <th className="font-normal">{composeBalanceWords.per100G}</th>
          <th className="font-normal">{composeBalanceWords.perServing}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([label, per100G, decimals]) => (
          <tr key={label} className="border-t border-rule">
            <th scope="row" className="py-1 font-normal">
              {label}
            </th>
            <td>{formatNumber(per100G, decimals, settings)}</td>
            <td>
              {servingMassG === null ? '–' : formatNumber((per100G * servingMassG) / 100, decimals, settings)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
