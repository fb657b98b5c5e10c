import type { Grade } from '#base/figure';

/** What a careful worker gets by a way, % of the basis named. */
export interface YieldRow {
  readonly product: string;
  readonly way: string;
  readonly basis: string;
  /** Low, usual, high. */
  readonly pct: readonly [low: number, usual: number, high: number];
  /** What the loss is made of, % of it. */
  readonly loss: readonly (readonly [cause: string, sharePct: number])[];
  /** Built-in routes that it is said of. */
  readonly routes: readonly string[];
  readonly grade: Grade;
}
