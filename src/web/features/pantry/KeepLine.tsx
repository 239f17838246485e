import { pantryWords } from '#words/screens/pantry';
import { sayError } from '../../data/kitchenApi';
import { Button } from '../../ui/Button';

interface KeepLineProps {
  readonly label: string;
  readonly disabled: boolean;
  readonly saving: { readonly isLoading: boolean; readonly isError: boolean; readonly error?: unknown };
  readonly onLeave?: () => void;
}
/** The button that keeps a row of the pantry, and why it was not kept. */
export function KeepLine({ label, disabled, saving, onLeave }: KeepLineProps) {
  return (
    <div className="flex flex-wrap items-center gap-3">
      <Button kind="main" type="submit" disabled={disabled || saving.isLoading}>
        {label}
      </Button>
      {onLeave && <Button onClick={onLeave}>{pantryWords.leaveAsItWas}</Button>}
      {saving.isError && (
        <span role="alert" className="text-acid-ink">
          {pantryWords.notKeptError2(sayError(saving.error))}
        </span>
      )}
    </div>
  );
}
