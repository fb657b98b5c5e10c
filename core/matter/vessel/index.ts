// Vessels: what a person owns to hold, weigh and measure with; what is in a vessel at any moment, by phase; and which one
// fits. A run holds any number of named vessels, and places where things go that have left them: mass is kept over all.
export { type Added, add, type Product } from './add.ts';
export { boilingVessels, isShallow, type Stretch } from './changes.ts';
export {
  type Amounts,
  amountOf,
  amountsOf,
  boundWater,
  type Contents,
  contentsMass,
  emptyContents,
  entriesOf,
  liquidVolume,
  type Phase,
  parted,
  phaseG,
  phaseOf,
  phases,
  slurryVolume,
  solutesG,
  speciesAmount,
  together,
  UNDISSOLVED_ML_PER_G,
  waterWhenDissolved,
  withAmount,
} from './contents.ts';
export { type Dissolved, dissolve } from './dissolve.ts';
export { fitVessel, type VesselFit } from './fit.ts';
export { type Reacted, react } from './react.ts';
export { subscript, total } from './total.ts';
export {
  at,
  holding,
  ledOff,
  massOverAll,
  type Place,
  poured,
  steamedOff,
  type VesselName,
  type Vessels,
  vesselNames,
} from './vessels.ts';
