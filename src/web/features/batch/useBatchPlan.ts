import { useMemo } from 'react';
import type { VersionRecord } from '#contract';
import {
  batchSize,
  OPEN_FILL_SHARE,
  usualBatchTool,
  type BatchAnswer,
  type BatchLine,
  type BatchRequest,
} from '#core/batch';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import type { Vessel } from '#core/vessel';
import { readDecimal } from '../../readDecimal';
import { contextFor, vesselOf, type Kitchen } from '../../store/kitchen';
import { aimOf, useStyles } from '../../store/styles';
import { useSearch, type Search } from '../../workers/useSearch';
import { stockOf } from './stock';
import { targetOf, type BatchDraft, type DraftProblems } from './draft';

export interface BatchPlanning {
  readonly request: BatchRequest | null;
  readonly search: Search<BatchAnswer>;
  readonly stop: () => void;
  readonly again: () => void;
  readonly problems: DraftProblems;
  readonly lines: readonly BatchLine[];
  readonly toTaste: readonly string[];
  readonly unread: readonly string[];
}

/** Open vessels, smallest first. */
export const openVessels = (vessels: readonly Vessel[]): readonly Vessel[] =>
  vessels.filter(({ closes }) => !closes).sort((a, b) => a.brimfulVolumeMl - b.brimfulVolumeMl);

const STORED_IN = 'tub_5000';

/** The version read with this kitchen's things, and planned away from the page. */
export function useBatchPlan(
  version: VersionRecord | null,
  draft: BatchDraft,
  kitchen: Kitchen,
): BatchPlanning {
  const { settings, vessels, pantry } = kitchen;
  const styles = useStyles();
  const read = useMemo(() => {
    if (!version) return null;
    const { formula } = version;
    const reckoning = reckonFormula(formula, vesselOf(formula, vessels), contextFor(formula, kitchen));
    return { reckoning, judgement: judgeFormula(reckoning) };
  }, [version, vessels, kitchen]);
  const lines = useMemo(
    () =>
      (read?.reckoning.additions ?? []).flatMap(({ addition, reading, counted }): BatchLine[] =>
        counted && reading.status === 'read'
          ? [
              {
                ...{ id: addition.id, ingredient: reading.ingredient, form: addition.form },
                ...{ phase: addition.phase, massG: reading.massG.nominal, said: addition.amountText },
              },
            ]
          : [],
      ),
    [read],
  );
  const unread = useMemo(
    () =>
      (read?.reckoning.additions ?? []).flatMap(({ addition, reading, counted }) =>
        counted && reading.status === 'unread'
          ? [`${addition.amountText} ${addition.ingredientText}`.trim()]
          : [],
      ),
    [read],
  );
  const stock = useMemo(() => stockOf(pantry), [pantry]);
  const style = useMemo(() => (version ? aimOf(version.formula, styles) : null), [version, styles]);
  // The address makes a new draft at every render: what it says decides.
  const asked = JSON.stringify(draft);
  const found = useMemo(() => {
    const now = JSON.parse(asked) as BatchDraft;
    const { target, problems } = targetOf(now, settings.servingVolumeMl);
    const startC = now.startC.trim() === '' ? settings.batch.roomC : readDecimal(now.startC);
    const startFits = startC !== null && startC >= 0 && startC <= 95;
    const all: DraftProblems = startFits ? problems : { ...problems, startC: '0 to 95 °C.' };
    if (!target || !startFits || !version || lines.length === 0) return { request: null, problems: all };
    const size = batchSize(lines, target, settings.batch.lossShare, (id) => stock.get(id)?.onHandG ?? null);
    const madeMl = size.status === 'sized' ? size.madeMl : 1000;
    const open = openVessels(vessels);
    const roomy =
      open.find(({ brimfulVolumeMl }) => brimfulVolumeMl * OPEN_FILL_SHARE >= madeMl) ?? open.at(-1)!;
    const request: BatchRequest = {
      ...{ lines, target, style, stock, lossShare: settings.batch.lossShare, school: now.school },
      ...{ holdBack: settings.batch.holdBack, scale: settings.batch.scale, loadsAs: now.loadsAs },
      rounding: {
        kind: now.rounding,
        readabilityG: settings.batch.scale.readabilityG,
        spoons: version.formula.spoons,
      },
      tool: now.tool ?? usualBatchTool(madeMl),
      mixingVessel: vessels.find(({ id }) => id === now.vesselId) ?? roomy,
      storage:
        now.storageId === 'none'
          ? null
          : (vessels.find(({ id }) => id === (now.storageId || STORED_IN)) ?? null),
      cooling: { startC, fridgeC: settings.batch.fridgeC },
      mustBeCold: read?.judgement.keeping.cold ?? false,
      portionMl: settings.servingVolumeMl,
    };
    return { request, problems: all };
  }, [asked, settings, version, lines, stock, style, vessels, read]);
  const { search, stop, again } = useSearch('batch', found.request);
  const toTaste = lines
    .filter(({ massG }) => massG <= 0)
    .map(({ ingredient, said }) => `${ingredient.name}, ${said}`);
  return { ...found, search, stop, again, lines, toTaste, unread };
}
