// Assay: how strong a bottle is, found by measuring; and colours of photos compared between attempts under a grey card.
export { colourDifference, hexOf, labOf, type Rgb, rgbOf, underGreyCard } from './grey-card.ts';
