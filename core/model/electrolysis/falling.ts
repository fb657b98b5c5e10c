import { itemAt } from '#base/lookup';
import type { Drops } from '#model/cell';

// Why a current is less (or more) than it was at the same voltage: each cause by how much of the change it would explain, and the
// volts that would then stand across the divider. A probe on both sides of it decides.

export type CauseId =
  | 'wall'
  | 'salt'
  | 'film'
  | 'eaten'
  | 'spent'
  | 'cold'
  | 'low'
  | 'supply'
  | 'warm'
  | 'made'
  | 'bridge'
  | 'gel';

export interface Cause {
  readonly id: CauseId;
  readonly says: string;
  /** 0 to 1; all together 1. */
  readonly likely: number;
  /** V across the divider if it is so, without an upper end where there is none; null where nothing divides. */
  readonly wallV: readonly [low: number, high: number] | null;
  readonly check: string;
  readonly next: string;
}

export interface FallAsked {
  readonly amps: readonly [was: number, is: number];
  readonly volts: readonly [was: number, is: number];
  readonly tempC: readonly [was: number, is: number];
  /** As the model has it for then and now. */
  readonly drops: readonly [was: Drops, is: Drops];
  readonly divided: boolean;
  /** Share of the dissolving anode that is gone; null where it survives. */
  readonly anodeGone: number | null;
  /** mol/L of what is plated or fed, then and now; null where nothing is. */
  readonly feed: readonly [was: number, is: number] | null;
  /** Salt in the cathode’s side, then and now, mol/L of charge. */
  readonly potSalt: readonly [was: number, is: number] | null;
  /** mol of hydroxide in the wall’s pores by the model, mmol/cm². */
  readonly clogged: number;
  /** Share of the liquid that has evaporated. */
  readonly evaporated: number;
  /** Share of a battery that is used up; null for others. */
  readonly battery: number | null;
  /** mA/cm² at the anode, for films. */
  readonly anodeMA: number;
  /** V read by a probe on both sides of the divider; null before that. */
  readonly wallRead: number | null;
}

/** Current for each K. */
const PER_K = 0.02;
/** A change below this share is none. */
const NOTHING = 0.05;
/** A probe in liquid reads to about this, V. */
const PROBE_SD = 0.15;

interface Draft {
  readonly id: CauseId;
  readonly says: string;
  /** How often it is met, before anything is known. */
  readonly prior: number;
  /** Of the fall, what it explains, 0 to 1. */
  readonly explains: number;
  readonly wallV: readonly [number, number] | null;
  readonly check: string;
  readonly next: string;
}

/** Causes of a changed current, the likeliest first; none where it has hardly changed. */
export function whyChanged(asked: FallAsked): readonly Cause[] {
  const [was, is] = asked.amps;
  const [v0, v1] = asked.volts;
  if (!(was > 0) || !(is >= 0) || !(v0 > 0) || !(v1 >= 0)) return [];
  // At another voltage another current is no wonder: what counts is A for each V.
  const change = is / Math.max(0.01, v1) / (was / v0) - 1;
  if (Math.abs(change) < NOTHING) return [];
  return ranked(change < 0 ? falls(asked, -change) : climbs(asked, change), asked.wallRead);
}

const part = (of: number, whole: number) => Math.min(1, Math.max(0, of / whole));

