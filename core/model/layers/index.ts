// Layers: two liquids in a funnel. layers() says what is in which, which is above, what washes take, which base serves, and
// parts alcohols and acetone from water by salt; part(), onTop(), leftAfter() and basesFor() are what it is made of.
export { type BaseChoice, basesFor } from './bases.ts';
export { type LayersAnswer, type LayersInput, layers, layersShape, type Shared } from './layers.ts';
export { type OnTop, onTop } from './on-top.ts';
export { type Layer, type Liquor, mutualOf, type Parted, part } from './parting.ts';
export { type SaltedLayers, saltingOf, saltLayers } from './salting.ts';
export { distributionOf, leftAfter, shareIn, unionised } from './shares.ts';
