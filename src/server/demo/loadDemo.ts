import { DEFAULT_SETTINGS } from '#contract';
import {
  diffFormulas,
  emptyFormula,
  readLine,
  usualPhase,
  type Addition,
  type AdditionId,
  type Formula,
  type FormulaId,
  type VesselId,
} from '#core/formula';
import { measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import type { FormulaStore } from '../features/formulas/store';
import type { KitchenStore } from '../features/kitchen/store';
import { DEMO_FORMULAS, DEMO_KITCHEN_NAME, DEMO_SPOONS, type DemoFormula } from './demoKitchen';

/** Loads the demonstration into an empty kitchen; a kitchen that holds anything is left alone. */
export async function loadDemo(formulas: FormulaStore, kitchen: KitchenStore): Promise<number> {
  if (!(await formulas.isEmpty())) return 0;
  await kitchen.saveSettings({
    ...DEFAULT_SETTINGS,
    kitchenName: DEMO_KITCHEN_NAME,
    spoons: DEMO_SPOONS,
  });
  for (const demo of DEMO_FORMULAS) {
    const id = demo.id as FormulaId;
    const { frozen, working } = demoFormula(demo);
    await formulas.create({ id, formula: frozen ?? working });
    if (!frozen) continue;
    await formulas.freeze(id, 0, demo.frozen?.note ?? '');
    const diff = diffFormulas(frozen, working);
    if (diff.updated.length > 0) {
      await formulas.change(id, { baseRevision: 0, idempotencyKey: `demo-${demo.id}`, diff });
    }
  }
  return DEMO_FORMULAS.length;
}

/** The demo formula as it stands, and as it was frozen. @throws Error where a line cannot be read: the demo must. */
export function demoFormula(demo: DemoFormula): { working: Formula; frozen: Formula | null } {
  const working: Formula = {
    ...emptyFormula(demo.name, demo.vesselId as VesselId, demo.spoons),
    additions: demo.lines.map((line, index) => toAddition(demo, line, index)),
  };
  if (!demo.frozen) return { working, frozen: null };
  const { before } = demo.frozen;
  const additions = working.additions.map((addition, index) => ({
    ...addition,
    amountText: before[index] ?? addition.amountText,
  }));
  return { working, frozen: { ...working, additions } };
}

function toAddition(demo: DemoFormula, line: DemoFormula['lines'][number], index: number): Addition {
  const context = {
    catalogue: REFERENCE_CATALOGUE,
    measuring: measuringWith(demo.spoons),
    decimalSign: 'point',
  } as const;
  const read = readLine(line.text, context);
  if (read.reading.status === 'unread') {
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
    rank: index,
  };
}
