// Stock: what stands on the shelf. A bottle is its card (what the label says) plus its events (used, corrected, archived,
// undone); what is true now is folded from them. contentOf() turns a card into figures: strength in every unit, mass, moles,
// price per mole; ageingOf() follows a strength from the day it was bought or assayed on; keepingOf() says how a reagent keeps.
export {
  type Ageing,
  type AgeingPoint,
  type Keeping,
  strengthAfter,
} from './ageing.ts';
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
export { type Content, contentOf } from './content.ts';
export { ageingOfBottle, type BottleFace, daysToAssay, faceOf, type KeptWhere, overdueDays } from './face.ts';
export { type GoodFor, goodFor } from './good-for.ts';
export { type Kept, keepingOf } from './keeping.ts';
export { labelUncertainty } from './label-uncertainty.ts';
export { onlyWaterBesides } from './only-water.ts';
export { strengthSince } from './strength-since.ts';
