import { lastOf, must } from '#base/lookup';
import { hoursSaid } from '#base/time';

/** A reading of what is followed, at a time: exact, a band, or one-sided. Times in hours from any start. */
export interface TimedReading {
  readonly hours: number;
  /** Standard uncertainty of the time, hours: “about two days ago”. */
  readonly hoursSd: number;
  /** Null on an open side; equal for an exact reading. */
  readonly low: number | null;
  readonly high: number | null;
}

/**
 * How it goes: at a steady rate (boiling down), falling off towards nothing (something used up), shrinking grains
 * (dissolving, cube root law), or levelling out at an end that is not known yet (drying, growing).
 */
export type Course = 'steady' | 'decay' | 'dissolving' | 'levelling';

export interface Finish {
  /** Hours from the same start at which it is done: likeliest and 95 % band; null when the readings cannot tell. */
  readonly hours: number | null;
  readonly earliest: number | null;
  readonly latest: number | null;
  /** Where it ends, for a course that levels out. */
  readonly endsAt: { readonly value: number; readonly low: number; readonly high: number } | null;
  readonly cannotTell: string;
}

/** Every course is y = e + (y₀ − e) × s(t, k): a shape that runs from 1 towards the end e at a rate k. */
interface Model {
  readonly shape: (t: number, k: number) => number;
  /** Hours after the first reading until `goal` is reached; for levelling, until a fiftieth of the change is left. */
  readonly done: (y0: number, k: number, goal: number) => number;
  readonly openEnd: boolean;
}

const CLOSE = 0.02;
/** Laws that a course may follow as well as its own: what is used up, or dissolves, does so as one or another of them. */
const RIVALS: Readonly<Record<Course, readonly Course[]>> = {
  steady: ['steady'],
  decay: ['decay', 'dissolving', 'steady'],
  dissolving: ['dissolving', 'decay', 'steady'],
  levelling: ['levelling'],
};
/** No law holds better than to this share of the change seen: an uncertainty of the law, and not of the reading. */
const LAW = 0.03;
/** Part of the last reading that may never go: grit, another metal. */
const RESIDUE = 0.9;
const MODELS: Readonly<Record<Course, Model>> = {
  steady: { shape: (t, k) => 1 - k * t, done: (y0, k, goal) => (y0 - goal) / (k * y0), openEnd: false },
  decay: {
    shape: (t, k) => Math.exp(-k * t),
    done: (y0, k, goal) => Math.log(y0 / Math.max(goal, y0 * CLOSE)) / k,
    openEnd: false,
  },
  dissolving: { shape: (t, k) => Math.max(0, 1 - k * t) ** 3, done: (_y0, k) => 1 / k, openEnd: false },
  levelling: { shape: (t, k) => Math.exp(-k * t), done: (_y0, k) => -Math.log(CLOSE) / k, openEnd: true },
};

const RATES = 48;
const STARTS = 7;
const ENDS = 21;
const PASSES = 3;
/** Hours: longer than anybody waits. */
const NEVER = 1e9;

/**
 * When a course will be done, from readings that may be coarse, late or one-sided. Every rate (and end, and start) on a
 * grid is weighed by how likely it makes the readings, a one-sided one counting by the part of its curve that lies on its
 * side; the answer is the weighted median and 95 % band. Where several laws could hold, each is tried, and a residue that
 * does not go with what dissolves. `sd` is the standard uncertainty of an exact reading, `goal` the
 * value that counts as done. Says that it cannot tell while the band is open or wider than eightfold.
 */
