import { createHash } from 'node:crypto';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { pino } from 'pino';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { jsonSchemaOf } from '#contract/json-schema';
import { times } from '#testing/property';
import { testShelf } from '#testing/shelf';
import { batchStore } from '../batch/store.ts';
import { openDb } from '../db/open.ts';
import { Notebook } from '../notebook.ts';
import { stockStore } from '../stock/store.ts';
import { type KeptNotebook, keptDb, keptNotebook } from '../testing/kept-notebook.ts';
import { entry, longId, PNG, testPlan } from '../testing/notebook.ts';
import { exportOf } from './export.ts';
import { readImport } from './import.ts';
import { exportFiles } from './shapes.ts';

const NOW = '2026-03-14T12:00:00.000Z';
const log = pino({ level: 'silent' });
type Files = Record<string, Uint8Array>;

function open() {
  const home = mkdtempSync(join(tmpdir(), 'still-exchange-'));
  const book = new Notebook({ home, log, now: () => NOW });
  const api = request(book.handle);
  const post = (path: string, archive: Uint8Array) =>
    api.post(`/api${path}`).set('Content-Type', 'application/zip').send(Buffer.from(archive));
  const exported = async () => {
    const { body } = await api
      .get('/api/export')
      .buffer(true)
      .parse((res, done) => {
        const chunks: Buffer[] = [];
        res.on('data', (chunk: Buffer) => chunks.push(chunk));
        res.on('end', () => done(null, Buffer.concat(chunks)));
      })
      .expect(200);
    return new Uint8Array(body as Buffer);
  };
  return { home, book, api, post, exported };
}

/** What a notebook with a shelf, a run, a photo and a lesson writes out. */
async function lived() {
  const here = open();
  const { api } = here;
  for (const { id, card } of testShelf)
    await api
      .post('/api/bottles')
      .send({ id: longId(id), eventId: `ev_put_${id}`, card })
      .expect(201);
  await api
    .post('/api/batches')
    .send({ id: 'batch_lived01', plan: testPlan('60 g zinc sulfate') })
    .expect(201);
  const send = (...events: object[]) => api.post('/api/batches/batch_lived01/events').send({ events });
  await send(
    entry({ kind: 'finished', step: 'ready' }),
    entry({ kind: 'noted', step: 'zinc', text: 'Grey | <b>dust</b>' }),
  ).expect(201);
  await api
    .put('/api/attachments/att_lived01?batch=batch_lived01')
    .set('Content-Type', 'image/png')
    .send(PNG)
    .expect(201);
  await send(entry({ kind: 'photographed', step: 'zinc', attachmentId: 'att_lived01', caption: 'dust' })).expect(201);
  await api
    .post('/api/lessons')
    .send({
      id: 'lesson_live01',
      routeId: 'zinc',
      step: null,
      bottleId: null,
      batchId: 'batch_lived01',
      text: 'Slowly.',
    })
    .expect(201);
  return here;
}

/** The files that are read back, but for what names the notebook and the moment. */
function compared(archive: Uint8Array): Record<string, string> {
  const { 'notebook.json': _, 'ro-crate-metadata.json': __, ...files } = unzipSync(archive);
  return Object.fromEntries(
    Object.entries(files).map(([name, bytes]) => [name, Buffer.from(bytes).toString('base64')]),
  );
}

/** An archive with its files changed, and sums that agree again. */
function changed(archive: Uint8Array, change: (files: Files, manifest: Record<string, unknown>) => void): Uint8Array {
  const files = unzipSync(archive);
  const manifest = JSON.parse(strFromU8(files['notebook.json']!)) as Record<string, unknown>;
  change(files, manifest);
  manifest.files = Object.fromEntries(
    Object.keys(manifest.files as object).flatMap((name) =>
      files[name] ? [[name, createHash('sha256').update(files[name]).digest('hex')]] : [],
    ),
  );
  return zipSync({ ...files, 'notebook.json': strToU8(JSON.stringify(manifest)) });
}

