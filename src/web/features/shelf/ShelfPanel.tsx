import { lazy, Suspense, useState } from 'react';
import type { ShelfRecord } from '#contract';
import type { Formula } from '#core/formula';
import { shelfWords } from '#words/screens/shelf';
import { sayError, useChangeFormulaMutation } from '../../data/kitchenApi';
import { newId } from '../../sync/device';
import type { Kitchen } from '#kitchen/reading';
import { RenamePanel } from './RenamePanel';
export const NewFormulaPanel = lazy(async () => ({
  default: (await import('./NewFormulaPanel')).NewFormulaPanel,
}));

export type OpenPanel = 'new' | 'keys' | { readonly rename: ShelfRecord };

const UNLOADED = shelfWords.theKitchenCannotBeReached;

interface ShelfPanelProps {
  readonly panel: OpenPanel | null;
  readonly kitchen: Kitchen;
  readonly creating: { readonly isLoading: boolean; readonly isError: boolean; readonly error?: unknown };
  readonly make: (formula: Formula, open: boolean) => void;
  readonly setPanel: (panel: OpenPanel | null) => void;
}

/** A new formula, or a new name for one. */
export function ShelfPanel({ panel, kitchen, creating, make, setPanel }: ShelfPanelProps) {
  const [change] = useChangeFormulaMutation({ fixedCacheKey: 'rename' });
  const [unloaded, setUnloaded] = useState(false);
  return (
    <>
      {panel === 'new' && (
        <Suspense fallback={null}>
          <NewFormulaPanel
            busy={creating.isLoading}
            trouble={creating.isError ? sayError(creating.error) : unloaded ? UNLOADED : null}
            onMake={(what) => {
              setUnloaded(false);
              import('./startOf').then(
                ({ startOf }) => {
                  make(startOf(what, kitchen), true);
                },
                () => {
                  setUnloaded(true);
                },
              );
            }}
            onClose={() => {
              setPanel(null);
            }}
          />
        </Suspense>
      )}
      {typeof panel === 'object' && panel && (
        <RenamePanel
          name={panel.rename.formula.name}
          onRename={(name) => {
            const { id, revision, formula } = panel.rename;
            const updated = [{ additionId: null, field: 'name' as const, from: formula.name, to: name }];
            setPanel(null);
            void change({
              id,
              change: {
                baseRevision: revision,
                idempotencyKey: newId(),
                diff: { added: [], removed: [], updated },
              },
            });
          }}
          onClose={() => {
            setPanel(null);
          }}
        />
      )}
    </>
  );
}
