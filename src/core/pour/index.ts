export { stepOf, type DisplayReading } from './display';
export type { Pour, PourKind } from './between';
export { watchPours, type PourWatch } from './watch';
