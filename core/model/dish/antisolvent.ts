import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { antisolvents } from '#matter/data';
import type { Substance } from '#matter/substance';
import { solubilityOf } from './solubility.ts';
import { anhydrousFormula } from './solute.ts';

/** Whether a salt’s solubility in ethanol and water is held. */
export function hasAntisolvent(substance: Substance): boolean {
  return rowsOf(substance).length > 0;
}

/**
 * g of dry salt that 100 g of water hold with ethanol beside them, % of the salt-free solvent: the table’s ratio to plain
 * water, times the solubility in water at the temperature. Grade C, within about 15 % near 25 °C, rougher away from it.
 */
export function solubilityInEthanol(substance: Substance, ethanolPct: number, tempC: number): Result<number> {
  const rows = rowsOf(substance);
  const last = rows.at(-1);
  if (!last) return fail('no-density', `No solubility of ${substance.name} in ethanol is held.`);
  if (!(ethanolPct >= 0) || ethanolPct > last.ethanolPct)
    return fail('out-of-range', `${substance.name} in ethanol is tabulated from 0 to ${last.ethanolPct} % ethanol.`);
  const water = solubilityOf(substance, tempC);
  if (!water.ok) return water;
  const at = Math.max(
    1,
    rows.findIndex((row) => row.ethanolPct >= ethanolPct),
  );
  const [low, high] = [itemAt(rows, at - 1), itemAt(rows, at)];
  const part = (ethanolPct - low.ethanolPct) / (high.ethanolPct - low.ethanolPct);
  const ln = Math.log(low.gPer100g) + part * (Math.log(high.gPer100g) - Math.log(low.gPer100g));
  const share = Math.exp(ln) / itemAt(rows, 0).gPer100g;
  // The table counts by the mixed solvent; here by its water.
  return ok((share * water.value.gPer100gWater) / (1 - ethanolPct / 100));
}

function rowsOf(substance: Substance) {
  return antisolvents
    .filter(({ formula }) => formula === anhydrousFormula(substance.formula))
    .sort((a, b) => a.ethanolPct - b.ethanolPct);
}
