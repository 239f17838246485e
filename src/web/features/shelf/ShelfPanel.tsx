import { Suspense, useState } from 'react';
import type { ShelfRecord } from '#contract';
import type { Formula } from '#core/formula';
import { shelfWords } from '#words/screens/shelf';
import { sayError } from '../../data/kitchenApi';
import type { Kitchen } from '#kitchen/reading';
import { later } from '../../ui/later';

const RenamePanel = later(async () => (await import('./RenamePanel')).RenamePanel);
export const NewFormulaPanel = later(async () => (await import('./NewFormulaPanel')).NewFormulaPanel);

export type OpenPanel = 'new' | 'keys' | { readonly rename: ShelfRecord };

const UNLOADED = shelfWords.theKitchenCannotBeReached;

export interface Creating {
  readonly isLoading: boolean;
  readonly isError: boolean;
  readonly error?: unknown;
}

interface ShelfPanelProps {
  readonly panel: OpenPanel | null;
  readonly kitchen: Kitchen;
  readonly creating: Creating;
  readonly make: (formula: Formula, open: boolean) => void;
  readonly setPanel: (panel: OpenPanel | null) => void;
}

/** A new formula, or a new name for one. */
export function ShelfPanel({ panel, kitchen, creating, make, setPanel }: ShelfPanelProps) {
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
        <Suspense fallback={null}>
          <RenamePanel
            record={panel.rename}
            onClose={() => {
              setPanel(null);
            }}
          />
        </Suspense>
      )}
    </>
  );
}
