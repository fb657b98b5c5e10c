import { nanoid } from 'nanoid';
import { useSyncExternalStore } from 'react';
import type { AssayEntry } from '#model/assay';
import { EVENT_VERSION, type RunEvent } from '#run/log';
import { clockAhead, notebookInstant } from '../kit/clock.ts';
import { Away, notebookNow, postFor, Refused, request } from './client.ts';
import { allKept, type Kept, keep, letGo } from './outbox-store.ts';
import type { Outgoing } from './outgoing.ts';
import { letPhotoGo, sendPhoto } from './photos.ts';

/** An entry that the server would not take, with its sentence: it stays until the person decides what becomes of it. */
export type RefusedEntry = Outgoing & { readonly why: string; readonly code: string | null };

export interface OutboxState {
  readonly waiting: readonly Outgoing[];
  readonly refused: readonly RefusedEntry[];
  readonly away: boolean;
  /** What a server that answers, but cannot write now, said of it: its disk is full, the device is not paired. */
  readonly trouble: string | null;
  /** False where this device will not keep anything: what waits is in this tab alone. */
  readonly kept: boolean;
  /** Entries that were made for another notebook than the one that answers here. */
  readonly ofOthers: number;
}

/** This page, while it is open. */
const TAB = nanoid(10);
const RETRY_MS = 3000;
const LOCK = 'earnest-still:send';
const CHANNEL = 'earnest-still:outbox';

/** All entries by id, of this tab and of the others. */
let entries = new Map<string, Kept>();
let state: OutboxState = { waiting: [], refused: [], away: false, trouble: null, kept: true, ofOthers: 0 };
let sending: Promise<void> | undefined;
let timer: ReturnType<typeof setTimeout> | undefined;
let order = Date.now();
const listeners = new Set<() => void>();
type Written = (batch: readonly Outgoing[]) => void;
const onWritten = new Set<Written>();
const others = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(CHANNEL);

function show(next: Partial<Pick<OutboxState, 'away' | 'trouble' | 'kept'>> = {}): void {
  const all = [...entries.values()].sort((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1));
  state = {
    ...state,
    ...next,
    waiting: all.filter(({ why }) => why === null).map(({ entry }) => entry),
    refused: all.flatMap(({ entry, why, code }) => (why === null ? [] : [{ ...entry, why, code }])),
    ofOthers: all.filter((each) => isOfAnother(each)).length,
  };
  for (const listener of listeners) listener();
}

function isOfAnother({ notebook }: Kept): boolean {
  const here = notebookNow();
  return notebook !== null && here !== null && notebook !== here;
}

/** Writes what changed on this device; where it will not, the entries live on in this tab, and that is said. */
async function onDevice(write: () => Promise<void>): Promise<void> {
  try {
    await write();
    if (!state.kept) show({ kept: true });
    others?.postMessage('changed');
  } catch {
    show({ kept: false });
  }
}

/** What is kept on this device joins what this tab holds; nothing of either is lost. */
async function load(): Promise<void> {
  try {
    const kept = await allKept();
    const known = new Map(kept.filter(({ id }) => !leaving.has(id)).map((each) => [each.id, each]));
    // What this tab could not write yet is still its own.
    for (const [id, each] of entries) if (unwritten.has(id)) known.set(id, each);
    // What another tab has sent is written: this tab’s run knows it too.
    const gone = [...entries.values()].filter(({ id, why }) => why === null && !known.has(id) && !leaving.has(id));
    if (gone.length > 0) for (const tell of onWritten) tell(gone.map(({ entry }) => entry));
    entries = known;
    show({ kept: unwritten.size === 0 });
  } catch {
    show({ kept: false });
  }
}

/** Ids that this tab holds and the device does not have yet; and ids that are leaving it. */
const unwritten = new Set<string>();
const leaving = new Set<string>();

/** Takes an entry; it is sent at once, or as soon as the server is back. */
export function post(batchId: string, events: readonly RunEvent[]): void {
  take(events.map((event) => ({ of: 'batches', batchId, event })));
}

/** The same for a reading of an assay. */
export function postAssay(batchId: string, events: readonly AssayEntry[]): void {
  take(events.map((event) => ({ of: 'assays', batchId, event })));
}

function take(outgoing: readonly Outgoing[]): void {
  const made = outgoing.map((entry): Kept => {
    order += 1;
    return {
      id: entry.event.id,
      order,
      version: EVENT_VERSION,
      entry,
      why: null,
      notebook: notebookNow(),
      ahead: clockAhead(),
      tab: TAB,
      code: null,
      again: false,
    };
  });
  put(made);
  void flush();
}

function put(made: readonly Kept[]): void {
  for (const each of made) {
    entries.set(each.id, each);
    unwritten.add(each.id);
  }
  show();
  void onDevice(async () => {
    await keep(made);
    for (const { id } of made) unwritten.delete(id);
  });
}

function remove(ids: readonly string[]): Promise<void> {
  for (const id of ids) {
    entries.delete(id);
    unwritten.delete(id);
    leaving.add(id);
  }
  show();
  return onDevice(async () => {
    await letGo(ids);
    for (const id of ids) leaving.delete(id);
  });
}

/** Sends what waits, one tab at a time: the others wait for the lock, and then find it sent. */
export function flush(): Promise<void> {
  sending ??= locked(sendAll).finally(() => {
    sending = undefined;
    // What came while it was being sent goes with the next.
    if (next().length > 0 && !state.away && !state.trouble) void flush();
  });
  return sending;
}

