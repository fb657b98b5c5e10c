import type { Route } from '../route.ts';

/** Nitrite and metabisulfite join, potassium takes the place of sodium, water splits it. */
export const byWayOfTheDisulfonate: Route['reactions'] = [
  ...(['sodium', 'potassium'] as const).map((metal) => ({
    id: `join-${metal}`,
    reactants: [
      { substanceId: `${metal}-nitrite` as const, n: 1 },
      { substanceId: 'sodium-metabisulfite' as const, n: 1 },
      { substanceId: 'acetic-acid' as const, n: 1 },
    ],
    products: [
      { substanceId: 'sodium-hydroxylamine-disulfonate' as const, n: 1 },
      { substanceId: `${metal}-acetate` as const, n: 1 },
    ],
  })),
  {
    id: 'exchange',
    reactants: [
      { substanceId: 'sodium-hydroxylamine-disulfonate', n: 1 },
      { substanceId: 'potassium-chloride', n: 2 },
    ],
    products: [
      { substanceId: 'potassium-hydroxylamine-disulfonate', n: 1 },
      { substanceId: 'sodium-chloride', n: 2 },
    ],
  },
  {
    id: 'split',
    reactants: [
      { substanceId: 'potassium-hydroxylamine-disulfonate', n: 1 },
      { substanceId: 'water', n: 2 },
    ],
    products: [
      { substanceId: 'hydroxylammonium-hydrogensulfate', n: 1 },
      { substanceId: 'potassium-sulfate', n: 1 },
    ],
  },
];
