/** Who may go into a jar of this kitchen to mend it, and how this cook doses them. */
import { aQuarterMl, candidatesFor, type MayAdd } from '#core/balance';
import { composition, costOf } from '#core/composition';
import type { ReadingContext } from '#core/formula';
import type { IngredientId } from '#core/ingredient';
import type { JudgedPortion } from '#core/reckoning';
import { entryOf, packPriceOf, type Kitchen } from './kitchen';

const NOBODY: ReadonlySet<IngredientId> = new Set();

export interface MendsFrom {
  readonly mayAdd: readonly MayAdd[];
  /** Left out: not everything has a price. */
  readonly jarCost?: number;
}

export function mendsFrom(
  portions: readonly JudgedPortion[],
  kitchen: Kitchen,
  { measuring }: Pick<ReadingContext, 'measuring'>,
  locked: ReadonlySet<IngredientId> = NOBODY,
): MendsFrom {
  const priceOf = packPriceOf(kitchen.pantry);
  const { total, unpriced } = costOf(portions, priceOf);
  const mayAdd = candidatesFor(portions, {
    catalogue: kitchen.catalogue,
    stockG: (id) => entryOf(kitchen.pantry, id).onHandG,
    locked,
    hand: { measuring, readabilityG: kitchen.settings.batch.scale.readabilityG },
    pricePerG: (id) => {
      const pack = priceOf(id);
      return pack ? pack.price / pack.packMassG : null;
    },
  });
  return { mayAdd, ...(unpriced.length === 0 && total > 0 ? { jarCost: total } : {}) };
}

export interface RoomToMend {
  readonly roomMl: number;
  /** It is a quarter of what is there that limits, not the jar. */
  readonly aQuarter: boolean;
}

/** @param vesselRoomMl what still fits. @param more the cook gives all of the room */
export function roomToMend(
  portions: readonly JudgedPortion[],
  vesselRoomMl: number,
  more: boolean,
): RoomToMend {
  const quarterMl = aQuarterMl(composition(portions).mixedVolumeMl);
  const roomMl = Math.max(0, vesselRoomMl);
  return more || roomMl <= quarterMl ? { roomMl, aQuarter: false } : { roomMl: quarterMl, aQuarter: true };
}
