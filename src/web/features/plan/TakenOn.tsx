import { Link } from 'react-router';
import type { Settings } from '#contract';
import { STATE_WORDS } from '#words/batch';
import { formatVolume } from '#words/numbers';
import { planWords } from '#words/screens/plan';
import { Button } from '../../ui/Button';
import { litresFor, type Covered, type TakingOn } from './takeOn';
import { Alert } from '../../ui/Alert';

/** The batches that are there for it. */
export function TakenOn({ covered, settings }: { covered: Covered; settings: Settings }) {
  return (
    <span className="block text-sm">
      {covered.batches.map(({ id, formulaId, number, plan, state }) => (
        <span key={id} className="block">
          <Link
            to={`/formulas/${formulaId}/batch/${id}`}
            className="inline-flex min-h-6 items-center font-semibold text-leaf underline"
          >
            {number}
          </Link>
          , {formatVolume(plan.yieldMl, settings)}, {STATE_WORDS[state]}
        </span>
      ))}
      {covered.missingMl > 0 && (
        <span className="block text-quiet">
          {covered.batches.length > 0 ? planWords.stillToTakeOn : planWords.toTakeOn}
          {litresFor(covered.missingMl)} l
        </span>
      )}
    </span>
  );
}

export function TakeOnButton({ taking: { covered, waits, busy, problems, takeOn } }: { taking: TakingOn }) {
  const missing = covered.filter(({ missingMl }) => missingMl > 0);
  return (
    <>
      {missing.length > 0 && (
        <Button kind="main" className="min-h-11" disabled={busy || waits} onClick={() => void takeOn()}>
          {busy
            ? planWords.planning
            : missing.length === 1
              ? planWords.takeOnTheBatch
              : planWords.takeOnLengthBatches(missing.length)}
        </Button>
      )}
      {missing.length === 0 && covered.length > 0 && (
        <p role="status" className="text-sm">
          {planWords.allOfItIsTaken}
        </p>
      )}
      {problems.map((problem) => (
        <Alert key={problem}>{problem}</Alert>
      ))}
    </>
  );
}
