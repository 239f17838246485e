export {
  emptyPour,
  linesOf,
  massOf,
  named,
  portionsIn,
  rested,
  takenOut,
  undone,
  unnamedIn,
  volumeOf,
  withThing,
  withWatched,
  withWhileAway,
  type FreePour,
  type PouredLine,
  type PouredThing,
} from './freePour';
export { pouredFormula, pouredJar } from './pouredFormula';
export { knownDressings } from './knownDressings';
