/** What a jar of the shelf shows, reckoned once a formula and kitchen. */
import type { ShelfRecord } from '#contract';
import { judgeFormula, type Judgement, type Reckoning } from '#core/reckoning';
import type { Kitchen } from '#kitchen/reading';
import { reckonShelved } from '#kitchen/shelf';

export interface Shown {
  readonly reckoning: Reckoning;
  readonly judgement: Judgement;
}

const known = new WeakMap<Kitchen, WeakMap<ShelfRecord, Shown>>();

export function shownOf(record: ShelfRecord, kitchen: Kitchen): Shown {
  let ofKitchen = known.get(kitchen);
  if (!ofKitchen) known.set(kitchen, (ofKitchen = new WeakMap()));
  let shown = ofKitchen.get(record);
  if (!shown) {
    const reckoning = reckonShelved(record.formula, kitchen);
    ofKitchen.set(record, (shown = { reckoning, judgement: judgeFormula(reckoning) }));
  }
  return shown;
}
