export { LABEL_SIZE_IDS, LABEL_SIZES, labelSizeOf, type LabelSize, type LabelWords } from './label';
export type { Sheet, SheetTable } from './sheet';
export {
  CHECK_BAR_MM,
  GLASS_LIMITS_MM,
  spreadLabels,
  stripOf,
  TALLEST_STRIP_MM,
  USUAL_GLASS_MM,
  type Strip,
  type StripAnswer,
} from './strip';
