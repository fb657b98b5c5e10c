import { unwrap } from '#base/problem';
import { formulaText, parseFormula, type SubstanceId, substanceOf } from '#matter/substance';

export interface ReactionTerm {
  readonly substanceId: SubstanceId;
  /** Positive whole coefficient. */
  readonly n: number;
}

export interface Reaction {
  readonly id: string;
  readonly reactants: readonly ReactionTerm[];
  readonly products: readonly ReactionTerm[];
}

/** Atoms and charge that do not cancel, products minus reactants; empty for a balanced reaction. */
export function imbalance(reaction: Reaction): Readonly<Record<string, number>> {
  const net: Record<string, number> = {};
  const count = (terms: readonly ReactionTerm[], sign: number) => {
    for (const { substanceId, n } of terms) {
      const { elements, charge } = unwrap(parseFormula(substanceOf(substanceId).formula));
      for (const [symbol, atoms] of Object.entries(elements)) net[symbol] = (net[symbol] ?? 0) + sign * n * atoms;
      net.charge = (net.charge ?? 0) + sign * n * charge;
    }
  };
  count(reaction.reactants, -1);
  count(reaction.products, 1);
  return Object.fromEntries(Object.entries(net).filter(([, left]) => left !== 0));
}

/** “Zn + H₂SO₄ → ZnSO₄ + H₂”. */
export function reactionText(reaction: Reaction): string {
  const side = (terms: readonly ReactionTerm[]) =>
    terms
      .map(({ substanceId, n }) => `${n === 1 ? '' : `${n} `}${formulaText(substanceOf(substanceId).formula)}`)
      .join(' + ');
  return `${side(reaction.reactants)} → ${side(reaction.products)}`;
}
