import type { Grade } from '#base/figure';

/** A test of what something is, or of how much of another thing is in it. */
export interface TestRow {
  readonly kind: 'identity' | 'limit';
  readonly of: string;
  readonly formula: string;
  readonly reagents: string;
  readonly procedure: string;
  readonly expected: string;
  readonly sameFrom: string;
  readonly ruledOutBy: string;
  /** mg/L, as the source words it. */
  readonly detects: string;
  readonly caution: string;
  readonly grade: Grade;
}

/** A primary (or working) standard. Purity in mass %, lowest and highest; null where none is known. */
export interface StandardRow {
  readonly name: string;
  readonly formula: string;
  readonly gPerMol: number;
  readonly gPerEquivalent: number;
  readonly for: string;
  readonly reaction: string;
  readonly indicator: string;
  readonly preparation: string;
  readonly labPct: readonly [number, number] | null;
  readonly home: string;
  readonly homePct: readonly [number, number] | null;
  readonly note: string;
  readonly grade: Grade;
}
