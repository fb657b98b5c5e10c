import type { BottleCard } from '#matter/stock';
import { type SubstanceId, substanceOf } from '#matter/substance';

/** Mass % that a solution is taken to have where no bottle says: what shops sell most. */
const SOLUTION_PCT: Readonly<Record<string, number>> = {
  'acetic-acid': 8,
  'hydrogen-peroxide': 9,
  ammonia: 9.5,
  'sulfuric-acid': 37,
  'hydrochloric-acid': 28,
  'sodium-hypochlorite': 10,
};
const OTHER_SOLUTION_PCT = 30;
const SOLID_PCT = 98;

/** The card of a bottle that nobody holds: of the strength it usually has, about. Solids are taken to be dry. */
export function usualCard(substanceId: SubstanceId, group: BottleCard['group'], since: string): BottleCard {
  const { name, form, species } = substanceOf(substanceId);
  const pct = form === 'dissolved' ? (SOLUTION_PCT[species] ?? OTHER_SOLUTION_PCT) : SOLID_PCT;
  return {
    name,
    substanceId,
    labelText: name,
    strength: { value: pct, unit: 'w/w' },
    strengthBand: null,
    others: [],
    size: null,
    price: null,
    container: form === 'dissolved' ? 'bottle' : 'jar',
    group,
    since,
    assayed: false,
    fromBatch: null,
    note: '',
  };
}
