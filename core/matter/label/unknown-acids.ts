import { listed } from '#base/units';
import { classesOf } from '#matter/guard';
import type { BottleCard } from '#matter/stock';
import type { Substance } from '#matter/substance';
import { productNamed } from './find.ts';
import type { Product } from './product.ts';
import type { ReadStrength } from './read-strength.ts';

/** Mass % of each that a liquid one may hold, from next to none of it; a powder may be all of one. */
const MOST = 30;
/** g/mL of it, about: water with acids and soap. */
export const UNKNOWN_G_PER_ML = 1.05;
const CLASSES = ['acid_strong', 'acid_weak', 'formic_oxalic', 'acidic_salt'];

/** Several acids of which the label gives no strength: what it may be, which stands on the shelf and which no plan takes. */
export interface UnknownAcids {
  readonly product: Product;
  readonly strength: ReadStrength;
  readonly others: BottleCard['others'];
  /** What it is and what would narrow it, one sentence. */
  readonly says: string;
}

/** Whether several acids are named and nothing says how much of each; undefined where it is not so. */
export function unknownAcids(
  substances: readonly Substance[],
  { strengths, isLiquid }: { readonly strengths: readonly ReadStrength[]; readonly isLiquid: boolean },
): UnknownAcids | undefined {
  const product = productNamed('acid cleaner of unknown strength');
  if (!product || strengths.length > 0 || substances.length < 2 || !substances.every(isAcid)) return undefined;
  const half = isLiquid ? MOST / 2 : Math.floor(100 / substances.length);
  return {
    product,
    strength: { value: half, unit: 'w/w', band: half, at: [0, 0], assumed: null },
    others: substances.slice(1).map(({ id }) => ({ substanceId: id, strength: { value: half, unit: 'w/w' } })),
    says: `How much ${listed(substances.map(({ name }) => name))} is in it is not known: 0 to ${2 * half} % of each is taken. What narrows it: ${product.test}.`,
  };
}

const isAcid = ({ id }: Substance) => {
  const classes = classesOf(id, MOST);
  return CLASSES.some((each) => classes.has(each));
};
