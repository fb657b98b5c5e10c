import { itemAt } from '#base/lookup';
import { hydrateWater, molarMass } from '#matter/substance';

/** The formula without its crystal water: “KAl(SO4)2” of alum. */
export function anhydrousFormula(formula: string): string {
  return formula.replace(/\.\d*(?:\.\d+)?H2O$/, '');
}

/** The formula of a phase of the table: “C4H6O6 (L or +)” is C4H6O6. */
export function phaseFormula(phase: string): string {
  return itemAt(phase.split(' '), 0);
}

/** g of dry substance in a g of a solid, 0 to 1. */
export function dryShare(formula: string): number {
  const dry = anhydrousFormula(formula);
  return molarMass(dry) / (molarMass(dry) + hydrateWater(formula) * WATER);
}

const WATER = 18.015;
