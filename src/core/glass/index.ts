export { lookAtGlass, ASIDE_KINDS, LAYER_KINDS, type GlassLayer, type InTheGlass, type LayerKind } from './layers';
export { marksProblem, type Marks, type Photo, type Point } from './photo';
