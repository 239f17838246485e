import { contributions, hiddenSaltG, type ContributedKey } from '#core/composition';
import { componentOf, type KitchenComponent } from '#core/ingredient';
import type { Reckoning } from '#core/reckoning';
import type { Settings } from '#contract';
import { ComponentMark } from '../../drawing/ComponentMark';
import { formatAmount, formatPercent, formatRatio, formatSpan, inSentence } from '../../format';

interface Gauge {
  readonly key: ContributedKey;
  readonly measure:
    'fatMassFraction' | 'saltEquivalentMassFraction' | 'sugarMassFraction' | 'waterMassFraction';
  readonly title: string;
  readonly unit: string;
  readonly mark: KitchenComponent;
}

const GAUGES: readonly Gauge[] = [
  { key: 'fat', measure: 'fatMassFraction', title: 'Richness', unit: 'fat', mark: 'oil' },
  { key: 'salt', measure: 'saltEquivalentMassFraction', title: 'Salt', unit: 'salt', mark: 'salt' },
  { key: 'sugar', measure: 'sugarMassFraction', title: 'Sugars', unit: 'sugars', mark: 'sweet' },
  { key: 'water', measure: 'waterMassFraction', title: 'Water', unit: 'water', mark: 'water' },
];

const NOTABLE_SPREAD = 0.05;

const SEGMENT: Record<KitchenComponent, string> = {
  oil: 'bg-oil',
  acid: 'bg-acid',
  salt: 'bg-salt',
  sweet: 'bg-sweet',
  aroma: 'bg-aroma',
  body: 'bg-body',
  water: 'bg-water',
};

/** The numbers known of the dressing, each with who brings it. */
export function PalateRail({ reckoning, settings }: { reckoning: Reckoning; settings: Settings }) {
  const { measures, ranges } = reckoning.totals;
  const ratioSpan = formatSpan(ranges.oilToAcidMassRatio.low, ranges.oilToAcidMassRatio.high, (value) =>
    formatRatio(value, settings),
  );
  return (
    <section aria-label="On the palate" className="card min-h-0 overflow-auto p-4" tabIndex={0}>
      <h2 className="font-name mb-1 text-lg font-bold">What is in it</h2>
      {reckoning.portions.length === 0 ? (
        <p className="text-quiet">Numbers come with the first addition.</p>
      ) : (
        <>
          {GAUGES.map((gauge) => (
            <GaugeRow key={gauge.key} gauge={gauge} reckoning={reckoning} settings={settings} />
          ))}
          <dl className="grid grid-cols-[1fr_auto] gap-y-1 pt-3 text-sm">
            <dt>Oil to acid by weight</dt>
            <dd className="text-right">
              {formatRatio(measures.oilToAcidMassRatio, settings)}
              {ratioSpan && <span className="block text-quiet">{ratioSpan}</span>}
            </dd>
            <dt>Poured oil by weight</dt>
            <dd className="text-right">{formatPercent(measures.oilMassFraction, settings)}</dd>
            <dt>Poured oil by volume</dt>
            <dd className="text-right">{formatPercent(measures.oilVolumeFraction, settings)}</dd>
          </dl>
          <p className="pt-3 text-[0.8125rem] text-quiet">
            From table values of typical ingredients: an estimate. Your bottle may differ.
          </p>
        </>
      )}
    </section>
  );
}

function GaugeRow({
  gauge,
  reckoning,
  settings,
}: {
  gauge: Gauge;
  reckoning: Reckoning;
  settings: Settings;
}) {
  const { low, high } = reckoning.totals.ranges[gauge.measure];
  const value = reckoning.totals.measures[gauge.measure];
  const parts = contributions(reckoning.portions, gauge.key);
  // A spread that changes nothing a cook would do is not worth a sentence.
  const loose = low === null || high === null || high - low > NOTABLE_SPREAD * (value ?? 0);
  const span = loose ? formatSpan(low, high, (fraction) => formatPercent(fraction, settings)) : null;
  return (
    <div className="border-b border-rule py-2" data-testid={`gauge-${gauge.key}`}>
      <div className="flex items-center gap-2">
        <ComponentMark component={gauge.mark} />
        <h3 className="font-semibold">{gauge.title}</h3>
        <span className="font-name ml-auto text-[1.05rem] font-semibold">
          {formatPercent(value, settings)} {gauge.unit}
        </span>
      </div>
      <div className="mt-1.5 flex h-3 gap-px overflow-hidden rounded bg-track" aria-hidden>
        {parts.map((part) => (
          <span
            key={part.index}
            className={SEGMENT[componentOf(part.ingredient)]}
            style={{ width: `${part.share * 100}%` }}
          />
        ))}
      </div>
      <p className="mt-1 text-sm text-quiet">
        {sayContributions(gauge, reckoning, settings)}
        {span && ` May be ${span}: some amounts are loose.`}
      </p>
    </div>
  );
}

function sayContributions(gauge: Gauge, reckoning: Reckoning, settings: Settings): string {
  const parts = contributions(reckoning.portions, gauge.key);
  const [first, second] = parts;
  if (!first) return 'Nothing in it brings any.';
  const grams = (massG: number): string => formatAmount(massG, 'g', settings);
  const total = parts.reduce((sum, { massG }) => sum + massG, 0);
  if (gauge.key === 'salt') {
    const hidden = hiddenSaltG(reckoning.portions);
    const hider = parts.find(({ ingredient }) => ingredient.category !== 'salt');
    if (hidden >= 0.1 && hider) {
      return `${grams(hidden)} of the ${grams(total)} hides elsewhere, most in the ${inSentence(hider.ingredient.name)}.`;
    }
  }
  if (gauge.key === 'fat' && reckoning.totals.measures.oilMassFraction) {
    const poured = reckoning.totals.measures.oilMassFraction;
    if (first.ingredient.category !== 'oil')
      return `${grams(first.massG)} of ${grams(total)} from ${inSentence(first.ingredient.name)}.`;
    return `${formatPercent(poured, settings)} is poured oil, most of it ${inSentence(first.ingredient.name)}.`;
  }
  const rest = second && first.share < 0.9 ? `, then ${inSentence(second.ingredient.name)}` : '';
  return `${grams(first.massG)} of ${grams(total)} from ${inSentence(first.ingredient.name)}${rest}.`;
}
