import type { Country } from '#matter/gear';
import type { CautionId } from './caution-id.ts';

/** stop: can maim or kill; watch: can hurt or spoil. Never colour alone: the word is shown. */
export type Severity = 'stop' | 'watch';

export interface Caution {
  /** Of the usual ones by name, or “hazard H318” of a substance by its hazards. */
  readonly id: CautionId | `hazard ${string}`;
  readonly severity: Severity;
  readonly title: string;
  readonly text: string;
}

/** What a caution is computed from. */
export interface CautionFacts {
  /** Acids in the batch: substance id, product name and mass %. */
  readonly acids: readonly { substanceId: string; name: string; pct: number }[];
  /** Everything that comes from a bottle: what the law may have a word on. */
  readonly products: readonly { substanceId: string; pct: number }[];
  /** What is made, as strong as it is made; null where nothing is held of its strength. */
  readonly made?: { readonly substanceId: string; readonly pct: number } | null;
  /** Whose rules hold; undefined: not chosen. */
  readonly country?: Country | undefined;
  /** Whether a liquid is distilled in it. */
  readonly distils?: boolean;
  /** Each gas that comes off, in litres at the bench. */
  readonly gases: readonly { readonly id: string; readonly litres: number }[];
  readonly roomM3: number;
  /** K if all heat came at once; negative cools. */
  readonly riseK: number | null;
  readonly startC: number;
  readonly foamMl: number;
  readonly liquidMl: number;
  /** Most bromine that stands in a vessel at once, mol. */
  readonly bromineMol?: number;
  /** What of its bottles freezes in this cold, in words; empty in the warm. */
  readonly freezes?: string;
  /** What cooling it in this step would do to its vessel; empty when it holds. */
  readonly quench: string;
}

/** What says a caution; undefined where it has nothing to say. */
export type CautionRule = (facts: CautionFacts) => Caution | undefined;

/** L of one gas among those that come off. */
export function litresOf(gases: CautionFacts['gases'], id: string): number {
  return gases.reduce((sum, gas) => (gas.id === id ? sum + gas.litres : sum), 0);
}
