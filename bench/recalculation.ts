/**
 * A 30-line formula reckoned in full against the same sums in a general spreadsheet engine: mass,
 * mixed volume and the eight measures as SUMPRODUCTs over the same numbers. Ours also reads the
 * typed words and carries every range, so it does more.
 */
import Parser from 'fast-formula-parser';
import { mixedVolumeMlPerG } from '#core/composition';
import { emptyFormula, type Addition, type AdditionId, type Formula, type VesselId } from '#core/formula';
import { measuringWith, REFERENCE_CATALOGUE, REFERENCE_INGREDIENTS, type Ingredient } from '#core/ingredient';
import { reckonFormula } from '#core/reckoning';
import { STARTING_VESSELS } from '#core/vessel';
import { medianMs, printLine } from './measure';

const LINES = 30;
const ingredients = REFERENCE_INGREDIENTS.filter((_, index) => index % 5 === 0).slice(0, LINES);

export function benchFormula(): Formula {
  const additions = ingredients.map((ingredient, rank): Addition => ({
    id: `line-${rank}` as AdditionId,
    amountText: rank % 3 === 0 ? `${rank + 1}-${rank + 3} ml` : `${rank + 2}.5 g`,
    ingredientId: ingredient.id,
    ingredientText: ingredient.name,
    form: '',
    note: '',
    phase: 'base',
    optional: false,
    locked: false,
    measuredBy: null,
    stage: 0,
    rank,
  }));
  return { ...emptyFormula('Bench', 'jar' as VesselId, 'metric'), additions };
}

export const benchContext = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;

/** Per gram, one column each, as the spreadsheet would hold them. */
const COLUMNS: readonly ((i: Ingredient) => number)[] = [
  () => 1,
  mixedVolumeMlPerG,
  (i) => (i.category === 'oil' ? 1 / i.spoonDensityGPerMl : 0),
  (i) => (i.isAcidLiquid ? 1 / i.spoonDensityGPerMl : 0),
  (i) => (i.category === 'oil' ? 1 : 0),
  (i) => (i.isAcidLiquid ? 1 : 0),
  (i) => i.composition.fat,
  (i) => i.composition.water,
  (i) => i.composition.salt,
  (i) => i.composition.sucrose + i.composition.glucose + i.composition.fructose + i.composition.lactose,
];

export function benchRecalculation(): void {
  const formula = benchFormula();
  const vessel = STARTING_VESSELS[0]!;
  const reckoning = reckonFormula(formula, vessel, benchContext);
  const massG = reckoning.additions.map(({ reading }) =>
    reading.status === 'read' ? reading.massG.nominal : 0,
  );
  const cells = ingredients.map((ingredient, row) => [
    massG[row]!,
    ...COLUMNS.map((column) => column(ingredient)),
  ]);
  const parser = new Parser({
    onCell: ({ row, col }: { row: number; col: number }) => cells[row - 1]![col - 1]!,
    onRange: ({ from, to }: Record<'from' | 'to', { row: number; col: number }>) =>
      cells.slice(from.row - 1, to.row).map((row) => row.slice(from.col - 1, to.col)),
  });
  const letter = (index: number): string => String.fromCharCode('A'.charCodeAt(0) + index);
  const sums = COLUMNS.map((_, i) => `SUMPRODUCT(A1:A${LINES},${letter(i + 1)}1:${letter(i + 1)}${LINES})`);
  const sheet = (): unknown[] => sums.map((sum) => parser.parse(sum, { sheet: 'S', row: 1, col: 20 }));
  const total = sheet()[0];
  if (Math.abs(Number(total) - reckoning.totals.massG) > 1e-6) {
    throw new Error(`The two do not agree: ${String(total)} and ${reckoning.totals.massG}`);
  }
  const oursMs = medianMs(() => void reckonFormula(formula, vessel, benchContext), { runs: 200, warmup: 50 });
  const otherMs = medianMs(() => void sheet(), { runs: 60, warmup: 15 });
  printLine({
    name: `Recalculation of a ${LINES}-line formula, words and ranges included (goal: below 5 ms)`,
    oursMs,
    otherMs,
    other: 'spreadsheet engine, sums only,',
  });
}
