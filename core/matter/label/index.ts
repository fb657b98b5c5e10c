// Label: what a person types off a pack becomes a card. parseLabel() claims each part of the line and asks about the rest;
// product rows are kinds of shop product by the names on their packs, with what is in them and its spread. A name that stands
// for several comes back as all of them: which one it is, is asked and never chosen.
export { spiritByVolume } from './as-sold.ts';
export { Claims } from './claims.ts';
export { productNamed, productsIn } from './find.ts';
export { type LabelReading, parseLabel } from './label.ts';
export type { Product } from './product.ts';
export type { Choice, Question } from './question.ts';
export { readSize } from './read-size.ts';
export { readStrength } from './read-strength.ts';
export { readSubstance } from './read-substance.ts';
export { type AwayFound, type BottleView, type LabelAnswer, labelView, viewOf } from './view.ts';
