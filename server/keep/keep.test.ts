import { cpSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { pino } from 'pino';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { testShelf } from '#testing/shelf';
import { createApp } from '../app.ts';
import { holdNotebook, markOpen } from '../db/lock.ts';
import { newestSchema, openDb } from '../db/open.ts';
import { Notebook } from '../notebook.ts';
import { entry, PNG, testPlan } from '../testing/notebook.ts';
import { backupOf, openBackup, restoreBackup } from './archive.ts';
import { dailyCopy, thinned } from './copies.ts';

const NOW = '2026-03-14T12:00:00.000Z';

/** A notebook on disk with a batch, an entry and a photo. */
async function notebook() {
  const home = mkdtempSync(join(tmpdir(), 'still-keep-'));
  const db = openDb(join(home, 'still.db'));
  const api = request(createApp({ db, home, log: pino({ level: 'silent' }), now: () => NOW }));
  await api
    .post('/api/batches')
    .send({ id: 'batch_keep01', plan: testPlan('60 g zinc sulfate') })
    .expect(201);
  await api
    .post('/api/batches/batch_keep01/events')
    .send({ events: [entry({ kind: 'finished', step: 'ready' })] })
    .expect(201);
  await api
    .put('/api/attachments/att_keep01?batch=batch_keep01')
    .set('Content-Type', 'image/png')
    .send(PNG)
    .expect(201);
  return { home, db, api };
}

const rows = (db: ReturnType<typeof openDb>) => ({
  batches: db.prepare('SELECT * FROM batch').all(),
  events: db.prepare('SELECT * FROM batch_event ORDER BY seq').all(),
  identity: db.prepare('SELECT * FROM identity').all(),
});

describe('a backup', () => {
  it('made while it is written to, and restored, is the same notebook with its photos', async () => {
    const { home, db, api } = await notebook();
    const writing = Promise.all(
      Array.from({ length: 20 }, (_, i) =>
        api
          .post('/api/batches/batch_keep01/events')
          .send({ events: [entry({ kind: 'noted', step: 'zinc', text: `note ${i}` })] }),
      ),
    );
    const archive = await backupOf(db, home, NOW);
    await writing;
    const there = mkdtempSync(join(tmpdir(), 'still-there-'));
    expect(restoreBackup(archive, there, NOW)).toBeNull();
    const restored = openDb(join(there, 'still.db'));
    const [ours, theirs] = [rows(db), rows(restored)];
    expect(theirs.batches).toEqual(ours.batches);
    expect(theirs.identity).toEqual(ours.identity);
    // What had been written by then is in it, in order, and nothing else.
    expect(theirs.events).toEqual(ours.events.slice(0, theirs.events.length));
    expect(theirs.events.length).toBeGreaterThan(0);
    expect(readFileSync(join(there, 'attachments', 'att_keep01.png'))).toEqual(PNG);
  });

  it('keeps what was there before', async () => {
    const { home, db } = await notebook();
    const archive = await backupOf(db, home, NOW);
    db.close();
    const before = restoreBackup(archive, home, NOW)!;
    expect(readdirSync(before)).toEqual(expect.arrayContaining(['attachments', 'still.db']));
    expect(rows(openDb(join(home, 'still.db'))).batches).toHaveLength(1);
  });

  it('is what the page takes away', async () => {
    const { api } = await notebook();
    const { body, headers } = await api.get('/api/backup').buffer(true).parse(binary).expect(200);
    expect(headers['content-disposition']).toContain('earnest-still-2026-03-14.zip');
    expect([...openBackup(body as Buffer).files.keys()].sort()).toEqual(['attachments/att_keep01.png', 'still.db']);
  });

  it.each([
    ['no archive', () => strToU8('nothing at all'), 'no archive'],
    ['another’s archive', () => zipSync({ 'x.txt': strToU8('x') }), 'does not say what it is'],
    [
      'one that was changed',
      (good: Uint8Array) => changed(good, (files) => files['still.db']?.set([255, 254], 2000)),
      'not whole',
    ],
    [
      'one that lacks a photo',
      (good: Uint8Array) => changed(good, (files) => void delete files['attachments/att_keep01.png']),
      'not whole',
    ],
    [
      'one of a newer build',
      (good: Uint8Array) =>
        changed(good, (files) => {
          const manifest = JSON.parse(strFromU8(files['manifest.json']!));
          files['manifest.json'] = strToU8(JSON.stringify({ ...manifest, schema: newestSchema() + 1 }));
        }),
      'newer Earnest Still',
    ],
  ])('is looked through first: %s is refused in a sentence, and nothing is touched', async (_, make, says) => {
    const { home, db } = await notebook();
    const archive = make(await backupOf(db, home, NOW));
    const there = mkdtempSync(join(tmpdir(), 'still-there-'));
    expect(() => restoreBackup(archive, there, NOW)).toThrow(says);
    expect(readdirSync(there)).toEqual([]);
  });

  it('takes no file out of its own folders', async () => {
    const { home, db } = await notebook();
    const archive = changed(await backupOf(db, home, NOW), (files) => {
      files['../../out.txt'] = strToU8('out');
      files['attachments/../../still.sh'] = strToU8('out');
    });
    expect([...openBackup(archive).files.keys()].sort()).toEqual(['attachments/att_keep01.png', 'still.db']);
  });
});

function changed(archive: Uint8Array, change: (files: Record<string, Uint8Array>) => void): Uint8Array {
  const files = unzipSync(archive);
  change(files);
  return zipSync(files);
}

function binary(res: request.Response, done: (error: Error | null, body: Buffer) => void): void {
  const chunks: Buffer[] = [];
  res.on('data', (chunk: Buffer) => chunks.push(chunk));
  res.on('end', () => done(null, Buffer.concat(chunks)));
}

describe('copies', () => {
  it('are made once a day, and thinned with age to one a week and one a month', async () => {
    const { home, db } = await notebook();
    expect(await dailyCopy(db, home, NOW)).toBe(true);
    expect(await dailyCopy(db, home, NOW)).toBe(false);
    expect(readdirSync(join(home, 'copies'))).toEqual(['still-2026-03-14.db']);
    const year = Array.from(
      { length: 365 },
      (_, i) => `still-${new Date(Date.parse('2026-03-14') - i * 86_400_000).toISOString().slice(0, 10)}.db`,
    );
    const gone = new Set(thinned(year, NOW));
    const kept = year.filter((name) => !gone.has(name));
    expect(kept.slice(0, 8)).toEqual(year.slice(0, 8));
    expect(kept.length).toBeGreaterThan(20);
    expect(kept.length).toBeLessThan(30);
    // The oldest month still has one.
    expect(kept.at(-1)!.slice(0, 13)).toBe(year.at(-1)!.slice(0, 13));
    expect(thinned(['notes.txt', 'still-before-schema-6.db'], NOW)).toEqual([]);
  });

  it('of an earlier schema stand beside the notebook before it is changed', () => {
    const home = mkdtempSync(join(tmpdir(), 'still-old-'));
    const file = join(home, 'still.db');
    const db = openDb(file);
    db.exec(
      'DROP TABLE identity; DROP TABLE device; DROP TABLE own_route; DROP TABLE cell_reading; DROP TABLE week; DROP TABLE week_feed; DROP TABLE notice',
    );
    db.pragma('user_version = 5');
    db.close();
    openDb(file).close();
    expect(readdirSync(join(home, 'copies'))).toEqual([`still-before-schema-${newestSchema()}.db`]);
  });
});

describe('one notebook', () => {
  it('is held by one server, and free again when that is gone', () => {
    const home = mkdtempSync(join(tmpdir(), 'still-lock-'));
    const release = holdNotebook(home);
    expect(() => holdNotebook(home)).toThrow(/is open in another Earnest Still/);
    release();
    holdNotebook(home)();
  });

  it('that is none is not opened', () => {
    const file = join(mkdtempSync(join(tmpdir(), 'still-bad-')), 'still.db');
    writeFileSync(file, 'not a database, and long enough to be looked at as one '.repeat(20));
    expect(() => openDb(file)).toThrow(expect.objectContaining({ code: 'SQLITE_NOTADB' }));
  });
});

describe('a folder that was copied', () => {
  it('while its notebook was open is refused, with what would be right; while closed, or after a kill, it opens', async () => {
    const { home, db } = await notebook();
    const release = holdNotebook(home);
    markOpen(home);
    const torn = mkdtempSync(join(tmpdir(), 'still-torn-'));
    cpSync(home, torn, { recursive: true });
    expect(() => holdNotebook(torn)).toThrow(/was copied while its notebook was open.*npm run restore/);
    // A backup may take its place all the same.
    holdNotebook(torn, { replacing: true })();
    expect(() => holdNotebook(torn)()).not.toThrow();
    db.close();
    release();
    const whole = mkdtempSync(join(tmpdir(), 'still-whole-'));
    cpSync(home, whole, { recursive: true });
    holdNotebook(whole)();
    // Killed: the mark stays, on the same file.
    markOpen(home);
    holdNotebook(home)();
  });
});

describe('a notebook that is open', () => {
  const open = () => {
    const home = mkdtempSync(join(tmpdir(), 'still-open-'));
    const book = new Notebook({ home, log: pino({ level: 'silent' }), now: () => NOW });
    const api = request(book.handle);
    const bottle = (n: number) =>
      api.post('/api/bottles').send({ id: `bottle_swap000${n}`, eventId: `ev_swap000${n}`, card: testShelf[0]!.card });
    const post = (path: string, archive: Uint8Array) =>
      api.post(`/api/backup${path}`).set('Content-Type', 'application/zip').send(Buffer.from(archive));
    return { home, book, api, bottle, post };
  };

  it('is looked at, and gives way to a backup; what was there is kept beside it, and can be brought back', async () => {
    const { home, book, api, bottle, post } = open();
    await bottle(1).expect(201);
    const archive = await backupOf(book.db, home, NOW);
    await bottle(2).expect(201);
    const look = await post('/look', archive).expect(200);
    expect(look.body).toMatchObject({ writtenAt: NOW, holds: { bottles: 1 }, here: { bottles: 2 } });
    expect((await api.get('/api/bottles')).body).toHaveLength(2);
    await post('/restore', archive).expect(200);
    expect((await api.get('/api/bottles')).body).toHaveLength(1);
    await bottle(3).expect(201);
    const [before] = readdirSync(home).filter((name) => name.startsWith('before-restore-'));
    // The database that was kept is itself a thing to restore.
    book.close();
    restoreBackup(readFileSync(join(home, before!, 'still.db')), home, '2026-03-14T12:00:01.000Z');
    const back = new Notebook({ home, log: pino({ level: 'silent' }) });
    expect((await request(back.handle).get('/api/bottles')).body).toHaveLength(2);
    back.close();
  });

  it('stays as it is where the backup is none', async () => {
    const { home, book, api, bottle, post } = open();
    await bottle(1).expect(201);
    const archive = await backupOf(book.db, home, NOW);
    const torn = archive.slice(0, archive.length - 400);
    for (const path of ['/look', '/restore']) {
      const refused = await post(path, torn).expect(422);
      expect(refused.body.detail).toMatch(/no archive that can be opened/);
    }
    await api.post('/api/backup/restore').send({}).expect(422);
    expect((await api.get('/api/bottles')).body).toHaveLength(1);
    await bottle(2).expect(201);
    book.close();
  });
});
