/** What the world is played with: a formula and the plan of a day, and what a cook may make of each. */
import fc from 'fast-check';
import { EMPTY_PLAN, type PlanContent } from '#contract';
import { changesBetween, PLAIN } from '#core/document';
import { emptyFormula, type Addition, type AdditionId, type Formula, type VesselId } from '#core/formula';
import { keyOf, type WorkKey } from '../../src/web/sync/shared';
import { rulesOf } from '../../src/web/sync/workSlice';
import type { Real } from './commands';
import { Ledger } from './ledger';
import { KitchenInMemory, World, type Kitchen } from './world';

const addition = (id: string, rank: number): Addition => ({
  id: id as AdditionId,
  amountText: `${rank} g`,
  ingredientId: null,
  ingredientText: id,
  form: '',
  note: '',
  phase: 'base',
  optional: false,
  locked: false,
  measuredBy: null,
  stage: 0,
  rank,
});
const FORMULA: Formula = {
  ...emptyFormula('House', 'jar' as VesselId, 'us'),
  additions: ['salt', 'vinegar', 'oil'].map(addition),
};

/** One line added, taken out or moved, or one field of one. */
function formulaMade(doc: unknown, choice: number, serial: number): Formula {
  const formula = doc as Formula;
  const { additions } = formula;
  const line = additions[Math.floor(choice / 10) % Math.max(1, additions.length)];
  const change = (patch: Partial<Addition>): Formula => ({
    ...formula,
    additions: additions.map((one) => (one === line ? { ...one, ...patch } : one)),
  });
  switch (choice % 10) {
    case 0:
      return { ...formula, additions: [...additions, addition(`new-${serial}`, serial)] };
    case 1:
      return { ...formula, additions: additions.filter((one) => one !== line) };
    case 2:
      return change({ rank: serial });
    case 3:
      return { ...formula, name: `Name ${serial}` };
    case 4:
      return { ...formula, servingVolumeMl: serial };
    case 5:
      return change({ note: `note ${serial}` });
    case 6:
      return { ...change({ amountText: `${serial} ml` }), partVolumeMl: serial };
    default:
      return change({ amountText: `${serial} ml` });
  }
}

const PLAN: PlanContent = {
  ...EMPTY_PLAN,
  services: ['lunch', 'dinner'].map((id) => ({ id, name: id, atMin: 720, covers: 20, dishes: [] })),
};

/** A service, a dish of one, a tick, a task moved. */
function planMade(doc: unknown, choice: number, serial: number): PlanContent {
  const plan = doc as PlanContent;
  const { services } = plan;
  const service = services[Math.floor(choice / 10) % Math.max(1, services.length)];
  const change = (patch: Partial<PlanContent['services'][number]>): PlanContent => ({
    ...plan,
    services: services.map((one) => (one === service ? { ...one, ...patch } : one)),
  });
  const dish = {
    id: `dish-${serial}`,
    servingG: serial,
  } as PlanContent['services'][number]['dishes'][number];
  switch (choice % 10) {
    case 0:
      return {
        ...plan,
        services: [...services, { id: `s-${serial}`, name: 'New', atMin: serial, covers: 1, dishes: [] }],
      };
    case 1:
      return { ...plan, services: services.filter((one) => one !== service) };
    case 2:
      return change({ dishes: [...(service?.dishes ?? []), dish] });
    case 3:
      return change({ dishes: service?.dishes.slice(1) ?? [] });
    case 4:
      return change({
        dishes: service?.dishes.map((one, i) => (i === 0 ? { ...one, servingG: serial } : one)) ?? [],
      });
    case 5:
      return { ...plan, done: { ...plan.done, [`task-${choice % 4}`]: `tick ${serial}` } };
    case 6: {
      const { [`task-${choice % 4}`]: _gone, ...done } = plan.done;
      return { ...plan, done };
    }
    case 7:
      return { ...plan, movedMin: { ...plan.movedMin, [`task-${choice % 3}`]: serial } };
    default:
      return change({ covers: serial });
  }
}

/** What is played with. */
export interface Subject {
  readonly kind: 'formula' | 'plan';
  readonly key: WorkKey;
  readonly doc: unknown;
  readonly makeOf: Real['makeOf'];
}
export const SUBJECTS: readonly (readonly [string, Subject])[] = [
  ['formula', { kind: 'formula', key: keyOf('formula', 'house'), doc: FORMULA, makeOf: formulaMade }],
  ['plan', { kind: 'plan', key: keyOf('plan', '2026-12-01'), doc: PLAN, makeOf: planMade }],
];

interface Played {
  readonly kitchen?: Kitchen;
  /** A fault on purpose. */
  readonly broken?: (world: World) => void;
}

/**
 * Plays it on two screens and more, lets everything meet, and says what is in neither the kitchen nor a question.
 * @throws where the screens do not agree in the end
 */
export async function lostIn(
  { key, doc, makeOf }: Subject,
  played: Parameters<typeof fc.asyncModelRun>[1],
  { kitchen = new KitchenInMemory(doc), broken = () => undefined }: Played = {},
) {
  const world = new World(key, kitchen);
  broken(world);
  const ledger = new Ledger(doc);
  await world.addScreen(0);
  await world.addScreen(1);
  await fc.asyncModelRun(() => ({ model: {}, real: { world, ledger, makeOf } as Real }), played as never);
  await world.meet();
  const held = await world.kitchen.held();
  for (const { work } of world.screens) {
    // The order in a list says nothing: lines have a rank, services a time.
    const apart = changesBetween(work?.doc, held.doc, PLAIN);
    if (apart.length > 0) throw new Error(`A screen shows something else: ${JSON.stringify(apart)}`);
  }
  const clashes = world.screens.flatMap(({ work }) => work?.clashes ?? []);
  return ledger.lost(held.doc, clashes, rulesOf(key));
}
