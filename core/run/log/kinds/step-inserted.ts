import { fields, flag, id, note, nullable, number, one, optional, text } from '#base/shape';
import { entryKind } from '../entry-kind.ts';
import { stepKey } from '../step-key.ts';

/** A step that the plan does not have: put between its neighbour and the next, or beside it. */
export const stepInserted = entryKind({
  fields: {
    step: id('step'),
    after: stepKey(),
    /** True to run beside its neighbour instead of between. */
    beside: flag(),
    /** The step it repeats, when it does. */
    repeats: nullable(text(60)),
    /** What it does to the vessel: what it repeats does, or what was caught goes back into solution; else only what is entered at it. */
    does: optional(one('as-before', 'redissolve')),
    /** A kind of step that does something of its own, which bottle or equation it needs, and what was set at it. */
    own: optional(fields({ kind: text(40), of: note(60), set: optional(number()) })),
    title: text(120),
    why: note(500),
    leave: fields({ alone: flag(), lookEveryMin: nullable(number({ moreThan: 0, max: 525_600 })) }),
  },
  text: ({ title }) => `step inserted: ${title}`,
  step: 'inserts',
  changes: 'amounts',
});
