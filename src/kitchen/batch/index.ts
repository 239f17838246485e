export {
  batchRequestOf,
  newBatchOf,
  notAfterOf,
  openVessels,
  readVersion,
  stockOf,
  usualChoices,
  usualVersion,
  type BatchChoices,
  type BatchFor,
  type ReadVersion,
} from './batchPlanning';
export { pullOfBatches } from './pullOfBatches';
