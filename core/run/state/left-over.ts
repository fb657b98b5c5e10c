import type { BottleCard } from '#matter/stock';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import { type Contents, contentsMass, entriesOf } from '#matter/vessel';

/** Less than this, mass %, is not told beside the rest. */
const LEAST_PCT = 0.05;

/**
 * What else is dissolved in a solution besides its own substance, for its label: acid left over, a salt that came along. Most
 * of it first.
 */
export function leftOverIn(contents: Contents, own: SubstanceId): BottleCard['others'] {
  const all = contentsMass(contents);
  if (!(all > 0)) return [];
  return entriesOf(contents.aqueous)
    .filter(([id]) => id !== own)
    .map(([id, n]) => ({ id, pct: (100 * n.value * molarMass(substanceOf(id).formula)) / all }))
    .filter(({ pct }) => pct >= LEAST_PCT)
    .sort((a, b) => b.pct - a.pct)
    .slice(0, 5)
    .map(({ id, pct }) => ({ substanceId: id, strength: { value: Number(pct.toPrecision(3)), unit: 'w/w' } }));
}
