import { DEFAULT_SETTINGS, EMPTY_PANTRY_ENTRY, SETTINGS_ID } from '#contract';
import {
  diffFormulas,
  emptyFormula,
  isEmptyDiff,
  readLine,
  usualPhase,
  type Addition,
  type AdditionLine,
  type AdditionId,
  type Formula,
  type FormulaId,
  type VesselId,
} from '#core/formula';
import { madeId, measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import type { FormulaStore } from '../features/formulas/store';
import type { SharedStore } from '../features/changes/store';
import { loadDishes } from './demoPlans';
import {
  DEMO_COOKS,
  DEMO_FORMULAS,
  DEMO_KITCHEN_NAME,
  DEMO_PANTRY,
  DEMO_SPOONS,
  type DemoFormula,
} from './demoKitchen';

/** Loads the demonstration into an empty kitchen; a kitchen that holds anything is left alone. */
export async function loadDemo(formulas: FormulaStore, shared: SharedStore): Promise<number> {
  if (!(await formulas.isEmpty())) return 0;
  await shared.replace('settings', SETTINGS_ID, {
    ...DEFAULT_SETTINGS,
    kitchenName: DEMO_KITCHEN_NAME,
    spoons: DEMO_SPOONS,
  });
  for (const cook of DEMO_COOKS) await shared.replace('cook', cook.id, cook);
  for (const [id, onHandG, price, packMassG, bottle] of DEMO_PANTRY) {
    const entry = EMPTY_PANTRY_ENTRY;
    await shared.replace('pantry', id, {
      onHandG,
      price,
      packMassG,
      bottle: { ...entry.bottle, ...bottle },
    });
  }
  for (const demo of DEMO_FORMULAS) await loadFormula(demo, formulas);
  await loadDishes(shared);
  return DEMO_FORMULAS.length;
}

/** Goes through the versions as a cook would: change, freeze, and at the end the working changes. */
async function loadFormula(demo: DemoFormula, formulas: FormulaStore): Promise<void> {
  const id = demo.id as FormulaId;
  const { working, versions } = demoFormula(demo);
  await formulas.create({ id, formula: versions[0] ?? working });
  for (const [index, version] of [...versions, working].entries()) {
    const record = (await formulas.get(id))!;
    const basedOnVersion = index === 0 ? null : (demo.history?.[index]?.from ?? index);
    const diff = diffFormulas(record.formula, { ...version, basedOnVersion });
    if (!isEmptyDiff(diff)) {
      const idempotencyKey = `demo-${demo.id}-${index}`;
      await formulas.change(id, { baseRevision: record.revision, idempotencyKey, diff });
    }
    const frozen = demo.history?.[index];
    if (!frozen) continue;
    const { revision } = (await formulas.get(id))!;
    await formulas.freeze(id, revision, frozen.note, { cookId: frozen.cook, deviceId: 'demo' });
  }
}

/** The demo formula as it stands, and as it was frozen. @throws Error where a line cannot be read: the demo must. */
export function demoFormula(demo: DemoFormula): { working: Formula; versions: readonly Formula[] } {
  const working: Formula = {
    ...emptyFormula(demo.name, demo.vesselId as VesselId, demo.spoons),
    styleId: demo.styleId,
    stageNames: (demo.stages ?? []).join('\n'),
    additions: demo.lines.map((line, index) => toAddition(demo, line, index)),
  };
  const versions = (demo.history ?? []).map(({ before }) => ({
    ...working,
    additions: working.additions.map((addition, index) => ({
      ...addition,
      amountText: before[index] ?? addition.amountText,
    })),
  }));
  return { working, versions };
}

/** A formula inside a formula: its version is pinned by the id, the words are shown only if it were gone. */
function madeLine(amountText: string, [formulaId, version]: readonly [string, number]): AdditionLine {
  const name = DEMO_FORMULAS.find(({ id }) => id === formulaId)?.name ?? formulaId;
  return {
    amountText,
    ingredientId: madeId(formulaId, version),
    ingredientText: `${name} v${version}`,
    form: '',
    measuredBy: null,
    reading: { status: 'unread', problem: { code: 'no-ingredient' } },
  };
}

function toAddition(demo: DemoFormula, line: DemoFormula['lines'][number], index: number): Addition {
  const context = {
    catalogue: REFERENCE_CATALOGUE,
    measuring: measuringWith(demo.spoons),
    decimalSign: 'point',
  } as const;
  const read = line.made ? madeLine(line.text, line.made) : readLine(line.text, context);
  if (!line.made && read.reading.status === 'unread') {
    throw new Error(`Demo ${demo.id}, line ${index + 1}: “${line.text}” cannot be read.`);
  }
  return {
    id: `${demo.id}-${index + 1}` as AdditionId,
    amountText: read.amountText,
    ingredientId: read.ingredientId,
    ingredientText: read.ingredientText,
    form: read.form,
    note: line.note ?? '',
    phase: line.phase ?? usualPhase(read, REFERENCE_CATALOGUE),
    optional: line.optional ?? false,
    locked: false,
    measuredBy: null,
    stage: line.stage ?? 0,
    rank: index,
  };
}
