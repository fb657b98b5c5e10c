import { fields, flag, list, note, nullable, number, type Of, one, optional, span, text } from '#base/shape';
import { cautionIds } from '#matter/guard';
import { addingShape, opShape, recipeShape } from '#run/technique';

/** A step of a route. Its sentences may hold {quantity} names, filled from the sheet, and [parts] left out without theirs. */
export const stepShape = fields({
  id: text(60),
  title: text(200),
  act: note(1000),
  until: note(400),
  expect: note(400),
  trouble: note(1000),
  why: note(600),
  skipCosts: note(400),
  op: opShape,
  timer: nullable(fields({ name: text(80), minutes: number({ moreThan: 0, max: 525_600 }) })),
  leave: fields({ alone: flag(), lookEveryMin: nullable(number({ moreThan: 0, max: 525_600 })), reason: note(300) }),
  where: one('anywhere', 'ventilated', 'outdoors'),
  cautions: list(one(...cautionIds), 20),
  ceilingC: nullable(number({ min: -50, max: 1500 })),
  /** For a reagent added in portions, or one that is slow. */
  adding: nullable(addingShape),
  /** Hands-on minutes, for planning. */
  handsOnMin: number({ min: 0, max: 100_000 }),
  /** Waiting, hours, least and most. */
  waitH: span({ min: 0, max: 100_000 }),
  /** Steps that must be done first; empty means the one before it. */
  after: list(text(60), 20),
  /** The step belongs to a method: it stands only while this control is under one mark, or at another or above it. */
  only: nullable(fields({ control: text(40), under: optional(number()), from: optional(number()) })),
});
export type StepTemplate = Of<typeof stepShape>;

/** How a reagent is made, as data. */
export const routeShape = fields({
  id: text(80),
  title: text(200),
  summary: note(800),
  source: note(400),
  ...recipeShape,
  byProducts: list(fields({ name: text(120), keep: note(400) }), 20),
  identity: list(fields({ test: text(300), sight: text(300) }), 20),
  storage: note(600),
  steps: list(stepShape, 60, 1),
});
export type Route = Of<typeof routeShape>;

/** The steps of a route at its controls: those of a method that is not chosen are left out. */
export function stepsAt(
  { steps }: Pick<Route, 'steps'>,
  controls: Readonly<Record<string, number>>,
): readonly StepTemplate[] {
  return steps.filter(({ only }) => {
    const set = only && controls[only.control];
    // A plan older than the control has not chosen the method.
    if (!only) return true;
    return (
      set !== undefined &&
      set !== null &&
      set < (only.under ?? Number.POSITIVE_INFINITY) &&
      set >= (only.from ?? Number.NEGATIVE_INFINITY)
    );
  });
}
