/** The search for a remedy against the bare solver on the very same programs, and the rounding of a long plan. */
import { solve } from 'yalps';
import {
  finish,
  PlanSearch,
  PLANS,
  roundPlan,
  searchRemedies,
  subsetsOf,
  type MayAdd,
  type PlanLine,
} from '#core/balance';
import { dressing, mayAdd } from '../src/core/balance/testing';
import { STYLES } from '#core/palate';
import { stateOf } from '#core/balance';
import { medianMs, printLine } from './measure';

const ALLOWED: readonly MayAdd[] = mayAdd(
  ...['olive_ev', 'sunflower', 'vin_redwine6', 'lemon_juice', 'water', 'salt_table', 'honey', 'sugar_white'],
  ...['mustard_dijon', 'yoghurt_whole', 'buttermilk', 'soy_sauce'],
);
const JAR = dressing('olive_ev 60ml, vin_redwine6 40ml, mustard_dijon 5g, salt_table 1.7g');
const LONG = dressing(
  'sunflower 121ml, vin_white5 63ml, sugar_white 61g, mustard_powder 2g, salt_table 3.3g, honey 7g, lemon_juice 11g, water 23g, mustard_dijon 6g, soy_sauce 7.3g, maple 3.4g, mayo_full 21.6g, capers 6.6g, yoghurt_whole 31g, olive_ev 44g',
);

export function benchBalance(): void {
  const style = STYLES.find(({ id }) => id === 'classic_3_1')!;
  const request = {
    portions: JAR,
    complaint: 'into-band',
    severity: 2,
    style,
    roomMl: 200,
    mayAdd: ALLOWED,
    allowAll: true,
  } as const;
  const repeats = { runs: 15, warmup: 5 };
  const oursMs = medianMs(() => void finish(searchRemedies(request)), repeats);
  const [spec] = PLANS['into-band'];
  const search = new PlanSearch(request, stateOf(JAR), spec!, style.windows, ALLOWED);
  // The same programs in the solver's own form, built beforehand: only solving is timed.
  const models = subsetsOf(ALLOWED.length, 3).map((subset) => ({
    direction: 'minimize' as const,
    objective: -1,
    constraints: search.hardRows(subset, search.limits).map(({ high, low }, row) => {
      return [
        row,
        { ...(low === undefined ? {} : { min: low }), ...(high === undefined ? {} : { max: high }) },
      ] as const;
    }),
    variables: subset.map((_, column) => {
      const rows = search.hardRows(subset, search.limits);
      return [
        column,
        [[-1, 1], ...rows.map(({ coefficients }, row) => [row, coefficients[column]!])] as [number, number][],
      ] as const;
    }),
  }));
  const otherMs = medianMs(() => {
    for (const model of models) solve(model);
  }, repeats);
  const subsets = subsetsOf(ALLOWED.length, 3);
  const amountsMs = medianMs(() => {
    for (const subset of subsets) search.leastAddition(subset, search.limits);
  }, repeats);
  printLine({
    name: `amounts for 12 allowed ingredients, ${models.length} programs (goal: ratio at most 2)`,
    oursMs: amountsMs,
    otherMs,
    other: 'the bare solver',
  });
  printLine({
    name: 'ways into the band, answers centred and judged (goal: below 150 ms)',
    oursMs,
    otherMs: amountsMs,
    other: 'amounts alone',
  });
  const plan = LONG.map(({ ingredient, massG }): PlanLine => ({
    ingredient,
    form: '',
    massG: massG.nominal,
    kept: false,
  }));
  const roundMs = medianMs(() => void roundPlan(plan, { kind: 'scale', readabilityG: 1 }), repeats);
  const spoonsMs = medianMs(() => void roundPlan(plan, { kind: 'spoons', spoons: 'us' }), repeats);
  printLine({
    name: '15 lines rounded to a scale (goal: below 300 ms)',
    oursMs: roundMs,
    otherMs: spoonsMs,
    other: 'the same to spoons',
  });
}
