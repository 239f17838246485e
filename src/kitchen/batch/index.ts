export {
  batchLinesOf,
  batchRequestOf,
  newBatchOf,
  notAfterOf,
  openVessels,
  readVersion,
  stockOf,
  usualChoices,
  usualVersion,
  type ReadVersion,
} from './batchPlanning';
export { endingRequestOf, endingVersion, withEndings } from './splitting';
export { pullOfBatches } from './pullOfBatches';
