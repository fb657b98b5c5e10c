import type { Reaction, ReactionTerm } from './reaction.ts';

// What happens at once, unasked, when acids, bases and salts meet in water. Strong acids before weak ones, acids before salts.
const ROWS: readonly string[] = [
  'sulfuric-acid + 2 sodium-hydroxide > sodium-sulfate + 2 water',
  'hydrochloric-acid + sodium-hydroxide > sodium-chloride + water',
  'sulfuric-acid + 2 ammonia > ammonium-sulfate',
  'hydrochloric-acid + ammonia > ammonium-chloride',
  'sulfuric-acid + sodium-carbonate > sodium-sulfate + carbon-dioxide + water',
  'sulfuric-acid + 2 sodium-hydrogencarbonate > sodium-sulfate + 2 carbon-dioxide + 2 water',
  'sulfuric-acid + potassium-carbonate > potassium-sulfate + carbon-dioxide + water',
  '2 hydrochloric-acid + sodium-carbonate > 2 sodium-chloride + carbon-dioxide + water',
  'hydrochloric-acid + sodium-hydrogencarbonate > sodium-chloride + carbon-dioxide + water',
  '2 hydrochloric-acid + potassium-carbonate > 2 potassium-chloride + carbon-dioxide + water',
  '2 hydrochloric-acid + calcium-carbonate > calcium-chloride + carbon-dioxide + water',
  '5 sulfuric-acid + basic-zinc-carbonate > 5 zinc-sulfate + 2 carbon-dioxide + 8 water',
  '10 hydrochloric-acid + basic-zinc-carbonate > 5 zinc-chloride + 2 carbon-dioxide + 8 water',
  'sulfuric-acid + zinc-oxide > zinc-sulfate + water',
  '2 hydrochloric-acid + zinc-oxide > zinc-chloride + water',
  'acetic-acid + sodium-hydroxide > sodium-acetate + water',
  '2 acetic-acid + sodium-carbonate > 2 sodium-acetate + carbon-dioxide + water',
  'acetic-acid + sodium-hydrogencarbonate > sodium-acetate + carbon-dioxide + water',
  '2 acetic-acid + calcium-carbonate > calcium-acetate + carbon-dioxide + water',
  'sulfuric-acid + 2 sodium-acetate > sodium-sulfate + 2 acetic-acid',
  'hydrochloric-acid + sodium-acetate > sodium-chloride + acetic-acid',
  'sodium-hydroxide + sodium-hydrogencarbonate > sodium-carbonate + water',
  '5 zinc-sulfate + 5 sodium-carbonate + 3 water > basic-zinc-carbonate + 5 sodium-sulfate + 3 carbon-dioxide',
  '5 zinc-sulfate + 10 sodium-hydrogencarbonate > basic-zinc-carbonate + 5 sodium-sulfate + 8 carbon-dioxide + 2 water',
];

/** Reactions that go at once and to their end when their parts meet in water, in the order in which they do. */
export const sideReactions: readonly Reaction[] = ROWS.map((row) => {
  const [reactants = '', products = ''] = row.split(' > ');
  return { id: `side: ${row}`, reactants: terms(reactants), products: terms(products) };
});

function terms(side: string): ReactionTerm[] {
  return side.split(' + ').map((term) => {
    const [, n, substanceId = ''] = /^(?:(\d+) )?(\S+)$/.exec(term) ?? [];
    return { substanceId, n: Number(n ?? 1) };
  });
}
