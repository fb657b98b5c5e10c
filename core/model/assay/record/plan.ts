import { day, fields, flag, list, nullable, number, type Of, text } from '#base/shape';
import { benchShape } from '#matter/gear';
import { shelvedShape } from '#matter/stock';

/** How an assay is to be made: which bottle, by which method, with what, how much. Bottles stand as they were then. */
export const assayPlanShape = fields({
  id: text(60),
  /** What is assayed. */
  bottle: shelvedShape,
  methodId: text(40),
  /** The bottle's liquid stands in the burette, and something known is weighed into the flask: that is how a titrant is standardised. */
  turned: flag(),
  /** Solutions (or a weighed standard) of known strength, in the method's order. */
  known: list(shelvedShape, 2),
  /** Titrant counted on the balance, out of a dropper bottle; by the burette's marks otherwise. */
  byMass: flag(),
  /** g to weigh into the flask; what is weighed in fact is read. */
  sampleG: number({ moreThan: 0, max: 5000 }),
  /** So many grams of the bottle, diluted to so many, of which the sample is weighed. */
  dilution: nullable(fields({ weighG: number({ moreThan: 0, max: 5000 }), toG: number({ moreThan: 0, max: 50_000 }) })),
  /** Row of the indicator, where it is not the method's own. */
  indicator: nullable(text(40)),
  /** What one wants to be sure to, ± % of the strength. */
  tolerancePct: number({ moreThan: 0, max: 100 }),
  bench: benchShape,
  /** ISO day on which it is made. */
  day: day(),
});
export type AssayPlan = Of<typeof assayPlanShape>;

/** Version of plans and entries of assays as they are stored. */
export const ASSAY_VERSION = 1;
