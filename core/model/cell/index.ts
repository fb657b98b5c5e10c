// Cell: what a current does. Charge and Faraday's law; a cell as it runs, one liquid or two with a divider between: conductivity,
// transport, which reaction wins at each electrode, volts, heat, gases.
export { addTo, beginning, type CellSetup, type CellState, isDivided, USUAL_HYDROXIDE } from './cell.ts';
export { FARADAY } from './charge-of-a-mole.ts';
export { conductivity, isMeasured } from './conductivity.ts';
export { type Divider, dividerFor, type GelPlug, gelPlug } from './divider.ts';
export { anodeEfficiency, dissolves, mediumOf, metalMass, PLATES } from './electrodes.ts';
export { chargeOf, depositFromCharge, electronsFor, hoursForMass } from './faraday.ts';
export { type Amounts, amountsIn, concentrations, litreOf, massG, nothing, volumeMl } from './liquid.ts';
export { constantOf, efficiencyOf, lossWPerK, type Ranged } from './published.ts';
export { admitCell } from './refused.ts';
export { type CellPoint, letRun, pointOf } from './run.ts';
export { dissolveInto, ionsOf, liquidOf, type Named, namedOf, solidOf, substanceNamed } from './salts.ts';
export {
  at,
  cationPlaces,
  charges,
  formulaOf,
  isA,
  masses,
  type PerSpecies,
  type Place,
  perSpecies,
  places,
  type SpeciesName,
  speciesNames,
} from './species.ts';
export { anodeParted, type Drops, type Rates, takeStock } from './stock.ts';
