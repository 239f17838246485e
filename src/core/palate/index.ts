export { isCreamy } from './body';
export {
  PALATE,
  PALATE_KEYS,
  palateContributions,
  palateOf,
  palateValue,
  type Palate,
  type PalateKey,
  type PalatePortion,
  type PalateValue,
} from './measures';
export { sucroseEquivalentOf } from './sweetness';
export { nutritionOf, type Nutrition } from './nutrition';
export { formFactor } from './pungency';
export { formulaFromStyle } from './startFromStyle';
export { STYLE_IDS, STYLE_RECIPES, type StyleId } from './styleRecipes';
export {
  STYLES,
  stylePortions,
  windowsFrom,
  withTypedRatio,
  type Style,
  type PalateWindow,
  type Windows,
} from './styles';
export {
  A_HAIR,
  bandOfScore,
  stepsOutside,
  verdictOf,
  type ScoreBand,
  type Verdict,
  type VerdictReason,
} from './verdict';
export { DEFINED_BY } from './defines';
export { nearestStyles } from './nearestStyles';
