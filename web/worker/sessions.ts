import type { RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import { keepNewest } from './newest.ts';

/** What the page says of a run: its plan where that is new, how many entries still hold, and those that came since. */
export interface RunChange {
  readonly batchId: string;
  readonly plan: Plan | null;
  readonly keep: number;
  readonly events: readonly RunEvent[];
}

export interface Session {
  readonly plan: Plan;
  /** The same list until an entry comes: what was folded of it holds. */
  readonly events: readonly RunEvent[];
}

const open = new Map<string, Session>();

/** The run as it is after a change. */
export function sessionAfter({ batchId, plan, keep, events }: RunChange): Session {
  const before = open.get(batchId);
  const of = plan ?? before?.plan;
  if (!of) throw new Error(`the run ${batchId} was never opened here`);
  const same = before?.plan === of && events.length === 0 && keep === before.events.length;
  const after: Session = same ? before : { plan: of, events: [...(before?.events.slice(0, keep) ?? []), ...events] };
  return keepNewest(open, batchId, after);
}
