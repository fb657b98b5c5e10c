import { hasDensity } from '#matter/solution';
import type { Content } from '#matter/stock';
import type { Entry } from './method.ts';

/** g/mL of water at 20 °C: hydrometers marked 20/20 count against it. */
export const WATER_20 = 0.9982;

/** Why a density tells nothing of the strength; null where it does. */
export function densityTells({ substance, dissolved, others }: Content): string | null {
  if (!dissolved || !hasDensity(substance)) return 'no density table is held for it';
  return others.length > 0 ? 'something else in it weighs too' : null;
}

/** The temperature of what is measured; the bench's own unless it is read. */
export const temperatureEntry = (sd: number, least = -5): Entry => ({
  name: 'tempC',
  label: 'temperature',
  unit: '°C',
  least,
  most: 60,
  sd: () => sd,
  taken: ({ tempC }) => tempC,
});
