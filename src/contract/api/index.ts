export { OPERATIONS, type Operation } from './operations';
export { openApiDocument } from './openApi';
export type { Restored } from './answers';
