import { ToggleGroup } from 'radix-ui';
import { useState } from 'react';
import { RATIO_LIMITS, type Cost, type RatioSide } from '#core/composition';
import type { Formula } from '#core/formula';
import type { Reckoning } from '#core/reckoning';
import type { Settings } from '#contract';
import { formatAmount, formatMoney, formatPercent, formatRatio, formatSpan } from '#words/numbers';
import { composeWords } from '#words/screens/compose';
import { Button } from '../../ui/Button';

interface RatioBarProps {
  readonly formula: Formula;
  readonly reckoning: Reckoning;
  readonly settings: Settings;
  readonly cost: Cost;
  readonly editing: boolean;
  readonly onEditing: (editing: boolean) => void;
  readonly onSet: (ratio: number, follows: RatioSide) => void;
}

export function RatioBar({ formula, reckoning, settings, cost, editing, onEditing, onSet }: RatioBarProps) {
  const { totals, servings } = reckoning;
  const ratio = totals.measures.oilToAcidVolumeRatio;
  // Where no oil is poured the ratio says nothing: the fat leads.
  const noOil = ratio === 0 && totals.massG > 0;
  const bounds = totals.ranges.oilToAcidVolumeRatio;
  const span = noOil ? null : formatSpan(bounds.low, bounds.high, (value) => formatRatio(value, settings));
  return (
    <div className="mb-1 flex flex-wrap items-baseline justify-between gap-x-4 gap-y-1">
      {editing && ratio !== null ? (
        <RatioEditor
          ratio={ratio}
          onSet={(wanted, follows) => {
            onSet(wanted, follows);
            onEditing(false);
          }}
          onCancel={() => {
            onEditing(false);
          }}
        />
      ) : (
        <div className="flex flex-wrap items-baseline gap-x-3">
          <button
            type="button"
            className="font-name rounded-md text-[1.7rem] leading-8 font-bold underline decoration-rule decoration-2 underline-offset-4 hover:decoration-leaf disabled:no-underline"
            onClick={() => {
              onEditing(true);
            }}
            disabled={ratio === null || ratio === 0}
            aria-label={
              noOil || ratio === null
                ? composeWords.noOilToAcidRatio
                : composeWords.oilToAcidRatioSet(formatRatio(ratio, settings))
            }
            data-testid="ratio"
          >
            {noOil
              ? formatPercent(totals.measures.fatMassFraction, settings, 0)
              : formatRatio(ratio, settings)}
          </button>
          <span className="text-quiet">
            {noOil
              ? composeWords.fatNoOilPoured
              : ratio === null
                ? composeWords.noVinegarOrCitrusIn
                : composeWords.oilToAcidByVolume}
            {span && <span className="block text-sm">{span}</span>}
          </span>
        </div>
      )}
      <p data-testid="totals">
        <strong>{formatAmount(totals.massG, 'g', settings)}</strong> ·{' '}
        <strong>{formatAmount(totals.mixedVolumeMl, 'ml', settings)}</strong> ·{' '}
        <span className="text-quiet">
          {composeWords.servingsFormOf(
            servings,
            servings === 1 ? composeWords.serving : composeWords.servings,
          )}{' '}
          {formatAmount(formula.servingVolumeMl, 'ml', settings)}
        </span>
        {cost.lines.length > 0 && (
          <span
            className="block text-right text-sm text-quiet"
            title={cost.unpriced.length > 0 ? composeWords.pricesAreKeptInThe : undefined}
            data-testid="cost"
          >
            {composeWords.totalAJar(formatMoney(cost.total, settings))}
            {servings > 0 && composeWords.formatmoneyAServing(formatMoney(cost.total / servings, settings))}
            {cost.unpriced.length > 0 && composeWords.lengthWithoutAPrice(cost.unpriced.length)}
          </span>
        )}
      </p>
    </div>
  );
}

function RatioEditor({
  ratio,
  onSet,
  onCancel,
}: {
  ratio: number;
  onSet: (wanted: number, follows: RatioSide) => void;
  onCancel: () => void;
}) {
  const [text, setText] = useState(String(Number(ratio.toFixed(2))));
  const [follows, setFollows] = useState<RatioSide>('oil');
  const wanted = Number(
    text
      .trim()
      .replace(',', '.')
      .replace(/\s*:\s*1$/, ''),
  );
  const valid = wanted >= RATIO_LIMITS.low && wanted <= RATIO_LIMITS.high;
  const option = 'min-h-8 px-3 data-[state=on]:bg-bottle data-[state=on]:text-white';
  return (
    <form
      className="flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (valid) onSet(wanted, follows);
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') onCancel();
      }}
    >
      <input
        autoFocus
        aria-label={composeWords.oilToOnePartOf}
        aria-invalid={!valid}
        aria-describedby="ratio-hint"
        className="field font-name w-20 text-xl font-bold"
        inputMode="decimal"
        value={text}
        onFocus={(event) => {
          event.target.select();
        }}
        onChange={(event) => {
          setText(event.target.value);
        }}
      />
      <span className="font-name text-xl font-bold">: 1</span>
      <ToggleGroup.Root
        type="single"
        value={follows}
        onValueChange={(value) => {
          if (value) setFollows(value as RatioSide);
        }}
        aria-label={composeWords.whichSideFollows}
        className="flex overflow-hidden rounded-md border border-edge"
      >
        <ToggleGroup.Item value="oil" className={option}>
          {composeWords.oilFollows}
        </ToggleGroup.Item>
        <ToggleGroup.Item value="acid" className={option}>
          {composeWords.acidFollows}
        </ToggleGroup.Item>
      </ToggleGroup.Root>
      <Button kind="main" type="submit" disabled={!valid}>
        {composeWords.set}
      </Button>
      <Button kind="quiet" onClick={onCancel}>
        {composeWords.leave}
      </Button>
      <span id="ratio-hint" className="w-full text-sm text-acid-ink empty:hidden">
        {valid ? '' : composeWords.aNumberFromLowTo(RATIO_LIMITS.low, RATIO_LIMITS.high)}
      </span>
    </form>
  );
}
