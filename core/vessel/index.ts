// Vessels: what a person owns to hold, weigh and measure with, what is in a vessel at any moment, and which one fits.
// Contents are moles of each substance, water, inert matter and crystals; every change makes new contents.
export {
  type Bench,
  BenchDefaults,
  type Cylinder,
  cylinderFor,
  type Material,
  materials,
  type OwnMeasure,
  type OwnVessel,
  roundTo,
} from './bench.ts';
export { boilingVessels, isShallow, type Stretch } from './changes.ts';
export {
  type Contents,
  charge,
  emptyContents,
  isInsoluble,
  liquidVolume,
  react,
  solutesG,
  total,
  UNDISSOLVED_ML_PER_G,
} from './contents.ts';
export { fitVessel, type VesselFit } from './fit.ts';
