import type { Grade } from '#base/figure';

/** Vapour over one boiling mixture at 1013.25 hPa. */
export interface VleTable {
  readonly id: string;
  /** Ids of the substances; “first” is the one that strengths count. */
  readonly first: string;
  readonly second: string;
  readonly source: string;
  readonly grade: Grade;
  /** Mole fraction of the first in the liquid, in the vapour over it, and °C: saturated liquid, by rising liquid. */
  readonly rows: readonly (readonly [number, number, number])[];
}
