import type { Figure } from '#base/figure';
import type { Problem } from '#base/problem';
import type { Share } from '#base/units';
import type { Caution, Present } from '#matter/guard';
import type { SubstanceId } from '#matter/substance';
import type { Contents, VesselFit, Vessels } from '#matter/vessel';
import type { Route } from '#run/route';
import type { AdditionLine, Besides, NotKnown } from '#run/technique';
import type { Gauge } from './gauge.ts';
import type { SheetRow } from './row.ts';
import type { Names } from './sentence.ts';
import type { Furthest } from './theory.ts';
import type { StepHeat } from './walk.ts';

/** A gas that comes off, in all. */
export interface SheetGas {
  readonly id: SubstanceId;
  readonly name: string;
  readonly volume: Figure;
}

/** What is in the vessels now, by what was entered. */
export interface Now {
  /** In the pot, without what has been used up. */
  readonly contents: Contents;
  readonly volumeMl: number;
  readonly massG: number;
  readonly present: readonly Present[];
  /** The liquor that was set apart. */
  readonly liquor: Contents | null;
  readonly vessels: Vessels;
  /** mol of the reaction that makes the product, so far. */
  readonly extent: Figure | null;
}

/** A solution as it was made up. */
export interface Made {
  /** mL of it that stand there: as it was read, else as planned. */
  readonly volume: Figure;
  readonly mass: Figure;
  readonly strength: Figure;
  readonly pct: Figure;
}

/** The batch sheet: all that follows from a plan, every number a figure. */
export interface Sheet {
  readonly route: {
    readonly id: string;
    readonly title: string;
    readonly reaction: string | null;
    readonly source: string;
  };
  readonly additions: readonly AdditionLine[];
  /** What went in that no step asked for, with the step it went in at. */
  readonly besides: readonly (Besides & { readonly step: string })[];
  readonly shortages: readonly Problem[];
  /** What comes off, largest first. */
  readonly gases: readonly SheetGas[];
  /** Null before anything has happened. */
  readonly now: Now | null;
  readonly heats: readonly StepHeat[];
  /** What no datum is held for, each said once. */
  readonly notKnown: readonly NotKnown[];
  readonly vessel: VesselFit | null;
  readonly liquidMl: number;
  readonly foamMl: number;
  /** The newest figure of each name that steps give: “boil.volume”, “crystals.mass”; null for what was taken away. */
  readonly figures: Readonly<Record<string, Figure | null>>;
  /** A solid: mass expected once dry, or the most that can come where a datum lacks. A solution: null. */
  readonly product: Figure | null;
  /** The product is no more than a most: how much of it stays in a liquor is not known. */
  readonly atMost: boolean;
  readonly theory: Figure | null;
  /** What more could have come where something else ran out; null before anything has happened, and where nothing could. */
  readonly furthest: Furthest | null;
  readonly yieldPct: Figure | null;
  readonly made: Made | null;
  /** The role that limits. */
  readonly limiting: string | null;
  readonly uncertainty: { readonly shares: readonly Share[]; readonly sentence: string };
  readonly gauges: readonly Gauge[];
  readonly cautions: Readonly<Record<string, readonly Caution[]>>;
  /** The plan as a line of a comparison. */
  readonly row: SheetRow;
  readonly cost: Figure | null;
  readonly hours: { readonly handsOn: number; readonly wait: readonly [number, number] };
  readonly byProducts: Route['byProducts'];
  /** Quantities by the names that sentences use: of the whole run, and where a step gives its own. */
  readonly names: Names;
  readonly stepNames: Readonly<Record<string, Names>>;
  /** True when a rough model takes part: the interface says “about”. */
  readonly about: boolean;
}
