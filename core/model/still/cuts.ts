import { doubleAt } from '#base/lookup';
import { gramsOf, pctOf } from './charge.ts';
import type { Run } from './run.ts';

/** What is wanted of the cut that is kept. */
export type Wanted =
  | { readonly by: 'strength'; readonly pct: number }
  | { readonly by: 'recovery'; readonly pct: number };

/** The part of a run that is kept: switch to its receiver at one volume, away from it at the other. */
export interface Cut {
  readonly fromMl: number;
  readonly toMl: number;
  readonly fromHeadC: number;
  readonly toHeadC: number;
  /** Mass % of what is kept. */
  readonly pct: number;
  /** % of the first that was charged. */
  readonly recoveryPct: number;
  readonly grams: number;
}

export interface CutPlan {
  /** Null where no cut comes to what is wanted. */
  readonly best: Cut | null;
  /** The best that can be had for each recovery: what a stronger cut costs. */
  readonly tradeOff: readonly Cut[];
  /** Strongest cut of at least a fiftieth of the charge. */
  readonly strongest: Cut | null;
}

/** Points that a plan looks at: all pairs of them. */
const POINTS = 240;
const BINS = 50;
/** A cut of less of what was charged, %, is no cut. */
const LEAST_PCT = 2;

/** The cut with the most of it at a strength, or the strongest with so much of it. */
export function planCut(run: Run, wanted: Wanted): CutPlan {
  const at = points(run);
  const { mixture, charge } = run.setup;
  const kept = (i: number, j: number) => {
    const n1 = doubleAt(run.over1, j) - doubleAt(run.over1, i);
    const n2 = doubleAt(run.over2, j) - doubleAt(run.over2, i);
    return { n1, n2, pct: pctOf(mixture, n1, n2), recovery: (100 * n1) / charge.first };
  };
  const bins: ({ i: number; j: number; pct: number; recovery: number } | undefined)[] = Array(BINS + 1);
  let best: { i: number; j: number; pct: number; recovery: number } | null = null;
  for (const i of at)
    for (const j of at) {
      if (j <= i) continue;
      const { pct, recovery } = kept(i, j);
      if (!(recovery >= LEAST_PCT)) continue;
      const bin = Math.min(BINS, Math.floor((recovery * BINS) / 100));
      if (!bins[bin] || pct > bins[bin].pct) bins[bin] = { i, j, pct, recovery };
      const good =
        wanted.by === 'strength'
          ? pct >= wanted.pct && recovery > (best?.recovery ?? 0)
          : recovery >= wanted.pct && pct > (best?.pct ?? 0);
      if (good) best = { i, j, pct, recovery };
    }
  const cutOf = ({ i, j, pct, recovery }: { i: number; j: number; pct: number; recovery: number }): Cut => ({
    fromMl: doubleAt(run.overMl, i),
    toMl: doubleAt(run.overMl, j),
    fromHeadC: doubleAt(run.headC, i),
    toHeadC: doubleAt(run.headC, j),
    pct,
    recoveryPct: recovery,
    grams: gramsOf(
      mixture,
      doubleAt(run.over1, j) - doubleAt(run.over1, i),
      doubleAt(run.over2, j) - doubleAt(run.over2, i),
    ),
  });
  // Less of it is never worth more weakness: what is weaker and less than another falls out.
  const tradeOff: Cut[] = [];
  for (const bin of [...bins].reverse())
    if (bin && bin.pct > (tradeOff.at(-1)?.pct ?? -1) + 1e-9) tradeOff.push(cutOf(bin));
  tradeOff.reverse();
  return { best: best && cutOf(best), tradeOff, strongest: tradeOff[0] ?? null };
}

/** No cut goes on until less than this share of the charge is left: dry flasks crack. */
const LEFT = 0.06;

/** Points evenly over the volume, as far as a cut may go. */
function points({ overMl, chargeMl }: Run): readonly number[] {
  const beyond = overMl.findIndex((each) => each > (1 - LEFT) * chargeMl);
  const last = beyond < 0 ? overMl.length - 1 : Math.max(0, beyond - 1);
  const found: number[] = [];
  let next = 0;
  for (let i = 0; i <= last; i++)
    if (doubleAt(overMl, i) >= next || i === last) {
      found.push(i);
      next = doubleAt(overMl, i) + doubleAt(overMl, last) / POINTS;
    }
  return found;
}
