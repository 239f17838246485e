export { stepOf, type DisplayReading } from './display';
export type { Pour, PourKind } from './between';
export { likelyPours, type KnownDressing } from './likely';
export { nextRatio, type NextRatio } from './nextRatio';
export { watchPours, type PourWatch } from './watch';
