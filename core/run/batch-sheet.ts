import type { Figure } from '#core/figure';
import type { Caution } from '#core/guard';
import type { Problem } from '#core/problem';
import type { Route } from '#core/route';
import type { Share } from '#core/units';
import type { VesselFit } from '#core/vessel';
import type { Addition } from './adding.ts';
import type { Gauge } from './gauge.ts';
import type { Now } from './now.ts';
import type { Named } from './template.ts';
import type { StepHeat } from './walk-heat.ts';
import type { ChargeLine } from './walker.ts';

/** A gas that comes off, in all. */
export interface SheetGas {
  readonly id: string;
  readonly name: string;
  readonly volume: Figure;
}

/** The batch sheet: all that follows from a plan, every number a figure. */
export interface Sheet {
  readonly route: {
    readonly id: string;
    readonly title: string;
    readonly reaction: string | null;
    readonly source: string;
  };
  readonly charges: readonly ChargeLine[];
  readonly shortages: readonly Problem[];
  /** The largest of the gases. */
  readonly gas: SheetGas | null;
  readonly gases: readonly SheetGas[];
  /** Additions that go in by portions, by step. */
  readonly add: Readonly<Record<string, Addition>>;
  /** What is in the vessel now; null before anything has happened. */
  readonly now: Now | null;
  readonly heats: readonly StepHeat[];
  readonly vessel: VesselFit | null;
  readonly liquidMl: number;
  readonly foamMl: number;
  readonly boil: { readonly volume: Figure; readonly away: Figure } | null;
  readonly dish: Figure | null;
  readonly crystals: Figure | null;
  /** g per 100 g water at the cold end. */
  readonly solubility: Figure | null;
  readonly liquor: Figure | null;
  /** Crystals: dry mass expected. Solution: null. */
  readonly product: Figure | null;
  readonly theory: Figure | null;
  readonly yieldPct: Figure | null;
  readonly made: {
    readonly volume: Figure;
    readonly filled: Figure;
    readonly mass: Figure;
    readonly strength: Figure;
    readonly pct: Figure;
  } | null;
  readonly limiting: string | null;
  readonly uncertainty: { readonly shares: readonly Share[]; readonly sentence: string };
  readonly gauges: readonly Gauge[];
  readonly cautions: Readonly<Record<string, readonly Caution[]>>;
  readonly cost: Figure | null;
  readonly hours: { readonly handsOn: number; readonly wait: readonly [number, number] };
  readonly byProducts: Route['byProducts'];
  /** Quantities by the names that the steps' sentences use. */
  readonly names: Readonly<Record<string, Named>>;
  /** True when a rough model takes part: the interface says “about”. */
  readonly about: boolean;
}
