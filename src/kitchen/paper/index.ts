export { jarLabelOf, keepUntilOf, labelOf, madeOn, pullSheetOf, sheetOf } from './batchPapers';
export { formulaSheet } from './formulaSheet';
export { sayNeeded, sayShort } from './pullWords';
export { methodOf } from './method';
