import type { Figure } from '#base/figure';
import type { Problem } from '#base/problem';
import type { Share } from '#base/units';
import type { ProbeState } from './probe.ts';
import type { Told } from './record/fold.ts';

export interface ReplicateState extends Told {
  readonly titre: Figure | null;
  readonly probe: ProbeState | null;
  /** Mass % found by it; null while it is not read to the end. */
  readonly found: Figure | null;
  /** Why it finds nothing, once it is ended; null where it does. */
  readonly problem: Problem | null;
  /** Whether the mean counts it. */
  readonly counts: boolean;
}

export interface AssayResult {
  /** Mass %. */
  readonly w: Figure;
  /** The same in every unit that is used for it. */
  readonly strengths: readonly Figure[];
  /** Half-width of the 95 % band, % of the value. */
  readonly relativePct: number;
  readonly budget: readonly Share[];
  /** Whether the wanted tolerance is met. */
  readonly enough: boolean;
}
