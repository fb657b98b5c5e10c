import { listed } from '#base/units';
import type { Live } from '#run/log';
import type { Plan, RunStep } from '#run/plan';
import type { Sheet } from '#run/sheet';
import { isMeasured } from './is-measured.ts';
import type { Weighed } from './yield-found.ts';

/** What of a run is taken as planned, since nobody entered what it was. */
export interface Assumed {
  /** “36 mL of water and 33 mL of Battery acid”; empty where all that is done was entered. */
  readonly amounts: string;
  /** Whether anything of what was made was weighed, measured or titrated. */
  readonly isMeasured: boolean;
}

interface Found {
  readonly live: Live;
  readonly steps: readonly RunStep[];
  readonly sheet: Sheet;
  readonly weighing: Weighed;
}

export function assumedIn(plan: Plan, { live, steps, sheet, weighing }: Found): Assumed {
  const done = new Set(steps.flatMap(({ key, status }) => (status === 'done' ? [key] : [])));
  const taken = sheet.additions
    .filter(({ step, actual, dose }) => done.has(step) && actual === undefined && dose.take.value > 0)
    .map(({ name, dose }) => `${dose.take.value} ${dose.take.unit} of ${name}`);
  return { amounts: listed(taken), isMeasured: isMeasured(plan, { live, steps, weighing }) };
}
