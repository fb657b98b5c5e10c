/** What a hazard statement means at a step. */
export interface HazardCautionRow {
  readonly code: string;
  /** Which of several things under one code; empty where there is one. */
  readonly kind: '' | 'acid' | 'alkali' | 'oxidising' | 'deep' | 'hydrogen' | 'poison';
  readonly title: string;
  /** Acknowledged before its step is begun. */
  readonly stop: boolean;
  readonly says: string;
  readonly protection: string;
  readonly inReach: string;
  readonly firstAid: string;
  readonly spill: string;
  readonly waste: string;
  readonly storage: string;
  /** Kitchen level below so strong a solution, or below so many grams of the substance. */
  readonly belowPct?: number;
  readonly belowG?: number;
  readonly grade: 'A' | 'B' | 'C';
}

/** Statements of a substance that has no row of its own by strength. */
export interface HazardMoreRow {
  readonly id: string;
  readonly statements: string;
}

export type PictogramId = 'GHS02' | 'GHS03' | 'GHS04' | 'GHS05' | 'GHS06' | 'GHS07' | 'GHS08' | 'GHS09';

export interface StatementRow {
  readonly code: string;
  readonly text: string;
  readonly pictogram: PictogramId | null;
  /** Its signal word is Danger, else Warning. */
  readonly danger: boolean;
  /** Mass % from which a mixture has it. */
  readonly fromPct: number;
  readonly precautions: readonly string[];
}