export function finishOf(course: Course, readings: readonly TimedReading[], sd: number, goal: number): Finish {
  const { openEnd } = MODELS[course];
  const sorted = [...readings].sort((a, b) => a.hours - b.hours);
  const first = sorted.find(({ low, high }) => low !== null && high !== null);
  const nothing = (cannotTell: string): Finish => ({
    hours: null,
    earliest: null,
    latest: null,
    endsAt: null,
    cannotTell,
  });
  if (!first || sorted.length < 2) return nothing('One more reading is needed before a finishing time can be fitted.');
  const origin = first.hours;
  const last = lastOf(sorted).hours;
  const span = last - origin;
  if (!(span > 1e-4)) return nothing('The readings are all of one moment: wait, and read again.');
  const y1 = (must(first.low, 'low') + must(first.high, 'high')) / 2;
  const scale = Math.abs(y1) || 1;
  if (!openEnd && y1 <= goal) return { hours: origin, earliest: origin, latest: origin, endsAt: null, cannotTell: '' };
  const rivals = RIVALS[course];
  const seen = sorted.flatMap(({ low, high }) => (low !== null && high !== null ? [(low + high) / 2] : []));
  const change = Math.max(...seen) - Math.min(...seen);
  const lawSd = rivals.length > 1 ? Math.hypot(sd, LAW * change) : sd;
  const y1Sd = Math.max(lawSd, (must(first.high, 'high') - must(first.low, 'low')) / 2);
  // From a thousandth of a life to fifty lives within the span read.
  const k: Region['k'] = [1e-3 / span, 50 / span];
  const slowest = k[0] * 1.2;
  const found = rivals.map((law) => {
    const model = MODELS[law];
    const ends: Region['e'] = openEnd
      ? endsFor(sorted, y1, scale)
      : [0, law === 'dissolving' && course === 'dissolving' ? RESIDUE * Math.max(0, seen.at(-1) ?? 0) : 0];
    let region: Region = { k, y0: [y1 - 2 * y1Sd, y1 + 2 * y1Sd], e: ends };
    let points: Point[] = [];
    // Precise readings leave a small likely region: each pass looks closer at what the one before left.
    for (let pass = 0; pass < PASSES; pass++) {
      points = likely({ model, readings: sorted, origin, span, sd: lawSd, own: sd, goal, region });
      region = around(points, region);
    }
    return points;
  });
  const best = Math.max(...found.flat().map(({ logL }) => logL));
  // Each law counts as a whole, however finely its own grid was drawn.
  const points = found.flatMap((own) =>
    own.map((point) => ({ ...point, logL: point.logL - best - Math.log(own.length) })),
  );
  const weighed = points.map(({ t, e, k, logL }) => ({ t, e, w: Math.exp(logL), edge: k <= slowest }));
  const atEdge = share(weighed, ({ edge }) => edge);
  const times = quantiles(weighed.map(({ t, w }) => [t, w] as const));
  const endsAt = openEnd ? asRange(quantiles(weighed.map(({ e, w }) => [e, w] as const))) : null;
  const ahead = times[2] - origin;
  if (atEdge > 0.02 || times[2] - origin > 40 * span || ahead > 8 * Math.max(1e-9, times[0] - origin))
    return {
      ...nothing(
        `The readings cannot tell yet: anything from ${hoursSaid(Math.max(0, times[0] - last))} more${atEdge > 0.02 ? '' : ` to ${hoursSaid(times[2] - last)}`} fits them. Read again after ${hoursSaid(span)}.`,
      ),
      endsAt,
    };
  return { hours: times[1], earliest: times[0], latest: times[2], endsAt, cannotTell: '' };
}

interface Region {
  readonly k: readonly [number, number];
  readonly y0: readonly [number, number];
  readonly e: readonly [number, number];
}

interface Point {
  readonly k: number;
  readonly y0: number;
  readonly e: number;
  /** Hours at which it is done. */
  readonly t: number;
  /** Logarithm of how likely it makes the readings. */
  readonly logL: number;
}

interface Grid {
  readonly model: Model;
  readonly readings: readonly TimedReading[];
  readonly origin: number;
  readonly span: number;
  /** Of an exact reading: with the uncertainty of the law, and by itself. */
  readonly sd: number;
  readonly own: number;
  readonly goal: number;
  readonly region: Region;
}

