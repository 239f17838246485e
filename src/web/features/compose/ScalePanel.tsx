import { useState } from 'react';
import type { Formula, ReadingContext } from '#core/formula';
import { reckonFormula, type Reckoning } from '#core/reckoning';
import { SHAKE_LINE_SHARE, type Vessel } from '#core/vessel';
import type { Settings } from '#contract';
import { formatAmount, formatRatio } from '#words/numbers';
import { composeWords } from '#words/screens/compose';
import { typedNumber } from '../../form/typed';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { fillFactor, scaleAll } from '#kitchen/edits';

interface ScalePanelProps {
  readonly formula: Formula;
  readonly reckoning: Reckoning;
  readonly vessel: Vessel;
  readonly context: ReadingContext;
  readonly settings: Settings;
  readonly onScale: (next: Formula) => void;
  readonly onClose: () => void;
}

/** The whole jar larger or smaller: to a volume, to the shake line, or by a factor; locked amounts stay. */
export function ScalePanel({
  formula,
  reckoning,
  vessel,
  context,
  settings,
  onScale,
  onClose,
}: ScalePanelProps) {
  const now = reckoning.totals.mixedVolumeMl;
  const shakeLine = Math.floor(vessel.brimfulVolumeMl * SHAKE_LINE_SHARE);
  const [text, setText] = useState(String(Math.round(now)));
  const { value: wanted } = typedNumber(text, { above: 0 });
  const outcome = wanted !== null ? fillFactor(reckoning, wanted) : null;
  const next = outcome?.status === 'scale' ? scaleAll(formula, reckoning, outcome.factor, context) : null;
  const scaled = next && reckonFormula(next, vessel, context);
  return (
    <Dialog title={composeWords.scaleThisJar2} open onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (!next) return;
          onScale(next);
          onClose();
        }}
      >
        <div className="flex flex-wrap items-end gap-3">
          <label className="grid gap-1 font-semibold">
            {composeWords.toFillMl}
            <input
              autoFocus
              className="field w-32 font-normal"
              inputMode="decimal"
              value={text}
              aria-invalid={!next}
              aria-describedby="scale-says"
              onFocus={(event) => {
                event.target.select();
              }}
              onChange={(event) => {
                setText(event.target.value);
              }}
            />
          </label>
          <Button
            onClick={() => {
              setText(String(shakeLine));
            }}
          >
            {composeWords.fitThisVesselShakelineMl(shakeLine)}
          </Button>
          {[0.5, 2, 3].map((factor) => (
            <Button
              key={factor}
              onClick={() => {
                setText(String(Math.round(now * factor)));
              }}
            >
              {factor === 0.5 ? composeWords.half : composeWords.factorTimes(factor)}
            </Button>
          ))}
        </div>
        <p id="scale-says" role="status" className="my-3 min-h-5 text-sm">
          {sayOutcome(outcome, scaled, settings)}
        </p>
        {scaled && next && (
          <table className="mb-4 w-full text-left text-sm">
            <caption className="sr-only">{composeWords.amountsBeforeAndAfter}</caption>
            <thead>
              <tr className="text-quiet">
                <th className="font-normal">{composeWords.addition}</th>
                <th className="font-normal">{composeWords.now}</th>
                <th className="font-normal">{composeWords.then}</th>
              </tr>
            </thead>
            <tbody>
              {reckoning.additions.map(({ addition, reading }) => {
                const after = next.additions.find(({ id }) => id === addition.id)?.amountText;
                return (
                  <tr key={addition.id} className="border-t border-rule">
                    <td className="py-1 pr-2">
                      {reading.status === 'read' ? reading.ingredient.name : addition.ingredientText}
                    </td>
                    <td className="pr-2">{addition.amountText}</td>
                    <td className={after === addition.amountText ? 'text-quiet' : 'font-semibold'}>
                      {addition.locked ? composeWords.partLocked(after ?? '') : after}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        )}
        <div className="flex gap-3">
          <Button kind="main" type="submit" disabled={!next}>
            {composeWords.scale}
          </Button>
          <Button onClick={onClose}>{composeWords.leaveAsItWas}</Button>
        </div>
      </form>
    </Dialog>
  );
}

function sayOutcome(
  outcome: ReturnType<typeof fillFactor> | null,
  scaled: Reckoning | null,
  settings: Settings,
): string {
  if (!outcome) return composeWords.aVolumeInMlSuch;
  if (outcome.status === 'nothing-to-scale') {
    return composeWords.nothingHereCanGrowAdd;
  }
  if (outcome.status === 'locked-too-large') {
    return composeWords.theLockedAmountsAloneTake(formatAmount(outcome.lockedMl, 'ml', settings));
  }
  const { mixedVolumeMl, measures } = scaled!.totals;
  return composeWords.timesFactorMixedvolumemlAfterRounding(
    outcome.factor.toFixed(2),
    formatAmount(mixedVolumeMl, 'ml', settings),
    formatRatio(measures.oilToAcidVolumeRatio, settings),
  );
}
