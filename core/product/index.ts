// Products: kinds of shop product by the names on their packs, what is in them with its spread, what tells them apart, and how
// one tests them. A name that stands for several comes back as all of them: which one it is, is asked and never chosen.
export { fertilisersBy, type NpkCode, npkIn } from './fertiliser.ts';
export { productNamed, productsIn } from './find.ts';
export { allProducts, holds, type Part, type Product } from './product.ts';
