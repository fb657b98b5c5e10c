import type { Mixture } from './mixture.ts';

/** What goes up and down between the plates. */
export interface Column {
  /** Theoretical plates, the flask the first; a part of one for what a bare head does. */
  readonly plates: number;
  /** Liquid down for each mol of vapour up, 0 (nothing falls) to 1 (total reflux). */
  readonly down: number;
  /** Where the last search for the top ended. */
  readonly from?: number;
}

/** What leaves the top over a boiling liquid, and what hangs in the column on average. */
export interface Top {
  readonly y: number;
  readonly held: number;
}

/** Changes of the top below this are none. */
const CLOSE = 1e-10;

/**
 * Vapour at the top of a column of theoretical plates over a liquid (Sorel, constant flow from plate to plate): stepped from
 * the flask up, for the vapour that leaves as what is taken off. A part of a plate
 * takes the vapour that part of the way to equilibrium (Murphree).
 */
export function topOf(mixture: Mixture, boiling: number, { plates, down, from }: Column): Top {
  const first = mixture.vapour(boiling);
  if (plates <= 1 || down <= 0) return { y: first, held: first };
  if (down >= 1 - 1e-9) return climb(mixture, { first, plates, down: 1 }, 0);
  let y = from === undefined || Number.isNaN(from) ? first : from;
  let top = climb(mixture, { first, plates, down }, y);
  let gap = top.y - y;
  if (Math.abs(gap) < CLOSE) return top;
  // The guess that gives itself back: it falls as the guess rises, so bracket and close in.
  let [low, high] = gap > 0 ? [y, 1] : [0, y];
  let [yBefore, gapBefore] = [Number.NaN, Number.NaN];
  for (let i = 0; i < 60; i++) {
    const secant = y - (gap * (y - yBefore)) / (gap - gapBefore);
    const next = secant > low && secant < high ? secant : nudged(y, gap, { low, high, first: i === 0 });
    [yBefore, gapBefore] = [y, gap];
    y = next;
    top = climb(mixture, { first, plates, down }, y);
    gap = top.y - y;
    if (Math.abs(gap) < CLOSE || high - low < CLOSE) break;
    if (gap > 0) low = y;
    else high = y;
  }
  return top;
}

/** Half the gap on at first, then the middle of what is left. */
function nudged(y: number, gap: number, { low, high, first }: { low: number; high: number; first: boolean }): number {
  const next = y + 0.5 * gap;
  return first && next > low && next < high ? next : (low + high) / 2;
}

interface Climb {
  readonly first: number;
  readonly plates: number;
  readonly down: number;
}

/** Plate by plate upwards, with `off` the mole fraction of what is taken off. */
function climb({ vapour, ends }: Mixture, { first, plates, down }: Climb, off: number): Top {
  let y = first;
  let held = 0;
  const whole = Math.floor(plates + 1e-9) - 1;
  for (let k = 0; k < whole; k++) {
    const x = Math.min(ends, fallen(y, down, off));
    held += x;
    y = vapour(x);
  }
  const part = plates - 1 - whole;
  if (part > 1e-6) {
    const x = Math.min(ends, fallen(y, down, off));
    held += part * x;
    y += part * (vapour(x) - y);
  }
  return { y, held: held / (plates - 1) };
}

/** Liquid that falls onto a plate from above, by what rises from it and what is taken off. */
function fallen(y: number, down: number, off: number): number {
  return Math.max(0, (y - (1 - down) * off) / down);
}
