export { entriesOf, readBowl, type ReadBowl } from './bowl';
