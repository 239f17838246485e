import { useState } from 'react';
import { frameLaterWords } from '#words/screens/frameLater';
import { sayError } from '../data/kitchenApi';
import { setCookHere } from '../sync/cook';
import { newId } from '../sync/device';
import { useSaveShared } from '../sync/useSaveShared';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { Alert } from '../ui/Alert';

function initialsOf(name: string): string {
  const words = name.trim().split(/\s+/).filter(Boolean);
  return words
    .slice(0, 3)
    .map((word) => word.charAt(0).toUpperCase())
    .join('');
}

/** The cooks of this kitchen, and a new one. */
export function CookPanel({
  cooks,
  hereId,
  onClose,
}: {
  cooks: readonly { id: string; name: string; initials: string }[];
  hereId: string | null;
  onClose: () => void;
}) {
  const [name, setName] = useState('');
  const [initials, setInitials] = useState<string | null>(null);
  const [save, saving] = useSaveShared('cook');
  const shown = initials ?? initialsOf(name);
  return (
    <Dialog title={frameLaterWords.whoCooksOnThisDevice} open onClose={onClose}>
      <ul className="mb-4 grid gap-1">
        {cooks.map((cook) => (
          <li key={cook.id}>
            <button
              type="button"
              aria-pressed={cook.id === hereId}
              className={`flex min-h-9 w-full items-center gap-3 rounded-md border px-3 text-left hover:border-leaf ${cook.id === hereId ? 'border-leaf bg-mint font-semibold' : 'border-rule bg-paper'}`}
              onClick={() => {
                setCookHere(cook.id);
                onClose();
              }}
            >
              <span className="w-10 font-semibold">{cook.initials}</span> {cook.name}
            </button>
          </li>
        ))}
      </ul>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          const cook = { id: newId(), name: name.trim(), initials: shown.trim() };
          save(cook.id, null, cook).then(
            () => {
              setCookHere(cook.id);
              onClose();
            },
            () => undefined,
          );
        }}
      >
        <label className="grid gap-1 font-semibold">
          {frameLaterWords.someoneElse}
          <input
            className="field font-normal"
            maxLength={60}
            value={name}
            onChange={(event) => {
              setName(event.target.value);
            }}
          />
        </label>
        <label className="grid gap-1 font-semibold">
          {frameLaterWords.initials}
          <input
            className="field w-20 font-normal"
            maxLength={3}
            value={shown}
            onChange={(event) => {
              setInitials(event.target.value);
            }}
          />
        </label>
        <Button kind="main" type="submit" disabled={!name.trim() || !shown.trim() || saving.isLoading}>
          {frameLaterWords.addAndChoose}
        </Button>
        {saving.error !== undefined && (
          <Alert className="w-full text-sm">{frameLaterWords.notAddedError(sayError(saving.error))}</Alert>
        )}
      </form>
    </Dialog>
  );
}