function falls(asked: FallAsked, fall: number): readonly Draft[] {
  const { amps, volts, tempC, drops, divided, anodeGone, feed, potSalt } = asked;
  const now = amps[1];
  const scale = drops[1].wall > 0 && amps[1] > 0 ? 1 : 0;
  const restNow = (drops[0].anolyte + drops[0].catholyte + drops[0].leads) * (now / amps[0]);
  const expectedWall = drops[0].wall * (now / amps[0]);
  const missing = Math.max(0, volts[1] - drops[1].anode - drops[1].cathode - restNow - expectedWall);
  const spread = Math.max(0.2, 0.25 * missing);
  // However clogged: only from so much on.
  const wallIf: readonly [number, number] | null = divided
    ? [expectedWall + missing - spread, Number.POSITIVE_INFINITY]
    : null;
  // What slows everything alike leaves the divider its share of the volts.
  const asBefore: readonly [number, number] | null = divided
    ? [0.6 * drops[0].wall, 1.2 * drops[0].wall * Math.max(1, volts[1] / Math.max(0.1, volts[0])) + 0.1]
    : null;
  const notWall: readonly [number, number] | null = divided ? [0, expectedWall + 0.15] : null;
  const between: readonly [number, number] | null = divided
    ? [expectedWall + 0.1, Math.max(expectedWall + 0.3, expectedWall + 0.6 * missing)]
    : null;
  const found: Draft[] = [
    {
      id: 'film',
      says: 'a film on the anode, or a clip',
      prior: asked.anodeMA > 30 ? 0.5 : 0.2,
      explains: asked.anodeMA > 30 ? 0.8 : 0.35,
      wallV: notWall,
      check: 'Lift the anode, wipe it, press the clips: the current comes back at once.',
      next: 'Wipe it at every visit; less current for the same area.',
    },
    {
      id: 'cold',
      says: 'the liquids are colder',
      prior: 0.5,
      explains: part(PER_K * Math.max(0, tempC[0] - tempC[1]), fall),
      wallV: asBefore,
      check: `${Math.abs(tempC[0] - tempC[1]).toFixed(0)} K colder takes about ${(100 * PER_K * Math.max(0, tempC[0] - tempC[1])).toFixed(0)} % off a current.`,
      next: 'Nothing to do: it comes back with the warmth.',
    },
    {
      id: 'low',
      says: 'the liquid stands lower',
      prior: 0.4,
      explains: part(1.2 * asked.evaporated, fall),
      wallV: asBefore,
      check: 'Look at the marks on both sides.',
      next: 'Water to the mark: only water has gone.',
    },
  ];
  if (divided)
    found.push({
      id: 'wall',
      says: 'the divider clogs with hydroxide',
      prior: 0.5,
      explains: Math.max(0.25 * scale, part(3 * asked.clogged, fall)),
      wallV: wallIf,
      check: 'A probe on each side of it, close to it.',
      next: 'Lift it out, wipe it, soak it in vinegar, rinse; then fresh salt into the pot.',
    });
  if (divided && potSalt)
    found.push({
      id: 'salt',
      says: 'salt is short on the cathode side',
      prior: 0.5,
      explains: part(1 - potSalt[1] / Math.max(1e-6, potSalt[0]), 2 * fall),
      wallV: between,
      check: 'A spoon of salt in a little water into that side: it climbs within minutes.',
      next: 'Top it up.',
    });
  if (anodeGone !== null)
    found.push({
      id: 'eaten',
      says: 'the anode is eaten through at the liquid line',
      prior: 0.5,
      explains: anodeGone > 0.6 ? part(anodeGone - 0.5, 0.35) : 0.05,
      wallV: notWall,
      check: 'Look at it where it enters the liquid.',
      next: 'Hang what is left deeper, or a new one; the clip stays dry.',
    });
  if (feed)
    found.push({
      id: 'spent',
      says: 'what it feeds on runs out',
      prior: 0.5,
      explains: part(1 - feed[1] / Math.max(1e-6, feed[0]), 1),
      wallV: notWall,
      check: 'The colour against white paper; gas at the cathode that was not there before.',
      next: 'Near its end that is how it should be; else top it up.',
    });
  if (asked.battery !== null)
    found.push({
      id: 'supply',
      says: 'the batteries run down',
      prior: 0.5,
      explains: part(asked.battery, 0.8),
      wallV: asBefore,
      check: 'Volts at the batteries while they work.',
      next: 'Fresh ones: all of them, never old and new together.',
    });
  return found;
}

function climbs(asked: FallAsked, rise: number): readonly Draft[] {
  const { tempC, divided } = asked;
  return [
    {
      id: 'warm',
      says: 'it has warmed',
      prior: 0.5,
      explains: part(PER_K * Math.max(0, tempC[1] - tempC[0]), rise),
      wallV: null,
      check: 'The thermometer.',
      next: 'Lower the voltage before it nears its ceiling.',
    },
    {
      id: 'made',
      says: 'acid or alkali has formed, and conducts',
      prior: 0.6,
      explains: 0.8,
      wallV: null,
      check: 'Paper: the pH has moved.',
      next: 'As it should be: lower the voltage, the charge counts.',
    },
    {
      id: 'bridge',
      says: 'metal has grown across',
      prior: 0.15,
      explains: rise > 1 ? 0.9 : 0.2,
      wallV: null,
      check: 'Volts down, no gas: lift and look.',
      next: 'Knock the trees off, further apart.',
    },
    ...(divided
      ? [
          {
            id: 'gel' as const,
            says: 'the divider shrinks or leaks: the sides mix',
            prior: 0.2,
            explains: 0.4,
            wallV: [0, 0.2] as const,
            check: 'Levels creep together, colour on the wrong side.',
            next: 'Stop, pour both sides apart, a new divider.',
          },
        ]
      : []),
  ];
}

function ranked(drafts: readonly Draft[], wallRead: number | null): readonly Cause[] {
  const weights = drafts.map(({ prior, explains, wallV }) => {
    const seen = wallRead === null || !wallV ? 1 : 0.002 + within(wallRead, wallV);
    return prior * (0.08 + explains) * seen;
  });
  const all = weights.reduce((sum, each) => sum + each, 0);
  return drafts
    .map(({ id, says, wallV, check, next }, i) => ({ id, says, likely: itemAt(weights, i) / all, wallV, check, next }))
    .sort((a, b) => b.likely - a.likely);
}

/** How well a reading lies in a range, 0 to 1. */
function within(read: number, [low, high]: readonly [number, number]): number {
  const out = Math.max(0, low - read, read - high);
  // Beyond every range the nearest is still the likeliest.
  return 1 / (1 + (out / PROBE_SD) ** 2);
}
