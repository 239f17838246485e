/** Formulas of the shelf for pages that show some of them. */
import { skipToken } from '@reduxjs/toolkit/query';
import { MOST_AT_ONCE, type ShelfRecord } from '#contract';
import { useFormulasQuery } from './kitchenApi';

const NONE: readonly ShelfRecord[] = [];

/** Those of these ids that are there, wherever they stand. */
export function useFormulasById(ids: readonly string[]): readonly ShelfRecord[] {
  const wanted = [...new Set(ids)].sort().slice(0, MOST_AT_ONCE);
  const asked = useFormulasQuery(
    wanted.length > 0 ? { ids: wanted.join(','), limit: MOST_AT_ONCE } : skipToken,
  );
  return asked.data?.records ?? NONE;
}