async function locked(work: () => Promise<void>): Promise<void> {
  const locks = typeof navigator === 'undefined' ? undefined : navigator.locks;
  if (!locks) return work();
  await locks.request(LOCK, work);
}

async function sendAll(): Promise<void> {
  clearTimeout(timer);
  // Another tab may have sent some of it meanwhile.
  await load();
  try {
    // What time it is there, and which notebook, is known before anything is sent.
    if (clockAhead() === null && next().length > 0) await request('GET', '/health');
    for (let batch = next(); batch.length > 0; batch = next()) await send(batch);
    if (state.away || state.trouble) show({ away: false, trouble: null });
  } catch (error) {
    if (!(error instanceof Away || error instanceof Refused)) throw error;
    // A server that answered is not away, whatever it said.
    show(error instanceof Refused ? { away: false, trouble: error.problem.detail } : { away: true, trouble: null });
    timer = setTimeout(() => void flush(), RETRY_MS);
  }
}

/** The first entries that belong to one batch, in order; the server takes them as a whole. None that are another notebook’s. */
function next(): readonly Kept[] {
  const waiting = [...entries.values()]
    .filter((each) => each.why === null && !isOfAnother(each))
    .sort((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1));
  const first = waiting[0];
  if (!first) return [];
  const end = waiting.findIndex(({ entry }) => entry.batchId !== first.entry.batchId);
  return waiting.slice(0, end < 0 ? 200 : Math.min(end, 200));
}

async function send(batch: readonly Kept[]): Promise<void> {
  const [first] = batch;
  if (!first) return;
  const { of, batchId } = first.entry;
  const photos = batch.flatMap(({ entry }) => photoOf(entry) ?? []);
  try {
    // What an entry shows is there before it.
    for (const photo of photos) await sendPhoto(photo);
    await postFor(first.notebook, `/${of}/${batchId}/events`, { events: batch.map(sent) });
    for (const tell of onWritten) tell(batch.map(({ entry }) => entry));
    await remove(batch.map(({ id }) => id));
    for (const photo of photos) await letPhotoGo(photo);
  } catch (error) {
    if (!(error instanceof Refused)) throw new Away();
    // Five hundreds are the server’s trouble, not the entry’s: keep it and try again. So is a device that must be paired again.
    if (error.problem.status >= 500 || ['not-paired', 'too-often'].includes(error.problem.code)) throw error;
    // Another notebook answers under this address: its entries wait for their own.
    if (error.problem.code === 'other-notebook') return show();
    // One bad entry must not take its neighbours along: they are tried one by one.
    if (batch.length > 1) return send(batch.slice(0, 1));
    put([{ ...first, why: error.problem.detail, code: error.problem.code }]);
  }
}

function photoOf(entry: Outgoing): string | undefined {
  const { body } = entry.event;
  return body.kind === 'photographed' ? body.attachmentId : undefined;
}

/**
 * As it goes over the line: when it was written is the server’s to say, and when it happened goes by the server’s clock, also for
 * what was made before that had said its time.
 */
function sent({ entry, ahead, tab, again }: Kept) {
  const late = ahead === null ? (clockAhead() ?? 0) : 0;
  const at = (instant: string) => (late === 0 ? instant : new Date(Date.parse(instant) + late).toISOString());
  if (entry.of === 'assays') return { ...entry.event, happenedAt: at(entry.event.happenedAt) };
  const { id, happened, body } = entry.event;
  return { id, happened: { ...happened, at: at(happened.at) }, body, tab, ...(again ? { again } : {}) };
}

/** A refused entry goes out once more, as it is or with now as the time it happened. */
export function sendAgain(id: string, withNow: boolean): void {
  const kept = entries.get(id);
  if (!kept) return;
  const now = notebookInstant();
  const { entry } = kept;
  const again: Outgoing =
    entry.of === 'batches'
      ? { ...entry, event: withNow ? { ...entry.event, happened: { ...entry.event.happened, at: now } } : entry.event }
      : { ...entry, event: withNow ? { ...entry.event, happenedAt: now } : entry.event };
  put([{ ...kept, entry: again, why: null, code: null, ahead: withNow ? clockAhead() : kept.ahead }]);
  void flush();
}

/** What was asked about did happen once more: it goes out as that. */
export function sendAsAnother(id: string): void {
  const kept = entries.get(id);
  if (!kept) return;
  put([{ ...kept, why: null, code: null, again: true }]);
  void flush();
}

/** A refused entry is let go by the one who made it. */
export function giveUp(id: string): void {
  const kept = entries.get(id);
  if (!kept || kept.why === null) return;
  const photo = photoOf(kept.entry);
  void remove([id]);
  if (photo) void letPhotoGo(photo);
}

/** Everything that waits or was refused, as text to take away. */
export function asText(): string {
  return JSON.stringify(
    [...entries.values()].map(({ entry, why }) => ({ ...entry, why })),
    null,
    2,
  );
}

/** Called with the entries the server has just written, before they leave the outbox. */
export function whenWritten(tell: Written): () => void {
  onWritten.add(tell);
  return () => onWritten.delete(tell);
}

export function useOutbox(): OutboxState {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => state,
  );
}

others?.addEventListener('message', () => void load());
window.addEventListener('online', () => void flush());
void flush();
