import { fields, flag, list, map, number, type Of, one, optional, span, text } from '#base/shape';
import { airSpan } from '#matter/gear';

const minutes = (least: number) => number({ min: least, max: 1_000_000 });
const stretch = () => span({ min: 0, max: 1_000_000 });
const id = () => text(160);

/** A step as the week sees it. Minutes; times are counted from the beginning of the week. */
export const taskShape = fields({
  id: id(),
  batch: text(120),
  title: text(200),
  /** Someone stands there. */
  handsOnMin: minutes(0),
  /** Afterwards it goes on by itself, least and most. */
  waitMin: stretch(),
  /** While it waits: it may be left, or someone is awake in the house to look at it, or stays with it. */
  wait: one('alone', 'near', 'stay'),
  daylight: flag(),
  /** Outdoors only on a day that is neither colder nor warmer than this, °C. */
  airC: optional(span({ min: -273, max: 2000 })),
  /** Things there is one of each: hotplate, condenser, vessel. Held until it is over. */
  gear: list(text(60), 20),
  /** What must be over before it. */
  after: list(id(), 40),
  /** What it gives into the air, and what must not be in the air or alight beside it. */
  gives: optional(list(text(60), 20)),
  shuns: optional(list(text(60), 20)),
  /** How long after the last of what goes before it is over it may begin at the latest: what is hot is filtered hot. */
  withinMin: optional(minutes(0)),
  /** By when it is to be over; a time before the week began is past. */
  byMin: optional(minutes(-1_000_000)),
  /** Not sooner than this, by choice. */
  notBeforeMin: optional(minutes(0)),
  /** Put there by hand: it stands there, and what that breaks is said. */
  pinnedMin: optional(minutes(0)),
  /** It has begun, or is done: it is not moved. */
  startedMin: optional(minutes(0)),
});
export type Task = Of<typeof taskShape>;

/** What counts most: that it is over soonest, that the least time is spent at the bench, that the fewest nights are stood through. */
export const aims = ['soonest', 'least time there', 'fewest nights'] as const;
export type Aim = (typeof aims)[number];

export const weekShape = fields({
  tasks: list(taskShape, 600),
  /** When the person is at the bench, and when it is light: stretches in order. */
  free: list(stretch(), 400),
  light: list(stretch(), 400),
  /** How cold and how warm it is outdoors, °C, where that was said. */
  air: optional(list(fields({ stretch: stretch(), airC: airSpan() }), 400)),
  /** When somebody is awake in the house; where it is not said, the hours at the bench alone. */
  home: optional(list(stretch(), 400)),
  aim: optional(one(...aims)),
  /** Steps of at most so many minutes may be done beside one that is only stayed with, at the same place; none where it is not said. */
  besideMin: optional(minutes(0)),
  /** How many there are of a piece of gear, where there is more than one. */
  pieces: optional(map(number({ min: 1, max: 20, whole: true }), 40)),
  /** The order in which they are placed, kept from an earlier week: then nothing else is tried, and what is not in it comes last. */
  order: optional(list(id(), 600)),
  /** First steps of batches that were held back, with until when; kept from an earlier week. */
  holds: optional(map(minutes(0), 600)),
});
export type WeekInput = Of<typeof weekShape>;

export const DAY_MIN = 1440;

/** Minutes that someone must be there in one stretch: hands on, and the wait that must be stayed with. */
export const presentMin = ({ handsOnMin, waitMin, wait }: Task): number =>
  handsOnMin + (wait === 'stay' ? waitMin[1] : 0);

/** Until it is surely over. */
export const wholeMin = ({ handsOnMin, waitMin }: Task): number => handsOnMin + waitMin[1];
