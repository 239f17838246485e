/**
 * What is to be said of one jar as it stands. What its version could not read, or takes to taste, may
 * be in it; what the pantry no longer knows is in it. All of that counts.
 */
import type { TrialRecord, VersionRecord } from '#contract';
import { upToStage, type Formula } from '#core/formula';
import { exactly } from '#core/quantity';
import {
  judgeFormula,
  judgePortions,
  reckonFormula,
  unreadOf,
  type JudgedPortion,
  type Judgement,
} from '#core/reckoning';
import { measuredPh, stageReached, trialLines } from '#core/trial';
import { atWorkWords } from '#words/screens/atWork';
import { contextFor, vesselOf, type Kitchen } from './kitchen';

/** @param version the version it was made from; null: it cannot be looked up, and counts as not read */
export function jarJudged(
  jar: Pick<TrialRecord, 'lines' | 'events' | 'version' | 'making'>,
  portions: readonly JudgedPortion[],
  version: VersionRecord | null,
  kitchen: Pick<Kitchen, 'catalogue' | 'settings' | 'own' | 'vessels'>,
): Judgement {
  const reached = stageReached(jar.making, jar.events);
  const written = version && readOf(version.formula, reached, kitchen);
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
    [...(written ? written.unread : [atWorkWords.vVersionWhichCannotBe(jar.version)]), ...unknown],
    measured.status === 'counts' ? measured.value : null,
  );
}

function readOf(whole: Formula, reached: number | null, kitchen: Parameters<typeof jarJudged>[3]) {
  // What comes after the stage it was stopped at is not in it.
  const formula = reached === null ? whole : upToStage(whole, reached);
  const reckoning = reckonFormula(formula, vesselOf(formula, kitchen.vessels), contextFor(formula, kitchen));
  return { portions: judgeFormula(reckoning).portions, unread: unreadOf(reckoning.additions) };
}
