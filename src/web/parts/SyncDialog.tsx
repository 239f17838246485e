import { clashWords } from '#words/clash';
import { syncWords } from '#words/sync';
import { frameWords } from '#words/screens/frame';
import { setAside, tryAgain } from '../sync/outbox';
import type { SyncState } from '../sync/useSyncState';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { ClashList } from './ClashList';

interface SyncDialogProps extends Pick<SyncState, 'clashes' | 'refused'> {
  readonly onClose: () => void;
}

/** Everything a cook has to choose or to let go, of whatever page it is. */
export function SyncDialog({ clashes, refused, onClose }: SyncDialogProps) {
  return (
    <Dialog title={clashWords.title} open wide onClose={onClose}>
      <ClashList open={clashes} />
      <ul className="mt-2 grid gap-2">
        {refused.map((entry) => (
          <li key={entry.id} className="flex flex-wrap items-center gap-3" data-testid="refused">
            <span>
              {syncWords.command[entry.kind]}: {entry.refused}
            </span>
            <Button
              onClick={() => {
                tryAgain(entry.id);
              }}
            >
              {frameWords.sendItAgain}
            </Button>
            <Button onClick={() => void setAside(entry.id)}>{frameWords.setItAside}</Button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