/** What a file of a batch or bottle holds, as far as tests change it. */
interface Held {
  id: string;
  plan: unknown;
  events: { id: string; version: number; body: Record<string, unknown> & { card?: { substanceId: string } } }[];
}

function edit(files: Files, name: string, change: (value: Held) => void): void {
  const value = JSON.parse(strFromU8(files[name]!)) as Held;
  change(value);
  files[name] = strToU8(JSON.stringify(value));
}

/** No door ever took an id this long: those of the sample are cut to what one would. */
function shortIds(kept: KeptNotebook): KeptNotebook {
  const short = (id: string) => `${id.slice(0, 20)}_${createHash('sha256').update(id).digest('hex').slice(0, 12)}`;
  const text = JSON.stringify(kept).replaceAll(/(?<=")(?:bottle|batch|ev|lesson)_[\w-]{34,}(?=")/g, short);
  return JSON.parse(text) as KeptNotebook;
}

describe('an export', () => {
  it('comes back as the same notebook, whatever was typed in it', async () => {
    const text = fc
      .string({ unit: 'grapheme', minLength: 1, maxLength: 40 })
      .filter((each) => each.trim() !== '' && !each.includes('\u0000'));
    const deeds = fc.array(
      fc.oneof(
        fc.record({ is: fc.constant('bottle' as const), name: text }),
        fc.record({ is: fc.constant('used' as const), grams: fc.double({ min: 0.01, max: 50, noNaN: true }) }),
        fc.record({ is: fc.constant('note' as const), text }),
        fc.record({ is: fc.constant('lesson' as const), text }),
        fc.record({ is: fc.constant('struck' as const) }),
      ),
      { maxLength: 12 },
    );
    await fc.assert(
      fc.asyncProperty(deeds, async (all) => {
        const { api, exported, book } = await lived();
        let n = 0;
        for (const deed of all) {
          n += 1;
          if (deed.is === 'bottle') {
            const card = { ...testShelf[0]!.card, name: deed.name };
            await api
              .post('/api/bottles')
              .send({ id: `bottle_any${n}00000`, eventId: `ev_any${n}00000`, card })
              .expect(201);
          } else if (deed.is === 'used') {
            const body = { kind: 'used', grams: deed.grams, forBatch: null, why: '' };
            await api
              .post(`/api/bottles/${longId('bottle_brick')}/events`)
              .send({ id: `ev_use${n}00000`, happenedAt: NOW, body })
              .expect(201);
          } else if (deed.is === 'note' || deed.is === 'struck') {
            const noted = entry({ kind: 'noted', step: 'zinc', text: deed.is === 'note' ? deed.text : 'to be struck' });
            const events = [
              noted,
              ...(deed.is === 'struck' ? [entry({ kind: 'corrected', of: noted.id, body: null, reason: '' })] : []),
            ];
            await api.post('/api/batches/batch_lived01/events').send({ events }).expect(201);
          } else {
            const lesson = { id: `lesson_any${n}0000`, routeId: 'zinc', step: 'zinc', bottleId: null, batchId: null };
            await api
              .post('/api/lessons')
              .send({ ...lesson, text: deed.text })
              .expect(201);
          }
        }
        const archive = await exported();
        const other = open();
        const look = await other.post('/import/look', archive).expect(200);
        expect(look.body).toMatchObject({ kept: [], leftOut: [] });
        expect((await other.api.get('/api/batches')).body).toEqual([]);
        await other.post('/import', archive).expect(200);
        expect(compared(await other.exported())).toEqual(compared(archive));
        book.close();
        other.book.close();
      }),
      { numRuns: times(8) },
    );
  });

  it('of a notebook that an earlier build wrote comes back as it lay', async () => {
    const archiveOf = (db: ReturnType<typeof openDb>) => {
      const stock = stockStore(db);
      return exportOf({ db, home: '/nowhere', stock, batches: batchStore(db, stock) }, NOW);
    };
    const before = keptDb(shortIds(keptNotebook(1)), 2);
    const archive = archiveOf(before);
    const empty = openDb(':memory:');
    const found = await readImport(empty, '/nowhere', archive);
    expect(found.answer.leftOut).toEqual([]);
    found.take();
    expect(compared(archiveOf(empty))).toEqual(compared(archive));
  });

  it('taken twice adds nothing; what is new joins, what differs stays, and it is said before', async () => {
    const { api, exported, post, book } = await lived();
    const archive = await exported();
    const again = await post('/import', archive).expect(200);
    expect(Object.values(again.body.adds).every((each) => each === 0 || each === false)).toBe(true);
    const more = changed(archive, (files) => {
      edit(files, 'batches/batch_lived01.json', (batch) => {
        batch.events[1]!.body.text = 'another thing';
        batch.events.push({
          ...batch.events[1]!,
          id: 'ev_joined01',
          body: { kind: 'noted', step: 'zinc', text: 'joined' },
        });
      });
    });
    const look = await post('/import/look', more).expect(200);
    expect(look.body.adds).toMatchObject({ batches: 0, entries: 1 });
    expect(look.body.kept.join()).toContain('1 entry says another thing here');
    await post('/import', more).expect(200);
    const { events } = (await api.get('/api/batches/batch_lived01')).body;
    expect(events.map(({ body }: { body: { text?: string } }) => body.text)).toEqual(
      expect.arrayContaining(['Grey | <b>dust</b>', 'joined']),
    );
    book.close();
  });

  it('joins another notebook with a number of its own, and leaves out what it cannot stand for', async () => {
    const { exported } = await lived();
    const archive = await exported();
    const there = open();
    await there.api
      .post('/api/batches')
      .send({ id: 'batch_theirs1', plan: testPlan('60 g zinc sulfate') })
      .expect(201);
    const unknown = changed(archive, (files) => {
      edit(files, `bottles/${longId('bottle_brick')}.json`, (bottle) => {
        bottle.events[0]!.body.card!.substanceId = 'philosophers-stone';
      });
    });
    const strange = await there.post('/import/look', unknown).expect(200);
    expect(strange.body.leftOut.join()).toContain('“philosophers-stone” is no substance known here');
    const orphan = changed(archive, (files, manifest) => {
      delete files['batches/batch_lived01.json'];
      delete (manifest.files as Record<string, string>)['batches/batch_lived01.json'];
    });
    const left = await there.post('/import/look', orphan).expect(200);
    expect(left.body.leftOut).toHaveLength(2);
    await there.post('/import', archive).expect(200);
    const list = (await there.api.get('/api/batches')).body as { id: string; number: number }[];
    expect(list.map(({ id, number }) => [id, number])).toEqual([
      ['batch_lived01', 2],
      ['batch_theirs1', 1],
    ]);
    await there.api.get('/api/attachments/att_lived01').expect(200);
    there.book.close();
  });

  it('is refused whole where it is none, is not whole, is newer, is a bomb, or holds what it should not', async () => {
    const { exported } = await lived();
    const archive = await exported();
    const bomb = Buffer.from(archive);
    // Its list says that a file unpacks to 3 GB.
    const listed = bomb.lastIndexOf('bench.json') > 0 ? 'bench.json' : 'lessons.json';
    bomb.writeUInt32LE(3e9, bomb.lastIndexOf(listed) - 46 + 24);
    const batch = 'batches/batch_lived01.json';
    const inBatch = (change: (value: Held) => void) => changed(archive, (files) => edit(files, batch, change));
    const cases: [Uint8Array, RegExp][] = [
      [strToU8('nothing'), /no archive/],
      [zipSync({ 'a.txt': strToU8('a') }), /does not say what it is/],
      [archive.slice(0, archive.length / 2), /no archive/],
      [bomb, /larger than any notebook/],
      [changed(archive, (_, manifest) => Object.assign(manifest, { version: 2 })), /newer/],
      [changed(archive, (_, manifest) => Object.assign(manifest, { schema: 999 })), /newer/],
      [inBatch((each) => Object.assign(each.events[0]!, { version: 99 })), /batch_lived01/],
      [inBatch((each) => Object.assign(each.events[0]!, { body: { kind: 'exploded' } })), /kind is one of/],
      [inBatch((each) => Object.assign(each, { id: 'batch_other001' })), /another thing than its name/],
      [inBatch((each) => Object.assign(each, { plan: [1] })), /object is wanted/],
      [changed(archive, (files) => Object.assign(files, { [batch]: strToU8('{ half') })), /cannot be read/],
      [zipSync({ ...unzipSync(archive), [batch]: strToU8('{}') }), /not whole/],
    ];
    const { post, api, book } = open();
    for (const [bad, says] of cases)
      for (const path of ['/import/look', '/import']) {
        const refused = await post(path, bad).expect(422);
        expect(refused.body.detail).toMatch(says);
      }
    // Paths that lead out, and what is none of ours, are not looked at.
    const odd = zipSync({ ...unzipSync(archive), '../../still.sh': strToU8('out'), 'batches/x.exe': strToU8('no') });
    await post('/import', odd).expect(200);
    expect((await api.get('/api/batches')).body).toHaveLength(1);
    book.close();
  });
});

