import { mkdirSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { immediate } from '../db/immediate.ts';
import type { Db } from '../db/open.ts';
import type {
  KeptAssay,
  KeptBatch,
  KeptBottle,
  KeptEvent,
  KeptLesson,
  KeptNotebook,
  KeptPhotoRow,
  KeptReading,
  KeptRoute,
} from './kept-rows.ts';
import { photoFile } from './names.ts';

/** What an import adds to a notebook. */
export interface Additions {
  readonly bottles: readonly KeptBottle[];
  readonly batches: readonly KeptBatch[];
  /** Numbers of batches that are taken already. */
  readonly numbers: readonly number[];
  readonly assays: readonly KeptAssay[];
  readonly lessons: readonly KeptLesson[];
  readonly routes: readonly KeptRoute[];
  readonly photos: readonly KeptPhotoRow[];
  readonly pictures: ReadonlyMap<string, Uint8Array>;
  readonly readings: ReadonlyMap<string, readonly KeptReading[]>;
  readonly bench: KeptNotebook['bench'];
  readonly week: KeptNotebook['week'];
  /** Entries of what is here already, by its id. */
  readonly more: {
    readonly bottle: ReadonlyMap<string, readonly KeptEvent[]>;
    readonly batch: ReadonlyMap<string, readonly (KeptEvent & { readonly giveOrTakeMin: number })[]>;
    readonly assay: ReadonlyMap<string, readonly KeptEvent[]>;
  };
}

/** Writes it all in one transaction, or nothing. */
export function writeAdditions(db: Db, home: string, adds: Additions): void {
  writePictures(home, adds);
  immediate(db, () => {
    writeBottles(db, adds);
    writeBatches(db, adds);
    writeAssays(db, adds);
    writeRest(db, adds);
  })();
}

/** Before their rows: a picture without a row is never seen, a row without a picture would be. */
function writePictures(home: string, { photos, pictures }: Additions): void {
  const folder = join(home, 'attachments');
  if (photos.length > 0) mkdirSync(folder, { recursive: true, mode: 0o700 });
  for (const { id, mediaType } of photos) {
    const path = join(folder, photoFile(id, mediaType));
    writeFileSync(`${path}.part`, pictures.get(id) ?? new Uint8Array(), { flush: true, mode: 0o600 });
    renameSync(`${path}.part`, path);
  }
}

function writeBottles(db: Db, { bottles, more }: Additions): void {
  const bottle = db.prepare('INSERT INTO bottle (id, created_at) VALUES (?, ?)');
  const event = db.prepare(
    'INSERT INTO bottle_event (bottle_id, id, happened_at, written_at, version, body) VALUES (?, ?, ?, ?, ?, ?)',
  );
  for (const { id, createdAt, events } of bottles) {
    bottle.run(id, createdAt);
    for (const each of events) event.run(id, ...cells(each));
  }
  for (const [id, events] of more.bottle) for (const each of events) event.run(id, ...cells(each));
}

function writeBatches(db: Db, { batches, numbers, more }: Additions): void {
  const insert = db.prepare(
    'INSERT INTO batch (id, number, version, created_at, plan, plan_version) VALUES (?, ?, ?, ?, ?, ?)',
  );
  const event = db.prepare(
    'INSERT INTO batch_event (batch_id, id, happened_at, written_at, version, body, give_or_take_min) VALUES (?, ?, ?, ?, ?, ?, ?)',
  );
  const taken = new Set(numbers);
  for (const batch of batches) {
    // Its own number where that is free, else the next.
    const number = taken.has(batch.number) ? Math.max(...taken) + 1 : batch.number;
    taken.add(number);
    insert.run(batch.id, number, batch.version, batch.createdAt, JSON.stringify(batch.plan), batch.planVersion);
    for (const each of batch.events) event.run(batch.id, ...cells(each), each.giveOrTakeMin);
  }
  for (const [id, events] of more.batch) for (const each of events) event.run(id, ...cells(each), each.giveOrTakeMin);
}

function writeAssays(db: Db, { assays, more }: Additions): void {
  const assay = db.prepare('INSERT INTO assay (id, bottle_id, created_at, plan, plan_version) VALUES (?, ?, ?, ?, ?)');
  const entry = db.prepare(
    'INSERT INTO assay_entry (assay_id, id, happened_at, written_at, version, body) VALUES (?, ?, ?, ?, ?, ?)',
  );
  for (const { id, bottleId, createdAt, plan, planVersion, entries } of assays) {
    assay.run(id, bottleId, createdAt, JSON.stringify(plan), planVersion);
    for (const each of entries) entry.run(id, ...cells(each));
  }
  for (const [id, entries] of more.assay) for (const each of entries) entry.run(id, ...cells(each));
}

function writeRest(db: Db, { lessons, routes, photos, readings, bench, week }: Additions): void {
  const lesson = db.prepare(
    'INSERT INTO lesson (id, route_id, step, bottle_id, batch_id, text, written_at, retired_at) VALUES (@id, @routeId, @step, @bottleId, @batchId, @text, @writtenAt, @retiredAt)',
  );
  for (const each of lessons) lesson.run(each);
  const route = db.prepare(
    'INSERT INTO own_route (id, version, written_at, route, route_version, retired) VALUES (?, ?, ?, ?, ?, ?)',
  );
  for (const { id, version, writtenAt, route: body, routeVersion, retired } of routes)
    route.run(id, version, writtenAt, JSON.stringify(body), routeVersion, retired ? 1 : 0);
  const photo = db.prepare(
    'INSERT INTO attachment (id, batch_id, media_type, size, sha256, written_at) VALUES (@id, @batchId, @mediaType, @size, @sha256, @writtenAt)',
  );
  for (const each of photos) photo.run(each);
  const reading = db.prepare(
    'INSERT INTO instrument_reading (batch_id, seq, at, minutes, head_c, pot_c, mass_g, watts, receiver) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)',
  );
  const cellReading = db.prepare(
    'INSERT INTO cell_reading (batch_id, seq, at, minutes, volts, amps, temp_c) VALUES (?, ?, ?, ?, ?, ?, ?)',
  );
  for (const [id, rows] of readings)
    for (const [i, row] of rows.entries()) (row.length === 5 ? cellReading : reading).run(id, i + 1, ...row);
  if (week)
    db.prepare('INSERT INTO week (id, version, body) VALUES (1, ?, ?)').run(week.version, JSON.stringify(week.body));
  if (bench)
    db.prepare('INSERT INTO bench (id, version, body) VALUES (1, ?, ?)').run(bench.version, JSON.stringify(bench.body));
}

const cells = ({ id, happenedAt, writtenAt, version, body }: KeptEvent) =>
  [id, happenedAt, writtenAt, version, JSON.stringify(body)] as const;
