export { jarJudged } from './jarJudged';
export {
  catalogueWith,
  contextFor,
  entryOf,
  packPriceOf,
  vesselOf,
  type Kitchen,
  type Pantry,
} from './kitchen';
export { newestMeasures, ownMeasuresOf } from './ownMeasures';
export { lineageOf, type LineageRow } from './lineage';
export { mendsFrom, roomToMend } from './mendsFrom';
export { handAmount, handMeasure } from './handAmount';
