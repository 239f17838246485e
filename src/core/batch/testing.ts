/** Versions and settings for tests of batches. */
import { finish } from '#core/balance';
import { REFERENCE_CATALOGUE, type Ingredient, type IngredientId } from '#core/ingredient';
import { STARTING_VESSELS, type Vessel } from '#core/vessel';
import { USUAL_HOLD_BACK } from './holdBack';
import { planBatch, type BatchAnswer, type BatchLine, type BatchPlan, type BatchRequest } from './planBatch';

export const thing = (id: string): Ingredient => REFERENCE_CATALOGUE.get(id as IngredientId)!;
export const lineOf = (id: string, massG: number, about: Partial<BatchLine> = {}): BatchLine => ({
  id,
  ingredient: thing(id),
  form: '',
  phase: 'base',
  massG,
  said: '',
  ...about,
});

/** 90 ml olive oil, 30 ml vinegar and so on: a plain vinaigrette of about 130 ml. */
export const VINAIGRETTE: readonly BatchLine[] = [
  lineOf('vin_redwine6', 30.3),
  lineOf('salt_sea_fine', 2),
  lineOf('mustard_dijon', 6),
  lineOf('garlic', 3),
  lineOf('olive_ev', 82.2),
];

const bowl = STARTING_VESSELS.find(({ closes }) => !closes)!;
export const vesselOf = (brimfulVolumeMl: number, about: Partial<Vessel> = {}): Vessel => ({
  ...bowl,
  nominalVolumeMl: brimfulVolumeMl,
  brimfulVolumeMl,
  ...about,
});

export const requestOf = (about: Partial<BatchRequest> = {}): BatchRequest => ({
  lines: VINAIGRETTE,
  target: { kind: 'volume', volumeMl: 12_000 },
  lossShare: 0,
  school: 'by-weight',
  holdBack: USUAL_HOLD_BACK,
  rounding: { kind: 'exact', readabilityG: 1, spoons: 'metric' },
  scale: { readabilityG: 1, capacityG: 5000, vesselG: 400 },
  tool: 'stick-pro',
  mixingVessel: vesselOf(100_000),
  loadsAs: 'equal',
  storage: null,
  cooling: { startC: 20, fridgeC: 3 },
  mustBeCold: true,
  style: null,
  portionMl: 30,
  stock: new Map(),
  ...about,
});

export const answerOf = (about: Partial<BatchRequest> = {}): BatchAnswer =>
  finish(planBatch(requestOf(about)));
export function planOf(about: Partial<BatchRequest> = {}): BatchPlan {
  const answer = answerOf(about);
  if (answer.status !== 'planned') throw new Error(JSON.stringify(answer.problem));
  return answer;
}
