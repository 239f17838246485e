export { readLabel, type Additive } from './readLabel';
export {
  fitLabel,
  NUTRIENTS,
  type LabelOutcome,
  type LabelTrouble,
  type Nutrient,
  type Printed,
} from './fitLabel';
