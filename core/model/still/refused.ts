import { bisect } from '#base/numeric';
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
  const most = 4 * first + 4 * staying.sulfuric;
  const enough = bisect((water) => strengthIs(water) - limit, { low: 0, high: most, within: 1e-9 * most });
  const water = enough.outcome === 'converged' ? enough.x : undefined;
  const why =
    staying.sulfuric > 0
      ? 'sulfuric acid beside it holds the water, so that acid past its azeotrope would come over'
      : 'it is past its azeotrope';
  return fail(
    'beyond-scope',
    `This charge is not distilled here: ${why}. ${water === undefined ? 'More water than so much acid takes would be wanted: make less of it at once' : `Add ${formatPlain(Math.ceil((water * mixture.second.M) / 5) * 5)} g of water to the flask first, the acid into the water; it then ends at its azeotrope`}.`,
    { field: 'pct' },
  );
}
