// Guard: the usual cautions, computed for these amounts in this place, each for the step where it matters.
// They defer to local codes and licensed practice and never say that a thing is safe.
// admit() is the one gate: what is planned and computed here at all, whichever door asks.
export { admit, admitThing, type Deed, describedRefused, type Wanted } from './admit.ts';
export { admitReaction } from './admit-reaction.ts';
export { type Air, isOpen, judgeAir, limitsOf, minutesTo, type Released, shareInRoom } from './air.ts';
export { bandOf, hazardsOf, inBand } from './band.ts';
export { capOfAmount, capProblem, type GasOfBatch, isCapped, overCapOf, type Scale } from './caps.ts';
export { cautionFor } from './caution.ts';
export type { Caution, CautionFacts, Severity } from './caution-facts.ts';
export { type CautionId, cautionIds } from './caution-id.ts';
export { classesOf } from './classes.ts';
export { type Clash, clashesOf, type Meeting, nameOf, type Present, presentShape } from './incompatible.ts';
export { allKeepAways, keepAwayId, keepAwayIn, keepAwayOf } from './keep-away.ts';
export {
  LAW_CHANGES,
  type LawNote,
  type LawQuestion,
  lawOn,
  lawUnchosen,
  legalNotes,
} from './law.ts';
export { materialClashes, quenchSays } from './material.ts';
export { type Meant, meantAt } from './meant.ts';
export { mindWarm } from './mind-warm.ts';
export { presentIn } from './present.ts';
export { firstMoves, type Together, togetherIn } from './together.ts';