describe('what people read', () => {
  it('is a page a batch, where what was typed is text and pictures are seen', async () => {
    const { api, exported } = await lived();
    const files = unzipSync(await exported());
    const page = strFromU8(files['batches/batch_lived01.md']!);
    expect(page).toMatch(/^# .*zinc sulfate/i);
    expect(page).toContain('Grey \\| \\<b\\>dust\\</b\\>');
    expect(page).toContain('![photo: dust](../photos/att_lived01.png)');
    expect(files['photos/att_lived01.png']).toEqual(new Uint8Array(PNG));
    const alone = await api.get('/api/export/batches/batch_lived01.md').expect(200);
    expect(alone.headers['content-type']).toContain('text/markdown');
    expect(alone.text).toContain('/api/attachments/att_lived01)');
    await api.get('/api/export/batches/batch_nothere.md').expect(404);
    const crate = JSON.parse(strFromU8(files['ro-crate-metadata.json']!)) as { '@graph': { '@id': string }[] };
    const ids = crate['@graph'].map((each) => each['@id']);
    expect(
      Object.keys(files).filter(
        (name) =>
          ![
            'README.txt',
            'ro-crate-metadata.json',
            'lessons.json',
            'routes.json',
            'photos.json',
            'bench.json',
          ].includes(name) && !ids.includes(name),
      ),
    ).toEqual([]);
  });

  it('is tables of shelf and record, in which nothing is a formula', async () => {
    const { api } = open();
    const card = { ...testShelf[0]!.card, name: '=HYPERLINK("http://x")', note: 'a, "b"\nc' };
    await api.post('/api/bottles').send({ id: 'bottle_formula1', eventId: 'ev_formula1', card }).expect(201);
    const shelf = await api.get('/api/export/shelf.csv').expect(200);
    expect(shelf.text.split('\n')[0]).toMatch(/^id,name,substance,strength/);
    expect(shelf.text).toContain('"\'=HYPERLINK(""http://x"")"');
    expect(shelf.text).toContain('"a, ""b""\nc"');
    expect((await api.get('/api/export/record.csv').expect(200)).text).toMatch(/^number,title,status/);
  });

  it('is described: the schemas of its files stand in the documents', async () => {
    for (const [name, shape] of Object.entries(exportFiles))
      await expect(`${JSON.stringify(jsonSchemaOf(shape, name), null, 1)}\n`).toMatchFileSnapshot(
        `../../docs/schema/${name}.json`,
      );
  });
});
