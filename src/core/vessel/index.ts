export { fillLines, type FillLine } from './fillLines';
export {
  AMBER_SHARE,
  fillShare,
  HARDLY_MIXES_SHARE,
  headspaceOf,
  SHAKE_LINE_SHARE,
  type Headspace,
} from './headspace';
export {
  brimHeightMm,
  heightOfMl,
  radiusAt,
  scaleToBrimful,
  volumeBelowMl,
  type Outline,
  type OutlinePoint,
} from './shape';
export { DEFAULT_VESSEL_ID, STARTING_VESSELS, type Vessel } from './vessel';
