// Sums: what one works out at the bench in a line, outside any batch: crystals, solids, boiling down, drying, clashes, prices.
// Each reads the rest of a line and answers figures; the Reckoner picks the one that a line begins with.

export { absorbVerb } from './absorb-verb.ts';
export { boilOffVerb } from './boil-off.ts';
export { type BufferFromShelf, type BufferPart, bufferFromShelf } from './buffer-from-shelf.ts';
export { bufferVerb } from './buffer-verb.ts';
export { cellHeatVerb, conductivityVerb } from './cell-verbs.ts';
export { clashVerb } from './clash-verb.ts';
export { currentVerb, electronsVerb } from './current-verbs.ts';
export { crystalsVerb, dissolveVerb, solubilityVerb, washVerb } from './dish-verbs.ts';
export { dryVerb } from './dry-verb.ts';
export { esterVerb } from './ester-verb.ts';
export type { Found } from './found.ts';
export { layersVerb } from './layers-verb.ts';
export { metalVerb } from './metal-verb.ts';
export { moistureVerb } from './moisture-verb.ts';
export { priceVerb } from './price-verb.ts';
export { ceilingVerb, hydrateVerb, precipitateVerb, saltOutVerb } from './solid-verbs.ts';
export { azeotropeVerb, boilVerb, cutVerb } from './still-verbs.ts';
export { sublimeVerb } from './sublime-verb.ts';
export { titrateVerb } from './titrate-verb.ts';
export { titreVerb } from './titre-verb.ts';
