export { holdAskedOf, mixedWith, type Mixed } from './formulaHold';
export { makingHold, type MixedIn } from './jarHold';
