export { seasonWays, type SeasonWay } from './season';
export { leftAfter, type SeasonRequest, type Stock } from './stock';
