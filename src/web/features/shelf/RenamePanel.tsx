import { useState } from 'react';
import { shelfWords } from '#words/screens/shelf';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';

export function RenamePanel({
  name,
  onRename,
  onClose,
}: {
  name: string;
  onRename: (name: string) => void;
  onClose: () => void;
}) {
  const [text, setText] = useState(name);
  return (
    <Dialog title={shelfWords.rename} open onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim()) onRename(text.trim());
        }}
      >
        <input
          autoFocus
          aria-label={shelfWords.nameOfTheFormula}
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
        <div className="flex gap-3">
          <Button kind="main" type="submit" disabled={!text.trim()}>
            {shelfWords.rename}
          </Button>
          <Button onClick={onClose}>{shelfWords.leave}</Button>
        </div>
      </form>
    </Dialog>
  );
}
