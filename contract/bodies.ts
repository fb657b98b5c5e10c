import { fields, flag, id, instant, list, note, nullable, number, type Of, one, optional, text } from '#base/shape';
import { benchShape } from '#matter/gear';
import { bottleEventBodyShape, cardShape } from '#matter/stock';
import { substance } from '#matter/substance';
import { assayPlanShape, newAssayEntryShape } from '#model/assay';
import { newEventShape } from '#run/log';
import { planShape } from '#run/plan';
import { routeShape } from '#run/route';
import { choicesShape } from '#run/week';

// What is sent to the server, by what it is for.

/** The version that an edit was based on; a stale one is refused. */
const basedOn = (min: number) => number({ min, whole: true });

export const newBatchBody = fields({ id: id('batch'), plan: planShape });
export const planChangeBody = fields({ basedOn: basedOn(1), plan: planShape });
export const benchChangeBody = fields({ basedOn: basedOn(0), bench: benchShape });
export const weekChangeBody = fields({ basedOn: basedOn(0), choices: choicesShape });

/** When one means to be back; since when one was away. */
export const leavingQuery = fields({ back: instant() });
export const backQuery = fields({ left: instant() });

/** Something that was told is seen, or put off until an instant, with a reason. */
export const noticeBody = fields({ id: id('nt'), of: text(300), until: nullable(instant()), reason: note(120) });

export const eventsBody = fields({ events: list(newEventShape, 500, 1) });

/** A part of a batch that becomes its own, and a batch that goes into another. */
export const splitBody = fields({ id: id('batch'), share: number({ moreThan: 0, max: 0.999_999 }), why: note(500) });
export const joinBody = fields({
  id: id('ev'),
  from: id('batch'),
  /** They are in one vessel already: that is recorded, whatever they do there. */
  happened: optional(flag()),
});

export type Join = Of<typeof joinBody>;

export const newBottleBody = fields({ id: id('bottle'), eventId: id('ev'), card: cardShape });
export const bottleEventBody = fields({
  id: id('ev'),
  happenedAt: instant(),
  basedOn: optional(basedOn(1)),
  body: bottleEventBodyShape,
});

/** A route of one’s own, kept: new, or changed from the version it was opened at. */
export const ownRouteBody = fields({ basedOn: basedOn(0), route: routeShape });

export const newLessonBody = fields({
  id: id('lesson'),
  routeId: note(80),
  step: nullable(text(60)),
  bottleId: nullable(text(60)),
  batchId: nullable(text(60)),
  text: text(1000),
});
export type NewLesson = Of<typeof newLessonBody>;

/** A device says the code that stands on the machine’s screen, and what it is called. */
export const pairBody = fields({ code: text(20), name: text(60) });

export const attachmentId = id('att');

/** Instruments put to a batch: simulated from its plan, or a file of readings played again. */
export const feedStartBody = fields({
  kind: one('simulated', 'replay'),
  /** How many times faster than it is. */
  speed: number({ min: 1, max: 600 }),
  seed: optional(number({ min: 0, max: 1e9, whole: true })),
  /** How the simulated still really is; otherwise it follows from the seed. */
  truth: optional(
    fields({
      pct: number({ moreThan: 0, max: 100 }),
      plates: number({ min: 1, max: 40 }),
      heatShare: number({ moreThan: 0, max: 1 }),
    }),
  ),
  /** Time in min, head, pot, mass, with a row of names. */
  csv: optional(text(4_000_000)),
});
export type FeedStart = Of<typeof feedStartBody>;

export const feedChangeBody = fields({
  speed: optional(number({ min: 1, max: 600 })),
  running: optional(flag()),
  watts: optional(number({ min: 0, max: 5000 })),
  /** mL of reagent that are let into a generator in a minute; 0 shuts its tap. */
  mlPerMin: optional(number({ min: 0, max: 100 })),
  /** The next receiver is under the spout. */
  switch: optional(flag()),
  /** Set at the supply of a cell: V and A at most; 0 switches it off. */
  volts: optional(number({ min: 0, max: 60 })),
  amps: optional(number({ min: 0, max: 30 })),
  /** Put into a side of a cell: mol of a substance, and water. */
  topUp: optional(
    fields({
      side: one('anode', 'cathode'),
      substanceId: substance(),
      mol: number({ min: 0, max: 100 }),
      waterMl: number({ min: 0, max: 5000 }),
    }),
  ),
});
export type FeedChange = Of<typeof feedChangeBody>;

export const newAssayBody = fields({ plan: assayPlanShape });
export const assayEntriesBody = fields({ events: list(newAssayEntryShape, 500, 1) });
export const applyAssayBody = fields({ id: id('ev') });
