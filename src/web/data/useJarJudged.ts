/** {@link jarJudged} as pages need it. */
import { useMemo } from 'react';
import type { FormulaId } from '#core/formula';
import type { JudgedPortion, Judgement } from '#core/reckoning';
import { jarJudged, type Kitchen } from '#kitchen/reading';
import { useVersionsQuery } from './kitchenApi';
import type { Jar } from './jars';

/** Null while its version is on the way. */
export function useJarJudged(
  jar: Jar,
  formulaId: FormulaId,
  portions: readonly JudgedPortion[],
  kitchen: Kitchen,
): Judgement | null {
  const { data, isError } = useVersionsQuery(formulaId);
  return useMemo(() => {
    if (!data && !isError) return null;
    return jarJudged(jar, portions, data?.find(({ number }) => number === jar.version) ?? null, kitchen);
  }, [jar, portions, data, isError, kitchen]);
}
