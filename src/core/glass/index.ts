export { lookAtGlass, ASIDE_KINDS, LAYER_KINDS, type GlassLayer, type InTheGlass } from './layers';
export { marksProblem, type Marks, type Photo, type Point } from './photo';
export { CARD_MM, runMm } from './run';
export { proposeMarks } from './propose';
export { hasMoved, surroundingsOf, type Surroundings } from './moved';
