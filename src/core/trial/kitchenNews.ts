/** What the jars of a whole kitchen say: what was made, what keeps failing, what drifts, which bottle changed things. Rules: estimate. */
import type { FormulaId } from '#core/formula';
import type { Catalogue } from '#core/ingredient';
import { PALATE, palateOf, PALATE_KEYS, type PalateKey } from '#core/palate';
import type { LoggedEvent } from './event';
import { currentStep, stepStates, type MakingPlan } from './making';
import type { TrialLine } from './step';
import { asMade, standingOf, trialPortions, type Standing } from './trial';

export interface KitchenJar {
  readonly id: string;
  readonly formulaId: FormulaId;
  readonly version: number;
  /** ISO time. */
  readonly at: string;
  readonly lines: readonly TrialLine[];
  readonly making: MakingPlan | null;
  readonly events: readonly LoggedEvent[];
}

export interface Failing {
  readonly formulaId: FormulaId;
  readonly failed: number;
  readonly tasted: number;
}
export interface Drift {
  readonly formulaId: FormulaId;
  readonly measure: PalateKey;
  readonly from: number;
  readonly to: number;
  /** In steps that a taster notices. */
  readonly steps: number;
}
export interface BottleChange {
  readonly formulaId: FormulaId;
  readonly ingredientId: string;
  readonly bottle: string;
  readonly rightWith: number;
  readonly madeWith: number;
  readonly rightWithout: number;
  readonly madeWithout: number;
}

/** So many of a formula's latest jars speak for it. */
export const LOOKED_AT = 6;
const ENOUGH_JARS = 2;
const DRIFT_JARS = 4;
const BOTTLE_GAP = 0.5;

/** A jar under way says nothing of how its formula comes out. */
const isFinished = ({ making, events }: KitchenJar): boolean =>
  currentStep(stepStates(making?.steps ?? [], events)) === null;

const failed = (standing: Standing): boolean =>
  standing === 'not-right' || standing === 'right-after-mending';
const tasted = (standing: Standing): boolean => standing !== 'untasted';
export const isTasted = ({ events }: KitchenJar): boolean => tasted(standingOf(events));

export interface Bottle {
  readonly ingredientId: string;
  readonly bottle: string;
}
/** Those that were named when it was begun. */
export const bottlesIn = ({ making }: KitchenJar): readonly Bottle[] =>
  Object.entries(making?.bottles ?? {}).flatMap(([ingredientId, bottle]) =>
    bottle === undefined ? [] : [{ ingredientId, bottle }],
  );

/** Oldest first, per formula. */
export function byFormula(jars: readonly KitchenJar[]): ReadonlyMap<FormulaId, readonly KitchenJar[]> {
  const found = new Map<FormulaId, KitchenJar[]>();
  for (const jar of [...jars].sort((a, b) => a.at.localeCompare(b.at))) {
    found.set(jar.formulaId, [...(found.get(jar.formulaId) ?? []), jar]);
  }
  return found;
}

/** How many of each formula since a time, most first. */
export function madeSince(
  jars: readonly KitchenJar[],
  since: string,
): readonly { readonly formulaId: FormulaId; readonly count: number }[] {
  const counts = new Map<FormulaId, number>();
  for (const { formulaId, at } of jars)
    if (at >= since) counts.set(formulaId, (counts.get(formulaId) ?? 0) + 1);
  return [...counts].map(([formulaId, count]) => ({ formulaId, count })).sort((a, b) => b.count - a.count);
}

/** Not right as made in half or more of their latest tasted jars, of two at least. */
export function keepsFailing(jars: readonly KitchenJar[]): readonly Failing[] {
  return [...byFormula(jars)].flatMap(([formulaId, all]): Failing[] => {
    const standings = all
      .map(({ events }) => standingOf(events))
      .filter(tasted)
      .slice(-LOOKED_AT);
    const count = standings.filter(failed).length;
    return standings.length >= ENOUGH_JARS && count * 2 >= standings.length
      ? [{ formulaId, failed: count, tasted: standings.length }]
      : [];
  });
}

/** Formulas whose jars, as made, moved by what a taster notices between the earlier and the later half. */
export function drifts(jars: readonly KitchenJar[], catalogue: Catalogue): readonly Drift[] {
  return [...byFormula(jars)].flatMap(([formulaId, all]): Drift[] => {
    const finished = all.filter(isFinished);
    if (finished.length < DRIFT_JARS) return [];
    const palates = finished.slice(-2 * LOOKED_AT).flatMap(({ lines, events }) => {
      const portions = trialPortions(asMade(lines, events), [], catalogue);
      return portions.length > 0 ? [palateOf(portions)] : [];
    });
    const half = Math.floor(palates.length / 2);
    const mean = (key: PalateKey, part: typeof palates): number | null => {
      const values = part.flatMap((palate) => palate[key].value ?? []);
      return values.length > 0 ? values.reduce((sum, value) => sum + value, 0) / values.length : null;
    };
    const moved = PALATE_KEYS.flatMap((measure): Drift[] => {
      const [from, to] = [mean(measure, palates.slice(0, half)), mean(measure, palates.slice(half))];
      if (from === null || to === null) return [];
      const steps = (to - from) / PALATE[measure].step;
      return Math.abs(steps) >= 1 ? [{ formulaId, measure, from, to, steps }] : [];
    }).sort((a, b) => Math.abs(b.steps) - Math.abs(a.steps));
    return moved.slice(0, 1);
  });
}

/** Bottles with which a formula comes out right clearly more or less often than with others. */
export function bottleChanges(jars: readonly KitchenJar[]): readonly BottleChange[] {
  return [...byFormula(jars)].flatMap(([formulaId, all]): BottleChange[] => {
    const judged = all.filter(({ events }) => tasted(standingOf(events)));
    const named = new Set(
      judged.flatMap(({ making }) =>
        Object.entries(making?.bottles ?? {}).map((pair) => JSON.stringify(pair)),
      ),
    );
    return [...named].flatMap((pair): BottleChange[] => {
      const [ingredientId, bottle] = JSON.parse(pair) as [string, string];
      const has = ({ making }: KitchenJar): boolean =>
        (making?.bottles as Readonly<Record<string, string>> | undefined)?.[ingredientId] === bottle;
      const right = (some: readonly KitchenJar[]): number =>
        some.filter(({ events }) => standingOf(events) === 'right').length;
      const [withIt, without] = [judged.filter(has), judged.filter((jar) => !has(jar))];
      if (withIt.length < ENOUGH_JARS || without.length < ENOUGH_JARS) return [];
      const gap = right(withIt) / withIt.length - right(without) / without.length;
      if (Math.abs(gap) < BOTTLE_GAP) return [];
      return [
        {
          formulaId,
          ingredientId,
          bottle,
          rightWith: right(withIt),
          madeWith: withIt.length,
          rightWithout: right(without),
          madeWithout: without.length,
        },
      ];
    });
  });
}
