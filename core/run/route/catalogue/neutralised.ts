import type { SubstanceId } from '#matter/substance';
import type { Route } from '../route.ts';

type Metal = 'potassium' | 'sodium';
type Term = Route['reactions'][number]['reactants'][number];

interface Acid {
  readonly id: SubstanceId;
  readonly protons: number;
  readonly salts: (metal: Metal, n: number) => readonly Term[];
}

/** Strong acids that are in the flask at the end: how many protons each gives up, and as what salt. */
const strong: readonly Acid[] = [
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
];

/** The acid that an ester is made of, and its salts: with sodium alone where no other is held. */
const weak = {
  formic: {
    id: 'formic-acid',
    protons: 1,
    salts: (metal, n) => [{ substanceId: `${metal}-formate`, n }],
  },
  acetic: {
    id: 'acetic-acid',
    protons: 1,
    salts: (metal, n) => [{ substanceId: `${metal}-acetate`, n }],
  },
  salicylic: { id: 'salicylic-acid', protons: 1, salts: (_, n) => [{ substanceId: 'sodium-salicylate', n }] },
} as const satisfies Readonly<Record<string, Acid>>;

/** What takes up what is left of an ester’s acids: either carbonate of these metals, with its gas. The weak acid last: base takes the strong ones first. */
export function neutralised(
  acid: keyof typeof weak,
  metals: readonly Metal[] = ['potassium', 'sodium'],
): Route['reactions'] {
  return metals.flatMap((metal) =>
    [...strong, weak[acid]].flatMap(({ id, protons, salts }) =>
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
}
