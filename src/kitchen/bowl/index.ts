export { entriesOf, needByKind, readBowl, type NeedOf, type ReadBowl } from './bowl';
