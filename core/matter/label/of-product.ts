import type { BottleCard } from '#matter/stock';
import type { Substance } from '#matter/substance';
import type { Product } from './product.ts';
import type { ReadStrength } from './read-strength.ts';

/** Less than this, mass %, is what every bottle has of something else. */
const COUNTS = 2;

/** How strong such a product usually is, as wide as it is sold; undefined where its label gives it by the tablet. */
export function typically({ name, parts: [main] }: Product, substance: Substance): ReadStrength | undefined {
  if (!main || main.typical === null || main.substance?.species !== substance.species) return undefined;
  const { typical, low, high, unit } = main;
  const value = Number(typical.toPrecision(4));
  const band = Number(Math.max((high - low) / 2, 0.1).toPrecision(2));
  const assumed = `No strength on the label: ${name} usually holds ${value} % of it, ${rounded(low)} to ${rounded(high)} % as sold. Assay it.`;
  return { value, unit, band, at: [0, 0], assumed };
}

/** What else is in a product, as it usually comes; never more than its strength leaves room for. */
export function othersOf({ parts }: Product, strength: ReadStrength | undefined): BottleCard['others'] {
  const rest = parts
    .slice(1)
    .flatMap(({ substance, typical, unit }) =>
      substance && typical !== null && typical >= COUNTS ? [{ substanceId: substance.id, value: typical, unit }] : [],
    );
  const sum = rest.reduce((all, { value }) => all + value, 0);
  const room = strength?.unit === 'w/w' ? 100 - strength.value : 100;
  const scale = sum > room ? room / sum : 1;
  return rest
    .map(({ substanceId, value, unit }) => ({
      substanceId,
      strength: { value: Number((value * scale).toPrecision(3)), unit },
    }))
    .filter(({ strength: { value } }) => value > 0);
}

function rounded(value: number): number {
  return Number(value.toPrecision(3));
}
