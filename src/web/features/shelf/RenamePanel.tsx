import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Panel } from '../../ui/Panel';

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
    <Panel title="Rename" open onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim()) onRename(text.trim());
        }}
      >
        <input
          autoFocus
          aria-label="Name of the formula"
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
            Rename
          </Button>
          <Button onClick={onClose}>Leave</Button>
        </div>
      </form>
    </Panel>
  );
}
