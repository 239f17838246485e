import type { Conflict } from '#core/formula';
import { composeWords } from '#words/screens/compose';
import type { WorkingFormula } from '../../sync/workingSlice';
import { Button } from '../../ui/Button';

const FIELD_NAMES: Partial<Record<string, string>> = {
  amountText: 'amount',
  ingredientId: 'ingredient',
  ingredientText: 'ingredient',
  rank: 'place',
  vesselId: 'vessel',
  name: composeWords.name2,
  basedOnVersion: composeWords.versionItGrowsFrom,
};

/** The same field changed twice: both values, and the cook's choice, field by field. */
export function ConflictNotice({
  working,
  onSettle,
}: {
  working: WorkingFormula;
  onSettle: (conflict: Conflict, keep: 'mine' | 'theirs') => void;
}) {
  if (working.save !== 'conflict') return null;
  return (
    <div role="alert" className="card mb-3 border-l-4 border-l-acid p-3">
      <p className="font-semibold">{composeWords.changedElsewhereWhileYouWorked}</p>
      <ul className="mt-2 grid gap-2">
        {working.conflicts.map((conflict) => {
          const { what, mine, theirs } = told(conflict, working);
          return (
            <li
              key={`${conflict.change.additionId}-${conflict.change.field}`}
              className="flex flex-wrap items-center gap-3"
            >
              <span>{what}</span>
              <Button
                kind="main"
                disabled={conflict.kind !== 'field'}
                onClick={() => {
                  onSettle(conflict, 'mine');
                }}
              >
                {composeWords.keepMineMine(mine)}
              </Button>
              <Button
                onClick={() => {
                  onSettle(conflict, 'theirs');
                }}
              >
                {composeWords.takeTheirsTheirs(theirs)}
              </Button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}

function told(conflict: Conflict, working: WorkingFormula): { what: string; mine: string; theirs: string } {
  const { change } = conflict;
  const addition = working.formula.additions.find(({ id }) => id === change.additionId);
  return {
    what: `${FIELD_NAMES[change.field] ?? change.field}${addition ? composeWords.ofIngredienttext(addition.ingredientText) : ''}`,
    mine: String(change.to),
    theirs: conflict.kind === 'field' ? String(conflict.current) : composeWords.takenOut,
  };
}
