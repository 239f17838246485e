export {
  batchLinesOf,
  batchRequestOf,
  newBatchOf,
  openVessels,
  readVersion,
  stockOf,
  usualChoices,
  usualVersion,
  type ReadVersion,
} from './batchPlanning';
export { pullOfBatches } from './pullOfBatches';
