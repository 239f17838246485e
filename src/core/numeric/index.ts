export { SeededRandom } from './random';
export { sum } from './sum';
export { findRoot } from './root';
export { fractionExtreme } from './fractionRange';
export { scaledRow, shadowPrices, solveLinear, type LinearProgram, type LinearRow } from './linearProgram';
