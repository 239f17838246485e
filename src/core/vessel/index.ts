export { factorToFill, type FillFactor } from './scaleToFill';
export { fillLines, type FillLine } from './fillLines';
export {
  AMBER_SHARE,
  fillShare,
  HARDLY_MIXES_SHARE,
  headspaceOf,
  SHAKE_LINE_SHARE,
  usableVolumeMl,
  type Headspace,
} from './headspace';
export { brimHeightMm, heightOfMl, radiusAt, volumeBelowMl, type Outline } from './shape';
export { outlineFromMeasures, type MeasureProblem } from './measured';
export {
  DEFAULT_VESSEL_ID,
  STARTING_VESSELS,
  VESSEL_SHAPES,
  vesselOfShape,
  type Vessel,
  type VesselShape,
} from './vessel';
