import type { BottleCard } from '#core/stock';
import { type SubstanceId, substanceOf } from '#core/substance';

/** Mass % that a bought or made thing is supposed to have, where it is a solution; solids are supposed dry. */
const SOLUTION_PCT: Readonly<Record<string, number>> = {
  'acetic-acid': 8,
  'hydrogen-peroxide': 9,
  ammonia: 9.5,
  'sulfuric-acid': 37,
  'hydrochloric-acid': 28,
};

/** A bottle of what is not there yet. */
export function supposedCard(substanceId: SubstanceId, today: string): BottleCard {
  const { name, form, species } = substanceOf(substanceId);
  const pct = form === 'dissolved' ? (SOLUTION_PCT[species] ?? 30) : 98;
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
    group: 'intermediate',
    since: today,
    assayed: false,
    fromBatch: null,
    note: '',
  };
}