/** The points of a grid over the region that the readings do not rule out. */
function likely({ model, readings, origin, span, sd, own, goal, region }: Grid): Point[] {
  const points: Point[] = [];
  let best = Number.NEGATIVE_INFINITY;
  const [slow, fast] = region.k;
  const ends = region.e[0] === region.e[1] ? [region.e[0]] : steps(...region.e, ENDS);
  const starts = steps(...region.y0, STARTS);
  for (let i = 0; i < RATES; i++) {
    const k = slow * (fast / slow) ** (i / (RATES - 1));
    const seen = readings.map((reading) => {
      const { hours, hoursSd, low, high } = reading;
      const shape = model.shape(hours - origin, k);
      const slope =
        hoursSd > 0 ? ((model.shape(hours - origin + 0.01 * span, k) - shape) / (0.01 * span)) * hoursSd : 0;
      // “Still some left” is so under any law.
      return { reading, shape, slope, read: low === null || high === null ? own : sd };
    });
    for (const y0 of starts) {
      const done = model.done(y0, k, goal);
      const t = origin + Math.max(0, Number.isFinite(done) ? done : NEVER);
      for (const e of ends) {
        let logL = 0;
        for (const { reading, shape, slope, read } of seen) {
          const late = (y0 - e) * slope;
          logL += logLikelihood(reading, e + (y0 - e) * shape, late === 0 ? read : Math.hypot(read, late));
        }
        best = Math.max(best, logL);
        points.push({ k, y0, e, t, logL });
      }
    }
  }
  return points.filter(({ logL }) => logL > best - 9);
}

/** The region that holds all points, with a step to spare on either side, but no wider than before. */
function around(points: readonly Point[], { k, y0, e }: Region): Region {
  const range = (of: (point: Point) => number, spare: number, old: readonly [number, number]): [number, number] => {
    let least = Number.POSITIVE_INFINITY;
    let most = Number.NEGATIVE_INFINITY;
    for (const point of points) {
      least = Math.min(least, of(point));
      most = Math.max(most, of(point));
    }
    return [Math.max(old[0], least - spare), Math.min(old[1], most + spare)];
  };
  const ratio = Math.log(k[1] / k[0]) / (RATES - 1);
  const [slow, fast] = range((point) => Math.log(point.k), ratio, [Math.log(k[0]), Math.log(k[1])]);
  return {
    k: [Math.exp(slow), Math.exp(fast)],
    y0: range((point) => point.y0, (y0[1] - y0[0]) / (STARTS - 1), y0),
    e: range((point) => point.e, (e[1] - e[0]) / (ENDS - 1), e),
  };
}

/** Logarithm of how likely a reading is when the curve passes at `y`; bands and open sides by the normal tail. */
function logLikelihood({ low, high }: TimedReading, y: number, sd: number): number {
  if (low !== null && high !== null && high - low <= sd) return -0.5 * (((low + high) / 2 - y) / sd) ** 2;
  const above = low === null ? 1 : normalCdf((y - low) / sd);
  const below = high === null ? 0 : normalCdf((y - high) / sd);
  return Math.log(Math.max(1e-12, above - below));
}

/** Abramowitz and Stegun 7.1.26, within 1.5e-7. */
function normalCdf(z: number): number {
  const t = 1 / (1 + 0.3275911 * Math.abs(z / Math.SQRT2));
  const poly = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const erf = 1 - poly * Math.exp((-z * z) / 2);
  return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

/** Where it may level out: from where it stands to twice the change seen so far beyond the last reading. */
function endsFor(readings: readonly TimedReading[], y1: number, scale: number): [number, number] {
  const mids = readings.flatMap(({ low, high }) => (low !== null && high !== null ? [(low + high) / 2] : []));
  const latest = mids.at(-1) ?? y1;
  const change = latest - y1 || -0.01 * scale;
  const [a, b] = [latest - 0.3 * change, latest + 2 * change];
  return a < b ? [a, b] : [b, a];
}

function steps(from: number, to: number, count: number): number[] {
  return Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1));
}

function share<T extends { w: number }>(list: readonly T[], which: (each: T) => boolean): number {
  const all = list.reduce((sum, { w }) => sum + w, 0);
  return list.reduce((sum, each) => sum + (which(each) ? each.w : 0), 0) / all;
}

/** Weighted 2.5 %, 50 % and 97.5 % points. */
function quantiles(pairs: readonly (readonly [number, number])[]): [number, number, number] {
  const sorted = [...pairs].sort((a, b) => a[0] - b[0]);
  const all = sorted.reduce((sum, [, w]) => sum + w, 0);
  const at = (q: number) => {
    let sum = 0;
    for (const [value, w] of sorted) {
      sum += w;
      if (sum >= q * all) return value;
    }
    return lastOf(sorted)[0];
  };
  return [at(0.025), at(0.5), at(0.975)];
}

function asRange([low, value, high]: [number, number, number]) {
  return { low, value, high };
}
