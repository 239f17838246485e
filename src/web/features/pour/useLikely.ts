/** The answers that stand under "what was that?". */
import { useMemo } from 'react';
import { MOST_AT_ONCE } from '#contract';
import type { Ingredient } from '#core/ingredient';
import { likelyPours, type KnownDressing } from '#core/pour';
import { knownDressings, massOf, type FreePour, type PouredThing } from '#kitchen/pour';
import { entryOf, type Kitchen } from '#kitchen/reading';
import { useFormulasQuery } from '../../data/kitchenApi';

const MOST = 8;

export function useKnown(kitchen: Kitchen): {
  readonly known: readonly KnownDressing[];
  readonly failed: boolean;
} {
  const { data, isError } = useFormulasQuery({ limit: MOST_AT_ONCE });
  const known = useMemo(
    () =>
      knownDressings(
        (data?.records ?? []).map(({ formula }) => formula),
        kitchen,
      ),
    [data, kitchen],
  );
  return { known, failed: isError };
}

export function useLikely(
  known: readonly KnownDressing[],
  pour: FreePour,
  asked: PouredThing | null,
  kitchen: Kitchen,
): readonly Ingredient[] {
  return useMemo(() => {
    if (!asked) return [];
    const { catalogue, pantry } = kitchen;
    const before = pour.things.flatMap(({ id, atMs, ingredientId }) =>
      id !== asked.id && atMs <= asked.atMs && ingredientId ? [ingredientId] : [],
    );
    return likelyPours(
      {
        known,
        catalogue,
        before,
        pour: { massG: massOf(asked, catalogue), kind: asked.kind },
        isOnHand: (id) => (entryOf(pantry, id).onHandG ?? 0) > 0,
      },
      MOST,
    ).flatMap((id) => catalogue.get(id) ?? []);
  }, [known, pour, asked, kitchen]);
}
