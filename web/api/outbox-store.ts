import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import { eventFrom } from '#run/kept';
import { EVENT_VERSION, type RunEvent } from '#run/log';
import type { Outgoing } from './outgoing.ts';

/** An entry as this device keeps it: by its own id, in the order it was made, with what the server said where it refused it. */
export interface Kept {
  readonly id: string;
  readonly order: number;
  readonly version: number;
  readonly entry: Outgoing;
  readonly why: string | null;
  /** The notebook it was made for; null where none had answered yet. */
  readonly notebook: string | null;
  /** ms that the notebook’s clock was ahead of this device’s when it was made; null where that was not known then. */
  readonly ahead: number | null;
  /** The page it was made in. */
  readonly tab: string;
  /** The code of the refusal; null where there was none. */
  readonly code: string | null;
  /** It was asked about, and did happen once more. */
  readonly again: boolean;
}

/** A photo on its way to the server. */
export interface KeptPhoto {
  readonly id: string;
  readonly batchId: string;
  readonly blob: Blob;
}

interface Schema extends DBSchema {
  entries: { key: string; value: Kept };
  photos: { key: string; value: KeptPhoto };
}

/** The list that an earlier page kept under one key of the page’s own store. */
const OLD_KEY = 'earnest-still:outbox';

let opened: Promise<IDBPDatabase<Schema>> | undefined;

function database(): Promise<IDBPDatabase<Schema>> {
  opened ??= openDB<Schema>('earnest-still', 2, {
    upgrade: (db, from) => {
      if (from < 1) db.createObjectStore('entries', { keyPath: 'id' });
      if (from < 2) db.createObjectStore('photos', { keyPath: 'id' });
    },
    // A page of a newer build may want to bring the store up while this one is open.
    blocking: () => {
      void opened?.then((db) => db.close());
      opened = undefined;
    },
  });
  // A store that could not be opened is tried again the next time.
  opened.catch(() => {
    opened = undefined;
  });
  return opened;
}

/** Everything that is kept on this device, in the order it was made, entries of an earlier build brought up to today’s. */
export async function allKept(): Promise<readonly Kept[]> {
  const db = await database();
  await moveOld(db);
  const all = await db.getAll('entries');
  return all.map(today).sort((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1));
}

/** Each entry is a record of its own: what another tab wrote is never overwritten. */
export async function keep(entries: readonly Kept[]): Promise<void> {
  const db = await database();
  const change = db.transaction('entries', 'readwrite', { durability: 'strict' });
  await Promise.all([...entries.map((each) => change.store.put(each)), change.done]);
}

export async function letGo(ids: readonly string[]): Promise<void> {
  const db = await database();
  const change = db.transaction('entries', 'readwrite');
  await Promise.all([...ids.map((id) => change.store.delete(id)), change.done]);
}

export async function keepPhoto(photo: KeptPhoto): Promise<void> {
  const db = await database();
  const change = db.transaction('photos', 'readwrite', { durability: 'strict' });
  await Promise.all([change.store.put(photo), change.done]);
}

export async function keptPhoto(id: string): Promise<KeptPhoto | undefined> {
  return (await database()).get('photos', id);
}

export async function dropPhotos(ids: readonly string[]): Promise<void> {
  const db = await database();
  const change = db.transaction('photos', 'readwrite');
  await Promise.all([...ids.map((id) => change.store.delete(id)), change.done]);
}

/** What a record of an earlier page does not have yet. */
const OF_BEFORE = { ahead: null, tab: 'before', code: null, again: false } as const;

function today(stored: Kept): Kept {
  const kept = { ...OF_BEFORE, ...stored };
  if (kept.entry.of === 'assays' || kept.version === EVENT_VERSION) return kept;
  return {
    ...kept,
    version: EVENT_VERSION,
    entry: { ...kept.entry, event: eventFrom(kept.entry.event, kept.version) },
  };
}

/** Takes over what an earlier page kept, once. */
async function moveOld(db: IDBPDatabase<Schema>): Promise<void> {
  let old: string | null = null;
  try {
    old = localStorage.getItem(OLD_KEY);
  } catch {
    return;
  }
  if (old === null) return;
  type Old = { version?: number; waiting?: Outgoing[]; refused?: (Outgoing & { why: string })[] };
  const { version = 1, waiting = [], refused = [] } = readOld(old) as Old;
  const all = [
    ...waiting.map((entry) => ({ entry, why: null })),
    ...refused.map(({ why, ...entry }) => ({ entry, why })),
  ];
  const change = db.transaction('entries', 'readwrite', { durability: 'strict' });
  await Promise.all([
    ...all.map(({ entry, why }, order) =>
      change.store.put({
        id: entry.event.id,
        order,
        version,
        entry: entry.of === 'assays' ? entry : { ...entry, of: 'batches', event: entry.event as RunEvent },
        why,
        notebook: null,
        ahead: null,
        tab: 'before',
        code: null,
        again: false,
      }),
    ),
    change.done,
  ]);
  localStorage.removeItem(OLD_KEY);
}

function readOld(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return {};
  }
}
