/**
 * What is to be said of one jar as it stands. What its version could not read, or takes to taste, may
 * be in it; what the pantry no longer knows is in it. All of that counts.
 */
import { useMemo } from 'react';
import type { VersionRecord } from '#contract';
import type { FormulaId } from '#core/formula';
import { exactly } from '#core/quantity';
import {
  judgeFormula,
  judgePortions,
  reckonFormula,
  unreadOf,
  type JudgedPortion,
  type Judgement,
} from '#core/reckoning';
import { measuredPh, trialLines } from '#core/trial';
import { useVersionsQuery } from '../api/kitchenApi';
import type { Jar } from './jars';
import { contextFor, vesselOf, type Kitchen } from './kitchen';

/** @param version the version it was made from; null: it cannot be looked up, and counts as not read */
export function jarJudged(
  jar: Pick<Jar, 'lines' | 'events' | 'version'>,
  portions: readonly JudgedPortion[],
  version: VersionRecord | null,
  kitchen: Pick<Kitchen, 'catalogue' | 'settings' | 'own' | 'vessels'>,
): Judgement {
  const written = version && readOf(version, kitchen);
  const unknown = trialLines(jar.lines, jar.events).flatMap(({ ingredientId, massG }) =>
    massG > 0 && !kitchen.catalogue.has(ingredientId) ? [ingredientId as string] : [],
  );
  const same = (a: JudgedPortion, b: JudgedPortion): boolean =>
    a.ingredient.id === b.ingredient.id && (a.form ?? '') === (b.form ?? '');
  const inJar = portions.map((portion) => ({
    ...portion,
    pieces: portion.pieces ?? written?.portions.find((one) => same(one, portion))?.pieces ?? false,
  }));
  const toTaste = (written?.portions ?? [])
    .filter((portion) => !(portion.massG.nominal > 0) && !inJar.some((one) => same(one, portion)))
    .map((portion) => ({ ...portion, massG: exactly(0) }));
  const measured = measuredPh(jar.events);
  return judgePortions(
    [...inJar, ...toTaste],
    [...(written ? written.unread : [`v${jar.version}, which cannot be looked up now`]), ...unknown],
    measured.status === 'counts' ? measured.value : null,
  );
}

function readOf({ formula }: VersionRecord, kitchen: Parameters<typeof jarJudged>[3]) {
  const reckoning = reckonFormula(formula, vesselOf(formula, kitchen.vessels), contextFor(formula, kitchen));
  return { portions: judgeFormula(reckoning).portions, unread: unreadOf(reckoning.additions) };
}

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
