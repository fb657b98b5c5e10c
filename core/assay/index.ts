// Assay: the pH of a solution of one substance, by charge balance over its protonation steps; and colours of photos
// compared between attempts under a grey card.
export { colourDifference, hexOf, labOf, type Rgb, rgbOf, underGreyCard } from './grey-card.ts';
export { type PhAnswer, phOf } from './ph.ts';
