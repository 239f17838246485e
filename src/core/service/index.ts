export {
  DISH_KINDS,
  DISHES,
  DRESSED,
  dressingFor,
  mlPer100GOf,
  servingsFrom,
  type DishKind,
  type Dressed,
  type DressedEntry,
  type DressingNeed,
} from './dress';
export { coldClockOf, SERVED_AT, type ColdClock, type ServedAt } from './outOfCold';
export {
  thinningOf,
  WATER,
  WATER_SOURCES,
  type Thinning,
  type WaterSource,
  type WateryPart,
} from './thinning';
export {
  dressingTimes,
  MOMENT_MINUTES,
  MOMENTS,
  TIMING,
  type DressingTimes,
  type Moment,
  type Timing,
} from './whenToDress';
export { clashesOf, conflictsOf, slackOf, type Clash, type Conflict } from './conflicts';
export { beginsAt, type Hours } from './hours';
export { waysOut, type Running, type Shortenable, type WayOut } from './waysOut';
export { forecastDay, type Forecast, type Late } from './slip';
export { weekBatches, type DayNeed, type WeekBatch } from './weekBatches';
export { scheduleBackwards, type Placed, type Schedule, type Task } from './schedule';
export {
  dayTasks,
  TASK_STEPS,
  type DayTask,
  type TaskStep,
  type PlannedDish,
  type PlannedService,
  type SideJob,
} from './dayTasks';
export type { Crew } from './lanes';
