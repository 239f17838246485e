import { PHASES, type Phase } from '#core/formula';
import { Button } from '../../ui/Button';
import { PHASE_SHORT } from './rowActions';

interface SelectionBarProps {
  readonly count: number;
  readonly onPhase: (phase: Phase) => void;
  readonly onOptional: (optional: boolean) => void;
  readonly onLock: (locked: boolean) => void;
  readonly onRemove: () => void;
  readonly onClear: () => void;
}

/** What can be done with several additions at once; each is one step of undo. */
export function SelectionBar({ count, onPhase, onOptional, onLock, onRemove, onClear }: SelectionBarProps) {
  return (
    <div
      role="toolbar"
      aria-label="Selected additions"
      className="mb-1 flex flex-wrap items-center gap-1.5 rounded-md bg-tape-soft px-2 py-1.5 text-sm"
    >
      <strong className="mr-1">{count} selected</strong>
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
      <Button
        onClick={() => {
          onOptional(true);
        }}
      >
        Optional
      </Button>
      <Button
        onClick={() => {
          onOptional(false);
        }}
      >
        Always in
      </Button>
      <Button
        onClick={() => {
          onLock(true);
        }}
      >
        Lock
      </Button>
      <Button
        onClick={() => {
          onLock(false);
        }}
      >
        Unlock
      </Button>
      <Button onClick={onRemove}>Take out</Button>
      <Button kind="quiet" onClick={onClear}>
        Let go
      </Button>
    </div>
  );
}
