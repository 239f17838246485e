/** Starting values, apart from the schemas: the interface needs these at once and the checks only later. */
import { USUAL_HOLD_BACK } from '#core/batch';
import { MAKINGS_THAT_PROVE } from '#core/trial';
import { DEFAULT_SMALL_MEASURES } from '#core/quantity';
import type { By } from './formula';
import type { PantryEntry, Settings } from './kitchen';
import type { DishesContent } from './dishes';
import type { PlanContent } from './plan';
import type { PracticeContent } from './practice';

export const DEFAULT_SETTINGS: Settings = {
  kitchenName: 'My kitchen',
  spoons: 'us',
  decimalSign: 'point',
  amountsIn: 'grams',
  servingVolumeMl: 30,
  currency: '€',
  smallMeasures: DEFAULT_SMALL_MEASURES,
  provenAfter: MAKINGS_THAT_PROVE,
  learning: { holds: true, windows: true, since: null },
  batch: {
    lossShare: 0.02,
    scale: { readabilityG: 1, capacityG: 5000, vesselG: 400 },
    fridgeC: 3,
    roomC: 20,
    holdBack: USUAL_HOLD_BACK,
  },
};

export const EMPTY_PANTRY_ENTRY: PantryEntry = {
  onHandG: null,
  price: null,
  packMassG: null,
  bottle: { label: '', acidityGPer100Ml: null, ph: null, openedOn: null, useBy: null },
};

export const EMPTY_DISHES: DishesContent = { dishes: [] };

export const EMPTY_PRACTICE: PracticeContent = { answers: [] };

export const NOBODY: By = { cookId: null, deviceId: '' };

export const EMPTY_PLAN: PlanContent = {
  cooks: 1,
  fromMin: 420,
  services: [],
  jobs: [],
  begun: {},
  done: {},
  movedMin: {},
};
