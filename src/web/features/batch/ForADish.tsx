import { useMemo, useState } from 'react';
import type { Formula } from '#core/formula';
import { entriesOf, readBowl } from '#kitchen/bowl';
import { contextFor, type Kitchen } from '#kitchen/reading';
import { formatVolume } from '#words/numbers';
import { batchPlanWords } from '#words/screens/batchPlan';
import { useDressingsQuery } from '../../data/kitchenApi';
import { typedNumber } from '../../form/typed';
import { useShared } from '../../sync/useWork';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import type { SetDraft } from './draft';

interface ForADishProps {
  readonly formulaId: string;
  readonly formula: Formula;
  readonly kitchen: Kitchen;
  readonly setDraft: SetDraft;
}

/** How much a dish of this dressing takes, for so many: one press makes it the batch's amount. */
export function ForADish({ formulaId, formula, kitchen, setDraft }: ForADishProps) {
  const { thing } = useShared('dishes', formulaId);
  const { data: records } = useDressingsQuery();
  const [chosen, setChosen] = useState<string | null>(null);
  const [typed, setTyped] = useState<string | null>(null);
  const dishes = thing?.doc.dishes ?? [];
  const kept = dishes.find(({ id }) => id === chosen) ?? dishes[0];
  const coversText = typed ?? String(kept?.servings ?? '');
  const { value: covers, fits, wrong } = typedNumber(coversText, { above: 0, to: 5000 });
  const read = useMemo(
    () =>
      kept && fits ? readBowl(kept, covers, entriesOf(records ?? []), contextFor(formula, kitchen)) : null,
    [kept, fits, covers, records, formula, kitchen],
  );
  if (!kept) return null;
  // Up, so that nobody runs out.
  const litres = read ? Math.max(0.1, Math.ceil(read.need.highMl / 100 - 1e-9) / 10) : null;
  return (
    <section
      aria-label={batchPlanWords.forADish}
      className="card flex flex-wrap items-end gap-x-4 gap-y-2 p-4 print:hidden"
      data-testid="for-a-dish"
    >
      <Choice
        label={batchPlanWords.forADish}
        value={kept.id}
        options={dishes.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(id) => {
          setChosen(id);
          setTyped(null);
        }}
      />
      <Field
        label={batchPlanWords.covers}
        inputMode="decimal"
        value={coversText}
        onText={setTyped}
        problem={wrong || covers === null ? batchPlanWords.howManyAtTheTable : null}
        className="w-28"
      />
      {litres !== null && read && read.things.length > 0 && (
        <>
          <p className="min-h-9 content-center">
            {batchPlanWords.itTakes(
              formatVolume(read.need.ml, kitchen.settings),
              formatVolume(read.need.highMl, kitchen.settings),
            )}
          </p>
          <Button
            className="min-h-11"
            onClick={() => {
              setDraft({ kind: 'volume', amount: String(litres) });
            }}
          >
            {batchPlanWords.makeSoMuch(formatVolume(litres * 1000, kitchen.settings))}
          </Button>
        </>
      )}
    </section>
  );
}
