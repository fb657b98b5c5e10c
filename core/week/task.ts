import { fields, flag, list, number, type Of, one, optional, span, text } from '#core/shape';

const minutes = (least: number) => number({ min: least, max: 1_000_000 });
const stretch = () => span({ min: 0, max: 1_000_000 });

/** A step as the week sees it. Minutes; times are counted from the beginning of the week. */
export const taskShape = fields({
  id: text(120),
  batch: text(120),
  title: text(200),
  /** Someone stands there. */
  handsOnMin: minutes(0),
  /** Afterwards it goes on by itself, least and most. */
  waitMin: stretch(),
  /** While it waits: it may be left, or someone stays in the house, or with it. */
  wait: one('alone', 'stay'),
  daylight: flag(),
  /** Things there is one of each: hotplate, condenser, vessel. Held until it is over. */
  gear: list(text(60), 20),
  /** What must be over before it. */
  after: list(text(120), 40),
  /** By when it is to be over. */
  byMin: optional(minutes(0)),
  /** It has begun, or is done: it is not moved. */
  startedMin: optional(minutes(0)),
});
export type Task = Of<typeof taskShape>;

export const weekShape = fields({
  tasks: list(taskShape, 600),
  /** When the person is there, and when it is light: stretches in order. */
  free: list(stretch(), 400),
  light: list(stretch(), 400),
});
export type WeekInput = Of<typeof weekShape>;
export type Stretch = readonly [from: number, to: number];

/** Minutes that someone must be there in one stretch: hands on, and the wait that may not be left. */
export const presentMin = ({ handsOnMin, waitMin, wait }: Task): number =>
  handsOnMin + (wait === 'stay' ? waitMin[1] : 0);

/** Until it is surely over. */
export const wholeMin = ({ handsOnMin, waitMin }: Task): number => handsOnMin + waitMin[1];
