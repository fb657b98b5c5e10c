import { itemAt } from '#base/lookup';
import { type CellState, type Drops, dissolves, isDivided, volumeMl } from '#model/cell';
import { type Cause, whyChanged } from './falling.ts';
import type { CellBegun, CellReading, Stood } from './replay.ts';

/** Amps and volts that were read together. */
type ReadTogether = CellReading & { readonly amps: number; readonly volts: number };

const togetherIn = (reads: readonly CellReading[]): readonly ReadTogether[] =>
  reads.flatMap((each) => {
    const { amps, volts } = each;
    return amps === undefined || volts === undefined ? [] : [{ ...each, amps, volts }];
  });

/** The reading at which it carried most for its volts. */
function bestOf(reads: readonly ReadTogether[]): ReadTogether | undefined {
  return reads
    .filter(({ amps, volts }) => amps > 0 && volts > 0)
    .reduce<ReadTogether | undefined>((a, b) => (!a || b.amps / b.volts > a.amps / a.volts ? b : a), undefined);
}

/** How the cell stood when it carried most for its volts. */
export function wasOf(stood: readonly Stood[], reads: readonly CellReading[]): Stood | undefined {
  const best = bestOf(togetherIn(reads));
  return best && stood.find(({ at: when }) => when === Math.max(best.at, itemAt(stood, 0).at));
}

/** The last reading of a quantity. */
export function lastRead(readings: readonly CellReading[], key: 'volts' | 'tempC' | 'wallV'): number | null {
  const found = readings.filter((each) => each[key] !== undefined).sort((a, b) => a.at - b.at);
  return found.at(-1)?.[key] ?? null;
}

interface Seen {
  readonly reads: readonly CellReading[];
  readonly stood: readonly Stood[];
  readonly state: CellState;
  readonly drops: Drops;
}

/** Between which readings a cell changed, and what may have done it. */
export interface Change {
  readonly causes: readonly Cause[];
  /** A and V, before and now; null where they were not read twice. */
  readonly changed: { readonly amps: readonly [number, number]; readonly volts: readonly [number, number] } | null;
}

const NONE: Change = { causes: [], changed: null };

/** What changed of a cell between its best reading, or its first, and the last; and what may have done it. */
export function changeOf(
  { setup, anodeMol, anolyte, catholyte, readings }: CellBegun & { readonly readings: readonly CellReading[] },
  { reads, stood, state, drops }: Seen,
): Change {
  const both = togetherIn(reads);
  const now = both.at(-1);
  const first = both[0];
  const best = bestOf(both.slice(0, -1));
  if (!now || !first || !best || both.length < 2) return NONE;
  const was = now.amps / now.volts < best.amps / best.volts ? best : first;
  const then = stood.find(({ at: when }) => when >= was.at) ?? stood[0];
  const is = stood.at(-1);
  if (!then || !is) return NONE;
  const { supply } = setup.gear;
  const divided = isDivided(setup);
  const ml = volumeMl(anolyte) + (catholyte ? volumeMl(catholyte) : 0);
  const changed = { amps: [was.amps, now.amps], volts: [was.volts, now.volts] } as const;
  const causes = whyChanged({
    ...changed,
    tempC: [tempAt(readings, was.at) ?? state.tempC, tempAt(readings, now.at) ?? state.tempC],
    drops: [then.drops, drops],
    divided,
    anodeGone: dissolves(setup.anode) && anodeMol !== null ? state.wornMol / anodeMol : null,
    feed: divided || then.copper < 0.01 ? null : [then.copper, is.copper],
    potSalt: divided ? [then.potSalt, is.potSalt] : null,
    clogged: (1000 * state.wallMol) / setup.gear.dividerCm2,
    evaporated: state.evaporatedG / Math.max(1, ml),
    battery: supply.kind === 'battery' && supply.ampHours !== undefined ? state.usedAh / supply.ampHours : null,
    anodeMA: (1000 * now.amps) / setup.gear.anodeCm2,
    wallRead: lastRead(readings, 'wallV'),
  });
  return { causes, changed };
}

/** °C as it was read nearest to a moment. */
function tempAt(readings: readonly CellReading[], when: number): number | undefined {
  return readings
    .filter(({ tempC }) => tempC !== undefined)
    .sort((a, b) => a.at - b.at)
    .reduce<CellReading | undefined>((a, b) => (!a || Math.abs(b.at - when) < Math.abs(a.at - when) ? b : a), undefined)
    ?.tempC;
}
