import type { Figure } from '#base/figure';
import type { Result } from '#base/problem';
import type { Bench, Gear } from '#matter/gear';
import type { Content } from '#matter/stock';
import type { Substance } from '#matter/substance';

/** What a flask looks like on the way: said, and drawn as a colour of the palette. */
export interface Sight {
  readonly says: string;
  readonly tint: Substance['tint'];
}

/** What is in the flask, titrated by what is in the burette. */
export interface Pair {
  /** Species in the flask and in the burette. */
  readonly flask: string;
  readonly burette: string;
  /** Moles of the flask's that one mole of the burette's uses up. */
  readonly ratio: number;
  readonly reaction: string;
  /** Indicator by its row, or the burette's own colour. */
  readonly indicator: string;
}

/** A titration: the reaction it rests on, what goes beside the sample, what is seen, how sharp it ends. */
export interface TitrationMethod {
  readonly is: 'titration';
  readonly id: string;
  readonly title: string;
  readonly pairs: readonly Pair[];
  /** What is done to the sample first, in order. `{sample}` is its amount. */
  readonly steps: (pair: Pair) => readonly string[];
  /** Before the end, near it, at it, past it. */
  readonly sights: (pair: Pair) => readonly [Sight, Sight, Sight, Sight];
  /** mL by which eyes differ at the end: standard uncertainty. */
  readonly endSdMl: number;
  /** What makes it false, relative, standard: a reagent that reacts aside, loss to air. */
  readonly besidesSd: number;
  readonly besides: string;
  /** Minutes for three replicates. */
  readonly minutes: number;
  /** mol/L that suits the burette. */
  readonly usual: number;
  readonly cautions: readonly string[];
}

/** One number to enter of a replicate. */
export interface Entry {
  readonly name: string;
  readonly label: string;
  readonly unit: string;
  readonly least: number;
  readonly most: number;
  /** Standard uncertainty of one reading, in its unit: of the bench's own instrument. */
  readonly sd: (bench: Bench, value: number) => number;
  /** What the bench makes of it when nothing is entered; absent where it must be read. */
  readonly taken?: (bench: Bench) => number;
}

/** A solution of known strength, as an assay uses it. */
export interface Known {
  readonly content: Content;
  /** mol in a gram, and in a mL where its density is held. */
  readonly molPerG: Figure;
  readonly molPerMl: Figure | undefined;
}

/** What a method finds out of the readings of one replicate. */
export interface Reduction {
  readonly content: Content;
  readonly bench: Bench;
  /** Readings by the name of their entry, each with its source of uncertainty. */
  readonly read: Readonly<Record<string, Figure>>;
  /** Solutions of known strength, in the order of the method's `known`. */
  readonly known: readonly Known[];
  /** Whether titrants are counted by mass. */
  readonly byMass: boolean;
}

/** A method that weighs, measures or compares, and titrates nothing. */
export interface MeasuredMethod {
  readonly is: 'measured';
  readonly id: string;
  readonly title: string;
  readonly needs: readonly Gear[];
  /** Species of the known solutions it takes, alternatives of each. */
  readonly known: readonly (readonly string[])[];
  /** How well it can do for this content; a sentence when it does not suit. */
  readonly suits: (content: Content, bench: Bench) => string | null;
  readonly reaction: (content: Content) => string;
  readonly steps: readonly string[];
  readonly entries: readonly Entry[];
  /** Mass % of the substance. */
  readonly strength: (reduction: Reduction) => Result<Figure>;
  /** Entries of a good replicate for a content, to foretell what it can reach. */
  readonly model: (content: Content, bench: Bench) => Readonly<Record<string, number>>;
  readonly besidesSd: number;
  readonly besides: string;
  readonly minutes: number;
  readonly cautions: readonly string[];
}

export type Method = TitrationMethod | MeasuredMethod;

/** Standard uncertainty of one reading of the balance: half a step either way, twice (tare and load). */
export function weighingSd({ balanceG }: Pick<Bench, 'balanceG'>): number {
  return (balanceG / 2 / Math.sqrt(3)) * Math.SQRT2;
}
