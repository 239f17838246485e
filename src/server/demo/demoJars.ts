/** Jars of the invented kitchen: made, tasted, mended. */
import type { FormulaId, VesselId } from '#core/formula';
import { measuringWith, REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import { usualSeconds, usualTool } from '#core/emulsion';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { NOTHING_SAID, planMaking, type MakingPlan, type Tasting, type TrialEvent } from '#core/trial';
import { STARTING_VESSELS } from '#core/vessel';
import type { TrialStore } from '../features/trials/store';
import { DEMO_FORMULAS } from './demoKitchen';
import { demoFormula } from './loadDemo';

/** A jar as it was made and tasted: what was said, and what went in to mend it. */
export interface DemoJar {
  readonly formulaId: string;
  readonly version: number;
  readonly cook: 'ida' | 'bo' | 'runa';
  readonly daysAgo: number;
  readonly bottles?: Readonly<Record<string, string>>;
  /** By which share one thing came out otherwise, by its place among the lines. */
  readonly off?: Readonly<Record<number, number>>;
  readonly story: readonly (
    Partial<Tasting> | { readonly adds: readonly (readonly [id: string, massG: number])[] }
  )[];
}

export const DEMO_JARS: readonly DemoJar[] = [
  {
    formulaId: 'walnut-cider',
    version: 2,
    cook: 'ida',
    daysAgo: 16,
    story: [{ right: true, minutesAfterShake: 5, note: 'good on the bitter leaves' }],
  },
  {
    formulaId: 'walnut-cider',
    version: 2,
    cook: 'runa',
    daysAgo: 9,
    off: { 7: 0.02 },
    story: [{ right: true, minutesAfterShake: 12, temperatureC: 18 }],
  },
  {
    formulaId: 'walnut-cider',
    version: 4,
    cook: 'bo',
    daysAgo: 1,
    off: { 0: 0.012, 2: -0.02 },
    story: [
      { rows: { acid: 2, salt: -1 }, minutesAfterShake: 2, temperatureC: 19 },
      {
        adds: [
          ['honey', 4.2],
          ['salt_sea_fine', 0.6],
        ],
      },
      { rows: { acid: 1 }, minutesAfterShake: 3, note: 'better, still a little bright' },
      { adds: [['rapeseed', 18.4]] },
      { right: true, minutesAfterShake: 4 },
    ],
  },
  {
    formulaId: 'house-mayonnaise',
    version: 2,
    cook: 'runa',
    daysAgo: 3,
    story: [{ right: true, on: 'spoon', minutesAfterShake: 10 }],
  },
  {
    formulaId: 'date-tahini',
    version: 1,
    cook: 'runa',
    daysAgo: 2,
    story: [
      { rows: { body: 2 }, on: 'dish', minutesAfterShake: 20, note: 'stands on the carrots like paint' },
    ],
  },
  {
    formulaId: 'ginger-sesame',
    version: 1,
    cook: 'bo',
    daysAgo: 19,
    bottles: { vin_rice42: 'summer crate' },
    story: [{ right: true, minutesAfterShake: 6 }],
  },
  {
    formulaId: 'ginger-sesame',
    version: 1,
    cook: 'runa',
    daysAgo: 6,
    bottles: { vin_rice42: 'harbour shop' },
    story: [
      { rows: { acid: 1 }, minutesAfterShake: 4 },
      { adds: [['honey', 6]] },
      { right: true, minutesAfterShake: 5 },
    ],
  },
  {
    formulaId: 'ginger-sesame',
    version: 1,
    cook: 'ida',
    daysAgo: 2,
    bottles: { vin_rice42: 'harbour shop' },
    story: [
      { rows: { acid: 2 }, minutesAfterShake: 3, note: 'catches in the throat' },
      { adds: [['honey', 8]] },
      { right: true, minutesAfterShake: 4 },
    ],
  },
];

const STEP_MS = 40_000;

/** @param storeAt the store as it would have been at that time */
export async function loadJars(storeAt: (at: Date) => TrialStore, now: Date): Promise<void> {
  for (const [index, jar] of DEMO_JARS.entries()) await loadJar(jar, index, storeAt, now);
}

async function loadJar(
  jar: DemoJar,
  index: number,
  storeAt: (at: Date) => TrialStore,
  now: Date,
): Promise<void> {
  const demo = DEMO_FORMULAS.find(({ id }) => id === jar.formulaId)!;
  const formula = demoFormula(demo).versions[jar.version - 1]!;
  const vessel = STARTING_VESSELS.find(({ id }) => id === demo.vesselId)!;
  const reckoning = reckonFormula(formula, vessel, {
    catalogue: REFERENCE_CATALOGUE,
    measuring: measuringWith(demo.spoons),
    decimalSign: 'point',
  });
  const tool = formula.tool ?? usualTool(vessel);
  const making = planMaking(reckoning, judgeFormula(reckoning), {
    scaleFactor: 1,
    tool,
    seconds: formula.mixSeconds ?? usualSeconds(tool),
    roomC: 20,
    bottles: (jar.bottles ?? {}) as MakingPlan['bottles'],
    vessel,
  });
  const id = `demo-jar-${index + 1}`;
  const by = { cookId: jar.cook, deviceId: 'demo' };
  const began = new Date(now.getTime() - jar.daysAgo * 86_400_000);
  await storeAt(began).begin({
    id,
    formulaId: demo.id as FormulaId,
    version: jar.version,
    vesselId: demo.vesselId as VesselId,
    styleId: formula.styleId,
    lines: [],
    making,
    by,
  });
  const lines = making.steps.filter((step) => step.kind === 'weigh');
  const made = making.steps.map((step): TrialEvent => {
    if (step.kind !== 'weigh') return { kind: 'did', stepId: step.id };
    const off = jar.off?.[lines.indexOf(step)] ?? 0;
    const massG = Math.round(step.line.massG * (1 + off) * 10) / 10 || step.line.massG;
    return {
      kind: 'took',
      stepId: step.id,
      line: { ...step.line, massG },
      seen: null,
      reading: { source: 'typed', deviceId: '' },
    };
  });
  const told = jar.story.map((entry): TrialEvent =>
    'adds' in entry
      ? {
          kind: 'added',
          note: '',
          lines: entry.adds.map(([added, massG]) => ({
            ingredientId: added as IngredientId,
            form: '',
            massG,
          })),
        }
      : { kind: 'tasted', ...NOTHING_SAID, ...entry },
  );
  for (const [place, event] of [...made, ...told].entries()) {
    const at = new Date(began.getTime() + (place + 1) * STEP_MS);
    await storeAt(at).append(id, { id: `${id}-${place + 1}`, event, by });
  }
}
