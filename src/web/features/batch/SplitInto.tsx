import { Link } from 'react-router';
import type { BatchPlan } from '#core/batch';
import type { FormulaId } from '#core/formula';
import { madeId, type IngredientId } from '#core/ingredient';
import { sayBatchProblem } from '#words/batch';
import { formatAmount, formatMass, formatVolume, inSentence } from '#words/numbers';
import { batchPlanWords } from '#words/screens/batchPlan';
import { useKitchen } from '../../data/kitchen';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { splitWith, type SetDraft } from './draft';
import type { EndingRow, PlannedEnding, SplitPlanning } from './useSplit';

interface SplitIntoProps {
  readonly id: FormulaId;
  readonly name: string;
  readonly version: number;
  readonly rows: readonly EndingRow[];
  readonly planning: SplitPlanning;
  /** Of the base; null until it is there. */
  readonly plan: BatchPlan | null;
  readonly setDraft: SetDraft;
}

/** Made once, poured on: how much of the base goes into which of its endings, and what stays plain. */
export function SplitInto({ id, name, version, rows, planning, plan, setDraft }: SplitIntoProps) {
  const { settings } = useKitchen();
  const { split, search, again, refused } = planning;
  // What a ladle leaves behind is nothing.
  const sayPlain = ({ yieldMl }: BatchPlan, ml: number): string =>
    ml < yieldMl * 0.002 ? batchPlanWords.nothing : formatVolume(ml, settings);
  const say = (amount: number, unit: 'ml' | 'g'): string =>
    unit === 'ml' ? formatVolume(amount, settings) : formatMass(amount, settings);
  const pouredMl = rows.reduce((sum, { baseMl }) => sum + baseMl, 0);
  const overMl = plan ? Math.max(split?.overMl ?? 0, pouredMl - plan.yieldMl * 1.0001) : 0;
  const enough = Math.ceil(pouredMl / 100) / 10;
  return (
    <section
      aria-labelledby="split-into"
      data-testid="split"
      className="card grid grid-cols-[minmax(0,1fr)] gap-2 p-4 print:hidden"
    >
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 id="split-into" className="font-name text-lg font-bold">
          {batchPlanWords.splitInto}
        </h2>
        <p className="text-quiet">{batchPlanWords.madeOncePouredOn(name)}</p>
      </div>
      <ul className="grid gap-x-6 sm:grid-cols-2">
        <li className="flex flex-wrap items-center gap-x-3 border-t border-rule py-1.5">
          <span className="min-w-0 flex-1 basis-40 font-semibold">{batchPlanWords.plain}</span>
          <span data-testid="plain">
            {plan && overMl === 0 ? sayPlain(plan, split?.plainMl ?? plan.yieldMl - pouredMl) : '–'}
          </span>
        </li>
        {rows.map((row) => (
          <Ending
            key={row.formulaId}
            row={row}
            version={version}
            baseId={madeId(id, version)}
            planned={planning.endings.find((one) => one.row.formulaId === row.formulaId)}
            onText={(text) => {
              setDraft((now) => ({ split: splitWith(now, row.formulaId, text) }));
            }}
          />
        ))}
      </ul>
      {overMl > 0 && (
        <p role="alert" className="flex flex-wrap items-center gap-3 font-semibold" data-testid="over">
          {batchPlanWords.morePouredThanMade(formatVolume(overMl, settings))}
          <Button
            onClick={() => {
              setDraft({ kind: 'volume', amount: String(enough) });
            }}
          >
            {batchPlanWords.makeSoMuch(formatVolume(enough * 1000, settings))}
          </Button>
        </p>
      )}
      {search.status === 'failed' && (
        <p role="alert">
          {search.message} <Button onClick={again}>{batchPlanWords.planAgain}</Button>
        </p>
      )}
      {refused.map(({ name: ending, tool, problem }) => (
        <p key={ending} role="alert" className="font-semibold">
          {ending}: {sayBatchProblem(problem, tool, say)}
        </p>
      ))}
    </section>
  );
}

function Ending({
  row,
  version,
  baseId,
  planned,
  onText,
}: {
  row: EndingRow;
  version: number;
  baseId: IngredientId;
  planned: PlannedEnding | undefined;
  onText: (text: string) => void;
}) {
  const { settings } = useKitchen();
  const { formulaId, name, text, typed, has } = row;
  if (!row.version)
    return (
      <li className="border-t border-rule py-1.5">
        <Link to={`/formulas/${formulaId}/versions`} className="font-semibold text-leaf underline">
          {name}
        </Link>{' '}
        <span className="text-quiet">
          {has === version ? batchPlanWords.saveItFirst : batchPlanWords.hasAnother(has, version)}
        </span>
      </li>
    );
  return (
    <li className="grid gap-1 border-t border-rule py-1.5">
      <div className="flex flex-wrap items-start gap-x-3">
        <span className="min-w-0 flex-1 basis-40 font-semibold">
          {name} <span className="font-normal text-quiet">v{row.version.number}</span>
        </span>
        <Field
          label={batchPlanWords.litresInto(name)}
          inputMode="decimal"
          value={text}
          onText={onText}
          problem={typed.wrong ? batchPlanWords.litresOfBase : null}
          className="w-36 text-sm"
        />
      </div>
      {planned && (
        <p className="text-sm text-quiet" data-testid="ending-says">
          {batchPlanWords.comesTo(formatVolume(planned.plan.yieldMl, settings), planned.plan.loads.length)}{' '}
          {planned.plan.lines
            .filter(({ exactG }) => exactG > 0)
            .map(
              ({ ingredient, plannedG, asideG }) =>
                `${formatAmount(plannedG + asideG, 'g', settings)} ${
                  ingredient.id === baseId ? batchPlanWords.ofIt : inSentence(ingredient.name)
                }`,
            )
            .join(', ')}
        </p>
      )}
    </li>
  );
}
