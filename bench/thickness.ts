/** How long a cook waits for "how thick, how long" while typing, and for its picture. */
import { hold, holdRequest, runColumn, stepHold, type HoldRequest } from '../src/core/emulsion';
import { REFERENCE_CATALOGUE, type IngredientId } from '../src/core/ingredient';
import { medianMs, printLine } from './measure';

const JARS: readonly (readonly [
  tool: HoldRequest['mixing']['tool'],
  grams: Readonly<Record<string, number>>,
])[] = [
  ['shake', { olive_ev: 82, vin_redwine6: 30, salt_table: 1.4, mustard_dijon: 5 }],
  ['blender', { olive_ev: 82, vin_redwine6: 30, salt_table: 1.4 }],
  ['whisk', { egg_yolk: 17, sunflower: 165, lemon_juice: 15, mustard_dijon: 5 }],
  ['whisk', { egg_yolk: 17, sunflower: 300, lemon_juice: 5 }],
  ['whisk', { mayo_full: 100, water: 100 }],
  ['whisk', { yoghurt_whole: 120, olive_ev: 30, lemon_juice: 20, cucumber: 60, salt_table: 2 }],
  ['whisk', { tahini: 70, lemon_juice: 40, water: 75, garlic: 4 }],
];

const asked = JARS.map(([tool, grams]) =>
  holdRequest(
    Object.entries(grams).map(([id, nominal]) => ({
      ingredient: REFERENCE_CATALOGUE.get(id as IngredientId)!,
      massG: { nominal },
    })),
    { tool, seconds: 45, volumeMl: 200, heightM: 0.08, temperatureC: 8 },
  ),
);

function drawn(request: HoldRequest): void {
  const work = stepHold(request);
  while (!work.next().done);
}

export function benchThickness(): void {
  const each = asked.length;
  const settledMs = medianMs(() => asked.forEach((one) => hold(one)), { runs: 30, warmup: 10 }) / each;
  const slowest = Math.max(
    ...asked.map((one) =>
      medianMs(
        () => {
          drawn(one);
        },
        { runs: 7, warmup: 2 },
      ),
    ),
  );
  const plain = medianMs(
    () =>
      void runColumn({
        heightM: 0.08,
        classes: 20,
        cells: 100,
        dispersedVolumeFraction: 0.6,
        sauterMeanDiameterM: 50e-6,
        spread: 0.6,
        densityDifferenceKgPerM3: 93,
        continuousDensityKgPerM3: 1007,
        restingViscosityPaS: 0.002,
        yieldStressPa: 0,
        packedFraction: 0.77,
        closePacking: 0.71,
        network: 0.6,
        coverage: 1,
        coveredRuptureHz: 4e-5,
        bareRuptureHz: 3e-3,
        mostRuptureHz: 0.01,
        endS: 14 * 86_400,
      }),
    { runs: 7, warmup: 2 },
  );
  printLine({
    name: 'How thick and how long, one jar (goal: below 2 ms)',
    oursMs: settledMs,
    otherMs: plain,
    other: 'a column of fourteen days',
  });
  printLine({
    name: 'With its picture, the slowest of seven jars (goal: below 150 ms)',
    oursMs: slowest,
    otherMs: plain,
    other: 'a column of fourteen days',
  });
}
