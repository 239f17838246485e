export { windowsForDish } from './aim';
export { bestMomentFor, dishReasons, mainKindOf, minutesOf, type DishReason } from './answers';
export {
  DISH_MEASURES,
  dishAt,
  dressingForDish,
  pouredFrom,
  type DishAtTime,
  type DishMeasure,
  type PouredDressing,
} from './dish';
export { safetyWithDish } from './dishSafety';
export { lessonOfDish, type DishLesson } from './learned';
export { surfaceKindOf } from './surfaces';
export { readDish, type DishLine } from './readDish';
