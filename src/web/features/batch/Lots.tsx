import { useState } from 'react';
import type { BatchRecord } from '#contract';
import { standingBatchEvents } from '#core/batch';
import type { IngredientId } from '#core/ingredient';
import { entryOf } from '#kitchen/reading';
import { batchRunWords } from '#words/screens/batchRun';
import { Alert } from '../../ui/Alert';
import { useKitchen } from '../../data/kitchen';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { useSay } from './useSay';

/** Which lot or bottle went in: what the pantry says to begin with, typed where it differs. */
export function Lots({ batch }: { batch: BatchRecord }) {
  const { pantry } = useKitchen();
  const { busy, error, say } = useSay(batch.id);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const kept = new Map<string, string>();
  for (const { event } of standingBatchEvents(batch.events)) {
    if (event.kind === 'lot') kept.set(event.ingredientId, event.text);
  }
  const things = [...new Map(batch.plan.lines.map(({ ingredientId, name }) => [ingredientId, name]))];
  const textOf = (id: IngredientId): string => typed[id] ?? kept.get(id) ?? entryOf(pantry, id).bottle.label;
  const fresh = things.filter(([id]) => textOf(id).trim() !== (kept.get(id) ?? ''));
  const keep = async (): Promise<void> => {
    for (const [ingredientId] of fresh) {
      if (!(await say({ kind: 'lot', ingredientId, text: textOf(ingredientId).trim() }))) return;
    }
    setTyped({});
  };
  return (
    <section aria-label={batchRunWords.lotsAndBottles} className="card p-4">
      <details open={kept.size > 0}>
        <summary className="font-name min-h-8 cursor-pointer text-lg font-bold">
          {batchRunWords.lotsAndBottles}
        </summary>
        <form
          className="grid gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            void keep();
          }}
        >
          {things.map(([id, name]) => (
            <Field
              key={id}
              label={name}
              maxLength={200}
              placeholder={batchRunWords.lotBottleOpenedOn}
              value={textOf(id)}
              onText={(text) => {
                setTyped({ ...typed, [id]: text });
              }}
            />
          ))}
          <Button type="submit" className="min-h-11 print:hidden" disabled={busy || fresh.length === 0}>
            {fresh.length === 0
              ? batchRunWords.keptAsTheyStand
              : batchRunWords.keepForm(
                  fresh.length === 1 ? batchRunWords.it : batchRunWords.theseLength(fresh.length),
                )}
          </Button>
          {error && <Alert>{batchRunWords.notAllKeptError(error)}</Alert>}
        </form>
      </details>
    </section>
  );
}
