export { readLabel, type Additive } from './readLabel';
export { NUTRIENTS, printedPer, PER_100_G, type Nutrient, type Printed, type PrintedPer } from './printed';
export { fitLabel, stepLabel, type LabelOutcome, type LabelTrouble } from './fitLabel';
