export { sum } from './sum';
export { findRoot, type RootOptions, type RootResult } from './root';
export { fractionExtreme, type UncertainTerm } from './fractionRange';
