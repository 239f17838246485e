/** The batches that the services of a week come to. */
import type { PlanRecord } from '#contract';
import { weekBatches, type WeekBatch } from '#core/service';
import type { Asked } from '#kitchen/day';
import type { NeedOf } from '#kitchen/bowl';
import { needsOf } from './takeOn';

export const batchesOfWeek = (
  plans: readonly PlanRecord[],
  needOf: NeedOf,
  asked: ReadonlyMap<string, Asked>,
): readonly WeekBatch[] =>
  weekBatches(
    plans.flatMap(({ content }, day) =>
      [true, false].flatMap((fresh) =>
        needsOf(content, needOf, fresh).map(({ formulaId, highMl }) => ({
          formulaId: formulaId as string,
          day,
          volumeMl: highMl,
          fresh,
        })),
      ),
    ),
    (id) => asked.get(id)?.keepingDays ?? 1,
  );
