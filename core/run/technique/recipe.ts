import { fields, list, note, nullable, number, type Of, one, optional, tagged, text } from '#base/shape';
import { substance } from '#matter/substance';
import { vesselNames } from '#matter/vessel';

// What a recipe says besides its steps: who plays which role, in what dose, what reacts, what can be set.

const key = () => text(40);

/** How much of a role goes in. Water is found from what it dilutes; the rest from the extent of reaction. */
export const doseShape = tagged('by', {
  extent: {
    perExtent: number({ min: 0.001, max: 1000 }),
    /** For another substance in the role, where it reacts in another ratio. */
    others: optional(list(fields({ substanceId: substance(), perExtent: number({ min: 0.001, max: 1000 }) }), 10)),
    excessControl: optional(key()),
  },
  'dilute-to': { role: key(), control: key() },
  'share-of-water': { control: key() },
  /** Water that dissolves a role at a temperature, with some to spare; the water that is in already counts. */
  'to-dissolve': { role: key(), control: key(), spare: key() },
  /** So many g for each 100 g that a role brings. */
  'per-gram': { role: key(), control: key() },
  /** A drying agent for the water of the liquid that stands in the step’s vessel, times so much to spare. */
  'to-dry': { spare: key() },
  /** For these reactions to go to their end with what is in the vessel then, or in `of`, whatever that is. */
  contents: { reactions: list(text(60), 20, 1), excessControl: optional(key()), of: optional(one(...vesselNames)) },
});
export type DoseRule = Of<typeof doseShape>;

export const roleShape = fields({
  id: key(),
  /** Lower case, as in a sentence: “acid”. */
  name: text(80),
  /** Substances that a bottle may hold. Empty for plain water, which needs no bottle. */
  accepts: list(substance(), 40),
  /** Why a bottle that looks right is not. */
  refuses: list(fields({ substanceId: substance(), why: text(400) }), 40),
  tolerates: note(400),
  measure: one('mass', 'volume'),
  dose: doseShape,
});
export type Role = Of<typeof roleShape>;

export const controlShape = fields({
  id: key(),
  name: text(80),
  unit: note(40),
  min: number(),
  max: number(),
  step: number({ moreThan: 0 }),
  start: number(),
  /** What moving it costs or brings, one sentence. */
  note: note(400),
  /** What its whole numbers from `min` on stand for, where it is a choice and no amount. */
  choices: optional(list(text(60), 10, 2)),
});
export type Control = Of<typeof controlShape>;

const term = fields({ substanceId: substance(), n: number({ moreThan: 0, max: 100 }) });
export const reactionShape = fields({ id: text(60), reactants: list(term, 10, 1), products: list(term, 10, 1) });

/**
 * A solution: of what a role brings, or of `substanceId`, which the reactions make of it. One solid: crystals, or a
 * precipitate (whose species is itself). Or the liquid that stands in a vessel at the end, as strong as it came: `substanceId`
 * is what counts in it.
 */
export const makesShape = tagged('kind', {
  solution: { role: key(), substanceId: optional(substance()) },
  liquid: { role: key(), substanceId: substance(), vessel: one(...vesselNames) },
  solid: {
    substanceId: substance(),
    anhydrousId: substance(),
    /** Other names it is asked for by. */
    also: optional(list(substance(), 10)),
  },
});
export type Makes = Of<typeof makesShape>;

/** How an addition behaves: how fast it reacts, how it foams, and what tells that it is enough. */
export const addingShape = fields({
  /** Minutes in which half of what is in reacts; grade C, by the eye of those who did it. */
  halfLifeMin: number({ moreThan: 0, max: 100_000 }),
  /** mL of foam that a mL of gas raises when it comes at once. */
  foamPerGas: number({ min: 0, max: 10 }),
  /** What is seen when it is enough. */
  endpoint: text(300),
  /** What a look tells, not yet and enough, when it is not fizzing. */
  sights: optional(fields({ notYet: text(120), enough: text(120) })),
  /** Where test paper tells how near it is: the pH at which it is enough, and whether it rises to it or falls. */
  pH: optional(fields({ at: number({ min: 0, max: 14 }), goes: one('up', 'down') })),
  /** What too much of it costs; names of quantities in braces. */
  overshoot: note(400),
});
export type Adding = Of<typeof addingShape>;

const recipeFields = {
  makes: makesShape,
  roles: list(roleShape, 20, 1),
  reactions: list(reactionShape, 40),
  controls: list(controlShape, 30),
  /** Loss of crystals to rinse and liquor, %, with its standard uncertainty; and the g that paper and vessel keep of any batch. */
  handling: nullable(
    fields({
      lossPct: number({ min: 0, max: 100 }),
      sdPct: number({ min: 0, max: 100 }),
      holdG: optional(number({ min: 0, max: 1000 })),
    }),
  ),
  /** Height of foam as a share of the liquid when added as the steps say; 0 for none. */
  foamShare: number({ min: 0, max: 10 }),
  drying: nullable(fields({ ceilingC: number({ min: -20, max: 1000 }), short: text(120), why: text(400) })),
};
export const recipeShape = recipeFields;
const recipe = fields(recipeFields);
export type Recipe = Of<typeof recipe>;
