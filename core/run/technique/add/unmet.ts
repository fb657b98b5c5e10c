import { add, at, holding, type Place, type Vessels } from '#matter/vessel';
import type { ActualAddition, Facts } from '../facts.ts';
import { contentFor, nameFor, plainWater } from './lots.ts';
import { massOfReading } from './mass.ts';

/** Vessels with what was poured in, as if nothing of it had met yet: what may come of it, before anything has. */
export function unmet(
  vessels: Vessels,
  additions: readonly ActualAddition[],
  { facts, place }: { readonly facts: Facts; readonly place: Place },
): Vessels {
  return additions.reduce((all, each) => {
    const content = contentFor(facts, each);
    if (each.bottleId !== null && !content) return all;
    const name = nameFor(facts, each);
    const mass = massOfReading(each.reading, { name, content, water: facts.water, bench: facts.bench });
    if (!mass) return all;
    const into = each.in ?? place;
    return holding(all, into, add(at(all, into), content ? { ...content, name } : plainWater(), mass).contents);
  }, vessels);
}
