/** Dishes, when they are dressed, and what thins a dressing in the bowl. Common practice. */
import type { BowlVerdict, DayTask, Dressed, DishKind, Moment, TaskStep, WaterSource } from '#core/service';

/** A kind of dish. */
export const DISH_NAMES: Readonly<Record<DishKind, string>> = {
  'tender-leaves': 'Tender leaves',
  'sturdy-leaves': 'Sturdy leaves, kale, chicory',
  slaw: 'Slaw, shredded cabbage',
  'raw-vegetables': 'Raw vegetables',
  cooked: 'Cooked grain, pasta or beans',
  'warm-potato': 'Warm potato',
  'fish-or-meat': 'Fish or meat, spooned over',
};

export const MOMENT_WORDS: Readonly<Record<Moment, string>> = {
  'at-once': 'just before it is served',
  '5-minutes': '5 minutes before',
  'half-hour': 'half an hour before',
  hour: 'an hour before',
  overnight: 'the night before, cold',
};

/** When such a dish wants its dressing, and why. */
export const TIMING_WORDS: Readonly<Record<DishKind, string>> = {
  'tender-leaves': 'They wilt: dress them in the bowl, at the pass.',
  'sturdy-leaves': 'Rub it in; they soften and keep.',
  slaw: 'It gives water: pour off, then the other half.',
  'raw-vegetables': 'Longer draws their water.',
  cooked: 'Half while it is warm, half at the end: it drinks.',
  'warm-potato': 'Dress it warm, in two goes; cold it takes nothing.',
  'fish-or-meat': 'Acid turns it grey: spoon it over at the end.',
};

/** What brings water. */
export const WATER_NAMES: Readonly<Record<WaterSource, string>> = {
  'wet-leaves': 'Leaves, washed and shaken',
  'spun-leaves': 'Leaves, spun dry',
  cucumber: 'Cucumber',
  tomato: 'Tomato',
  courgette: 'Courgette',
  cabbage: 'Cabbage, shredded',
  fruit: 'Cut fruit',
};

/** What to do about it. */
export const WATER_ADVICE: Readonly<Record<WaterSource, string>> = {
  'wet-leaves': 'Spin them dry, then a cloth.',
  'spun-leaves': 'Dry enough.',
  cucumber: 'Seed it; salt it 20 minutes and pour the juice away.',
  tomato: 'Seed it, or salt it and drain; dress it last.',
  courgette: 'Salt it 20 minutes and press it.',
  cabbage: 'Salt and knead it first, pour off, then dress.',
  fruit: 'Add it at the table; hold back a third of the dressing.',
};

const TASK_WORDS: Readonly<Record<TaskStep, string>> = {
  'fetch-things': 'fetch what it needs',
  'fetch-dressing': 'take it out of the fridge',
  weigh: 'weigh out',
  mix: 'mix',
  rest: 'rests',
  'stand-out': 'stands out of the cold',
  dress: 'shake and dress',
  drink: 'rests in its dressing',
  finish: 'the other half, and salt again',
};
export const sayStepOf = (step: TaskStep): string =>
  TASK_WORDS[step].charAt(0).toUpperCase() + TASK_WORDS[step].slice(1);
/** On a bar of the day, beside its dish. */
const BAR_WORDS: Readonly<Record<TaskStep, string>> = {
  'fetch-things': 'fetch',
  'fetch-dressing': 'fetch',
  weigh: 'weigh',
  mix: 'mix',
  rest: 'rests',
  'stand-out': 'warms up',
  dress: 'dress',
  drink: 'rests',
  finish: 'other half',
};
/** A task beside its dish; a side job is named once, beside its bar. */
export const sayBar = (step: TaskStep | null): string => (step === null ? '' : BAR_WORDS[step]);
/** "Green salad" of "Green salad: shake and dress". */
export const sayDishOf = ({ name, step }: Pick<DayTask, 'name' | 'step'>): string =>
  step === null ? name : name.slice(0, -(TASK_WORDS[step].length + 2));

/** "Green salad: shake and dress"; a side job by its own name. */
export const sayTask = ({ name, step }: Pick<DayTask, 'name' | 'step'>): string =>
  step === null ? name : `${name}: ${TASK_WORDS[step]}`;

export const DRESSED_WORDS: Readonly<Record<Dressed, string>> = {
  lightly: 'lightly',
  normally: 'normally',
  well: 'well',
};

/** What is said of a bowl that was eaten. */
export const BOWL_WORDS: Readonly<Record<BowlVerdict, string>> = {
  right: 'right',
  soggy: 'soggy',
  dry: 'dry',
  'too-salty': 'too salty',
};
