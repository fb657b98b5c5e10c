import type { RecordId } from '#matter/substance';
import type { Reaction, ReactionTerm } from './reaction.ts';

type Side = Readonly<Partial<Record<RecordId, number>>>;

/**
 * Reactions that go at once and to their end when their parts meet in water, in the order in which they do: strong acids
 * before weak ones, acids before salts.
 */
export const sideReactions: readonly Reaction[] = [
  reaction({ 'sulfuric-acid': 1, 'sodium-hydroxide': 2 }, { 'sodium-sulfate': 1, water: 2 }),
  reaction({ 'hydrochloric-acid': 1, 'sodium-hydroxide': 1 }, { 'sodium-chloride': 1, water: 1 }),
  reaction({ 'sulfuric-acid': 1, ammonia: 2 }, { 'ammonium-sulfate': 1 }),
  reaction({ 'hydrochloric-acid': 1, ammonia: 1 }, { 'ammonium-chloride': 1 }),
  reaction({ 'sulfuric-acid': 1, 'sodium-carbonate': 1 }, { 'sodium-sulfate': 1, 'carbon-dioxide': 1, water: 1 }),
  reaction(
    { 'sulfuric-acid': 1, 'sodium-hydrogencarbonate': 2 },
    { 'sodium-sulfate': 1, 'carbon-dioxide': 2, water: 2 },
  ),
  reaction({ 'sulfuric-acid': 1, 'potassium-carbonate': 1 }, { 'potassium-sulfate': 1, 'carbon-dioxide': 1, water: 1 }),
  reaction({ 'hydrochloric-acid': 2, 'sodium-carbonate': 1 }, { 'sodium-chloride': 2, 'carbon-dioxide': 1, water: 1 }),
  reaction(
    { 'hydrochloric-acid': 1, 'sodium-hydrogencarbonate': 1 },
    { 'sodium-chloride': 1, 'carbon-dioxide': 1, water: 1 },
  ),
  reaction(
    { 'hydrochloric-acid': 2, 'potassium-carbonate': 1 },
    { 'potassium-chloride': 2, 'carbon-dioxide': 1, water: 1 },
  ),
  reaction(
    { 'hydrochloric-acid': 2, 'calcium-carbonate': 1 },
    { 'calcium-chloride': 1, 'carbon-dioxide': 1, water: 1 },
  ),
  reaction({ 'sulfuric-acid': 5, 'basic-zinc-carbonate': 1 }, { 'zinc-sulfate': 5, 'carbon-dioxide': 2, water: 8 }),
  reaction(
    { 'hydrochloric-acid': 10, 'basic-zinc-carbonate': 1 },
    { 'zinc-chloride': 5, 'carbon-dioxide': 2, water: 8 },
  ),
  reaction({ 'sulfuric-acid': 1, 'zinc-oxide': 1 }, { 'zinc-sulfate': 1, water: 1 }),
  reaction({ 'hydrochloric-acid': 2, 'zinc-oxide': 1 }, { 'zinc-chloride': 1, water: 1 }),
  reaction({ 'acetic-acid': 1, 'sodium-hydroxide': 1 }, { 'sodium-acetate': 1, water: 1 }),
  reaction({ 'acetic-acid': 2, 'sodium-carbonate': 1 }, { 'sodium-acetate': 2, 'carbon-dioxide': 1, water: 1 }),
  reaction({ 'acetic-acid': 1, 'sodium-hydrogencarbonate': 1 }, { 'sodium-acetate': 1, 'carbon-dioxide': 1, water: 1 }),
  reaction({ 'acetic-acid': 2, 'calcium-carbonate': 1 }, { 'calcium-acetate': 1, 'carbon-dioxide': 1, water: 1 }),
  reaction({ 'sulfuric-acid': 1, 'sodium-acetate': 2 }, { 'sodium-sulfate': 1, 'acetic-acid': 2 }),
  reaction({ 'hydrochloric-acid': 1, 'sodium-acetate': 1 }, { 'sodium-chloride': 1, 'acetic-acid': 1 }),
  reaction({ 'sodium-hydroxide': 1, 'sodium-hydrogencarbonate': 1 }, { 'sodium-carbonate': 1, water: 1 }),
  reaction(
    { 'zinc-sulfate': 5, 'sodium-carbonate': 5, water: 3 },
    { 'basic-zinc-carbonate': 1, 'sodium-sulfate': 5, 'carbon-dioxide': 3 },
  ),
  reaction(
    { 'zinc-sulfate': 5, 'sodium-hydrogencarbonate': 10 },
    { 'basic-zinc-carbonate': 1, 'sodium-sulfate': 5, 'carbon-dioxide': 8, water: 2 },
  ),
];

function reaction(reactants: Side, products: Side): Reaction {
  const id = `side: ${Object.keys(reactants).join(' + ')}`;
  return { id, reactants: terms(reactants), products: terms(products) };
}

function terms(side: Side): ReactionTerm[] {
  return Object.entries(side).map(([substanceId, n]) => ({ substanceId: substanceId as RecordId, n }));
}
