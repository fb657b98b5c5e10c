import type { RunShows } from '#matter/account';
import type { Bench, Hours } from '#matter/gear';
import type { Present } from '#matter/guard';
import type { BottleState } from '#matter/stock';
import type { AssayEntry, AssayPlan } from '#model/assay';
import type { CellInstant } from '#model/electrolysis';
import type { Instant } from '#model/still';
import type { BenchTask, Leaving } from '#run/agenda';
import type { RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import type { Route } from '#run/route';
import type { ClockItem, OnBoard, RunState } from '#run/state';
import type { WeekChoices } from '#run/week';
import type { NewLesson } from './bodies.ts';
import type { LaidOut } from './hours.ts';

/** What the server answers, by resource. */
export interface BenchAnswer {
  readonly version: number;
  readonly bench: Bench;
}

/** A route as a file held it, before it is kept. */
export interface RouteLook {
  readonly route: Route;
  readonly leavesOpen: readonly string[];
}

/** A route of one's own, in its newest version. */
export interface OwnRouteAnswer {
  readonly id: string;
  readonly version: number;
  readonly writtenAt: string;
  readonly route: Route;
  readonly retired: boolean;
}

export interface BatchSummary {
  readonly id: string;
  readonly number: number;
  readonly title: string;
  readonly routeId: string;
  /** Whether its product is weighed to constant mass. */
  readonly weighs: boolean;
  readonly status: RunState['status'];
  readonly createdAt: string;
  readonly startedAt: string | null;
  readonly finishedAt: string | null;
  /** Percent and its 95 % band; null for solutions and unfinished ones. */
  readonly yieldPct: { readonly value: number; readonly band: number } | null;
  /** What was got: “58.2 g” or “1500 mL, 2.00 mol/L”. */
  readonly got: string;
  readonly bottles: readonly string[];
  /** The vessel it was done in, and what it held last: what a reused vessel may still hold. */
  readonly vessel: string | null;
  readonly residue: readonly Present[];
  readonly lesson: string;
  /** What it tells of the bench, once it is done. */
  readonly shows: Omit<RunShows, 'routeId'>;
  /** Photographed under a grey card, by step. */
  readonly colours: readonly { readonly step: string; readonly hex: string }[];
  readonly version: number;
}

export interface BatchAnswer {
  readonly id: string;
  readonly number: number;
  readonly version: number;
  readonly createdAt: string;
  readonly plan: Plan;
  readonly events: readonly RunEvent[];
}

/** What instruments showed at a moment, in the order they showed it. */
export interface FeedReading extends Instant {
  readonly seq: number;
  readonly at: string;
}
export interface CellFeedReading extends CellInstant {
  readonly seq: number;
  readonly at: string;
}
/** A batch has instruments of one kind. */
export type AnyFeedReading = FeedReading | CellFeedReading;

/** How the instruments of a batch stand; `kind` null where there are none. */
export interface FeedStatus {
  readonly kind: 'simulated' | 'replay' | null;
  readonly speed: number;
  readonly running: boolean;
  readonly over: boolean;
  /** Number of the last reading. */
  readonly last: number;
}

export interface FeedAnswer {
  readonly status: FeedStatus;
  readonly readings: readonly AnyFeedReading[];
}

export interface ClockAnswer {
  readonly now: string;
  /** Grows with everything that is written, by whichever page or device. */
  readonly written: number;
  readonly items: readonly (ClockItem & { readonly number: number })[];
  /** Bottles whose strength wants to be found again, the longest overdue first. */
  readonly overdue: readonly { readonly bottleId: string; readonly name: string; readonly days: number }[];
}

/** A plan that is kept: whether what it takes is on the shelf. */
export interface KeptOnBoard {
  readonly batchId: string;
  readonly number: number;
  readonly title: string;
  /** What is short, one sentence each; empty when all is there. */
  readonly short: readonly string[];
}

export interface BoardAnswer {
  readonly now: string;
  readonly running: readonly (OnBoard & { readonly number: number })[];
  readonly kept: readonly KeptOnBoard[];
}

/** What a week is planned from. Times of tasks are minutes from the beginning that is laid out. */
export interface WeekAnswer {
  readonly now: string;
  readonly version: number;
  readonly choices: WeekChoices;
  readonly laid: LaidOut;
  readonly hours: Hours;
  readonly place: string;
  readonly tasks: readonly BenchTask[];
  readonly batches: readonly {
    readonly id: string;
    readonly number: number;
    readonly title: string;
    readonly status: RunState['status'];
    readonly vessel: string | null;
  }[];
  /** Batches whose steps cannot be read, and why. */
  readonly unread: readonly string[];
}

/** What to make safe before leaving, and what goes on or falls due until one is back. */
export type LeavingAnswer = Leaving & {
  readonly now: string;
  readonly back: string;
  /** When it gets dark before one is back; null where it does not, or nobody has said where the bench is. */
  readonly darkAt: string | null;
};

/** What to look at first on coming back. */
export interface BackAnswer {
  readonly now: string;
  readonly left: string;
  readonly items: readonly (ClockItem & { readonly missed: boolean })[];
}

/** Steps of the week that come within a day, or came within the last. */
export interface SoonAnswer {
  readonly now: string;
  readonly items: readonly {
    readonly id: string;
    readonly batchId: string | null;
    readonly step: string;
    readonly text: string;
    readonly at: string;
    readonly minutes: number;
  }[];
}

/** What was told and has been seen; put off until an instant where that is said. */
export interface NoticeAnswer {
  readonly of: string;
  readonly at: string;
  readonly until: string | null;
  readonly reason: string;
}

/** The photos of a batch. */
export interface PhotosAnswer {
  readonly count: number;
  readonly bytes: number;
}

export interface LessonAnswer extends NewLesson {
  readonly writtenAt: string;
  readonly retiredAt: string | null;
}

export type BottleAnswer = BottleState;

export interface AssayAnswer {
  readonly id: string;
  readonly createdAt: string;
  readonly plan: AssayPlan;
  readonly entries: readonly AssayEntry[];
}

export interface AssaySummary {
  readonly id: string;
  readonly createdAt: string;
  readonly day: string;
  readonly bottleId: string;
  readonly bottleName: string;
  readonly method: string;
  /** Replicates that count. */
  readonly replicates: number;
  /** “2.94 ± 0.03 %, 3 replicates”; null before one is done. */
  readonly found: string | null;
  readonly applied: boolean;
  /** Whether one of its replicates is pointed at as an outlier. */
  readonly suspect: boolean;
}

/** What an import adds, or has added. */
export interface ImportAnswer {
  /** When the archive was written. */
  readonly writtenAt: string;
  readonly adds: {
    readonly bottles: number;
    readonly batches: number;
    readonly assays: number;
    readonly lessons: number;
    readonly routes: number;
    readonly photos: number;
    /** Entries of what is here already. */
    readonly entries: number;
    readonly readings: number;
    readonly bench: boolean;
  };
  /** What is otherwise here, and stays so; a sentence each. */
  readonly kept: readonly string[];
  /** What is not taken, and why; a sentence each. */
  readonly leftOut: readonly string[];
}

/** What a backup holds, beside what is here now. */
export interface BackupAnswer {
  /** Null for a copy of the database alone, which does not say. */
  readonly writtenAt: string | null;
  /** Whether its photos are in it; else those that are here stay. */
  readonly photos: boolean;
  readonly holds: NotebookCounts;
  readonly here: NotebookCounts;
}

/** A phone or tablet that was paired. */
export interface DeviceAnswer {
  readonly id: string;
  readonly name: string;
  readonly pairedAt: string;
  readonly seenAt: string;
}

/** Whether the notebook is open to the home network, and to whom. */
export interface ShareAnswer {
  readonly on: boolean;
  /** Where a device finds it, the likeliest first. */
  readonly urls: readonly string[];
  /** Null where it is for this machine alone. */
  readonly code: string | null;
  readonly until: string | null;
  readonly devices: readonly DeviceAnswer[];
}

/** A copy that the notebook made of itself, by the day. */
export interface CopyAnswer {
  readonly name: string;
  readonly day: string;
  readonly bytes: number;
}

export interface NotebookCounts {
  readonly bottles: number;
  readonly batches: number;
  readonly entries: number;
  readonly photos: number;
}
