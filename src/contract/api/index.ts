export { OPERATIONS, type Operation } from './operations';
export { openApiDocument } from './openApi';
export { batchRecordSchema, trialRecordSchema, type Restored } from './answers';
