/** pH of a 30-line formula against a general root finder from the registry on the very same charge balance. */
import newtonRaphson from 'newton-raphson-method';
import { calculatedPhInterval, chargeResidualEqPerKg, solvePh, waterPhaseOf } from '#core/acidity';
import { reckonFormula } from '#core/reckoning';
import { STARTING_VESSELS } from '#core/vessel';
import { medianMs, printLine } from './measure';
import { benchContext, benchFormula } from './recalculation';

export function benchPh(): void {
  const { portions } = reckonFormula(benchFormula(), STARTING_VESSELS[0]!, benchContext);
  const phase = waterPhaseOf(portions)!;
  const balance = (ph: number): number => chargeResidualEqPerKg(ph, phase);
  const general = (): number | false => newtonRaphson(balance, 4, { tolerance: 1e-12, maxIterations: 100 });
  const ours = solvePh(phase);
  const theirs = general();
  if (ours.status !== 'converged' || theirs === false || Math.abs(ours.ph - theirs) > 1e-6) {
    throw new Error(`The two do not agree: ${JSON.stringify(ours)} and ${theirs}`);
  }
  const repeats = { runs: 300, warmup: 100 };
  const oursMs = medianMs(() => void solvePh(phase), repeats);
  printLine({
    name: 'pH of a 30-line formula (goal: below 1 ms)',
    oursMs,
    otherMs: medianMs(() => void general(), repeats),
    other: 'general Newton-Raphson',
  });
  printLine({
    name: 'pH with its interval, nine balances (goal: below 5 ms)',
    oursMs: medianMs(() => void calculatedPhInterval(portions), repeats),
    otherMs: oursMs,
    other: 'one balance',
  });
}
