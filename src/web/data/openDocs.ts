/** What stands on this screen of shared things that are open: before the lists that the kitchen sent. */
import { shallowEqual } from 'react-redux';
import type { Docs, Kind } from '../sync/shared';
import { readKey, type WorkKey } from '../sync/shared';
import { useAppSelector } from '../sync/store';

/** By id, of one kind. The same object while nothing of it has changed. */
export const useOpenDocs = <K extends Kind>(kind: K): Readonly<Record<string, Docs[K]>> =>
  useAppSelector(
    ({ work }) =>
      Object.fromEntries(
        Object.values(work.byKey).flatMap(({ key, doc }): [string, Docs[K]][] => {
          const about = readKey(key as WorkKey);
          return about.kind === kind ? [[about.id, doc as Docs[K]]] : [];
        }),
      ),
    shallowEqual,
  );

/** A list as the kitchen sent it, with what is open here in its place; null: taken out. */
export function withOpen<T extends { readonly id: string }>(
  list: readonly T[] | undefined,
  open: Readonly<Record<string, T | null>>,
): readonly T[] | undefined {
  const ids = Object.keys(open);
  if (!list || ids.length === 0) return list;
  const known = new Set(list.map(({ id }) => id));
  const fresh = ids.filter((id) => !known.has(id)).map((id) => open[id]!);
  return [...list.map((one) => (one.id in open ? open[one.id]! : one)), ...fresh].filter(
    (one): one is T => one != null,
  );
}
