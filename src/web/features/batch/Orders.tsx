import { useState } from 'react';
import { Link } from 'react-router';
import type { ShelfRecord } from '#contract';
import type { FormulaId } from '#core/formula';
import { ordersByVersion } from '#core/batch';
import { batchPlanWords } from '#words/screens/batchPlan';
import { useFormulasById } from '../../data/shelf';
import { useStandingsOf } from '../../data/ofEach';
import { NextStep } from '../../parts/NextStep';
import { Alert } from '../../ui/Alert';
import { sayError } from '../../data/kitchenApi';
import { FormulaChoice, useChoicesQuery } from '../../parts/FormulaChoice';
import { formatVolume } from '#words/numbers';
import { typedNumber } from '../../form/typed';
import { usualVersion } from '#kitchen/batch';
import { useKitchen } from '../../data/kitchen';
import { useKept } from '../../sync/useKept';
import { Button, IconButton } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { X } from 'lucide-react';

interface OrderLine {
  readonly formulaId: string;
  readonly jars: string;
  readonly jarMl: string;
}

/** A shelf of orders: several formulas in several sizes become one batch each. */
export function Orders({ day }: { day: string }) {
  const { settings } = useKitchen();
  const { data: choices, error } = useChoicesQuery('', true);
  const [lines, setLines] = useKept<readonly OrderLine[]>(`orders-${day}`, []);
  const formulas = useFormulasById(lines.map(({ formulaId }) => formulaId));
  const standings = useStandingsOf(lines.map(({ formulaId }) => formulaId as FormulaId));
  const [chosen, setChosen] = useState<ShelfRecord | null>(null);
  const formulaId: string = (chosen ?? choices?.records[0])?.id ?? '';
  const read = lines.map(({ jars, jarMl }) => ({
    jars: typedNumber(jars, { above: 0 }).value,
    jarMl: typedNumber(jarMl, { above: 0 }).value,
  }));
  const fine = lines.flatMap((line, i) => {
    const { jars, jarMl } = read[i]!;
    const formula = formulas.find(({ id }) => id === line.formulaId);
    if (!formula || jars === null || jarMl === null) return [];
    const version = usualVersion(standings[formula.id], formula.latestNumber);
    return [{ formulaId: line.formulaId, version, jars, jarMl, fillShare: 1 }];
  });
  const needed = ordersByVersion(fine);
  const nameOf = (id: string): string => formulas.find((formula) => formula.id === id)?.formula.name ?? id;
  const change = (at: number, patch: Partial<OrderLine>): void => {
    setLines(lines.map((line, i) => (i === at ? { ...line, ...patch } : line)));
  };
  return (
    <section
      aria-label={batchPlanWords.orders}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-3 p-4 print:hidden"
    >
      <h2 className="font-name text-lg font-bold">{batchPlanWords.orders}</h2>
      {error !== undefined && !choices && <Alert>{sayError(error)}</Alert>}
      {choices?.total === 0 ? (
        <NextStep says={batchPlanWords.freezeAVersionOfA} label={batchPlanWords.toTheShelf} to="/" />
      ) : (
        <>
          {lines.map((line, i) => (
            <div key={i} className="flex flex-wrap items-start gap-3">
              <span className="flex-1 basis-48 pt-7 font-semibold">{nameOf(line.formulaId)}</span>
              <Field
                label={batchPlanWords.jars}
                inputMode="numeric"
                value={line.jars}
                onText={(jars) => {
                  change(i, { jars });
                }}
                problem={read[i]!.jars === null || read[i]!.jars <= 0 ? batchPlanWords.howMany : null}
                className="w-24"
              />
              <Field
                label={batchPlanWords.ofMl}
                inputMode="decimal"
                value={line.jarMl}
                onText={(jarMl) => {
                  change(i, { jarMl });
                }}
                problem={read[i]!.jarMl === null || read[i]!.jarMl <= 0 ? batchPlanWords.whatSize : null}
                className="w-24"
              />
              <IconButton
                label={batchPlanWords.takeTheOrderOfNameof(nameOf(line.formulaId))}
                className="mt-6"
                onClick={() => {
                  setLines(lines.filter((_, at) => at !== i));
                }}
              >
                <X size={16} aria-hidden />
              </IconButton>
            </div>
          ))}
          <div className="flex flex-wrap gap-3">
            <FormulaChoice
              label={batchPlanWords.ordered}
              chosen={chosen}
              onChoose={setChosen}
              frozen
              className="min-w-56"
            />
            <Button
              disabled={!formulaId}
              onClick={() => {
                setLines([...lines, { formulaId, jars: '12', jarMl: '250' }]);
              }}
            >
              {batchPlanWords.addTheOrder}
            </Button>
          </div>
          {needed.length > 0 && (
            <ul className="border-t border-rule pt-2" data-testid="orders-need">
              {needed.map(({ formulaId: id, version, volumeMl }) => (
                <li key={id} className="flex flex-wrap items-center gap-x-4 py-1">
                  <span>
                    {nameOf(id)} v{version}: <strong>{formatVolume(volumeMl, settings)}</strong>
                  </span>
                  <Link
                    to={`/formulas/${id}/batch?v=${version}&by=volume&amount=${Number((volumeMl / 1000).toFixed(3))}`}
                    className="ml-auto font-semibold text-leaf underline"
                  >
                    {batchPlanWords.planThisBatch}
                  </Link>
                </li>
              ))}
            </ul>
          )}
        </>
      )}
    </section>
  );
}
