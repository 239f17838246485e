import { useMemo, useRef, useState } from 'react';
import { emptyFormula, type AdditionId, type Formula } from '#core/formula';
import { reckonFormula } from '#core/reckoning';
import { DEFAULT_VESSEL_ID } from '#core/vessel';
import { addTyped } from '#kitchen/edits';
import { contextFor, vesselOf, type Kitchen } from '#kitchen/reading';
import { firstJarWords } from '#words/screens/firstJar';
import { shelfToolWords } from '#words/screens/shelfTools';
import { sayError } from '../../data/kitchenApi';
import { useKitchen } from '../../data/kitchen';
import { Jar } from '../../parts/drawing/Jar';
import { jarParts } from '../../parts/drawing/jarParts';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { FirstSettings } from './FirstSettings';
import type { Creating } from './ShelfPanel';

interface FirstJarProps {
  readonly make: (formula: Formula, open: boolean) => void;
  readonly creating: Creating;
}

const STEPS = firstJarWords.firstSteps;

/** A kitchen without a formula: a jar to fill in four steps, which is opened as the first. */
export function FirstJar({ make, creating }: FirstJarProps) {
  const kitchen = useKitchen();
  // One entry a step that was taken; empty: left out.
  const [taken, setTaken] = useState<readonly string[]>([]);
  const heading = useRef<HTMLHeadingElement>(null);
  const formula = useMemo(() => filled(taken, kitchen), [taken, kitchen]);
  const vessel = vesselOf(formula, kitchen.vessels);
  const reckoning = useMemo(
    () => reckonFormula(formula, vessel, contextFor(formula, kitchen)),
    [formula, vessel, kitchen],
  );
  const step = STEPS[taken.length];
  const unread = reckoning.additions.find(({ reading }) => reading.status === 'unread');
  const go = (next: readonly string[]): void => {
    setTaken(next);
    heading.current?.focus();
  };
  return (
    <div className="mx-auto mt-4 grid max-w-4xl grid-cols-[minmax(0,1fr)] gap-3.5" data-testid="first-jar">
      <section aria-labelledby="first-jar" className="card grid gap-5 p-5 sm:grid-cols-[180px_minmax(0,1fr)]">
        <div className="justify-self-center">
          <Jar
            vessel={vessel}
            parts={jarParts(reckoning)}
            width={160}
            height={240}
            label={firstJarWords.inTheJar}
          />
        </div>
        <div className="grid content-start gap-3">
          <h2 id="first-jar" className="font-name text-xl font-bold">
            {firstJarWords.firstJar}
          </h2>
          <h3 ref={heading} tabIndex={-1} className="text-lg font-semibold">
            {step
              ? firstJarWords.stepOfFour(taken.length + 1, STEPS.length, step.title)
              : firstJarWords.itIsFull}
          </h3>
          {step && (
            <Step
              key={taken.length}
              lines={step.lines}
              onTake={(line) => {
                go([...taken, line]);
              }}
            />
          )}
          {unread && <p role="status">{firstJarWords.notReadThere(unread.addition.ingredientText)}</p>}
          <div className="flex flex-wrap gap-4">
            {!step && (
              <Button
                kind="main"
                className="min-h-11"
                data-next
                disabled={creating.isLoading}
                onClick={() => {
                  make(formula, true);
                }}
              >
                {firstJarWords.openIt}
              </Button>
            )}
            {taken.length > 0 && (
              <Button
                className="min-h-11"
                onClick={() => {
                  go(taken.slice(0, -1));
                }}
              >
                {firstJarWords.stepBack}
              </Button>
            )}
          </div>
          {creating.isError && <Alert>{shelfToolWords.notMadeTrouble(sayError(creating.error))}</Alert>}
        </div>
      </section>
      <FirstSettings />
    </div>
  );
}

function Step({ lines, onTake }: { lines: readonly string[]; onTake: (line: string) => void }) {
  const [typed, setTyped] = useState('');
  return (
    <form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (typed.trim()) onTake(typed.trim());
      }}
    >
      <div className="flex flex-wrap gap-2">
        {lines.map((line) => (
          <Button
            key={line}
            className="min-h-11"
            onClick={() => {
              onTake(line);
            }}
          >
            {line}
          </Button>
        ))}
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <Field
          label={firstJarWords.orTypeIt}
          className="min-w-52 flex-1"
          maxLength={200}
          value={typed}
          onText={setTyped}
        />
        <Button type="submit" className="min-h-8" disabled={!typed.trim()}>
          {firstJarWords.putIn}
        </Button>
        <Button
          kind="quiet"
          onClick={() => {
            onTake('');
          }}
        >
          {firstJarWords.leaveOut}
        </Button>
      </div>
    </form>
  );
}

function filled(taken: readonly string[], kitchen: Kitchen): Formula {
  const { spoons, servingVolumeMl } = kitchen.settings;
  const empty = { ...emptyFormula(firstJarWords.firstJarName, DEFAULT_VESSEL_ID, spoons), servingVolumeMl };
  const context = contextFor(empty, kitchen);
  return (
    taken
      .filter((line) => line !== '')
      // The same ids each time it is filled anew: it is one jar.
      .reduce((formula, line, i) => addTyped(formula, line, context, () => `first-${i}` as AdditionId), empty)
  );
}
