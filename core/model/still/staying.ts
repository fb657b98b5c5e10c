import { molarMass, substanceById } from '#matter/substance';
import { NOTHING_STAYS, type Staying } from './solutes.ts';

/** Particles that a mol of a salt falls into, at most three count: strong salts pair up. */
function particlesOf(id: string): number {
  const ions = substanceById(id)?.ions ?? [];
  const count = ions.reduce((sum, [, n]) => sum + n, 0);
  return count > 0 ? Math.min(3, count) : 1;
}

/** What stays in the flask of so many mol of these. Sulfuric acid is told apart. */
export function stayingOf(amounts: readonly (readonly [id: string, mol: number])[]): Staying {
  let { sulfuric, particles, grams } = NOTHING_STAYS;
  for (const [id, mol] of amounts) {
    const substance = substanceById(id);
    if (!substance || !(mol > 0)) continue;
    grams += mol * molarMass(substance.formula);
    if (id === 'sulfuric-acid') sulfuric += mol;
    else particles += mol * particlesOf(id);
  }
  return { sulfuric, particles, grams };
}
