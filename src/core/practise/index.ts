export * from './skill';
export { FAULTS, type Fault } from './jar';
export type { FaultyJar } from './faults';
export * from './wrongRound';
export * from './questions';
