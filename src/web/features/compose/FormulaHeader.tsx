import { Keyboard, Redo2, Scale, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { sayVersion } from '#words/version';
import type { SaveState, WorkingFormula } from '../../store/workingSlice';
import { Button, IconButton } from '../../ui/Button';
import { FormulaStages } from '../../ui/FormulaStages';

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
  'signed-out': 'Signed out: kept in this browser, sent once you are back in',
  conflict: 'Changed elsewhere: choose below',
  refused: 'Not taken by the server',
};
const CALM: ReadonlySet<SaveState> = new Set<SaveState>(['saved', 'waiting', 'sending']);

export function FormulaHeader({
  working,
  onRename,
  onUndo,
  onRedo,
  onFreeze,
  onUnits,
  onKeys,
}: FormulaHeaderProps) {
  const { baseVersion, latestNumber, formula } = working;
  const version = sayVersion(formula, baseVersion);
  const unfrozen = baseVersion === null || version.includes('changes');
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
        className={`text-sm ${CALM.has(working.save) ? 'text-quiet' : 'font-semibold text-acid-ink'}`}
      >
        {SAVE_WORDS[working.save]}
        {working.refusal && `: ${working.refusal}`}
        {working.unmirrored &&
          ' This browser keeps no copy of its own: stay on the page until it says Saved.'}
      </p>
      <div className="ml-auto flex flex-wrap items-center gap-1.5">
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
          Freeze as v{latestNumber + 1}
        </Button>
        <FormulaStages id={working.id} />
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
      className="font-name field-sizing-content max-w-[min(72vw,30rem)] min-w-24 bg-transparent text-xl font-bold"
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
