import type { Reaction } from '#core/reaction';

/** How much of a role is charged. Water is found from what it dilutes; the rest from the extent of reaction. */
export type DoseRule =
  | { readonly by: 'extent'; readonly perExtent: number; readonly overControl?: string }
  | { readonly by: 'dilute-to'; readonly role: string; readonly control: string }
  | { readonly by: 'share-of-water'; readonly control: string }
  /** Water that dissolves a role at a temperature, with some to spare; the water that is in already counts. */
  | { readonly by: 'to-dissolve'; readonly role: string; readonly control: string; readonly spare: string }
  /** So many g for each 100 g that a role brings. */
  | { readonly by: 'per-gram'; readonly role: string; readonly control: string }
  /** For these reactions to go to their end with what is in the vessel then, whatever that is. */
  | { readonly by: 'contents'; readonly reactions: readonly string[]; readonly overControl?: string };

export interface Role {
  readonly id: string;
  /** Lower case, as in a sentence: “acid”. */
  readonly name: string;
  /** Substance ids that a bottle may hold. Empty for plain water, which needs no bottle. */
  readonly accepts: readonly string[];
  /** Why a bottle that looks right is not. */
  readonly refuses: readonly { readonly substanceId: string; readonly why: string }[];
  readonly tolerates: string;
  readonly measure: 'mass' | 'volume';
  readonly dose: DoseRule;
}

export interface Control {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly start: number;
  /** What moving it costs or brings, one sentence. */
  readonly note: string;
}

/** What a step does to what is in the vessel. */
export type Op =
  /** `reacts`: what happens as it goes in, in this order. */
  | { readonly do: 'charge'; readonly role: string; readonly reacts?: readonly string[] }
  | { readonly do: 'react'; readonly reaction: string }
  /** Solids melted together: a part of them reacts, as far as a control says or what is weighed back at a step tells. */
  | { readonly do: 'fuse'; readonly reaction: string; readonly control: string; readonly weighedAt: string }
  | { readonly do: 'boil-down'; readonly control: string }
  | { readonly do: 'evaporate'; readonly control: string }
  | { readonly do: 'crystallise'; readonly control: string }
  /** Leaves what does not dissolve behind. */
  | { readonly do: 'filter-off' }
  /** Of four salts of two cations and two anions, one comes down: filtered off, or the crop. In the order AX, AY, BX, BY. */
  | {
      readonly do: 'pair';
      readonly salts: readonly [string, string, string, string];
      readonly control: string;
      readonly drops: string;
      readonly crop: boolean;
    }
  /** What an insoluble product has come to. */
  | { readonly do: 'precipitate' }
  | { readonly do: 'collect' }
  /** `waterControl`: % of water that the product keeps. */
  | { readonly do: 'dry'; readonly waterControl?: string }
  | { readonly do: 'make-up' }
  /** Warmed and stirred until what can dissolve has. */
  | { readonly do: 'dissolve' }
  /** What was caught goes back into solution. Only ever put in at the bench. */
  | { readonly do: 'redissolve' }
  | { readonly do: 'nothing' };

export type Panel = 'charge' | 'add' | 'hold' | 'filter' | 'dish' | 'dry' | 'plain';

export type CautionId =
  | 'acid-into-water'
  | 'corrosive'
  | 'fume'
  | 'hydrogen'
  | 'foam'
  | 'heat'
  | 'hot-liquid'
  | 'boil-dry'
  | 'quench'
  | 'ammonia-gas'
  | 'oxidiser'
  | 'zinc-salt'
  | 'molten-alkali'
  | 'caustic'
  | 'peroxide'
  | 'label'
  | 'law';

/** How an addition behaves: how fast it reacts, how it foams, and what tells that it is enough. */
export interface Adding {
  /** Minutes in which half of what is in reacts; grade C, by the eye of those who did it. */
  readonly halfLifeMin: number;
  /** mL of foam that a mL of gas raises when it comes at once. */
  readonly foamPerGas: number;
  /** What is seen when it is enough. */
  readonly endpoint: string;
  /** What a test portion or a look tells, not yet and enough, when it is not fizzing. */
  readonly signs?: readonly [string, string];
  /** Test paper tells how near it is. */
  readonly byPaper?: true;
  /** What too much of it costs; names of quantities in braces. */
  readonly overshoot: string;
}

export interface StepTemplate {
  readonly id: string;
  /** Templates may hold {quantity} names, filled from the sheet. */
  readonly title: string;
  readonly act: string;
  readonly until: string;
  readonly expect: string;
  readonly trouble: string;
  readonly why: string;
  readonly skipCosts: string;
  readonly op: Op;
  readonly panel: Panel;
  readonly timer: { readonly name: string; readonly minutes: number } | null;
  readonly leave: { readonly alone: boolean; readonly lookEveryMin: number | null; readonly reason: string };
  readonly where: 'anywhere' | 'ventilated' | 'outdoors';
  readonly cautions: readonly CautionId[];
  readonly ceilingC: number | null;
  /** For a reagent added in portions, or one that is slow. */
  readonly adding: Adding | null;
  /** Hands-on minutes, for planning. */
  readonly handsOnMin: number;
  /** Waiting, hours, least and most. */
  readonly waitH: readonly [number, number];
  /** Steps that must be done first; empty means the one before it. */
  readonly after: readonly string[];
  /** The step belongs to a school: it stands only while this control is under its mark. */
  readonly only: { readonly control: string; readonly under: number } | null;
}

export interface Route {
  readonly id: string;
  readonly title: string;
  readonly summary: string;
  readonly source: string;
  /**
   * A solution: of what a role brings, or of `substanceId`, which the reactions make of it. Or one solid: crystals, or a
   * precipitate (dissolved as itself).
   */
  readonly makes:
    | { readonly kind: 'solution'; readonly role: string; readonly substanceId?: string }
    | {
        readonly kind: 'crystals';
        readonly substanceId: string;
        readonly anhydrousId: string;
        /** Other names it is asked for by. */
        readonly also?: readonly string[];
      };
  readonly roles: readonly Role[];
  readonly reactions: readonly Reaction[];
  readonly controls: readonly Control[];
  /** Loss of crystals to paper, vessel and rinse, %, with its standard uncertainty. */
  readonly handling: { readonly lossPct: number; readonly sdPct: number } | null;
  /** Height of foam as a share of the liquid when added as the steps say; 0 for none. */
  readonly foamShare: number;
  readonly drying: { readonly ceilingC: number; readonly short: string; readonly why: string } | null;
  readonly byProducts: readonly { readonly name: string; readonly keep: string }[];
  readonly identity: readonly { readonly test: string; readonly sight: string }[];
  readonly storage: string;
  readonly steps: readonly StepTemplate[];
}

/** The steps of a route at its controls: those of a school that is not chosen are left out. */
export function stepsAt(route: Route, controls: Readonly<Record<string, number>>): readonly StepTemplate[] {
  return route.steps.filter(({ only }) => !only || (controls[only.control] ?? only.under) < only.under);
}
