/** A long batch with its rounding against the same without; then a kitchen's whole book at once. */
import { finish } from '#core/balance';
import { planBatch, type BatchLine, type BatchRequest } from '#core/batch';
import { dressing } from '../src/core/balance/testing';
import { requestOf, vesselOf } from '../src/core/batch/testing';
import { medianMs, printLine } from './measure';

const LONG = dressing(
  'sunflower 121ml, vin_white5 63ml, sugar_white 61g, mustard_powder 2g, salt_table 3.3g, honey 7g, lemon_juice 11g, water 23g, mustard_dijon 6g, soy_sauce 7.3g, maple 3.4g, mayo_full 21.6g, capers 6.6g, yoghurt_whole 31g, olive_ev 44g, shallot 12g, garlic 3g, parsley 4g, black_pepper 0.4g, tahini 14g',
);
const LINES = LONG.map(({ ingredient, form, massG }, i): BatchLine => ({
  id: `line-${i}`,
  ingredient,
  form,
  phase: 'base',
  massG: massG.nominal,
  said: '',
}));
const asked = (volumeMl: number, about: Partial<BatchRequest> = {}): BatchRequest =>
  requestOf({
    lines: LINES,
    target: { kind: 'volume', volumeMl },
    mixingVessel: vesselOf(8000),
    rounding: { kind: 'mixed', readabilityG: 1, spoons: 'metric' },
    ...about,
  });

export function benchBatch(): void {
  const repeats = { runs: 15, warmup: 3 };
  const plan = medianMs(() => void finish(planBatch(asked(20_000))), repeats);
  const exact = { kind: 'exact', readabilityG: 1, spoons: 'metric' } as const;
  const unrounded = medianMs(() => void finish(planBatch(asked(20_000, { rounding: exact }))), repeats);
  printLine({
    name: '20-line batch, rounded, in 4 loads (goal: below 400 ms)',
    oursMs: plan,
    otherMs: unrounded,
    other: 'the same without rounding',
  });
  const month = medianMs(
    () => {
      for (let formula = 0; formula < 30; formula++) {
        const lines = LINES.slice(0, 8 + (formula % 6));
        for (let batch = 1; batch <= 5; batch++)
          finish(planBatch(asked(3000 * batch + 11 * formula, { lines })));
      }
    },
    { runs: 3, warmup: 1 },
  );
  printLine({
    name: '30 formulas × 5 batches (goal: below 2 s)',
    oursMs: month,
    otherMs: plan * 150,
    other: '150 of the long one',
  });
}
