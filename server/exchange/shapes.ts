import { fields, flag, id, instant, list, note, nullable, number, one, text } from '#base/shape';
import { benchShape } from '#matter/gear';
import { bottleEventBodyShape, CARD_VERSION } from '#matter/stock';
import { ASSAY_VERSION, assayPlanShape, newAssayEntryShape } from '#model/assay';
import { EVENT_VERSION, eventBodyShape } from '#run/log';
import { ROUTE_VERSION, routeFileShape } from '#run/own';
import { PLAN_VERSION, planShape } from '#run/plan';
import { routeShape } from '#run/route';
import { choicesShape } from '#run/week';

// What each file of an export holds. A plan and the body of an entry are of the version that stands beside them: those of an
// earlier one are brought up to today's before they are looked at, so they have shapes of their own here.

const version = (newest: number) => number({ min: 1, max: newest, whole: true });
const count = () => number({ min: 1, max: 1e7, whole: true });
const event = (newest: number) => ({ happenedAt: instant(), writtenAt: instant(), version: version(newest) });

/** Written by a person, or by the server in the same breath as an entry of theirs. */
const bottleEventId = id('(?:ev|use_ev|back_ev|put_ev)');
const bottleEvent = { id: bottleEventId, ...event(CARD_VERSION) };
const bottleHead = { id: id('bottle'), createdAt: instant() };
const batchEvent = { id: id('ev'), ...event(EVENT_VERSION), giveOrTakeMin: number({ min: 0, max: 1e7 }) };
const batchHead = {
  id: id('batch'),
  number: count(),
  version: count(),
  createdAt: instant(),
  planVersion: version(PLAN_VERSION),
};
const assayEntry = { id: id('ev'), ...event(ASSAY_VERSION) };
const assayHead = {
  id: id('assay'),
  bottleId: id('bottle'),
  createdAt: instant(),
  planVersion: version(ASSAY_VERSION),
};
export const lessonsFile = list(
  fields({
    id: id('lesson'),
    routeId: note(80),
    step: nullable(text(60)),
    bottleId: nullable(id('bottle')),
    batchId: nullable(id('batch')),
    text: text(1000),
    writtenAt: instant(),
    retiredAt: nullable(instant()),
  }),
  100_000,
);
export const routesFile = list(
  fields({
    id: text(80),
    version: count(),
    writtenAt: instant(),
    routeVersion: version(ROUTE_VERSION),
    retired: flag(),
    route: routeShape,
  }),
  10_000,
);
export const photosFile = list(
  fields({
    id: id('att'),
    batchId: id('batch'),
    mediaType: one('image/jpeg', 'image/png', 'image/webp'),
    size: number({ min: 1, max: 1e8, whole: true }),
    sha256: text(64, 64),
    writtenAt: instant(),
  }),
  100_000,
);
export const benchFile = fields({ version: count(), body: benchShape });
export const weekFile = fields({ version: count(), body: choicesShape });
/** What stands around plans and bodies. */
export const around = {
  bottle: fields(bottleHead),
  bottleEvent: fields(bottleEvent),
  batch: fields(batchHead),
  batchEvent: fields(batchEvent),
  assay: fields(assayHead),
  assayEntry: fields(assayEntry),
} as const;

/** The files by name, as today’s versions are written: what their schemas are made from. */
export const exportFiles = {
  bottle: fields({ ...bottleHead, events: list(fields({ ...bottleEvent, body: bottleEventBodyShape }), 20_000, 1) }),
  batch: fields({
    ...batchHead,
    plan: planShape,
    events: list(fields({ ...batchEvent, body: eventBodyShape }), 100_000),
  }),
  assay: fields({
    ...assayHead,
    plan: assayPlanShape,
    entries: list(fields({ ...assayEntry, body: newAssayEntryShape.fields.body }), 20_000),
  }),
  lessons: lessonsFile,
  routes: routesFile,
  /** A route by itself, as it is handed on. */
  route: routeFileShape,
  photos: photosFile,
  bench: benchFile,
  week: weekFile,
} as const;
