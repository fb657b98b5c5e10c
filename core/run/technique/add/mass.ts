import { derive, type Figure, given } from '#base/figure';
import { type Reading, readingValue } from '#base/reading';
import { type Bench, cylinderFor } from '#matter/gear';
import type { Content } from '#matter/stock';

/** Standard uncertainty of one weighing by difference: the display step taken twice, rectangular (sd = step/√6). */
export function weighingSd(balanceG: number): number {
  return balanceG / Math.sqrt(6);
}

const LEAST = 1e-9;

/** What a mass is read of: how it is called, what its bottle holds, and the density to take where it holds none. */
export interface ReadOf {
  readonly name: string;
  readonly content: Content | undefined;
  /** g/mL of plain water, for what comes from no bottle. */
  readonly water: Figure;
  readonly bench: Bench;
  /** A dose that is only planned says so. */
  readonly planned?: boolean;
}

/**
 * Grams that a reading of something added stands for, as a figure: a mass as it is, a volume through the density of what is
 * poured (water when there is no bottle). Undefined for a reading without a number or a volume without a density.
 */
export function massOfReading(
  reading: Reading,
  { name, content, water, bench, planned = false }: ReadOf,
): Figure | undefined {
  const found = readingValue(reading);
  if (!found) return undefined;
  // Less than an atom's worth on any balance is nothing; dividing by it would overflow.
  const read = { ...found, value: Math.abs(found.value) < LEAST ? 0 : found.value };
  const band = (own: number, id: string, what: string) => ({
    ...(own > 0 ? { [`${id}:${name}`]: { name: what, effect: own } } : {}),
    ...(read.sd > 0 ? { [`band:${name}`]: { name: `coarse reading of ${name}`, effect: read.sd } } : {}),
  });
  if (read.unit === 'g') {
    const uncertainty = band(weighingSd(bench.balanceG), 'balance', 'balance');
    return given(
      { symbol: 'm', name: `${name}, weighed`, unit: 'g' },
      { value: read.value, uncertainty },
      'weighed at the bench',
    );
  }
  const rho = content ? content.density : water;
  if (read.unit !== 'mL' || !rho) return undefined;
  const uncertainty = band(cylinderFor(read.value, bench.cylindersMl).sdMl, 'cylinder', 'cylinder');
  const V = given(
    { symbol: 'V', name: `${name}, ${planned ? 'as planned' : 'measured'}`, unit: 'mL' },
    { value: read.value, uncertainty },
    'measured at the bench',
  );
  return derive({ symbol: 'm', name: `${name}, as mass`, unit: 'g' }, 'V × ρ', { V, ρ: rho }, (x) => x.V * x.ρ);
}
