/** Formulas moved between shelf, archive and bin, one or several at once; each move can be undone, the latest first. */
import { useState } from 'react';
import type { Shelf, ShelfRecord } from '#contract';
import { useMoveFormulaMutation } from '../../data/kitchenApi';

export interface Moved {
  readonly records: readonly ShelfRecord[];
  readonly to: Shelf;
}

export function useMoves() {
  const [move, moving] = useMoveFormulaMutation();
  const [moves, setMoves] = useState<readonly Moved[]>([]);
  return {
    /** The latest that stands. */
    last: moves.at(-1) ?? null,
    error: moving.isError ? moving.error : undefined,
    move: (records: readonly ShelfRecord[], to: Shelf): void => {
      for (const { id } of records) void move({ id, shelf: to });
      setMoves([...moves, { records, to }]);
    },
    undo: (): void => {
      const last = moves.at(-1);
      if (!last) return;
      // Each where it stood, which need not be the same place.
      for (const { id, shelf } of last.records) void move({ id, shelf });
      setMoves(moves.slice(0, -1));
    },
  };
}
