/** The jars as they are chosen and spoken of on the page, and what is asked with them. */
import { useMemo } from 'react';
import type { ShelfRecord } from '#contract';
import { JARS, type Chip, type LikedJar } from '#core/liking';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { contextFor, vesselOf, type Kitchen } from '#kitchen/reading';
import type { LikingQuestion } from '../../workers/protocol';

export interface TastedJar {
  readonly formulaId: string;
  readonly said: LikedJar['said'];
  readonly chips: readonly Chip[];
}

/** Only one can be liked more than all the others. */
export function withSaid(
  jars: readonly TastedJar[],
  at: number,
  said: LikedJar['said'],
): readonly TastedJar[] {
  return jars.map((jar, i) => {
    if (i === at) return { ...jar, said, chips: said === 'not' ? jar.chips : [] };
    return said === 'more' && jar.said === 'more' ? { ...jar, said: 'liked' } : jar;
  });
}

/** A measure is too much or too little, never both. */
export function withChip(jar: TastedJar, chip: Chip): TastedJar {
  const isOn = jar.chips.some(({ measure, says }) => measure === chip.measure && says === chip.says);
  const others = jar.chips.filter(({ measure }) => measure !== chip.measure);
  return { ...jar, chips: isOn ? others : [...others, chip] };
}

export const portionsOf = ({ formula }: ShelfRecord, kitchen: Kitchen) =>
  judgeFormula(reckonFormula(formula, vesselOf(formula, kitchen.vessels), contextFor(formula, kitchen)))
    .portions;

export interface Asked {
  /** Null: too little is said to ask. */
  readonly question: LikingQuestion | null;
  /** A jar of which nothing can be read. */
  readonly empty: ShelfRecord | null;
}

export function useAsked(
  jars: readonly TastedJar[],
  records: readonly ShelfRecord[],
  kitchen: Kitchen,
): Asked {
  return useMemo(() => {
    const known = jars.flatMap((jar) => {
      const record = records.find(({ id }) => id === jar.formulaId);
      return record ? [{ ...jar, record, portions: portionsOf(record, kitchen) }] : [];
    });
    const empty =
      known.find(({ portions }) => !portions.some(({ massG }) => massG.nominal > 0))?.record ?? null;
    const isTwice = new Set(known.map(({ formulaId }) => formulaId)).size < known.length;
    if (known.length < JARS.least || known.length < jars.length || empty || isTwice)
      return { question: null, empty };
    const onHand = [...kitchen.catalogue.keys()].filter((id) => (kitchen.pantry[id]?.onHandG ?? 0) > 0);
    return {
      empty,
      question: {
        jars: known.map(({ portions, said, chips }) => ({ portions, said, chips })),
        ingredients: [...kitchen.catalogue.values()].filter(({ made }) => !made),
        onHand,
      },
    };
  }, [jars, records, kitchen]);
}
