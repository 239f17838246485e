import type { StepState, TrialEvent } from '#core/trial';
import { formatAmount, formatMoment, type NumberStyle } from '#words/numbers';
import { makeWords } from '#words/screens/make';
import { Button } from '../../ui/Button';

const SOURCE_WORDS = { simulated: makeWords.simulatedScale, typed: 'typed', device: 'scale' } as const;

/** A step that is behind: how it came out, and taking it back. */
export function DonePanel({
  state,
  name,
  settings,
  onSay,
  onForward,
}: {
  state: StepState;
  name: string;
  settings: NumberStyle;
  onSay: (...events: readonly TrialEvent[]) => void;
  onForward: () => void;
}) {
  const { takes, counted, closedBy, massG, status } = state;
  return (
    <section
      aria-label={makeWords.aStepThatIsDone}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-4 p-5 sm:p-8"
    >
      <h2 className="font-name text-4xl font-bold" data-step-heading>
        {name}
        {massG > 0 && `, ${formatAmount(massG, 'g', settings)}`}
      </h2>
      <ul className="text-lg">
        {takes.map((take) => (
          <li key={take.id}>
            {formatAmount(take.event.line.massG, 'g', settings)}, {SOURCE_WORDS[take.event.reading.source]},{' '}
            {formatMoment(take.at)}
            {!counted.has(take.id) && makeWords.doesNotCount}
          </li>
        ))}
        {takes.length === 0 && <li>{status === 'left-out' ? makeWords.leftOut : makeWords.done}</li>}
      </ul>
      <p className="text-lg text-quiet">{makeWords.takingItBackAddsA}</p>
      <div className="flex flex-wrap gap-4">
        <Button kind="main" className="min-h-16 flex-1 basis-60 text-xl" onClick={onForward}>
          {makeWords.forward}
        </Button>
        {closedBy !== null && (
          <Button
            className="min-h-16 px-6 text-lg"
            onClick={() => {
              onSay({ kind: 'corrected', eventId: closedBy });
            }}
          >
            {makeWords.takeItBack}
          </Button>
        )}
      </div>
    </section>
  );
}
