import type { RunState } from '#run/state';
import { type Grown, grown, grownFrom } from './grown.ts';
import { keepNewest } from './newest.ts';

/** What grows with every entry, and is years long: it goes over by what came since. */
type Long = Pick<RunState, 'log' | 'readings'>;

interface Known extends Long {
  readonly version: number;
}

/** The state of a run as the worker sends it to a page that has an earlier one. */
export interface SentState {
  readonly version: number;
  /** The version it grows from; 0 where it is whole. */
  readonly base: number;
  readonly state: Omit<RunState, keyof Long>;
  readonly log: Grown<RunState['log'][number]>;
  readonly readings: Grown<RunState['readings'][number]>;
}

const NOTHING: Known = { version: 0, log: [], readings: [] };

/** In the worker: what was sent of each run last. */
export class Sender {
  private readonly last = new Map<string, Known>();
  private version = 0;

  /** A state for a page that has one version of the run, 0 for none. */
  send(batchId: string, has: number, whole: RunState): SentState {
    const { log, readings, ...state } = whole;
    const known = this.last.get(batchId);
    const before = known?.version === has ? known : NOTHING;
    this.version += 1;
    keepNewest(this.last, batchId, { version: this.version, log, readings });
    return {
      version: this.version,
      base: before.version,
      state,
      log: grownFrom(before.log, log),
      readings: grownFrom(before.readings, readings, (a, b) => a.body === b.body && a.at === b.at),
    };
  }
}

/** On the page: what came of each run last. */
export class Receiver {
  private readonly last = new Map<string, Known>();

  has(batchId: string): number {
    return this.last.get(batchId)?.version ?? 0;
  }

  /** The whole state; undefined where it grows from one that this page no longer has. */
  receive(batchId: string, sent: SentState): RunState | undefined {
    const before = sent.base === 0 ? NOTHING : this.last.get(batchId);
    if (before?.version !== sent.base) return undefined;
    const long: Long = { log: grown(before.log, sent.log), readings: grown(before.readings, sent.readings) };
    keepNewest(this.last, batchId, { version: sent.version, ...long });
    return { ...sent.state, ...long };
  }
}
