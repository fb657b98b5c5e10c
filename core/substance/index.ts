// Substances: formulas read as people type them, molar masses from the IUPAC weights, and a substance found by any of its names.
// A hydrate is a substance of its own, tied to its anhydrous one by its water.
// Nothing is guessed: a name that is not known comes back with the nearest ones that are.
export { findSubstance, nearestNames, substanceNames } from './find.ts';
export { type Formula, formulaText, parseFormula } from './formula.ts';
export { hydrateWater, molarMass, molarMassFigure, molarMassOfElements } from './molar-mass.ts';
export {
  allSubstances,
  bareSubstance,
  isInsoluble,
  isSubstanceId,
  type Substance,
  type SubstanceId,
  speciesOf,
  substanceById,
  substanceOf,
} from './substance.ts';
