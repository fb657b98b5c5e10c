import type { Figure } from '#base/figure';

/** What a verb answers, before it is laid out. */
export interface Found {
  readonly figures: readonly Figure[];
  readonly note?: string;
  /** True when something is poured into something. */
  readonly pours?: true;
  readonly cautionAbout?: { readonly substanceId: string; readonly pct: number };
}
