import {
  type Acid,
  acidSalts,
  ammoniums,
  type Base,
  bases,
  lyes,
  saltsOfWeakAcids,
  strongAcids,
  weakAcids,
} from './acids-and-bases.ts';
import type { Reaction, ReactionTerm } from './reaction.ts';
import { saltFrom } from './salt.ts';

/**
 * Reactions that go at once and to their end when their parts meet in water, in the order in which they do: strong acids
 * before weak ones, lye before carbonates, these before the salts of weak acids. Of every acid with every base of the record;
 * a salt of theirs that no record holds is known by its formula alone.
 */
export function sideReactions(): readonly Reaction[] {
  known ??= all();
  return known;
}

/** Halves and thirds of a salt are at most what two and three ions make of one. */
const WHOLE = 6;

let known: readonly Reaction[] | undefined;

function all(): readonly Reaction[] {
  const met = (acids: readonly Acid[], others: readonly Base[]) =>
    acids.flatMap((acid) => others.flatMap((base) => meeting(acid, base) ?? []));
  const strong = [...strongAcids(), ...acidSalts('HSO4-', 'SO4 2-')];
  const [every, lye] = [bases(), lyes()];
  return [
    ...met(strong, every),
    ...met(weakAcids(), every),
    ...met(strong, saltsOfWeakAcids()),
    ...met(acidSalts('HCO3-', 'CO3 2-'), lye),
    ...met(ammoniums(), lye),
    ...BASIC_CARBONATES,
  ];
}

/** A zinc salt with soda gives the basic carbonate, not the plain one. */
const BASIC_CARBONATES: readonly Reaction[] = [
  reaction(
    [part('zinc-sulfate', 5), part('sodium-carbonate', 5), part('water', 3)],
    [part('basic-zinc-carbonate', 1), part('sodium-sulfate', 5), part('carbon-dioxide', 3)],
  ),
  reaction(
    [part('zinc-sulfate', 5), part('sodium-hydrogencarbonate', 10)],
    [part('basic-zinc-carbonate', 1), part('sodium-sulfate', 5), part('carbon-dioxide', 8), part('water', 2)],
  ),
];

function part(substanceId: ReactionTerm['substanceId'], n: number): ReactionTerm {
  return { substanceId, n };
}

/** An acid with a base, balanced; undefined where their salt is of ions that are not known. */
function meeting(acid: Acid, base: Base): Reaction | undefined {
  const [x, y] = [base.takes, acid.protons];
  const cations = new Map<string, number>();
  for (const [of, times] of [[acid, x] as const, [base, y] as const])
    for (const [ion, n] of of.cations) cations.set(ion, (cations.get(ion) ?? 0) + times * n);
  const products = new Map<ReactionTerm['substanceId'], number>();
  const make = (id: ReactionTerm['substanceId'], n: number) => products.set(id, (products.get(id) ?? 0) + n);
  for (const [cation, n] of cations) {
    const salt = saltFrom(cation, acid.anion);
    if (!salt) return undefined;
    make(salt.id, n / salt.cations);
  }
  for (const { substanceId, n } of acid.gives) make(substanceId, x * n);
  for (const { substanceId, n } of base.gives) make(substanceId, y * n);
  return reaction(
    [part(acid.id, x), part(base.id, y)],
    [...products].map(([id, n]) => part(id, n)),
  );
}

/** In whole numbers as small as can be. */
function reaction(reactants: readonly ReactionTerm[], products: readonly ReactionTerm[]): Reaction {
  const common = [...reactants, ...products].map(({ n }) => Math.round(n * WHOLE)).reduce(gcd);
  const small = (terms: readonly ReactionTerm[]) =>
    terms.map(({ substanceId, n }) => part(substanceId, Math.round(n * WHOLE) / common));
  const id = `side: ${reactants.map(({ substanceId }) => substanceId).join(' + ')}`;
  return { id, reactants: small(reactants), products: small(products) };
}

function gcd(a: number, b: number): number {
  return b === 0 ? a : gcd(b, a % b);
}
