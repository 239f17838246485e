import type { ReactNode } from 'react';
import { composeWords } from '#words/screens/compose';
import type { Doubt, Problem } from '#core/quantity';
import { sayDoubt, sayProblem } from '#words/reading';

/** One answer, a press away. */
function Key({ onPress, children }: { onPress: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      className="min-h-8 rounded-md border border-edge bg-paper px-2 font-semibold text-ink"
      onClick={onPress}
    >
      {children}
    </button>
  );
}

/** What a reading leaves open; where the cook can settle it, with the choices. */
export function DoubtLine({
  doubt,
  onChoose,
  onOther,
}: {
  doubt: Doubt;
  onChoose: (text: string) => void;
  /** The other of two things that were named. */
  onOther: (id: string, name: string, taken: string) => void;
}) {
  if (doubt.code === 'first-of-two' && doubt.otherId !== undefined) {
    const { otherId, other, taken } = doubt;
    return (
      <span className="flex flex-wrap items-center gap-2 text-quiet">
        {composeWords.takenAs(taken)}
        <Key
          onPress={() => {
            onOther(otherId, other, taken);
          }}
        >
          {composeWords.insteadOther(other)}
        </Key>
      </span>
    );
  }
  if (doubt.code !== 'ounce-weight-or-volume') {
    return <span className="block text-quiet">{sayDoubt(doubt)}</span>;
  }
  return (
    <span className="flex flex-wrap items-center gap-2 text-quiet">
      {composeWords.byWeightOrByVolume}
      {doubt.choices.map((choice) => (
        <Key
          key={choice}
          onPress={() => {
            onChoose(choice);
          }}
        >
          {choice}
        </Key>
      ))}
    </span>
  );
}

/** What could not be made out, and what it may have been. */
export function ProblemLine({
  problem,
  onChoose,
  onAmount,
}: {
  problem: Problem;
  onChoose: (name: string) => void;
  /** An amount that is read, and what it is of where the words did not say it plainly. */
  onAmount: (amountText: string, ingredientText: string) => void;
}) {
  const near = 'near' in problem ? problem.near : [];
  if ('amounts' in problem && problem.amounts && problem.amounts.length > 0)
    return (
      <span className="flex flex-wrap items-center gap-1.5">
        <span className="text-acid-ink">{sayProblem(problem)}</span>
        {problem.amounts.map((amount) => (
          <Key
            key={amount}
            onPress={() => {
              onAmount(amount, problem.ingredient);
            }}
          >
            {amount}
          </Key>
        ))}
      </span>
    );
  if (near.length === 0) return <span className="text-acid-ink">{sayProblem(problem)}</span>;
  return (
    <span className="flex flex-wrap items-center gap-1.5">
      <span className="text-acid-ink">
        {composeWords.formIsNotClearWhich('text' in problem ? problem.text : '')}
      </span>
      {near.map((name) => (
        <Key
          key={name}
          onPress={() => {
            onChoose(name);
          }}
        >
          {name}
        </Key>
      ))}
    </span>
  );
}

/** The version that was put in stays until the cook takes the newer one. */
export function NewerLine({ number, onUse }: { number: number; onUse: () => void }) {
  return (
    <span className="flex flex-wrap items-center gap-2 text-quiet">
      {composeWords.thereIsAVNumber(number)}
      <Key onPress={onUse}>{composeWords.useVNumber(number)}</Key>
    </span>
  );
}
