import { itemAt, lastOf, must } from '#base/lookup';
import { absorptionHeats, gasSolubilities } from '#matter/data';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';

export const absorbed = ['hydrogen-chloride', 'ammonia-gas', 'chlorine', 'carbon-dioxide', 'sulfur-dioxide'] as const;
export type Absorbed = (typeof absorbed)[number];

/** What a mol of it takes up of hydroxide, and what it turns into. */
interface IntoAlkali {
  readonly hydroxide: number;
  readonly heat: string;
  readonly says: string;
}

const INTO_ALKALI: Readonly<Record<Absorbed, IntoAlkali | null>> = {
  'hydrogen-chloride': { hydroxide: 1, heat: 'into hydroxide', says: 'chloride' },
  chlorine: { hydroxide: 2, heat: 'into cold alkali to hypochlorite + chloride', says: 'hypochlorite and chloride' },
  'carbon-dioxide': { hydroxide: 2, heat: 'into excess hydroxide to carbonate', says: 'carbonate' },
  'sulfur-dioxide': { hydroxide: 2, heat: 'into hydroxide to sulfite', says: 'sulfite' },
  'ammonia-gas': null,
};

export const intoAlkali = (gas: Absorbed): IntoAlkali | null => INTO_ALKALI[gas];

export const gasM = (gas: SubstanceId): number => molarMass(substanceOf(gas).formula);

/**
 * g of a gas that 100 g of water hold at 1013 hPa in all, straight between the temperatures held; null below and above them.
 * Within 2 % of the tables it comes from.
 */
export function heldByWater(gas: Absorbed, tempC: number): number | null {
  const rows = gasSolubilities.filter((row) => row.gas === gas).toSorted((a, b) => a.tempC - b.tempC);
  const upper = rows.findIndex((row) => row.tempC >= tempC);
  const above = rows[upper];
  if (!above) return null;
  if (above.tempC === tempC) return above.gPer100g;
  const below = rows[upper - 1];
  if (!below) return null;
  return below.gPer100g + ((above.gPer100g - below.gPer100g) * (tempC - below.tempC)) / (above.tempC - below.tempC);
}

/** kJ set free by a mol of gas that makes water so strong, mass %; beyond the rows as at their end. */
export function heatIntoWater(gas: Absorbed, pct: number): number | null {
  const rows = absorptionHeats.filter((row) => row.gas === gas && row.into === 'water' && row.toPct !== null);
  if (rows.length === 0) return into(gas, 'into water');
  const upper = rows.findIndex(({ toPct }) => must(toPct, 'toPct') >= pct);
  if (upper < 0) return lastOf(rows).kJ;
  if (upper === 0) return itemAt(rows, 0).kJ;
  const [low, high] = [itemAt(rows, upper - 1), itemAt(rows, upper)];
  return (
    low.kJ +
    ((high.kJ - low.kJ) * (pct - must(low.toPct, 'toPct'))) / (must(high.toPct, 'toPct') - must(low.toPct, 'toPct'))
  );
}

export function heatIntoAlkali(gas: Absorbed): number | null {
  const way = intoAlkali(gas);
  return way && into(gas, way.heat);
}

const into = (gas: Absorbed, where: string): number | null =>
  absorptionHeats.find((row) => row.gas === gas && row.into === where)?.kJ ?? null;
