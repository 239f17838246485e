import { useState } from 'react';
import type { ShelfRecord } from '#contract';
import { shelfToolWords } from '#words/screens/shelfTools';
import { sayError } from '../../data/kitchenApi';
import { useSaveShared } from '../../sync/useSaveShared';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';

/** Another name for a formula; it stays open while the name is not taken. */
export function RenamePanel({
  record: { id, formula },
  onClose,
}: {
  record: ShelfRecord;
  onClose: () => void;
}) {
  const [text, setText] = useState(formula.name);
  const [save, saving] = useSaveShared('formula');
  const name = text.trim();
  return (
    <Dialog title={shelfToolWords.rename} open onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (name) save(id, formula, { ...formula, name }).then(onClose, () => undefined);
        }}
      >
        <input
          autoFocus
          aria-label={shelfToolWords.nameOfTheFormula}
          className="field"
          maxLength={120}
          value={text}
          onFocus={(event) => {
            event.target.select();
          }}
          onChange={(event) => {
            setText(event.target.value);
          }}
        />
        {saving.isError && <Alert>{sayError(saving.error)}</Alert>}
        <div className="flex gap-3">
          <Button kind="main" type="submit" disabled={!name || saving.isLoading}>
            {shelfToolWords.rename}
          </Button>
          <Button onClick={onClose}>{shelfToolWords.leave}</Button>
        </div>
      </form>
    </Dialog>
  );
}
