/** Batches in a cook's words. Rendered here and nowhere else. */
import { TOOL_WORDS, sayDuration } from './hold';
import type { Tool } from '#core/formula';
import {
  type SignProblem,
  type BatchState,
  type TemperatureAt,
  COOLING_LIMITS,
  type Cooling,
  type WayToCool,
  type School,
  type BatchProblem,
  type PullLine,
  type RoundingKind,
  type UseByProblem,
} from '#core/batch';

/** A volume or a mass as the kitchen writes it. */
export type SaySize = (amount: number, unit: 'ml' | 'g') => string;

export function sayBatchProblem(problem: BatchProblem, tool: Tool, say: SaySize): string {
  const name = TOOL_WORDS[tool].toLowerCase();
  switch (problem.code) {
    case 'nothing-in-it':
      return 'There is nothing in it to scale. Go back to Compose and add something.';
    case 'no-amount':
      return 'How much to make must be more than nothing.';
    case 'not-in-it':
      return 'That is not in this version. Choose one of its own things.';
    case 'stock-unknown':
      return problem.ingredient
        ? `Nobody said how much ${problem.ingredient.name.toLowerCase()} there is. Enter it in the pantry.`
        : 'Nobody said how much there is of anything in it. Enter it in the pantry.';
    case 'none-left':
      return `There is no ${problem.ingredient.name.toLowerCase()} left.`;
    case 'too-much':
      return `More than ${say(problem.limitMl, 'ml')} at once is not planned here. Make several batches.`;
    case 'loads':
      switch (problem.loads.status) {
        case 'too-little':
          return `The ${name} needs ${say(problem.loads.leastMl, 'ml')} to be covered. Make more, or take a smaller tool.`;
        case 'vessel-too-small':
          return `The ${name} needs ${say(problem.loads.leastMl, 'ml')}, and that vessel takes ${say(problem.loads.mostMl, 'ml')} at most. Take a larger one.`;
        case 'no-split': {
          const [below, above] = problem.loads.nearestMl;
          return `No number of loads fits the ${name}: make ${say(below, 'ml')} or ${say(above, 'ml')}, or take a larger vessel.`;
        }
        case 'too-many':
          return `That would be ${problem.loads.loads} loads. Take a larger tool or vessel.`;
      }
  }
}

export const SCHOOL_WORDS: Readonly<Record<School, string>> = {
  'by-weight': 'all by weight',
  'hold-back': 'some held back',
};

export const ROUNDING_WORDS: Readonly<Record<RoundingKind, string>> = {
  exact: 'exact',
  scale: 'to the scale',
  spoons: 'spoons and cups',
  mixed: 'scale and spoons',
  bought: 'whole things',
};

export const STATE_WORDS: Readonly<Record<BatchState, string>> = {
  planned: 'planned',
  weighing: 'being weighed',
  weighed: 'weighed, not combined',
  combined: 'combined',
  signed: 'recorded',
  'called-off': 'called off',
};

export const TEMPERATURE_WORDS: Readonly<Record<TemperatureAt, string>> = {
  ingredients: 'ingredients',
  mixed: 'once mixed',
  'after-cooling': 'after cooling',
  store: 'where it is kept',
};

export const SIGN_WORDS: Readonly<Record<SignProblem, string>> = {
  'not-combined': 'Weigh all loads and combine them first.',
  'no-verdict': 'Say first whether it is right.',
  'no-name': 'Type who records it.',
  'called-off': 'It was called off.',
  'signed-already': 'It is recorded already.',
};

export const USE_BY_WORDS: Readonly<Record<UseByProblem, string>> = {
  'no-days': 'Whole days, 1 to 60.',
  'reason-missing': 'Longer than the cautions say: type the reason. It is kept with the batch.',
};

const THINGS: Readonly<Record<string, readonly [one: string, more: string]>> = {
  head: ['head', 'heads'],
  bunch: ['bunch', 'bunches'],
  egg: ['egg', 'eggs'],
  fillet: ['fillet', 'fillets'],
};
const E_ENDING = /(?:ch|sh|s|x)$/;
/** "lemons", "heads", "limes to grate": what is bought, so many of it. */
export function sayThings(unit: string, count: number): string {
  const [name, ...toDo] = unit.split(' ');
  const [one, more] = THINGS[unit] ?? [name!, `${name}${E_ENDING.test(name!) ? 'es' : 's'}`];
  return `${count === 1 ? one : more}${toDo.length > 0 ? ' to grate' : ''}`;
}

/** "8 (7 to 10) lemons", "2 litres" is left to the caller. */
export function sayCounted({ unit, count }: Pick<PullLine, 'unit' | 'count'>): string | null {
  if (unit.kind !== 'counted' || !count) return null;
  const spread = count.low < count.high ? ` (${count.low} to ${count.high})` : '';
  return `${count.nominal}${spread} ${sayThings(unit.unit, count.nominal)}`;
}

export function sayCooling(cooling: Cooling): string {
  if (cooling.status === 'never') return 'The fridge is not below 5 °C: it never gets cold enough.';
  if (cooling.seconds === 0) return 'At 5 °C already.';
  const time = `5 °C after ${sayDuration(cooling.seconds)}`;
  if (cooling.inTime) return `${time}.`;
  return `${time}: longer than the ${sayDuration(COOLING_LIMITS.restS)} it may take.`;
}

/** What tubs are sold in, ml (common practice); below the least, what it comes to. */
const TUBS_ML = [250, 500, 1000, 1500, 2000, 3000, 5000, 10_000] as const;
const tubBelowMl = (mostMl: number): number => [...TUBS_ML].reverse().find((ml) => ml <= mostMl) ?? mostMl;

export function sayWayToCool(way: WayToCool, say: SaySize): string {
  switch (way.kind) {
    case 'smaller-containers':
      return `use ${say(tubBelowMl(way.mostMl), 'ml')} tubs`;
    case 'pre-chill':
      return `ingredients from the fridge, so that it starts at ${Math.floor(way.startC)} °C`;
    case 'ice-bath':
      return `an ice bath, stirred: about ${sayDuration(way.seconds)}`;
  }
}
