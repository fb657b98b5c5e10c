import { useSyncExternalStore } from 'react';
import type { AssayEntry } from '#core/assay';
import { eventFrom } from '#core/kept';
import { EVENT_VERSION, type RunEvent } from '#core/log';
import { Away, Refused, request } from './client.ts';

/** An entry on its way to the server. It stays here, and on this device, until the server has said it is written. */
export type Outgoing =
  | { readonly of: 'batches'; readonly batchId: string; readonly event: RunEvent }
  | { readonly of: 'assays'; readonly batchId: string; readonly event: AssayEntry };

export interface OutboxState {
  readonly waiting: readonly Outgoing[];
  /** Entries that the server would not take, with its sentence; kept until the person has seen them. */
  readonly refused: readonly (Outgoing & { readonly why: string })[];
  readonly away: boolean;
}

const KEY = 'earnest-still:outbox';
const RETRY_MS = 3000;

let state: OutboxState = { ...readStored(), away: false };
let sending = false;
let timer: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();
type Written = (batch: readonly Outgoing[]) => void;
const onWritten = new Set<Written>();

function readStored(): Pick<OutboxState, 'waiting' | 'refused'> {
  try {
    const stored = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<OutboxState> & { version?: number };
    // What an earlier page left here is brought up to today's entries before it is sent.
    const today = <T extends Outgoing>(each: T): T =>
      each.of === 'assays'
        ? each
        : { ...each, of: 'batches', event: eventFrom(each.event as RunEvent, stored.version ?? 1) };
    return { waiting: (stored.waiting ?? []).map(today), refused: (stored.refused ?? []).map(today) };
  } catch {
    return { waiting: [], refused: [] };
  }
}

function set(next: Partial<OutboxState>): void {
  state = { ...state, ...next };
  try {
    const { waiting, refused } = state;
    localStorage.setItem(KEY, JSON.stringify({ version: EVENT_VERSION, waiting, refused }));
  } catch {
    // A full or forbidden store: the entry still goes out from memory.
  }
  for (const listener of listeners) listener();
}

/** Takes an entry; it is sent at once, or as soon as the server is back. */
export function post(batchId: string, events: readonly RunEvent[]): void {
  take(events.map((event) => ({ of: 'batches', batchId, event })));
}

/** The same for a reading of an assay. */
export function postAssay(batchId: string, events: readonly AssayEntry[]): void {
  take(events.map((event) => ({ of: 'assays', batchId, event })));
}

function take(entries: readonly Outgoing[]): void {
  set({ waiting: [...state.waiting, ...entries] });
  void flush();
}

export async function flush(): Promise<void> {
  if (sending) return;
  sending = true;
  clearTimeout(timer);
  try {
    while (state.waiting.length > 0) {
      const { batchId } = state.waiting[0]!;
      const batch = leading(batchId);
      await send(batchId, batch);
    }
    if (state.away) set({ away: false });
  } catch (error) {
    if (!(error instanceof Away)) throw error;
    set({ away: true });
    timer = setTimeout(() => void flush(), RETRY_MS);
  } finally {
    sending = false;
  }
}

/** The first entries that belong to one batch, in order; the server takes them as a whole. */
function leading(batchId: string): readonly Outgoing[] {
  const end = state.waiting.findIndex((each) => each.batchId !== batchId);
  return state.waiting.slice(0, end < 0 ? 200 : Math.min(end, 200));
}

async function send(batchId: string, batch: readonly Outgoing[]): Promise<void> {
  const ids = new Set(batch.map(({ event }) => event.id));
  try {
    await request('POST', `/${batch[0]?.of ?? 'batches'}/${batchId}/events`, { events: batch.map(sent) });
    for (const tell of onWritten) tell(batch);
    set({ waiting: state.waiting.filter(({ event }) => !ids.has(event.id)) });
  } catch (error) {
    if (!(error instanceof Refused)) throw new Away();
    // Five hundreds are the server's trouble, not the entry's: keep it and try again.
    if (error.problem.status >= 500) throw new Away();
    // One bad entry must not take its neighbours along: they are tried one by one.
    if (batch.length > 1) return send(batchId, batch.slice(0, 1));
    const why = error.problem.detail;
    set({
      waiting: state.waiting.filter(({ event }) => !ids.has(event.id)),
      refused: [...state.refused, ...batch.map((each) => ({ ...each, why }))],
    });
  }
}

/** As it goes over the line: when it was written is the server's to say. */
function sent({ of, event }: Outgoing) {
  if (of === 'assays') return event;
  const { id, happened, body } = event;
  return { id, happened, body };
}

export function dismissRefused(): void {
  set({ refused: [] });
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

window.addEventListener('online', () => void flush());
if (state.waiting.length > 0) void flush();
