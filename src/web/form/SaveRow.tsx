import type { FieldValues } from 'react-hook-form';
import { formWords } from '#words/screens/form';
import { Button } from '../ui/Button';
import type { Draft } from './useDraft';

interface SaveRowProps<T extends FieldValues> {
  readonly draft: Draft<T>;
  readonly sayError: (error: unknown) => string;
  /** What keeping is called here; "Save" and so on where left out. */
  readonly words?: SaveWords;
  readonly mayRevert?: boolean;
}
export interface SaveWords {
  readonly save: string;
  readonly notSavedYet: string;
  readonly saved: string;
  readonly notSaved: (error: string) => string;
}

/** The button that keeps it, and what became of it. */
export function SaveRow<T extends FieldValues>(props: SaveRowProps<T>) {
  const { draft, sayError, words = formWords, mayRevert = false } = props;
  const { state, error, isValid, revert } = draft;
  const isOpen = state === 'changed' || state === 'failed';
  const says = {
    kept: '',
    changed: words.notSavedYet,
    saving: formWords.saving,
    saved: words.saved,
    here: formWords.keptHere,
    clash: formWords.changedElsewhereToo,
    failed: state === 'failed' ? words.notSaved(sayError(error)) : '',
  }[state];
  return (
    <div className="flex flex-wrap items-center gap-3">
      <Button kind="main" type="submit" disabled={!isOpen || !isValid}>
        {words.save}
      </Button>
      {mayRevert && (
        <Button disabled={!isOpen} onClick={revert}>
          {formWords.backToWhatIsSaved}
        </Button>
      )}
      <span role="status" className={state === 'failed' ? 'font-semibold text-acid-ink' : 'text-quiet'}>
        {says}
      </span>
    </div>
  );
}
