import { fail, ok, type Result } from '#base/problem';
import type { AnyFeedReading, FeedStatus } from '#contract/api';
import type { FeedChange, FeedStart } from '#contract/bodies';
import { substanceOf } from '#matter/substance';
import { amountsIn, liquidOf } from '#model/cell';
import type { RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import { advise, cellOf, stillAt, stillsOf } from '#run/state';
import type { Instrument } from './instrument.ts';
import { Replay, readCellCsv, readCsv } from './replay.ts';
import { SimulatedAbsorber } from './simulated-absorber.ts';
import { SimulatedCell } from './simulated-cell.ts';
import { SimulatedStill } from './simulated-still.ts';
import type { InstrumentStore, KeptFeed } from './store.ts';

/** Wall time between two looks at the instruments, ms. */
const TICK_MS = 500;
/** A simulated run is sampled this often in its own time, s, or four times a second of ours. */
const SAMPLE_S = 5;
/** A cell changes in minutes. */
const CELL_SAMPLE_S = 20;

type Listener = (readings: readonly AnyFeedReading[], status: FeedStatus) => void;

interface Open {
  feed: KeptFeed;
  readonly instrument: Instrument;
  lookedAt: number;
}

/** What of the batch a feed has to know. */
export interface FeedBatches {
  readonly one: (id: string) => Result<{ readonly plan: Plan; readonly events: readonly RunEvent[] }>;
}

interface FeedsDeps {
  readonly store: InstrumentStore;
  readonly batches: FeedBatches;
  readonly now: () => string;
  /** Simulated time runs so many times as fast as a feed says: 1 but where nobody wants to wait for it. */
  readonly pace?: number;
}

/** Feeds that run, whoever looks: what they show is kept, and told to those who listen. */
export class Feeds {
  private readonly open = new Map<string, Open>();
  private readonly listeners = new Map<string, Set<Listener>>();
  private timer: NodeJS.Timeout | undefined;

  private readonly store: InstrumentStore;
  private readonly batches: FeedBatches;
  private readonly now: () => string;
  private readonly pace: number;

  constructor({ store, batches, now, pace = 1 }: FeedsDeps) {
    this.pace = pace;
    this.store = store;
    this.batches = batches;
    this.now = now;
    for (const feed of store.running()) this.take(feed);
  }

  status(batchId: string): FeedStatus {
    const feed = this.open.get(batchId)?.feed ?? this.store.feed(batchId);
    if (!feed) return { kind: null, speed: 1, running: false, over: false, last: 0 };
    const { kind, speed, running } = feed;
    return {
      kind,
      speed,
      running,
      over: this.open.get(batchId)?.instrument.over ?? false,
      last: this.store.last(batchId),
    };
  }

  /** Puts instruments to a batch; those that stood there are taken away, what they showed is kept. */
  start(batchId: string, start: FeedStart): Result<FeedStatus> {
    const batch = this.batches.one(batchId);
    if (!batch.ok) return batch;
    if (this.store.last(batchId) > 0)
      return fail('conflict', 'This batch has readings of instruments already: they go on, or it is another batch.');
    const begun = this.begin(batch.value, start);
    if (!begun.ok) return begun;
    const feed: KeptFeed = {
      batchId,
      kind: start.kind,
      speed: start.speed,
      running: true,
      state: begun.value.state(),
      startedAt: this.now(),
    };
    this.store.keep(feed);
    this.take(feed, begun.value);
    return ok(this.status(batchId));
  }

  private begin({ plan, events }: { plan: Plan; events: readonly RunEvent[] }, start: FeedStart): Result<Instrument> {
    const cell = plan.route.steps.find(({ op }) => op.do === 'electrolyse');
    if (start.kind === 'replay') {
      const rows = cell ? readCellCsv(start.csv ?? '') : readCsv(start.csv ?? '');
      return rows.ok ? ok(Replay.begin(rows.value)) : rows;
    }
    if (cell) return this.beginCell({ plan, events }, { start, step: cell.id });
    const gas = plan.route.steps.find(({ op }) => op.do === 'absorb');
    if (gas) return this.beginAbsorber({ plan, events }, { start, step: gas.id });
    const stills = stillsOf(plan, events);
    if (!stills.ok) return stills;
    const still = stillAt(stills.value);
    if (!still) return fail('no-route', 'Nothing is distilled in this batch: its instruments would show nothing.');
    const { asked, pctSd } = still;
    const seed = start.seed ?? 1;
    // What the label does not say, the still does: a little weaker, a little leakier, another head.
    const off = ((seed * 37) % 17) / 8.5 - 1;
    const truth = start.truth ?? {
      pct: Math.max(0.1, asked.pct + 1.2 * off * pctSd),
      plates: Math.max(1, asked.apparatus.plates * (1 + 0.15 * off)),
      heatShare: Math.min(1, asked.apparatus.heatShare * (1 - 0.1 * off)),
    };
    return ok(SimulatedStill.begin(asked, truth, { seed, sampleSeconds: Math.max(SAMPLE_S, start.speed / 4) }));
  }

  /** A cell that is a little off its book: its divider, its efficiency, its anode’s. */
  private beginCell(
    { plan, events }: { plan: Plan; events: readonly RunEvent[] },
    { start, step }: { start: FeedStart; step: string },
  ): Result<Instrument> {
    const found = cellOf(plan, events, { step, now: this.now(), shown: [], ifAmps: null });
    if (!found.ok) return found;
    if (!found.value)
      return fail(
        'no-route',
        'Nothing is in this cell yet: fill both sides, then its instruments have something to show.',
      );
    const { plan: cell } = found.value;
    const seed = start.seed ?? 1;
    const off = ((seed * 37) % 17) / 8.5 - 1;
    const setup = {
      ...cell.setup,
      wall: 1 + 0.25 * off,
      anodeGives: Math.min(1, cell.setup.anodeGives * (1 - 0.02 * Math.abs(off))),
      gear: {
        ...cell.setup.gear,
        supply: { ...cell.setup.gear.supply, amps: Math.min(cell.amps, cell.setup.gear.supply.amps) },
      },
    };
    const { anolyte, catholyte, anodeMol } = cell;
    return ok(
      SimulatedCell.begin(
        { setup, anolyte: amountsIn(anolyte), catholyte: catholyte && amountsIn(catholyte), anodeMol },
        { seed, sampleSeconds: Math.max(CELL_SAMPLE_S, start.speed / 2) },
      ),
    );
  }

  /** A bottle that is a little off its plan: less of the gas arrives, or more. */
  private beginAbsorber(
    { plan, events }: { plan: Plan; events: readonly RunEvent[] },
    { start, step }: { start: FeedStart; step: string },
  ): Result<Instrument> {
    const found = advise(plan, events, step, this.now());
    if (!found.ok) return found;
    const own = found.value.own;
    if (own?.do !== 'absorb' || !own.says)
      return fail(
        'no-route',
        'Nothing is in this absorber yet, or nothing makes gas: its instruments would show nothing.',
      );
    const seed = start.seed ?? 1;
    const off = ((seed * 37) % 17) / 8.5 - 1;
    const { setup, mlPerMin } = own.says;
    return ok(
      SimulatedAbsorber.begin(
        { setup: { ...setup, arrives: Math.min(1, setup.arrives * (1 + 0.08 * off)) }, mlPerMin },
        { seed, sampleSeconds: Math.max(SAMPLE_S, start.speed / 4) },
      ),
    );
  }

  change(batchId: string, change: FeedChange): Result<FeedStatus> {
    const open = this.open.get(batchId) ?? this.reopened(batchId);
    if (!open) return fail('not-found', 'There are no instruments at this batch.');
    this.look(batchId);
    if (change.watts !== undefined) open.instrument.command({ does: 'heat', watts: change.watts });
    if (change.mlPerMin !== undefined) open.instrument.command({ does: 'drip', mlPerMin: change.mlPerMin });
    if (change.switch) open.instrument.command({ does: 'switch' });
    if (change.volts !== undefined || change.amps !== undefined)
      open.instrument.command({
        does: 'supply',
        ...(change.volts === undefined ? {} : { volts: change.volts }),
        ...(change.amps === undefined ? {} : { amps: change.amps }),
      });
    if (change.topUp) {
      const { side, substanceId, mol, waterMl } = change.topUp;
      const species = substanceOf(substanceId).species;
      const { n } = liquidOf(waterMl, species === 'water' ? [] : [[species, mol]]);
      open.instrument.command({ does: 'top-up', side, amounts: n });
    }
    open.feed = {
      ...open.feed,
      speed: change.speed ?? open.feed.speed,
      running: change.running ?? open.feed.running,
      state: open.instrument.state(),
    };
    this.store.keep(open.feed);
    open.lookedAt = Date.now();
    this.wake();
    this.tell(batchId, []);
    return ok(this.status(batchId));
  }

  listen(batchId: string, listener: Listener): () => void {
    const all = this.listeners.get(batchId) ?? new Set();
    all.add(listener);
    this.listeners.set(batchId, all);
    return () => all.delete(listener);
  }

  readings(batchId: string, from: number, points: number | null): readonly AnyFeedReading[] {
    this.look(batchId);
    return this.store.readings(batchId, from, points);
  }

  /** Nobody looks any more: the notebook is closed. */
  close(): void {
    for (const batchId of this.open.keys()) this.look(batchId);
    this.open.clear();
    this.wake();
  }

  private reopened(batchId: string): Open | undefined {
    const feed = this.store.feed(batchId);
    if (feed) this.take(feed);
    return this.open.get(batchId);
  }

  private take(feed: KeptFeed, instrument = instrumentOf(feed)): void {
    this.open.set(feed.batchId, { feed, instrument, lookedAt: Date.now() });
    this.wake();
  }

  private wake(): void {
    const any = [...this.open.values()].some(({ feed }) => feed.running);
    if (any && !this.timer) {
      this.timer = setInterval(() => {
        for (const batchId of this.open.keys()) this.look(batchId);
      }, TICK_MS);
      // Nobody waits for it to end.
      this.timer.unref();
    }
    if (!any && this.timer) {
      clearInterval(this.timer);
      this.timer = undefined;
    }
  }

  /** Reads what was shown since the last look. */
  private look(batchId: string): void {
    const open = this.open.get(batchId);
    if (!open?.feed.running) return;
    const now = Date.now();
    const seconds = ((now - open.lookedAt) / 1000) * open.feed.speed * this.pace;
    open.lookedAt = now;
    const instants = open.instrument.advance(seconds);
    const { over } = open.instrument;
    if (instants.length === 0 && !over) return;
    open.feed = { ...open.feed, running: !over, state: open.instrument.state() };
    const readings = this.store.add(open.feed, instants, this.now());
    if (over) this.wake();
    this.tell(batchId, readings);
  }

  private tell(batchId: string, readings: readonly AnyFeedReading[]): void {
    const status = this.status(batchId);
    for (const listener of this.listeners.get(batchId) ?? []) listener(readings, status);
  }
}

function instrumentOf({ kind, state }: KeptFeed): Instrument {
  if (kind === 'replay') return Replay.from(state);
  if ('gasState' in state) return SimulatedAbsorber.from(state);
  return 'asked' in state ? SimulatedStill.from(state) : SimulatedCell.from(state);
}
