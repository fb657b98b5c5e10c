import type { Grade } from '#base/figure';

/** Least, usual and most. */
export type Range = readonly [low: number, usual: number, high: number];

/** Where a row comes from, and how good it is. */
export interface Sourced {
  readonly source: string;
  readonly grade: Grade;
}
