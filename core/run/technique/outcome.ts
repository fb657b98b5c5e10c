import type { Figure } from '#base/figure';
import type { SubstanceId } from '#matter/substance';
import type { Place, Vessels } from '#matter/vessel';
import type { Dose } from './add/dose.ts';

/** What went in, or is to go in, at a step. */
export interface AdditionLine {
  readonly step: string;
  readonly role: string;
  readonly roleName: string;
  readonly bottleId: string | null;
  readonly name: string;
  readonly dose: Dose;
  /** What really went in, when known. */
  readonly actual: Figure | undefined;
  /** mol of the substance that goes in, planned or actual. */
  readonly amount: Figure;
  readonly waterBrought: Figure;
  readonly limiting: boolean;
}

/** What went in besides what its step asks for. */
export interface Besides {
  readonly bottleId: string | null;
  readonly name: string;
  readonly substanceId: SubstanceId;
  readonly mass: Figure;
  /** mol of the substance; undefined for plain water. */
  readonly amount: Figure | undefined;
  readonly in: Place;
  /** kJ that it set free there, negative cools; undefined where nothing is held for it. */
  readonly heat: Figure | undefined;
}

/** Heat that something set free at a step, kJ; negative cools. */
export interface Heat {
  readonly of: string;
  readonly heat: Figure;
}

/** Something that no datum is held for, and why that matters. */
export interface NotKnown {
  readonly what: 'heat' | 'solubility' | 'density' | 'vapour' | 'rate' | 'layers';
  /** A whole sentence. */
  readonly says: string;
  /** What is computed of the product without it is the most that can come. */
  readonly most?: true;
}

/** How far the reactions of a run have come. */
export interface Progress {
  /** Reactions of the recipe that have begun. */
  readonly begun: readonly string[];
  /** mol of the reaction that makes the product, in all. */
  readonly extent: Figure | undefined;
  readonly limiting: SubstanceId | undefined;
  /** Which reagent limits what stands in the vessel, by the substance that was made. */
  readonly madeBy: ReadonlyMap<SubstanceId, SubstanceId>;
}

/** How a run stands before a step. */
export interface Standing {
  readonly vessels: Vessels;
  readonly additions: readonly AdditionLine[];
  readonly progress: Progress;
  /** The newest figure of each name; null for what is no longer there. */
  readonly figures: Readonly<Record<string, Figure | null>>;
}

/** What a step has done. Kept by step: a second boil-down does not overwrite the first. */
export interface Outcome {
  readonly vessels: Vessels;
  /** Figures of this step, by the names that sentences use; null for what it takes away. */
  readonly figures: Readonly<Record<string, Figure | null>>;
  readonly additions: readonly AdditionLine[];
  /** What went in besides, in order. */
  readonly besides: readonly Besides[];
  readonly progress: Progress;
  /** mol of gas that came off. */
  readonly gases: readonly { readonly id: SubstanceId; readonly amount: Figure }[];
  readonly heats: readonly Heat[];
  readonly notKnown: readonly NotKnown[];
  /** mL in the vessel at its fullest while something reacted; 0 when nothing did. */
  readonly reactMl: number;
}

/** An outcome under way: written by the step that makes it, and by nobody else. */
export type Doing = {
  -readonly [K in keyof Outcome]: Outcome[K] extends readonly (infer T)[] ? T[] : Outcome[K];
};

export const emptyStanding: Standing = {
  vessels: {},
  additions: [],
  progress: { begun: [], extent: undefined, limiting: undefined, madeBy: new Map() },
  figures: {},
};

/** Begins a step: so far, nothing has changed. */
export function begin({ vessels, progress }: Pick<Standing, 'vessels' | 'progress'>): Doing {
  return { vessels, progress, figures: {}, additions: [], besides: [], gases: [], heats: [], notKnown: [], reactMl: 0 };
}

/** How a run stands after a step. */
export function after(standing: Standing, outcome: Outcome): Standing {
  return {
    vessels: outcome.vessels,
    progress: outcome.progress,
    additions: outcome.additions.length === 0 ? standing.additions : [...standing.additions, ...outcome.additions],
    figures: Object.keys(outcome.figures).length === 0 ? standing.figures : { ...standing.figures, ...outcome.figures },
  };
}
