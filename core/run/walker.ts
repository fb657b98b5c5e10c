import type { Figure } from '#core/figure';
import type { Contents } from '#core/vessel';
import type { Actuals } from './actual.ts';
import type { Context } from './context.ts';
import type { Dose } from './dose.ts';
import type { StepHeat } from './walk-heat.ts';

export interface ChargeLine {
  readonly step: string;
  readonly role: string;
  readonly roleName: string;
  readonly bottleId: string | null;
  readonly name: string;
  readonly dose: Dose;
  /** What really went in, when known. */
  readonly actual: Figure | undefined;
  /** mol of the substance charged, planned or actual. */
  readonly amount: Figure;
  readonly waterBrought: Figure;
  readonly limiting: boolean;
}

/** What the steps do to the vessel, from first to last. */
export interface Walk {
  readonly contents: Contents;
  readonly charges: readonly ChargeLine[];
  readonly heats: readonly StepHeat[];
  /** Set aside when the solid was filtered off. */
  readonly liquor: Contents | undefined;
  /** mol of gas, by step. */
  readonly gases: readonly { readonly step: string; readonly id: string; readonly amount: Figure }[];
  readonly extent: Figure | undefined;
  readonly limiting: string | undefined;
  /** Which reagent limits what stands in the vessel, by the substance that was made. */
  readonly madeBy: ReadonlyMap<string, string>;
  /** Reactions of the route that have begun. */
  readonly happened: readonly string[];
  /** The vessel before and after each step. */
  readonly before: ReadonlyMap<string, Contents>;
  readonly after: ReadonlyMap<string, Contents>;
  readonly boil: { readonly volumeMl: number; readonly awayG: Figure } | undefined;
  readonly dishMl: number | undefined;
  readonly crystals: Figure | undefined;
  readonly solubility: Figure | undefined;
  readonly liquorMl: number | undefined;
  readonly product: Figure | undefined;
  readonly made:
    | {
        readonly volume: Figure;
        /** The volume it was really filled to, as far as is known. */
        readonly filled: Figure;
        readonly mass: Figure;
        readonly strength: Figure;
        readonly pct: Figure;
      }
    | undefined;
  readonly peakMl: number;
  readonly reactMl: number;
}

export type Mutable<T> = { -readonly [K in keyof T]: T[K] };

/** A walk under way: what it goes by, and the result so far. */
export interface Walker {
  readonly context: Context;
  readonly actuals: Actuals;
  /** Extent that the target asks for. */
  readonly wanted: Figure;
  /** Extent that what really went in is enough for, by role, in the order the roles were charged. */
  readonly charged: ReadonlyMap<string, Figure>;
  /** Planned doses unrounded: used once, to find the yield that the target is scaled by. */
  readonly exact: boolean;
  /** Only what has really happened counts. */
  readonly soFar: boolean;
  readonly so: Mutable<Walk>;
}
