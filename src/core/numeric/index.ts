export { SeededRandom } from './random';
export { sum } from './sum';
export { findRoot, type RootOptions, type RootResult } from './root';
export { fractionExtreme, type UncertainTerm } from './fractionRange';
export {
  rowExcess,
  scaledRow,
  shadowPrices,
  solveLinear,
  type LinearOutcome,
  type LinearProgram,
  type LinearRow,
  type ShadowPrice,
} from './linearProgram';
