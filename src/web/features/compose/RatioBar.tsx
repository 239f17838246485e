import { ToggleGroup } from 'radix-ui';
import { useState } from 'react';
import { RATIO_LIMITS, type Cost, type RatioSide } from '#core/composition';
import type { Formula } from '#core/formula';
import type { Reckoning } from '#core/reckoning';
import type { Settings } from '#contract';
import { formatAmount, formatMoney, formatRatio, formatSpan } from '#words/numbers';
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
  const bounds = totals.ranges.oilToAcidVolumeRatio;
  const span = formatSpan(bounds.low, bounds.high, (value) => formatRatio(value, settings));
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
            className="font-name rounded-md text-[1.7rem] leading-8 font-bold underline decoration-rule decoration-2 underline-offset-4 hover:decoration-bottle disabled:no-underline"
            onClick={() => {
              onEditing(true);
            }}
            disabled={ratio === null || ratio === 0}
            aria-label={
              ratio === null
                ? 'No oil-to-acid ratio yet'
                : `Oil to acid ${formatRatio(ratio, settings)}: set it`
            }
            data-testid="ratio"
          >
            {formatRatio(ratio, settings)}
          </button>
          <span className="text-quiet">
            {ratio === null ? 'no vinegar or citrus in it yet' : 'oil to acid by volume'}
            {span && <span className="block text-sm">{span}</span>}
          </span>
        </div>
      )}
      <p data-testid="totals">
        <strong>{formatAmount(totals.massG, 'g', settings)}</strong> ·{' '}
        <strong>{formatAmount(totals.mixedVolumeMl, 'ml', settings)}</strong> ·{' '}
        <span className="text-quiet">
          {servings} {servings === 1 ? 'serving' : 'servings'} of{' '}
          {formatAmount(formula.servingVolumeMl, 'ml', settings)}
        </span>
        {cost.lines.length > 0 && (
          <span
            className="block text-right text-sm text-quiet"
            title={cost.unpriced.length > 0 ? 'Prices are kept in the pantry' : undefined}
            data-testid="cost"
          >
            {formatMoney(cost.total, settings)} a jar
            {servings > 0 && `, ${formatMoney(cost.total / servings, settings)} a serving`}
            {cost.unpriced.length > 0 && `; ${cost.unpriced.length} without a price`}
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
        aria-label="Oil to one part of acid"
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
        aria-label="Which side follows"
        className="flex overflow-hidden rounded-md border border-edge"
      >
        <ToggleGroup.Item value="oil" className={option}>
          oil follows
        </ToggleGroup.Item>
        <ToggleGroup.Item value="acid" className={option}>
          acid follows
        </ToggleGroup.Item>
      </ToggleGroup.Root>
      <Button kind="main" type="submit" disabled={!valid}>
        Set
      </Button>
      <Button kind="quiet" onClick={onCancel}>
        Leave
      </Button>
      <span id="ratio-hint" className="w-full text-sm text-acid-ink empty:hidden">
        {valid ? '' : `A number from ${RATIO_LIMITS.low} to ${RATIO_LIMITS.high}, such as 2.5.`}
      </span>
    </form>
  );
}
