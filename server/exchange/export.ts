import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { strToU8, zipSync } from 'fflate';
import { must } from '#base/lookup';
import { batchMarkdown } from '#run/outcome';
import { planTitle } from '#run/plan';
import type { BatchStore } from '../batch/store.ts';
import { type Db, newestSchema } from '../db/open.ts';
import type { StockStore } from '../stock/store.ts';
import { crateOf } from './crate.ts';
import { type KeptBatch, type KeptNotebook, keptRows } from './kept-rows.ts';
import { at, EXPORT_FORMAT, EXPORT_VERSION, type ExportManifest, photoFile } from './names.ts';
import { readingsCsv, recordCsv, shelfCsv } from './tables.ts';

export interface Exporting {
  readonly db: Db;
  readonly home: string;
  readonly stock: StockStore;
  readonly batches: BatchStore;
}

const ABOUT = `This is a bench notebook, written out by Earnest Still.

Read by people: batches/*.md (a page a batch, with its pictures), shelf.csv and record.csv.
Read by programs: the .json files; docs/formats.md of Earnest Still says what they hold, and
ro-crate-metadata.json names every file (RO-Crate 1.1). Import takes the whole archive back.
`;

/** The whole notebook as an archive of open formats: JSON as it is kept, CSV, Markdown, pictures. */
export function exportOf({ db, home, stock, batches }: Exporting, now: string): Uint8Array {
  const kept = keptRows(db);
  const photos = new Map(kept.photos.flatMap((photo) => photoIn(home, photo)));
  const present = { ...kept, photos: kept.photos.filter(({ id }) => photos.has(id)) };
  const files: Record<string, Uint8Array> = {
    ...jsonFiles(present),
    ...Object.fromEntries(
      present.photos.map((each) => [at.photo(each), must(photos.get(each.id), `photo ${each.id}`)]),
    ),
    ...Object.fromEntries([...kept.readings].map(([id, rows]) => [at.readings(id), strToU8(readingsCsv(rows))])),
  };
  const manifest: ExportManifest = {
    format: EXPORT_FORMAT,
    version: EXPORT_VERSION,
    schema: newestSchema(),
    notebook: kept.notebookId,
    writtenAt: now,
    files: Object.fromEntries(Object.entries(files).map(([name, bytes]) => [name, sha256(bytes)])),
  };
  const pages = pagesOf(present, batches);
  return zipSync(
    {
      [at.manifest]: json(manifest),
      'README.txt': strToU8(ABOUT),
      'ro-crate-metadata.json': json(crateOf(present, now, pages.titles)),
      'shelf.csv': strToU8(shelfCsv(stock.all())),
      'record.csv': strToU8(recordCsv(batches.list())),
      ...pages.files,
      ...files,
    },
    { level: 6 },
  );
}

function jsonFiles(kept: KeptNotebook): Record<string, Uint8Array> {
  return {
    ...(kept.bench ? { [at.bench]: json(kept.bench) } : {}),
    ...(kept.week ? { [at.week]: json(kept.week) } : {}),
    [at.lessons]: json(kept.lessons),
    [at.routes]: json(kept.routes),
    [at.photos]: json(kept.photos),
    ...Object.fromEntries(kept.bottles.map((each) => [at.bottle(each.id), json(each)])),
    ...Object.fromEntries(kept.batches.map((each) => [at.batch(each.id), json(each)])),
    ...Object.fromEntries(kept.assays.map((each) => [at.assay(each.id), json(each)])),
  };
}

function pagesOf(kept: KeptNotebook, batches: BatchStore) {
  const titles = new Map<string, string>();
  const files: Record<string, Uint8Array> = {};
  const photos = new Map(kept.photos.map((each) => [each.id, each]));
  for (const batch of kept.batches) {
    const page = pageOf(batch, batches, (id) => {
      const photo = photos.get(id);
      return photo && `../photos/${photoFile(photo.id, photo.mediaType)}`;
    });
    if (!page) continue;
    titles.set(batch.id, page.title);
    files[at.page(batch.id)] = strToU8(page.text);
  }
  return { titles, files };
}

/** A batch as a page of Markdown; undefined where its state can no longer be told. */
export function pageOf(
  { id, number }: Pick<KeptBatch, 'id' | 'number'>,
  batches: BatchStore,
  photo: (id: string) => string | undefined,
): { readonly title: string; readonly text: string } | undefined {
  const run = batches.stateOf(id);
  if (!run?.state.ok) return undefined;
  const { plan, state } = run;
  return { title: planTitle(plan), text: batchMarkdown({ number, plan, state: state.value, photo }) };
}

function photoIn(home: string, { id, mediaType }: { id: string; mediaType: string }): [string, Uint8Array][] {
  const path = join(home, 'attachments', photoFile(id, mediaType));
  return existsSync(path) ? [[id, readFileSync(path)]] : [];
}

const json = (value: object) => strToU8(`${JSON.stringify(value, null, 1)}\n`);
const sha256 = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');
