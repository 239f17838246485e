/** For tests of batches: a kitchen with nothing of its own, and a batch as it comes back from the server. */
import { DEFAULT_SETTINGS, type BatchRecord, type NewBatch } from '#contract';
import { REFERENCE_CATALOGUE } from '#core/ingredient';
import { STARTING_VESSELS } from '#core/vessel';
import type { Kitchen } from '#kitchen/reading';

export const bareKitchen = (about: Partial<Kitchen> = {}): Kitchen => ({
  settings: DEFAULT_SETTINGS,
  vessels: STARTING_VESSELS,
  catalogue: REFERENCE_CATALOGUE,
  pantry: {},
  own: { measures: [], cookId: null } as unknown as Kitchen['own'],
  ...about,
});

/** Planned, and nothing happened to it yet. */
export function batchRecordOf(
  { id, formulaId, version, day, plan, loads, by }: NewBatch,
  about: Partial<BatchRecord> = {},
): BatchRecord {
  const at = '2026-11-26T09:00:00.000Z';
  return {
    id,
    number: `${day.replaceAll('-', '')}-01`,
    formulaId,
    formulaName: 'House',
    base: null,
    version,
    day,
    plan,
    by,
    at,
    state: 'planned',
    whole: null,
    events: [],
    loads: loads.map(({ trialId, making }, i) => ({
      id: trialId,
      formulaId,
      version,
      vesselId: plan.mixingVesselId,
      styleId: null,
      lines: [],
      making,
      by,
      at,
      events: [],
      batch: { batchId: id, role: 'load', load: i + 1, of: loads.length },
    })),
    ...about,
  };
}
