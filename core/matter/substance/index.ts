// Substances: formulas read as people type them, molar masses from the IUPAC weights, and a substance found by any of its names.
// A hydrate is a substance of its own, tied to its anhydrous one by its water.
// Nothing is guessed: a name that is not known comes back with the nearest ones that are.
export {
  checked as checkedDescription,
  type Described,
  type DescribedId,
  describedId,
  isDescribedId,
} from './described.ts';
export { findSubstance, learnName, nearestNames, refusedSlip, substancesIn } from './find.ts';
export { type Formula, formulaText, parseFormula } from './formula.ts';
export { type FormulaHazards, hazardsOfFormula } from './formula-hazards.ts';
export { hydrateWater, molarMass, molarMassFigure, molarMassOfElements } from './molar-mass.ts';
export { type Named, NameIndex } from './name-index.ts';
export { refusedIn, refusedSentence, refusedThing } from './refused.ts';
export { type Refused, refusedFormula } from './refused-formula.ts';
export { substance } from './shape.ts';
export { keyOf, spelt } from './spelling.ts';
export {
  allSubstances,
  bareSubstance,
  isInsoluble,
  isSubstanceId,
  type RecordId,
  type Substance,
  type SubstanceId,
  speciesOf,
  substanceById,
  substanceOf,
  waterGivenBack,
} from './substance.ts';
