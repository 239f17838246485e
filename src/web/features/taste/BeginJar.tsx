import { Link } from 'react-router';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { tasteWords } from '#words/screens/taste';
import { useBeginJar } from '../../sync/beginJar';
import { contextFor, vesselOf } from '#kitchen/reading';
import { useSpokenKitchen } from '../../data/kitchen';
import type { WorkingFormula } from '../../sync/working';
import { Button } from '../../ui/Button';

/** A jar that was made away from the screen: it holds what its version says. */
export function BeginJar({
  working,
  onBegun,
}: {
  working: WorkingFormula;
  onBegun: (jarId: string) => void;
}) {
  const { id, formula } = working;
  const kitchen = useSpokenKitchen();
  const jar = useBeginJar(working);
  const lines = judgeFormula(
    reckonFormula(formula, vesselOf(formula, kitchen.vessels), contextFor(formula, kitchen)),
  )
    .portions.filter(({ massG }) => massG.nominal > 0)
    .map(({ ingredient, form, massG }) => ({ ingredientId: ingredient.id, form, massG: massG.nominal }));
  const start = async (): Promise<void> => {
    const begun = await jar.begin({ vesselId: formula.vesselId, lines });
    if (begun) onBegun(begun);
  };
  return (
    <>
      <div className="flex flex-wrap items-center gap-4">
        <Link
          to={`/formulas/${id}/make`}
          data-next
          className="inline-flex min-h-16 items-center rounded-md border border-leaf bg-bottle px-6 font-semibold text-white"
        >
          {tasteWords.makeItStepByStep}
        </Link>
        <Button
          className="min-h-16 px-6"
          disabled={lines.length === 0 || !jar.ready || jar.busy}
          onClick={() => void start()}
        >
          {jar.version.freezes
            ? tasteWords.freezeAsVNumberThe(jar.version.number)
            : tasteWords.aJarOfVNumber(jar.version.number)}
        </Button>
      </div>
      {lines.length === 0 && <p className="mt-2 text-sm text-quiet">{tasteWords.thereIsNothingInIt}</p>}
    </>
  );
}
