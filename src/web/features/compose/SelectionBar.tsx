import { PHASES, type Phase } from '#core/formula';
import { composeWords } from '#words/screens/compose';
import { Button } from '../../ui/Button';
import { PHASE_SHORT } from './rowActions';

interface SelectionBarProps {
  readonly count: number;
  /** None where it is made in one. */
  readonly stages: readonly string[];
  readonly onStage: (stage: number) => void;
  readonly onPhase: (phase: Phase) => void;
  readonly onOptional: (optional: boolean) => void;
  readonly onLock: (locked: boolean) => void;
  readonly onRemove: () => void;
  readonly onClear: () => void;
}

/** What can be done with several additions at once; each is one step of undo. */
export function SelectionBar(props: SelectionBarProps) {
  const { count, stages, onStage, onPhase, onOptional, onLock, onRemove, onClear } = props;
  return (
    <div
      role="toolbar"
      aria-label={composeWords.selectedAdditions}
      className="mb-1 flex flex-wrap items-center gap-1.5 rounded-md bg-tape-soft px-2 py-1.5 text-sm"
    >
      <strong className="mr-1">{composeWords.countSelected(count)}</strong>
      {PHASES.map((phase) => (
        <Button
          key={phase}
          onClick={() => {
            onPhase(phase);
          }}
        >
          {PHASE_SHORT[phase]}
        </Button>
      ))}
      {stages.map((name, stage) => (
        <Button
          key={name}
          onClick={() => {
            onStage(stage);
          }}
        >
          {composeWords.toStage(name)}
        </Button>
      ))}
      <Button
        onClick={() => {
          onOptional(true);
        }}
      >
        {composeWords.optional}
      </Button>
      <Button
        onClick={() => {
          onOptional(false);
        }}
      >
        {composeWords.alwaysIn}
      </Button>
      <Button
        onClick={() => {
          onLock(true);
        }}
      >
        {composeWords.lock}
      </Button>
      <Button
        onClick={() => {
          onLock(false);
        }}
      >
        {composeWords.unlock}
      </Button>
      <Button onClick={onRemove}>{composeWords.takeOut}</Button>
      <Button kind="quiet" onClick={onClear}>
        {composeWords.letGo}
      </Button>
    </div>
  );
}
