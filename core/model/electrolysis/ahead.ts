import { type SubstanceId, substanceOf } from '#matter/substance';
import { at, type CellState, dissolveInto, isDivided, letRun, masses, namedOf, volumeMl } from '#model/cell';
import type { Known } from './progress.ts';
import { type CellBegun, heldAt } from './replay.ts';

// What comes of a running cell from here on: left alone, topped up, held at another current.

/** A future: points by ms, and when it is done; null where it does not get there. */
export interface Future {
  readonly points: readonly { readonly at: number; readonly amps: number; readonly tempC: number }[];
  readonly doneAt: number | null;
  readonly earliest: number | null;
  readonly latest: number | null;
}

export interface TopUp {
  readonly side: 'anode' | 'cathode';
  readonly substanceId: SubstanceId;
  readonly mol: number;
  readonly waterMl: number;
  /** ms by which it is wanted. */
  readonly by: number;
}

/** The cell that goes on: as it was built, when it began, what is wanted of which side. */
export interface Begun extends CellBegun {
  readonly productSide: 'a' | 'k';
  /** ms. */
  readonly from: number;
  readonly now: number;
}

export interface Ahead {
  readonly asked: Begun;
  readonly state: CellState;
  readonly volts: number | null;
  readonly limitA: number | null;
  readonly neededAh: Known | null;
  readonly wallV: number | null;
  readonly wallModel: number;
}

/** Points of a future that a chart shows. */
const POINTS = 60;
const MOST_H = 400;

/** How it goes on at the same volts: as it is, topped up, or held at another current. */
export function futureOf(ahead: Ahead, topUp: TopUp | null, ifAmps: number | null): Future | null {
  const { asked, state, volts, limitA, neededAh, wallV, wallModel } = ahead;
  if (limitA === null || !(limitA > 0) || neededAh === null) return null;
  const now = structuredClone(state);
  const amps = ifAmps ?? limitA;
  const wall = wallV !== null && wallModel > 0.02 ? Math.min(20, Math.max(0.05, wallV / wallModel)) : 1;
  const setup = {
    ...heldAt(asked.setup, amps),
    wall: asked.setup.wall * wall,
  };
  now.setVolts = ifAmps === null ? (volts ?? 60) : 60;
  now.setAmps = amps;
  if (topUp) addInto(asked, now, topUp);
  const beginS = now.seconds;
  const goal = neededAh.value * 3600;
  const late = (neededAh.value + 2 * neededAh.sd) * 3600;
  const expectH = Math.max(0.2, (late - now.coulombs) / 3600 / Math.max(0.02, amps));
  const points = letRun(setup, now, {
    untilS: beginS + 3600 * Math.min(MOST_H, 4 * expectH),
    until: (s) => s.coulombs >= late || (s.seconds > beginS + 60 && s.amps < 0.02 * amps),
    strideS: Math.max(30, (3600 * expectH) / 120),
    points: POINTS * 4,
  });
  const when = (coulombs: number): number | null => {
    const k = points.findIndex(({ ampHours }) => ampHours * 3600 >= coulombs - 1e-6);
    const b = points[k];
    if (!b) return null;
    const a = points[k - 1] ?? b;
    const span = b.ampHours - a.ampHours;
    const f = span > 0 ? (coulombs / 3600 - a.ampHours) / span : 0;
    return asked.now + 1000 * (a.seconds + Math.min(1, Math.max(0, f)) * (b.seconds - a.seconds) - beginS);
  };
  const every = Math.max(1, Math.ceil(points.length / POINTS));
  return {
    points: points
      .filter((_, i) => i % every === 0 || i === points.length - 1)
      .map(({ seconds, amps: each, tempC }) => ({ at: asked.now + 1000 * (seconds - beginS), amps: each, tempC })),
    doneAt: goal <= state.coulombs ? asked.now : when(goal),
    earliest: when(Math.max(state.coulombs, (neededAh.value - 2 * neededAh.sd) * 3600)),
    latest: when(late),
  };
}

function addInto(asked: Begun, state: CellState, { side, substanceId, mol, waterMl }: TopUp): void {
  const n = side === 'cathode' && isDivided(asked.setup) ? state.k : state.a;
  dissolveInto(n, substanceOf(substanceId), mol);
  n[at.H2O] += waterMl / masses[at.H2O];
}

/** Below this share of what it was, the side that feeds wants more. */
const LOW = 0.55;
const SHORT = 0.25;

/** What the side that does not hold the product wants: its salt, and the water that went. */
export function topUpOf(asked: Begun, state: CellState): TopUp | null {
  if (!asked.catholyte) return null;
  const side = asked.productSide === 'a' ? 'cathode' : 'anode';
  const first = side === 'cathode' ? asked.catholyte : asked.anolyte;
  const n = side === 'cathode' ? state.k : state.a;
  const salt = [...(namedOf(first)?.dissolved ?? [])].sort((a, b) => b[1] - a[1])[0];
  if (!salt) return null;
  const [id, was] = salt;
  const is = namedOf(n)?.dissolved.find(([each]) => each === id)?.[1] ?? 0;
  if (!(is < LOW * was) || !(state.coulombs > 0)) return null;
  // As it has gone so far, so it goes on.
  const perMs = (was - is) / Math.max(1, asked.now - asked.from);
  const left = Math.max(0, is - SHORT * was);
  const waterMl = Math.max(0, volumeMl(first) - volumeMl(n));
  return { side, substanceId: id, mol: 0.6 * was, waterMl, by: asked.now + (perMs > 0 ? left / perMs : 0) };
}
