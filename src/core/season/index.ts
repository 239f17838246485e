export { seasonWays, type SeasonWay } from './season';
export type { SeasonRequest, Stock } from './stock';
export type { SeasonChange } from './tries';
