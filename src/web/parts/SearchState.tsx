import { frameLaterWords } from '#words/screens/frameLater';
import { Button } from '../ui/Button';
import { Working } from '../ui/Working';

interface SearchStateProps {
  /** As the worker's hook has it; what it found is shown elsewhere. */
  readonly search:
    | { readonly status: 'idle' | 'stopped' | 'done' }
    | { readonly status: 'working'; readonly done: number }
    | { readonly status: 'failed'; readonly message: string };
  readonly what: string;
  readonly onStop: () => void;
  readonly onAgain: () => void;
}

/** How far a long search is, or why it ended. */
export function SearchState({ search, what, onStop, onAgain }: SearchStateProps) {
  if (search.status === 'working') return <Working what={what} done={search.done} onStop={onStop} />;
  if (search.status !== 'failed' && search.status !== 'stopped') return null;
  return (
    <p role="alert" className="mt-2">
      {search.status === 'failed' ? search.message : frameLaterWords.stopped}{' '}
      <Button onClick={onAgain}>{frameLaterWords.lookAgain}</Button>
    </p>
  );
}
