import { day, fields, instant, list, map, note, nullable, number, type Of, optional, span } from '#base/shape';

const clock = () => number({ min: 0, max: 24 });
/** From and until, h of the clock; over midnight where the second is the smaller. */
const clockSpan = () => fields({ from: clock(), to: clock() });

/** °C outdoors, least and most. */
export const airSpan = () => span({ min: -60, max: 60 });

/** When a person is at the bench, asleep, away; and where that is, for the light. */
export const hoursShape = fields({
  /** By weekday, Monday first: stretches at the bench, h of the clock. */
  week: list(list(span({ min: 0, max: 24 }), 6), 7, 7),
  sleep: clockSpan(),
  /** Nothing sounds but an alarm. */
  quiet: nullable(clockSpan()),
  away: list(fields({ from: instant(), to: instant(), why: note(120) }), 60),
  /** Degrees, north and east; null where it is not said: then the light is not known. */
  where: nullable(fields({ lat: number({ min: -90, max: 90 }), lon: number({ min: -180, max: 180 }) })),
  /** How many there are of a piece of gear, where there is more than one. */
  pieces: optional(map(number({ min: 1, max: 20, whole: true }), 40)),
  /** Days on which nothing is done outdoors: rain is expected. */
  wet: list(day(), 60),
  /** How cold and how warm a day is expected to be outdoors, °C; of a day that is not in it nothing is known. */
  air: optional(list(fields({ day: day(), airC: airSpan() }), 60)),
});
export type Hours = Of<typeof hoursShape>;

const EVENING: readonly [number, number] = [18, 22];
const WEEKEND: readonly [number, number] = [9.5, 20];

/** Hours of one with a job, where nobody has said. */
export const USUAL_HOURS: Hours = {
  week: [[EVENING], [EVENING], [EVENING], [EVENING], [EVENING], [WEEKEND], [WEEKEND]],
  sleep: { from: 23, to: 7 },
  quiet: null,
  away: [],
  where: null,
  wet: [],
};

/** Whether an hour of the clock lies within a span of it, over midnight too. */
export const withinClock = ({ from, to }: { readonly from: number; readonly to: number }, hour: number): boolean =>
  from <= to ? hour >= from && hour < to : hour >= from || hour < to;
