import type { Catalogue } from '#core/ingredient';
import type { MakingPlan, StepState, TrialEvent } from '#core/trial';
import { formatAmount, formatMoment, type NumberStyle } from '#words/numbers';
import { makeWeighWords } from '#words/screens/makeWeigh';
import { Button } from '../../ui/Button';
import { stepName } from '#kitchen/repair';

/** Two screens recorded one step without knowing of each other: both are kept, a cook says which counts. */
export function DisputePanel({
  state,
  catalogue,
  making,
  settings,
  onSay,
}: {
  state: StepState;
  catalogue: Catalogue;
  making: MakingPlan;
  settings: NumberStyle;
  onSay: (...events: readonly TrialEvent[]) => void;
}) {
  const { takes, step } = state;
  const settle = (keep: readonly string[]): void => {
    onSay({ kind: 'settled', stepId: step.id, keep });
  };
  const grams = (massG: number): string => formatAmount(massG, 'g', settings);
  return (
    <section
      aria-label={makeWeighWords.twoRecordsOfOneStep}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-4 border-l-4 border-l-acid p-5 sm:p-8"
    >
      <h2 className="font-name text-3xl font-bold">
        {makeWeighWords.stepnameWhichWeightCounts(stepName(step, catalogue, making, settings))}
      </h2>
      <p className="text-lg">{makeWeighWords.twoScreensRecordedThisStep}</p>
      <div className="grid gap-4">
        {takes.map(({ id, at, event: { line } }) => (
          <Button
            key={id}
            className="min-h-16 text-xl"
            onClick={() => {
              settle([id]);
            }}
          >
            {grams(line.massG)}, {formatMoment(at)}
          </Button>
        ))}
        <Button
          className="min-h-16 text-xl"
          onClick={() => {
            settle(takes.map(({ id }) => id));
          }}
        >
          {makeWeighWords.allOfItWentIn(grams(takes.reduce((sum, { event }) => sum + event.line.massG, 0)))}
        </Button>
      </div>
    </section>
  );
}
