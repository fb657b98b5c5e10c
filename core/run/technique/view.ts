import type { Figure } from '#base/figure';
import type { Quantity } from '#base/reading';
import { readingValue } from '#base/reading';
import type { Contents, VesselFit, Vessels } from '#matter/vessel';
import type { BodyOf } from '#run/log';
import type { Facts } from './facts.ts';
import type { AdditionLine, Besides } from './outcome.ts';
import type { Adding } from './recipe.ts';

/** A reading at a step, with when it was taken (ms) and how far that may be off. */
export interface TimedRead {
  readonly body: BodyOf<'read'>;
  readonly at: number;
  readonly giveOrTakeMin: number;
}

/** All that advice may know of a step: where it stands, what is in the vessel now, what was read at it. Never the sheet. */
export interface StepView {
  readonly key: string;
  readonly facts: Facts;
  readonly finished: boolean;
  readonly adding: Adding | null;
  readonly ceilingC: number | null;
  readonly outdoors: boolean;
  /** A step with hot liquid. */
  readonly hot: boolean;
  /** What its vessel held before it and holds after it, as far as is done; as planned before anything is. */
  readonly before: Contents;
  /** All vessels before it, and now: a step may work in more than one. */
  readonly vesselsBefore: Vessels;
  readonly vesselsNow: Vessels | null;
  readonly after: Contents;
  /** What is in its vessel now, by what was entered; null before anything was. */
  readonly now: Contents | null;
  /** The liquor was filtered off already. */
  readonly drained: boolean;
  readonly additions: readonly AdditionLine[];
  /** What went in besides, at any step so far. */
  readonly besides: readonly Besides[];
  /** The newest planned figures, by name. */
  readonly figures: Readonly<Record<string, Figure | null>>;
  readonly vessel: VesselFit | null;
  /** What went in at this step of its own role, with when (ms). */
  readonly portions: readonly { readonly mass: Figure; readonly at: number }[];
  readonly readings: readonly TimedRead[];
  /** When it was begun, ms; null before, and where that was not entered. */
  readonly begunAt: number | null;
  /** The moment asked about, ms. */
  readonly at: number;
  /** The step as it stood when a quantity was last read, where more went in at it since; null where nothing did. */
  readonly whenRead: (quantity: Quantity) => StepView | null;
}

/** The value last read of a quantity since an instant (ms); null when there is none. */
export function lastRead(reads: readonly TimedRead[], quantity: Quantity, since: number): number | null {
  const values = reads.flatMap(({ body, at }) => {
    const value = body.quantity === quantity && at >= since ? readingValue(body.reading)?.value : undefined;
    return value === undefined ? [] : [{ at, value }];
  });
  return values.sort((a, b) => b.at - a.at)[0]?.value ?? null;
}
