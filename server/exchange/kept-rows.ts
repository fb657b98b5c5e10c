import type { Db } from '../db/open.ts';

// A notebook as it is exchanged: what lies in its tables, untouched, each thing with what belongs to it.

export interface KeptEvent {
  readonly id: string;
  readonly happenedAt: string;
  readonly writtenAt: string;
  /** The version of the shape that `body` was written under. */
  readonly version: number;
  readonly body: object;
}

export interface KeptBottle {
  readonly id: string;
  readonly createdAt: string;
  readonly events: readonly KeptEvent[];
}

export interface KeptBatch {
  readonly id: string;
  readonly number: number;
  readonly version: number;
  readonly createdAt: string;
  readonly planVersion: number;
  readonly plan: object;
  readonly events: readonly (KeptEvent & { readonly giveOrTakeMin: number })[];
}

export interface KeptAssay {
  readonly id: string;
  readonly bottleId: string;
  readonly createdAt: string;
  readonly planVersion: number;
  readonly plan: object;
  readonly entries: readonly KeptEvent[];
}

export interface KeptLesson {
  readonly id: string;
  readonly routeId: string;
  readonly step: string | null;
  readonly bottleId: string | null;
  readonly batchId: string | null;
  readonly text: string;
  readonly writtenAt: string;
  readonly retiredAt: string | null;
}

/** One version of a route of one's own. */
export interface KeptRoute {
  readonly id: string;
  readonly version: number;
  readonly writtenAt: string;
  readonly routeVersion: number;
  readonly retired: boolean;
  readonly route: object;
}

export interface KeptPhotoRow {
  readonly id: string;
  readonly batchId: string;
  readonly mediaType: string;
  readonly size: number;
  readonly sha256: string;
  readonly writtenAt: string;
}

/** What instruments showed in a batch, in order: at a still `[at, min, °C head, °C flask, g, W, receiver]`, at a cell `[at, min, V, A, °C]`. */
export type KeptReading =
  | readonly [string, number, number, number, number, number, number]
  | readonly [string, number, number, number, number];

export interface KeptNotebook {
  readonly notebookId: string;
  readonly bench: { readonly version: number; readonly body: object } | null;
  readonly week: { readonly version: number; readonly body: object } | null;
  readonly bottles: readonly KeptBottle[];
  readonly batches: readonly KeptBatch[];
  readonly assays: readonly KeptAssay[];
  readonly lessons: readonly KeptLesson[];
  readonly routes: readonly KeptRoute[];
  readonly photos: readonly KeptPhotoRow[];
  readonly readings: ReadonlyMap<string, readonly KeptReading[]>;
}

type Row = Readonly<Record<string, string | number | null>>;

/** Everything of a notebook, in the order it was written. */
export function keptRows(db: Db): KeptNotebook {
  const rows = (sql: string) => db.prepare<[], Row>(sql).all();
  const events = grouped(rows('SELECT * FROM bottle_event ORDER BY seq'), 'bottle_id');
  const batchEvents = grouped(rows('SELECT * FROM batch_event ORDER BY seq'), 'batch_id');
  const entries = grouped(rows('SELECT * FROM assay_entry ORDER BY seq'), 'assay_id');
  const [bench] = rows('SELECT version, body FROM bench');
  const [week] = rows('SELECT version, body FROM week');
  return {
    notebookId: text(rows('SELECT id FROM identity')[0]?.id),
    bench: bench ? { version: Number(bench.version), body: json(bench.body) } : null,
    week: week ? { version: Number(week.version), body: json(week.body) } : null,
    bottles: rows('SELECT * FROM bottle ORDER BY created_at, id').map((row) => ({
      id: text(row.id),
      createdAt: text(row.created_at),
      events: (events.get(text(row.id)) ?? []).map(eventOf),
    })),
    batches: rows('SELECT * FROM batch ORDER BY number').map((row) => ({
      id: text(row.id),
      number: Number(row.number),
      version: Number(row.version),
      createdAt: text(row.created_at),
      planVersion: Number(row.plan_version),
      plan: json(row.plan),
      events: (batchEvents.get(text(row.id)) ?? []).map((each) => ({
        ...eventOf(each),
        giveOrTakeMin: Number(each.give_or_take_min),
      })),
    })),
    assays: rows('SELECT * FROM assay ORDER BY created_at, id').map((row) => ({
      id: text(row.id),
      bottleId: text(row.bottle_id),
      createdAt: text(row.created_at),
      planVersion: Number(row.plan_version),
      plan: json(row.plan),
      entries: (entries.get(text(row.id)) ?? []).map(eventOf),
    })),
    routes: rows('SELECT * FROM own_route ORDER BY id, version').map((row) => ({
      id: String(row.id),
      version: Number(row.version),
      writtenAt: String(row.written_at),
      routeVersion: Number(row.route_version),
      retired: row.retired === 1,
      route: JSON.parse(String(row.route)) as object,
    })),
    lessons: rows('SELECT * FROM lesson ORDER BY written_at, id').map((row) => ({
      id: text(row.id),
      routeId: text(row.route_id),
      step: row.step === null ? null : text(row.step),
      bottleId: row.bottle_id === null ? null : text(row.bottle_id),
      batchId: row.batch_id === null ? null : text(row.batch_id),
      text: text(row.text),
      writtenAt: text(row.written_at),
      retiredAt: row.retired_at === null ? null : text(row.retired_at),
    })),
    photos: rows('SELECT * FROM attachment ORDER BY written_at, id').map((row) => ({
      id: text(row.id),
      batchId: text(row.batch_id),
      mediaType: text(row.media_type),
      size: Number(row.size),
      sha256: text(row.sha256),
      writtenAt: text(row.written_at),
    })),
    readings: readingsOf(db),
  };
}

function readingsOf(db: Db): ReadonlyMap<string, readonly KeptReading[]> {
  const ids = db.prepare<[], { id: string }>('SELECT DISTINCT batch_id AS id FROM instrument_reading').all();
  const of = db
    .prepare<[string], KeptReading>(
      'SELECT at, minutes, head_c, pot_c, mass_g, watts, receiver FROM instrument_reading WHERE batch_id = ? ORDER BY seq',
    )
    .raw();
  const cells = db.prepare<[], { id: string }>('SELECT DISTINCT batch_id AS id FROM cell_reading').all();
  const ofCell = db
    .prepare<[string], KeptReading>(
      'SELECT at, minutes, volts, amps, temp_c FROM cell_reading WHERE batch_id = ? ORDER BY seq',
    )
    .raw();
  return new Map([
    ...ids.map(({ id }) => [id, of.all(id)] as const),
    ...cells.map(({ id }) => [id, ofCell.all(id)] as const),
  ]);
}

function eventOf(row: Row): KeptEvent {
  return {
    id: text(row.id),
    happenedAt: text(row.happened_at),
    writtenAt: text(row.written_at),
    version: Number(row.version),
    body: json(row.body),
  };
}

function grouped(rows: readonly Row[], by: string): ReadonlyMap<string, readonly Row[]> {
  const all = new Map<string, Row[]>();
  for (const row of rows) {
    const key = text(row[by]);
    const group = all.get(key);
    if (group) group.push(row);
    else all.set(key, [row]);
  }
  return all;
}

const text = (value: unknown): string => String(value);
const json = (value: unknown): object => JSON.parse(String(value)) as object;
