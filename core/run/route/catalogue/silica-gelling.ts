import type { Reaction } from '#matter/reaction';
import type { SubstanceId } from '#matter/substance';

const gel = (acidId: SubstanceId, saltId: SubstanceId, n: number): readonly Reaction[] => [
  {
    id: `alkali-${acidId}`,
    reactants: [
      { substanceId: 'sodium-hydroxide', n: 2 },
      { substanceId: acidId, n },
    ],
    products: [
      { substanceId: saltId, n },
      { substanceId: 'water', n: 2 },
    ],
  },
  {
    id: `gel-${acidId}`,
    reactants: [
      { substanceId: 'sodium-silicate', n: 1 },
      { substanceId: acidId, n },
    ],
    products: [
      { substanceId: 'silica-gel', n: 1 },
      { substanceId: saltId, n },
      { substanceId: 'water', n: 1 },
    ],
  },
];

/** Acid into water glass: the lye left in it first, then the gel. */
export const GELS = [...gel('hydrochloric-acid', 'sodium-chloride', 2), ...gel('sulfuric-acid', 'sodium-sulfate', 1)];
