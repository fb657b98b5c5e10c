import { beginning, type CellPoint, type CellSetup, letRun } from '#model/cell';
import type { CellBegun } from './replay.ts';

/** A charge at one current: how long, which volts it takes at first and at most, how warm. */
export interface AtCurrent {
  readonly amps: number;
  readonly hours: number;
  readonly voltsAtFirst: number;
  readonly voltsAtMost: number;
  /** What it takes when it conducts best. */
  readonly voltsAtLeast: number;
  readonly hottestC: number;
  /** mA for each cm² of the anode. */
  readonly mAPerCm2: number;
  /** False where it stops before: the anode parts, or nothing carries. */
  readonly whole: boolean;
}

/** V beyond which nothing here is run: at so many less flows than was asked. */
export const MOST_V = 60;

/** Up to where the current is last what was asked: what has parted or is spent takes all volts for nothing. */
function carrying(points: readonly CellPoint[], amps: number): readonly CellPoint[] {
  const last = points.findLastIndex((each) => each.amps >= 0.98 * amps);
  return points.slice(0, Math.max(1, last + 1));
}

/** A charge passed at each current, whatever volts that takes. */
export function atCurrents(
  ready: CellBegun,
  { ampHours, amps }: { readonly ampHours: number; readonly amps: readonly number[] },
): readonly AtCurrent[] {
  return amps.map((each) => {
    const setup: CellSetup = {
      ...ready.setup,
      gear: { ...ready.setup.gear, supply: { kind: 'bench supply', volts: MOST_V, amps: each } },
    };
    const state = beginning(setup, ready);
    const hours = ampHours / each;
    const points = letRun(setup, state, {
      untilS: 3600 * hours * 1.02,
      strideS: Math.max(60, 36 * hours),
      points: 40,
      until: (s) => s.coulombs >= 3600 * ampHours || (s.seconds > 60 && s.amps < 0.02 * each),
    });
    const volts = carrying(points, each).map((point) => point.volts);
    return {
      amps: each,
      hours,
      voltsAtFirst: points[0]?.volts ?? 0,
      voltsAtMost: Math.max(...volts),
      voltsAtLeast: Math.min(...volts),
      hottestC: Math.max(...points.map(({ tempC }) => tempC)),
      mAPerCm2: (1000 * each) / setup.gear.anodeCm2,
      whole: state.coulombs >= 3600 * ampHours * 0.98,
    };
  });
}
