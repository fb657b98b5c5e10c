import { fail, ok, type Result } from '#base/problem';
import { formatNumber, formatPlain } from '#base/units';
import { azeotropeOf } from './azeotrope.ts';
import { type Charge, pctOf } from './charge.ts';
import type { Mixture } from './mixture.ts';
import { boilingWith } from './solutes.ts';

/** How far past its azeotrope nitric acid may lie by the uncertainty of its label, mole fraction. */
const GRACE = 0.004;

/**
 * Whether a charge is distilled here. Nitric acid ends at its azeotrope: one that would send stronger acid over, by its own
 * strength or for want of water beside sulfuric acid, is refused with the water to add.
 */
export function admitCharge(mixture: Mixture, charge: Charge): Result<true> {
  const { first, second, staying } = charge;
  if (!(first + second > 0))
    return fail('out-of-range', 'Nothing in the flask boils: charge it first.', { field: 'grams' });
  if (first / (first + second) > mixture.ends + 1e-9)
    return fail(
      'impossible-strength',
      `${mixture.first.name} of ${formatNumber(pctOf(mixture, first, second), 3)} % in water: what boils is held up to ${formatNumber(pctOf(mixture, mixture.ends, 1 - mixture.ends), 3)} %.`,
      { field: 'pct' },
    );
  if (mixture.id === 'sulfuric-acid-water' && pctOf(mixture, first, second) > 70)
    return fail(
      'beyond-scope',
      'Sulfuric acid is boiled down to about 70 % here, ended by the temperature of the flask; beyond is for a licensed laboratory.',
      { field: 'pct' },
    );
  if (mixture.id !== 'nitric-acid-water') return ok(true);
  const limit = azeotropeOf(mixture)?.x ?? 1;
  const strengthIs = (water: number) => boilingWith(mixture, [first, second + water], staying).x;
  if (strengthIs(0) <= limit + GRACE) return ok(true);
  let [low, high] = [0, 4 * first + 4 * staying.sulfuric];
  for (let i = 0; i < 50; i++) {
    const water = (low + high) / 2;
    if (strengthIs(water) > limit) low = water;
    else high = water;
  }
  const grams = Math.ceil((high * mixture.second.M) / 5) * 5;
  const why =
    staying.sulfuric > 0
      ? 'sulfuric acid beside it holds the water, so that acid past its azeotrope would come over'
      : 'it is past its azeotrope';
  return fail(
    'beyond-scope',
    `This charge is not distilled here: ${why}. Add ${formatPlain(grams)} g of water to the flask first, the acid into the water; it then ends at its azeotrope.`,
    { field: 'pct' },
  );
}
