// Stock: what stands on the shelf. A bottle is its card (what the label says) plus its events (used, corrected, archived,
// undone); what is true now is folded from them. contentOf() turns a card into figures: strength in every unit, mass, moles,
// price per mole. parseLabel() reads what a person types off a label, claims each part, and asks about the rest.
export { spiritByVolume } from './as-sold.ts';
export {
  asAssayed,
  type BottleAssay,
  type BottleCard,
  type BottleEvent,
  type BottleEventBody,
  type BottleGroup,
  type BottleState,
  type BottleTest,
  type BottleThen,
  bottleEventBodyShape,
  bottleThenShape,
  CARD_VERSION,
  type Container,
  cardShape,
  containers,
  groups,
  type MeasuredStrength,
  reduceBottle,
  type ShelfBottle,
  type Shelved,
  shelfShape,
  shelvedShape,
  strengthShape,
} from './bottle.ts';
export { Claims } from './claims.ts';
export { type Content, contentOf } from './content.ts';
export { ageingOfBottle, type BottleFace, daysToAssay, faceOf, type KeptWhere, overdueDays } from './face.ts';
export { type GoodFor, goodFor } from './good-for.ts';
export { type LabelReading, parseLabel } from './label.ts';
export { labelUncertainty } from './label-uncertainty.ts';
export { onlyWaterBesides } from './only-water.ts';
export type { Choice, Question } from './question.ts';
export { readSize } from './read-size.ts';
export { readStrength } from './read-strength.ts';
export { readSubstance } from './read-substance.ts';
export { strengthSince } from './strength-since.ts';
export { type AwayFound, type BottleView, type LabelAnswer, labelView, viewOf } from './view.ts';
