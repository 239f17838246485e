export { holdAskedOf, mixedWith } from './formulaHold';
export { makingHold, type MixedIn } from './jarHold';
