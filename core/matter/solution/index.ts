// Solutions: density over mass % and temperature from published tables, and strength in any unit, both ways.
// The canonical strength is the mass fraction of the named substance; every other unit is reached through it.
// Heats of dilution and heat capacity stand here too, since they hang on the same composition.
export {
  type DensityAnswer,
  density,
  densityEnds,
  densityFigure,
  hasDensity,
  waterDensityAt,
  waterDensityFigure,
} from './density.ts';
export { diluteDensity } from './dilute-density.ts';
export { type Freezing, freezingOf } from './freezing.ts';
export { heatAtInfiniteDilution, heatCapacity, heatOfDilution, integralHeat } from './heat.ts';
export { blend, type Dilution, dilute, iceFor, type MixPart, type Mixture, mix } from './mix.ts';
export {
  massFraction,
  massFractionFigure,
  type Strength,
} from './strength.ts';
export { type StrengthUnit, strengthUnits } from './strength-units.ts';
export { strengthIn, strengthsOf } from './strengths.ts';
