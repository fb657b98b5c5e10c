import { itemAt, lastOf, numberAt } from '#base/lookup';
import { type SaltInAcidRow, saltInAcid } from '#matter/data';

/**
 * g of sodium or potassium chloride that 100 g of water hold beside hydrochloric acid, by mol of it in a kg of water, 0 to
 * 25 °C: ln(s) straight between rows and temperatures, the ends beyond. A tenth to 6 mol/kg, half or double beyond 12.
 */
export function saltInAcidAt(salt: 'NaCl' | 'KCl', tempC: number, acidMolPerKg: number): number {
  const rows = saltInAcid.filter((row) => row.salt === salt);
  const temps = [...new Set(rows.map((row) => row.tempC))].sort((a, b) => a - b);
  const t = Math.min(lastOf(temps), Math.max(numberAt(temps, 0), tempC));
  const above = Math.max(
    1,
    temps.findIndex((each) => each >= t),
  );
  const [cold, warm] = [numberAt(temps, above - 1), numberAt(temps, above)];
  const ln = (temp: number) =>
    lnAt(
      rows.filter((row) => row.tempC === temp),
      acidMolPerKg,
    );
  return Math.exp(ln(cold) + ((ln(warm) - ln(cold)) * (t - cold)) / (warm - cold));
}

function lnAt(rows: readonly SaltInAcidRow[], m: number): number {
  const sorted = [...rows].sort((a, b) => a.acidMolPerKgWater - b.acidMolPerKgWater);
  const found = sorted.findIndex((row) => row.acidMolPerKgWater >= m);
  const i = found < 0 ? sorted.length - 1 : Math.max(1, found);
  const [low, high] = [itemAt(sorted, i - 1), itemAt(sorted, i)];
  const part = Math.min(1, Math.max(0, (m - low.acidMolPerKgWater) / (high.acidMolPerKgWater - low.acidMolPerKgWater)));
  return Math.log(low.gPer100gWater) + part * Math.log(high.gPer100gWater / low.gPer100gWater);
}
