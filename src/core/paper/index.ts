export { LABEL_SIZE_IDS, LABEL_SIZES, labelSizeOf, type LabelSize, type LabelWords } from './label';
export type { Sheet, SheetColumn, SheetTable } from './sheet';
export {
  alongMm,
  CHECK_BAR_MM,
  GLASS_LIMITS_MM,
  LEAST_GAP_MM,
  spreadLabels,
  stripOf,
  TALLEST_STRIP_MM,
  USUAL_GLASS_MM,
  type Strip,
  type StripAddition,
  type StripAnswer,
  type StripLine,
} from './strip';
