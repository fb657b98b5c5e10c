import { keyOf, type Named, NameIndex } from '#matter/substance';
import { allProducts, type Product } from './product.ts';

const byName = new NameIndex<readonly Product[]>();
for (const product of allProducts) byName.set(keyOf(product.name), [product]);
const alone = new Set(byName.keys());
for (const product of allProducts) {
  called(product, withoutStrength(product.name));
  for (const name of product.also) called(product, withoutStrength(name));
}

/** A name that ends in its strength is a name with any other strength too. */
function withoutStrength(name: string): string {
  const key = keyOf(name);
  const without = key.replace(/ \d[\d.,]*(?: ?%| vol(?:ume)?)?$/u, '');
  return /\p{L}{5}/u.test(without) ? without : key;
}

function called(product: Product, key: string): void {
  // The generic name of one is no other's trade name.
  if (alone.has(key) || key.length < 2) return;
  const before = byName.get(key) ?? [];
  if (!before.includes(product)) byName.set(key, [...before, product]);
}

/** The product names that stand in a text of common spelling, each with every product that is sold under it. */
export function productsIn(text: string): readonly Named<readonly Product[]>[] {
  return byName.in(text);
}

/** The product of a generic name. */
export function productNamed(name: string): Product | undefined {
  return byName.get(keyOf(name))?.find((each) => each.name === name);
}
