import type { SubstanceId } from '#matter/substance';
import { efficiencyOf } from '#model/cell';
import { type Known, sdOfRange } from './progress.ts';

/** The published current efficiency that bounds what a cell makes. */
const ROWS: Readonly<Partial<Record<SubstanceId, string>>> = {
  'sulfuric-acid': 'copper cathode from 0.2-0.8 mol/L, stirred, below 20 mA/cm2',
  'copper-sulfate': 'copper anode in neutral sulfate, divided, pH above 5',
  'copper-carbonate': 'copper anode in neutral sulfate, divided, pH above 5',
  'sodium-hydroxide': 'divided bicarbonate cell, gel, to 2 % NaOH',
};

/** %, as published for cells that make this, with its range as a standard uncertainty; null where no such cell is held. */
export function bookEfficiency(makes: SubstanceId): Known | null {
  const row = ROWS[makes];
  if (row === undefined) return null;
  const found = efficiencyOf(row);
  return { value: found.value, sd: sdOfRange(found) };
}
