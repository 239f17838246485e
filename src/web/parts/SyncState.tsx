/** One line for the whole page: what is not saved yet, why, and what somebody has to choose. Nothing when all is. */
import { Suspense, useState, useSyncExternalStore } from 'react';
import { syncWords } from '#words/sync';
import { onOtherKitchens, otherKitchensWork } from '../sync/otherKitchens';
import { useSyncState } from '../sync/useSyncState';
import { Button } from '../ui/Button';
import { later } from '../ui/later';

/** Hardly ever asked for: not part of what is loaded first. */
const SyncDialog = later(async () => (await import('./SyncDialog')).SyncDialog);

export function SyncState() {
  const [open, setOpen] = useState(false);
  const { unsent, isAway, isSignedOut, isUnkept, clashes, refused, isSlow } = useSyncState();
  const others = useSyncExternalStore(onOtherKitchens, otherKitchensWork);
  const conflicts = clashes.filter(({ clash }) => clash.why === undefined).length;
  const notTaken = clashes.length - conflicts + refused.length;
  const says = [
    isAway && syncWords.away(unsent),
    isSignedOut && unsent > 0 && syncWords.signedOut(unsent),
    !isAway && !isSignedOut && isSlow && syncWords.saving(unsent),
    isUnkept && unsent > 0 && syncWords.unkept,
    conflicts > 0 && syncWords.clashes(conflicts),
    notTaken > 0 && syncWords.refused(notTaken),
    others > 0 && syncWords.otherKitchen(others),
  ].filter((one) => one !== false);
  const shows = says.length > 0;
  return (
    <div role="status" data-testid="sync" data-unsent={unsent} className="print:hidden">
      {shows && (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule bg-tape-soft px-3 py-1 text-sm sm:px-5">
          {says.map((text) => (
            <span key={text}>{text}</span>
          ))}
          {others > 0 && (
            <Button
              onClick={() => {
                void import('../sync/otherKitchens').then(({ letOthersGo }) => letOthersGo());
              }}
            >
              {syncWords.letGo}
            </Button>
          )}
          {isAway && (
            <Button
              onClick={() => {
                void import('../sync/sync').then(({ sync }) => {
                  sync.wake();
                });
              }}
            >
              {syncWords.tryNow}
            </Button>
          )}
          {clashes.length + refused.length > 0 && (
            <Button
              onClick={() => {
                setOpen(true);
              }}
            >
              {conflicts > 0 ? syncWords.choose : syncWords.look}
            </Button>
          )}
        </div>
      )}
      {open && clashes.length + refused.length > 0 && (
        <Suspense fallback={null}>
          <SyncDialog
            clashes={clashes}
            refused={refused}
            onClose={() => {
              setOpen(false);
            }}
          />
        </Suspense>
      )}
    </div>
  );
}
