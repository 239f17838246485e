/** The batches that services need, planned the usual way and written down. */
import { useState } from 'react';
import { skipToken } from '@reduxjs/toolkit/query';
import type { BatchRecord, PlanContent } from '#contract';
import { sayBatchProblem } from '#words/batch';
import { isEnough, madeMl } from '#core/batch';
import type { FormulaId } from '#core/formula';
import { planWords } from '#words/screens/plan';
import { kitchenApi, sayError, useBatchesQuery } from '../../data/kitchenApi';
import { formatMass, formatVolume } from '#words/numbers';
import { batchRequestOf, newBatchOf, readVersion, stockOf, usualChoices, usualVersion } from '#kitchen/batch';
import { byNow, newId } from '../../sync/device';
import type { NeedOf } from '#kitchen/bowl';
import type { Kitchen } from '#kitchen/reading';
import { useAppDispatch } from '../../sync/store';
import { aimOf, useStyles } from '../../data/styles';
import { searcher } from '../../workers/searcher';

export interface Need {
  readonly formulaId: FormulaId;
  readonly ml: number;
  readonly highMl: number;
}

/** What the dishes of a day take, by dressing; `fresh` undefined: all of them. */
export function needsOf(
  { services }: Pick<PlanContent, 'services'>,
  needOf: NeedOf,
  fresh?: boolean,
): readonly Need[] {
  const needs = new Map<FormulaId, Need>();
  for (const { covers, dishes } of services) {
    for (const dish of dishes) {
      if (fresh !== undefined && dish.fresh !== fresh) continue;
      const need = needOf(dish, covers);
      const before = needs.get(dish.formulaId);
      needs.set(dish.formulaId, {
        formulaId: dish.formulaId,
        ml: need.ml + (before?.ml ?? 0),
        highMl: need.highMl + (before?.highMl ?? 0),
      });
    }
  }
  return [...needs.values()];
}

export interface ToMake {
  readonly formulaId: FormulaId;
  readonly day: string;
  /** What there has to be, ml. */
  readonly volumeMl: number;
}
export interface Covered extends ToMake {
  readonly batches: readonly BatchRecord[];
  /** 0: what is taken on is enough. */
  readonly missingMl: number;
}

/** It takes milliseconds: nobody watches it. */
const UNWATCHED = { signal: new AbortController().signal, onProgress: () => undefined };

/** What of it is taken on already. */
export const coveredBy = (wanted: readonly ToMake[], all: readonly BatchRecord[]): readonly Covered[] =>
  wanted.map((one) => {
    const batches = all.filter(
      ({ formulaId, day, state }) => formulaId === one.formulaId && day === one.day && state !== 'called-off',
    );
    const there = madeMl(batches);
    return { ...one, batches, missingMl: isEnough(there, one.volumeMl) ? 0 : one.volumeMl - there };
  });

/** Batches are asked for in tenths of a litre. */
export const litresFor = (volumeMl: number): number => Math.max(0, Math.ceil(volumeMl / 100 - 1e-9)) / 10;

export interface TakingOn {
  readonly covered: readonly Covered[];
  /** What is there already is not known yet. */
  readonly waits: boolean;
  readonly busy: boolean;
  /** What could not be taken on, and why. */
  readonly problems: readonly string[];
  readonly takeOn: () => Promise<void>;
}

export function useTakeOn(
  wanted: readonly ToMake[],
  kitchen: Kitchen,
  nameOf: (formulaId: string) => string,
): TakingOn {
  const dispatch = useAppDispatch();
  const styles = useStyles();
  const days = wanted.map(({ day }) => day).sort();
  const all = useBatchesQuery(days.length > 0 ? { from: days[0]!, to: days.at(-1)! } : skipToken).data;
  const [busy, setBusy] = useState(false);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const covered = coveredBy(wanted, all ?? []);

  /** @returns what stands in the way; null: it is taken on */
  const one = async ({ formulaId, day, volumeMl, missingMl }: Covered): Promise<string | null> => {
    const versions = await dispatch(
      kitchenApi.endpoints.versions.initiate(formulaId, { subscribe: false, forceRefetch: true }),
    ).unwrap();
    const standings = await dispatch(
      kitchenApi.endpoints.standings.initiate(formulaId, { subscribe: false, forceRefetch: true }),
    ).unwrap();
    const latest = Math.max(0, ...versions.map(({ number }) => number));
    const number = usualVersion(standings, latest);
    const version = versions.find((candidate) => candidate.number === number);
    if (!version) return planWords.itHasNoVersionYet;
    const read = readVersion(version, kitchen);
    if (read.lines.length === 0) return planWords.thereIsNothingInV(number);
    const litres = litresFor(missingMl);
    const choices = usualChoices({ kind: 'volume', volumeMl: litres * 1000 }, kitchen);
    const request = batchRequestOf(
      version,
      read,
      choices,
      kitchen,
      stockOf(kitchen.pantry),
      aimOf(version.formula, styles),
    );
    const answer = await searcher.ask('batch', request, UNWATCHED);
    if (answer.status === 'cannot')
      return sayBatchProblem(answer.problem, request.tool, (amount, unit) =>
        unit === 'ml' ? formatVolume(amount, kitchen.settings) : formatMass(amount, kitchen.settings),
      );
    const state = standings[number]?.state ?? 'draft';
    const about = { id: newId(), formulaId, version, state, day, target: `${litres} l`, by: byNow() };
    await dispatch(
      kitchenApi.endpoints.beginBatch.initiate({
        ...newBatchOf(about, answer, request, read, kitchen.pantry),
        // Somebody else may press at the same moment: the kitchen decides.
        needMl: volumeMl,
      }),
    ).unwrap();
    return null;
  };

  const takeOn = async (): Promise<void> => {
    setBusy(true);
    const said: string[] = [];
    for (const batch of covered.filter(({ missingMl }) => missingMl > 0)) {
      try {
        const problem = await one(batch);
        if (problem !== null) said.push(`${nameOf(batch.formulaId)}: ${problem}`);
      } catch (error) {
        said.push(planWords.nameofNotWrittenDownError(nameOf(batch.formulaId), sayError(error)));
      }
    }
    setProblems(said);
    setBusy(false);
  };
  return { covered, waits: days.length > 0 && !all, busy, problems, takeOn };
}
