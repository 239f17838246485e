import { useMemo } from 'react';
import type { VersionRecord } from '#contract';
import type { BatchAnswer, BatchRequest } from '#core/batch';
import { typedNumber } from '../../form/typed';
import { batchRequestOf, readVersion, stockOf, type ReadVersion } from '#kitchen/batch';
import type { Kitchen } from '#kitchen/reading';
import { batchPlanWords } from '#words/screens/batchPlan';
import { aimOf, useStyles } from '../../data/styles';
import { useSearch, type Search } from '../../workers/useSearch';
import { targetOf, type BatchDraft, type DraftProblems } from './draft';

const START_LIMITS_C = { from: 0, to: 95 };

export interface BatchPlanning {
  readonly request: BatchRequest | null;
  readonly search: Search<BatchAnswer>;
  readonly stop: () => void;
  readonly again: () => void;
  readonly problems: DraftProblems;
  readonly read: ReadVersion;
}

/** The version read with this kitchen's things, and planned away from the page. */
export function useBatchPlan(
  version: VersionRecord,
  draft: BatchDraft,
  kitchen: Kitchen,
  /** Of what comes out, what goes on into other dressings, ml. */
  pouredOnMl: number,
): BatchPlanning {
  const { settings, pantry } = kitchen;
  const styles = useStyles();
  const read = useMemo(() => readVersion(version, kitchen), [version, kitchen]);
  const stock = useMemo(() => stockOf(pantry), [pantry]);
  const style = useMemo(() => aimOf(version.formula, styles), [version, styles]);
  // The address makes a new draft at every render: what it says decides.
  const asked = JSON.stringify(draft);
  const found = useMemo(() => {
    const now = JSON.parse(asked) as BatchDraft;
    const { target, problems } = targetOf(now, settings.servingVolumeMl);
    const typedC = typedNumber(now.startC, START_LIMITS_C);
    const startC = typedC.blank ? settings.batch.roomC : typedC.value;
    const startFits = startC !== null && startC >= START_LIMITS_C.from && startC <= START_LIMITS_C.to;
    const all: DraftProblems = startFits
      ? problems
      : { ...problems, startC: batchPlanWords.fromLowToHighC(START_LIMITS_C.from, START_LIMITS_C.to) };
    if (!target || !startFits || read.lines.length === 0) return { request: null, problems: all };
    const request = batchRequestOf(version, read, { ...now, target, startC }, kitchen, stock, style);
    return { request: pouredOnMl > 0 ? { ...request, pouredOnMl } : request, problems: all };
  }, [asked, settings, version, read, kitchen, stock, style, pouredOnMl]);
  const { search, stop, again } = useSearch('batch', found.request);
  return { ...found, search, stop, again, read };
}
