export { sourceOf } from './readSource';
export { changedEntries, readTable, type TableReading } from './readTables';
export { sayReport } from './sayReport';
export {
  ADDITION_HEADER,
  BATCH_HEADER,
  FORMULA_HEADER,
  INGREDIENT_HEADER,
  LOG_HEADER,
  additionRows,
  batchRows,
  formulaRows,
  ingredientRows,
  logRows,
} from './tables';
