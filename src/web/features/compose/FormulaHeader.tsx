import { Keyboard, Redo2, Scale, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { sayVersion } from '#core/formula';
import type { SaveState, WorkingFormula } from '../../store/workingSlice';
import { Button, IconButton } from '../../ui/Button';

interface FormulaHeaderProps {
  readonly working: WorkingFormula;
  readonly onRename: (name: string) => void;
  readonly onUndo: () => void;
  readonly onRedo: () => void;
  readonly onFreeze: () => void;
  readonly onUnits: () => void;
  readonly onKeys: () => void;
}

const SAVE_WORDS: Record<SaveState, string> = {
  saved: 'Saved',
  waiting: 'Kept, saving…',
  sending: 'Kept, saving…',
  unreachable: 'Server away: kept in this browser, sent when it is back',
  conflict: 'Changed elsewhere: choose below',
  refused: 'Not taken by the server',
};

export function FormulaHeader({
  working,
  onRename,
  onUndo,
  onRedo,
  onFreeze,
  onUnits,
  onKeys,
}: FormulaHeaderProps) {
  const { latestVersion, formula } = working;
  const version = sayVersion(formula, latestVersion);
  const next = (latestVersion?.number ?? 0) + 1;
  const unfrozen = version.includes('changes') || !latestVersion;
  const troubled =
    working.save === 'unreachable' || working.save === 'conflict' || working.save === 'refused';
  return (
    <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
      <div className="tape flex max-w-full min-w-0 -rotate-[0.6deg] items-baseline gap-3 px-4 py-1.5">
        <NameField name={formula.name} onRename={onRename} />
        <span className="text-sm font-semibold whitespace-nowrap" data-testid="version">
          {version}
        </span>
      </div>
      <p
        role="status"
        data-testid="save-state"
        className={`text-sm ${troubled ? 'font-semibold text-acid-ink' : 'text-quiet'}`}
      >
        {SAVE_WORDS[working.save]}
        {working.refusal && `: ${working.refusal}`}
        {working.unmirrored &&
          ' This browser keeps no copy of its own: stay on the page until it says Saved.'}
      </p>
      <div className="ml-auto flex items-center gap-1.5">
        <IconButton label="Undo" onClick={onUndo} disabled={working.past.length === 0}>
          <Undo2 size={17} aria-hidden />
        </IconButton>
        <IconButton label="Redo" onClick={onRedo} disabled={working.future.length === 0}>
          <Redo2 size={17} aria-hidden />
        </IconButton>
        <IconButton label="Grams or kitchen measures" onClick={onUnits}>
          <Scale size={17} aria-hidden />
        </IconButton>
        <IconButton label="Keys" onClick={onKeys}>
          <Keyboard size={17} aria-hidden />
        </IconButton>
        <Button
          onClick={onFreeze}
          disabled={!unfrozen || working.save !== 'saved' || formula.additions.length === 0}
        >
          Freeze as v{next}
        </Button>
      </div>
    </div>
  );
}

function NameField({ name, onRename }: { name: string; onRename: (name: string) => void }) {
  const [text, setText] = useState<string | null>(null);
  const shown = text ?? name;
  const commit = (): void => {
    const next = text?.trim();
    if (next && next !== name) onRename(next);
    setText(null);
  };
  return (
    <input
      aria-label="Name of the formula"
      className="font-name min-w-0 bg-transparent text-xl font-bold"
      style={{ width: `${Math.max(6, shown.length * 0.62)}em`, maxWidth: 'min(72vw, 46rem)' }}
      value={shown}
      maxLength={120}
      onChange={(event) => {
        setText(event.target.value);
      }}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        if (event.key === 'Escape') setText(null);
      }}
    />
  );
}
