import type { Grade } from '#base/figure';
import type { SubstanceId } from './tables/substances/index.ts';

export type ProductBasis =
  | 'w/w'
  | 'w/v'
  | 'v/v'
  | 'available chlorine w/w'
  | 'N %'
  | 'K2O %'
  | 'Cu % w/w'
  | 'Fe % w/w'
  | 'mg/tablet'
  | 'g/tablet';

export interface ProductPartRow {
  /** Substance of the record or described by its id; null where no one formula stands for it. */
  readonly of: SubstanceId | `own:${string}` | null;
  /** What it is called where it is none. */
  readonly name?: string;
  /** Typical, lowest, highest. */
  readonly pct: readonly [typical: number, low: number, high: number];
  readonly per: ProductBasis;
}

export interface ProductRow {
  readonly name: string;
  readonly also: readonly string[];
  /** As it comes: solution, liquid, powder, crystals, granules, tablets, gel, cream, metal, paper. */
  readonly form: string;
  /** Water of crystal it is sold with, in words. */
  readonly sold: string;
  /** The active one first. */
  readonly parts: readonly ProductPartRow[];
  /** What else is in it. */
  readonly besides: string;
  /** What it is mistaken for; after “decide:” what tells them apart. */
  readonly decides: string;
  /** What a test at home tells. */
  readonly test: string;
  readonly scope: 'ok' | 'capped' | 'refused';
  /** Whether a reagent can be made from it. */
  readonly source: boolean;
  readonly note: string;
  readonly grade: Grade;
}
