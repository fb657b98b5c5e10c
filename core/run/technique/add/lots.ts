import { type Figure, given } from '#base/figure';
import type { Content } from '#matter/stock';
import { substanceOf } from '#matter/substance';
import type { Product } from '#matter/vessel';
import type { ActualAddition, Facts } from '../facts.ts';
import { massOfReading } from './mass.ts';

/** Something that went in, as what its own bottle holds. */
export interface Lot {
  /** Undefined for water. */
  readonly content: Content | undefined;
  readonly name: string;
  readonly mass: Figure;
}

/** What went in for a role, each lot as what its own bottle holds. */
export function lotsOf(facts: Facts, additions: readonly ActualAddition[], role: string): readonly Lot[] {
  return additions
    .filter((each) => each.role === role)
    .flatMap((each) => {
      const content = contentFor(facts, each);
      const name = nameFor(facts, each);
      const mass = massOfReading(each.reading, { name, content, water: facts.water, bench: facts.bench });
      return mass ? [{ content, name, mass }] : [];
    });
}

/** The bottle's content for an addition: of its role, of the bottle as it stood when it was added, or none: water. */
export function contentFor(facts: Facts, { role, bottleId, stock }: ActualAddition): Content | undefined {
  const own = role === null ? undefined : facts.bottles[role];
  const planned = role === null ? undefined : facts.contents[role];
  // A bottle is what its card says, whatever role it was charged under.
  if (stock && (bottleId !== own || stock.card.substanceId !== planned?.substance.id))
    return facts.contentThen(bottleId ?? 'bottle', stock);
  const other = bottleId === null || bottleId === own ? undefined : roleOfBottle(facts, bottleId);
  if (other) return facts.contents[other];
  return planned;
}

export function nameFor(facts: Facts, { role, bottleId, stock }: ActualAddition): string {
  if (stock) return stock.card.name;
  const by = role ?? roleOfBottle(facts, bottleId);
  return by ? (facts.names[by] ?? by) : 'water';
}

function roleOfBottle({ bottles }: Facts, bottleId: string | null): string | undefined {
  return bottleId === null ? undefined : Object.entries(bottles).find(([, id]) => id === bottleId)?.[0];
}

/** Water from the tap or the can. */
export function plainWater(): Product {
  const w = given({ symbol: 'w', name: 'water', unit: '%' }, 100, 'water');
  return { substance: substanceOf('water'), w, dissolved: true, name: 'water' };
}
