import { Keyboard, Redo2, Scale, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { sayVersion } from '#words/version';
import { composeWords } from '#words/screens/compose';
import type { SaveState, WorkingFormula } from '../../sync/working';
import { Button, IconButton } from '../../ui/Button';
import { FormulaStages } from '../../parts/FormulaStages';

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
  saved: composeWords.saved,
  waiting: composeWords.keptSaving,
  sending: composeWords.keptSaving,
  unreachable: composeWords.serverAwayKeptInThis,
  'signed-out': composeWords.signedOutKeptInThis,
  conflict: composeWords.changedElsewhereChooseBelow,
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
      <h1 className="sr-only">{formula.name}</h1>
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
        {working.unmirrored && composeWords.thisBrowserKeepsNoCopy}
      </p>
      <div className="ml-auto flex max-w-full min-w-0 flex-wrap items-center gap-1.5">
        <IconButton label={composeWords.undo} onClick={onUndo} disabled={!working.canUndo}>
          <Undo2 size={17} aria-hidden />
        </IconButton>
        <IconButton label={composeWords.redo} onClick={onRedo} disabled={!working.canRedo}>
          <Redo2 size={17} aria-hidden />
        </IconButton>
        <IconButton label={composeWords.gramsOrKitchenMeasures2} onClick={onUnits}>
          <Scale size={17} aria-hidden />
        </IconButton>
        <IconButton label={composeWords.keys} onClick={onKeys}>
          <Keyboard size={17} aria-hidden />
        </IconButton>
        <Button
          onClick={onFreeze}
          disabled={!unfrozen || working.save !== 'saved' || formula.additions.length === 0}
        >
          {composeWords.freezeAsVPart(latestNumber + 1)}
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
      aria-label={composeWords.nameOfTheFormula}
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
