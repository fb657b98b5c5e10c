import type { SubstanceId } from '#core/substance';
import type { Route } from '../route.ts';

const metals = ['potassium', 'sodium'] as const;
type Metal = (typeof metals)[number];
type Term = Route['reactions'][number]['reactants'][number];

/** Acids that are in the flask at the end: how many of them give up a whole number of pairs of protons, and as what salt. */
const acids: readonly {
  readonly id: SubstanceId;
  readonly protons: number;
  readonly salts: (metal: Metal, n: number) => readonly Term[];
}[] = [
  { id: 'hydrochloric-acid', protons: 1, salts: (metal, n) => [{ substanceId: `${metal}-chloride`, n }] },
  { id: 'sulfuric-acid', protons: 2, salts: (metal, n) => [{ substanceId: `${metal}-sulfate`, n }] },
  {
    id: 'sodium-hydrogensulfate',
    protons: 1,
    salts: (metal, n) =>
      metal === 'sodium'
        ? [{ substanceId: 'sodium-sulfate', n }]
        : [
            { substanceId: 'sodium-sulfate', n: n / 2 },
            { substanceId: 'potassium-sulfate', n: n / 2 },
          ],
  },
  // The weak one last: base takes the strong ones first.
  { id: 'formic-acid', protons: 1, salts: (metal, n) => [{ substanceId: `${metal}-formate`, n }] },
];

/** What takes each of them up: either carbonate of either metal, with its gas. */
export const neutralised = metals.flatMap((metal) =>
  acids.flatMap(({ id, protons, salts }) =>
    (['hydrogencarbonate', 'carbonate'] as const).map((base) => {
      const n = protons === 2 ? 1 : 2;
      const bases = base === 'carbonate' ? 1 : 2;
      return {
        id: `${metal}-${base}-${id}`,
        reactants: [
          { substanceId: id, n },
          { substanceId: `${metal}-${base}` as const, n: bases },
        ],
        products: [
          ...salts(metal, n),
          { substanceId: 'carbon-dioxide' as const, n: bases },
          { substanceId: 'water' as const, n: bases },
        ],
      };
    }),
  ),
);
