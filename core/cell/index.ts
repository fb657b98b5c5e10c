// Cell: what a current does. Charge and Faraday's law; a cell as it runs, one liquid or two with a divider between: conductivity,
// transport, which reaction wins at each electrode, volts, heat, gases. From readings: how far it is, how efficient, why its
// current changed.
export {
  type CellAnswer,
  type CellAsked,
  type CellChange,
  type CellGas,
  type CellReady,
  cell,
  cellFor,
  cellShape,
  mediumOf,
  netCharge,
  PLATES,
} from './asked.ts';
export {
  addTo,
  beginning,
  type CellSetup,
  type CellState,
  type Drops,
  isDivided,
  molOf,
  takeStock,
  USUAL_HYDROXIDE,
} from './cell.ts';
export { type CurrentRead, chargeFrom, FARADAY, type Passed } from './charge.ts';
export { conductivity, isMeasured } from './conductivity.ts';
export { type Divider, dividerFor, type GelPlug, gelPlug } from './divider.ts';
export { anodeEfficiency, dissolves } from './electrodes.ts';
export { type Cause, type CauseId, type FallAsked, whyChanged } from './falling.ts';
export { depositFromCharge, electronsFor, hoursForMass } from './faraday.ts';
export {
  type AnodeMaterial,
  anodeMaterials,
  type CathodeMaterial,
  type CellGear,
  cathodeMaterials,
  cellGearShape,
  type DividerKind,
  dividerKinds,
  type Supply,
  supplyKinds,
  supplyText,
  USUAL_CELL,
} from './gear.ts';
export { type Amounts, amountsOf, concentrations, litreOf, massG, volumeMl } from './liquid.ts';
export { type CellWarning, leadBears, TUB_C } from './outlook.ts';
export {
  type Efficiency,
  efficiencyFrom,
  type Known,
  type Progress,
  progressOf,
  type Seen,
  sdOfRange,
} from './progress.ts';
export { constantOf, efficiencyOf, evaporatesKgPerM2H, lossWPerK, type Ranged } from './published.ts';
export { admitCell } from './refused.ts';
export { type CellPoint, letRun, pointOf } from './run.ts';
export { ionsOf, liquidOf, type Named, namedOf, substanceNamed } from './salts.ts';
export { at, formulaOf, masses, type SpeciesName, speciesNames } from './species.ts';
export { transportNumbersOf } from './transport.ts';
