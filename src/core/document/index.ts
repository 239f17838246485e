export { at, overlap, PLAIN, put, same, type Path, type Rules } from './document';
export {
  applyChanges,
  applyWhatFits,
  changesBetween,
  invertChanges,
  type Change,
  type Refusal,
} from './changes';
export { merge, type Clash, type Merged } from './merge';
export { joined, rebase, settle, unsettled } from './rebase';
