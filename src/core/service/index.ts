export {
  BOWL_VERDICTS,
  DISH_KINDS,
  DISHES,
  DRESSED,
  dressingFor,
  lastWords,
  rightShareOf,
  type BowlVerdict,
  mlPer100GOf,
  servingsFrom,
  type DishKind,
  type Dressed,
  type DressedEntry,
  type DressingNeed,
} from './dress';
export {
  bestTool,
  passNow,
  PORTION_ML,
  PORTION_TOOLS,
  portionWith,
  type PassEvent,
  type PassNow,
  type PassSetting,
  type PortionTool,
} from './pass';
export { coldClockOf } from './outOfCold';
export { thinningOf, WATER_SOURCES, type WaterSource } from './thinning';
export { dressingTimes, MOMENT_MINUTES, MOMENTS, TIMING, type Moment } from './whenToDress';
export { clashesOf, conflictsOf, slackOf, type Clash, type Conflict } from './conflicts';
export { type Hours } from './hours';
export { waysOut, type WayOut } from './waysOut';
export { forecastDay, type Late } from './forecast';
export { weekBatches, type WeekBatch } from './weekBatches';
export { scheduleBackwards, type Placed } from './schedule';
export { dayTasks, type DayTask, type TaskStep, type PlannedService } from './dayTasks';
