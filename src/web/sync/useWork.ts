/** Something shared, opened on this screen: what the kitchen holds, with what this browser kept on top. */
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Clash } from '#core/document';
import { onSavedElsewhere } from './otherTabs';
import { keyOf, type Docs, type Kind, type Work, type WorkKey } from './shared';
import { store, useAppDispatch, useAppSelector } from './store';
import { openShared } from './sync';
import { saveStateOf, type SaveState } from './working';
import { clashSettled, edited, NOTHING_FOUND, opened, proposed, redone, undone } from './workSlice';

/** Older than anything the kitchen has. */
const NOTHING_HEARD = -1;

interface Opening {
  readonly work: Work | undefined;
  readonly error: unknown;
  readonly retry: () => void;
}

export function useWork(key: WorkKey): Opening {
  const work = useAppSelector((state) => state.work.byKey[key]);
  const [failed, setFailed] = useState<{ readonly key: WorkKey; readonly error: unknown } | null>(null);
  const open = useCallback(() => {
    setFailed(null);
    openShared(key).catch((error: unknown) => {
      setFailed({ key, error });
    });
  }, [key]);
  useEffect(() => {
    open();
    return onSavedElsewhere((message) => {
      if (message.key === key) open();
    });
  }, [key, open]);
  useEffect(() => {
    // A half-typed amount is taken as it stands when the page goes away.
    const settle = (): void => {
      const field = document.activeElement;
      if (field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) field.blur();
    };
    window.addEventListener('pagehide', settle);
    return () => {
      window.removeEventListener('pagehide', settle);
    };
  }, []);
  return { work, error: work || failed?.key !== key ? undefined : failed.error, retry: open };
}

export interface SharedThing<T> {
  readonly doc: T;
  readonly revision: number;
  readonly save: SaveState;
  readonly clashes: readonly Clash[];
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly edit: (doc: T) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly settle: (clash: Clash, keep: 'mine' | 'theirs') => void;
}

export function useShared<K extends Kind>(
  kind: K,
  id: string,
): Omit<Opening, 'work'> & { readonly thing: SharedThing<Docs[K]> | undefined } {
  const key = keyOf(kind, id);
  const { work, error, retry } = useWork(key);
  const dispatch = useAppDispatch();
  const thing = useMemo(
    (): SharedThing<Docs[K]> | undefined =>
      work && {
        doc: work.doc as Docs[K],
        revision: work.revision,
        save: saveStateOf(work),
        clashes: work.clashes,
        canUndo: work.past.length > 0,
        canRedo: work.future.length > 0,
        edit: (doc) => dispatch(edited({ key, doc })),
        undo: () => dispatch(undone(key)),
        redo: () => dispatch(redone(key)),
        settle: (clash, keep) => dispatch(clashSettled({ key, clash, keep })),
      },
    [work, key, dispatch],
  );
  return { thing, error, retry };
}

export type Saved = 'saved' | 'kept' | 'clash';

/**
 * Saves what a form changed between `from`, as it was opened, and `to`.
 * @returns saved by the kitchen; kept here until it is back; or changed elsewhere too, and open to be settled
 * @throws `{ status, data }` with the reason where the kitchen will not have it: then it is not changed
 */
export async function saveShared<K extends Kind>(
  kind: K,
  id: string,
  from: Docs[K],
  to: Docs[K],
): Promise<Saved> {
  const key = keyOf(kind, id);
  if (!store.getState().work.byKey[key]) {
    // What the form was opened with is what is known; what the kitchen holds comes in behind. A tick moves at once.
    const held = { doc: from, revision: NOTHING_HEARD, beside: {} };
    store.dispatch(opened({ key, held, found: NOTHING_FOUND }));
    openShared(key).catch(() => undefined);
  }
  store.dispatch(proposed({ key, from, to }));
  const work = await whenAnswered(key);
  const refusal = work.clashes.find(({ why }) => why !== undefined);
  if (refusal) {
    store.dispatch(clashSettled({ key, clash: refusal, keep: 'theirs' }));

    throw { status: 400, data: { error: { code: 'invalid', message: refusal.why } } };
  }
  if (work.clashes.length > 0) return 'clash';
  return saveStateOf(work) === 'saved' ? 'saved' : 'kept';
}

/** Until the kitchen has it, or is known to be away. */
const whenAnswered = (key: WorkKey): Promise<Work> =>
  new Promise((resolve) => {
    const look = (): boolean => {
      const work = store.getState().work.byKey[key]!;
      const state = saveStateOf(work);
      if (state === 'waiting' || state === 'sending') return false;
      resolve(work);
      return true;
    };
    if (look()) return;
    const leave = store.subscribe(() => {
      if (look()) leave();
    });
  });
