export { OPERATIONS, type GroupName, type Operation } from './operations';
export { openApiDocument, type ApiWords } from './openApi';
export {
  batchRecordSchema,
  trialRecordSchema,
  type BackupsState,
  type Restored,
  type Restoring,
} from './answers';
