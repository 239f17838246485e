import type { Conflict } from '#core/formula';
import type { WorkingFormula } from '../../store/workingSlice';
import { Button } from '../../ui/Button';

const FIELD_NAMES: Partial<Record<string, string>> = {
  amountText: 'amount',
  ingredientId: 'ingredient',
  ingredientText: 'ingredient',
  rank: 'place',
  vesselId: 'vessel',
  name: 'name',
};

/** The same field changed twice: both values, and the cook's choice. */
export function ConflictNotice({
  working,
  onSettle,
}: {
  working: WorkingFormula;
  onSettle: (keep: 'mine' | 'theirs') => void;
}) {
  if (working.save !== 'conflict') return null;
  return (
    <div role="alert" className="card mb-3 border-l-4 border-l-acid p-3">
      <p className="font-semibold">Changed elsewhere while you worked. Which stays?</p>
      <ul className="my-1 list-disc pl-6">
        {working.conflicts.map((conflict) => (
          <li key={`${conflict.change.additionId}-${conflict.change.field}`}>
            {sayConflict(conflict, working)}
          </li>
        ))}
      </ul>
      <div className="flex gap-3">
        <Button
          kind="main"
          onClick={() => {
            onSettle('mine');
          }}
        >
          Keep mine
        </Button>
        <Button
          onClick={() => {
            onSettle('theirs');
          }}
        >
          Take theirs
        </Button>
      </div>
    </div>
  );
}

function sayConflict(conflict: Conflict, working: WorkingFormula): string {
  const { change } = conflict;
  const addition = working.formula.additions.find(({ id }) => id === change.additionId);
  const what = `${FIELD_NAMES[change.field] ?? change.field}${addition ? ` of ${addition.ingredientText}` : ''}`;
  if (conflict.kind === 'removed-meanwhile') return `${what}: yours “${change.to}”; taken out elsewhere.`;
  return `${what}: yours “${change.to}”, theirs “${conflict.current}”.`;
}
