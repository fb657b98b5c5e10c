import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { createApp } from '../app.ts';
import { openDb } from '../db/open.ts';
import { restoreBackup } from '../keep/archive.ts';
import { Sharing } from './sharing.ts';

const HOST = 'bench.test:4173';

function shared(on = true) {
  const clock = { now: '2026-03-14T12:00:00.000Z' };
  const db = openDb(':memory:');
  const sharing = on ? new Sharing(['bench.test']) : null;
  const app = createApp({ db, home: '/nowhere', log: pino({ level: 'silent' }), now: () => clock.now, sharing });
  const api = request(app);
  const code = async () => (await api.get('/api/share').expect(200)).body.code as string;
  const pair = (said: string, name = 'phone') =>
    api.post('/api/pair').set('Host', HOST).set('Origin', `http://${HOST}`).send({ code: said, name });
  return { api, clock, code, pair, db };
}

const cookieOf = (answer: request.Response) => String(answer.headers['set-cookie']).split(';')[0]!;

describe('a notebook on the home network', () => {
  it('answers under no other name unless it was opened to it', async () => {
    const { api, pair } = shared(false);
    const refused = await api.get('/api/bottles').set('Host', HOST).expect(403);
    expect(refused.body).toMatchObject({ code: 'not-this-host' });
    await pair('000000').expect(403);
    expect((await api.get('/api/share').expect(200)).body).toMatchObject({ on: false, code: null, urls: [] });
  });

  it('lets in who says the code of now, once for each, until it is withdrawn', async () => {
    const { api, code, pair } = shared();
    const phone = api.get.bind(api);
    expect((await phone('/api/bottles').set('Host', HOST).expect(401)).body).toMatchObject({ code: 'not-paired' });
    const now = await code();
    expect(now).toMatch(/^\d{6}$/);
    const paired = await pair(`${now.slice(0, 3)} ${now.slice(3)}`).expect(201);
    const set = String(paired.headers['set-cookie']);
    expect(set).toMatch(/HttpOnly/);
    expect(set).toMatch(/SameSite=Strict/);
    const cookie = cookieOf(paired);
    await phone('/api/bottles').set('Host', HOST).set('Cookie', cookie).expect(200);
    // The same code lets no second one in.
    expect((await pair(now, 'another').expect(403)).body).toMatchObject({ code: 'wrong-code', field: 'code' });
    const [device] = (await api.get('/api/share')).body.devices;
    expect(device).toMatchObject({ name: 'phone' });
    await api.delete(`/api/share/devices/${device.id}`).expect(200);
    await api.delete(`/api/share/devices/${device.id}`).expect(404);
    await phone('/api/bottles').set('Host', HOST).set('Cookie', cookie).expect(401);
  });

  it('keeps of a token nothing that would let in who reads the notebook', async () => {
    const { code, pair, db } = shared();
    const token = cookieOf(await pair(await code()).expect(201)).split('=')[1]!;
    expect(JSON.stringify(db.prepare('SELECT * FROM device').all())).not.toContain(token);
  });

  it('holds a code for ten minutes and five misses', async () => {
    const { clock, code, pair } = shared();
    await pair('000000').expect(403);
    const first = await code();
    clock.now = '2026-03-14T12:10:01.000Z';
    await pair(first).expect(403);
    const second = await code();
    const wrong = second === '123456' ? '654321' : '123456';
    for (let i = 0; i < 5; i++) await pair(wrong).expect(403);
    await pair(second).expect(403);
    await pair(await code()).expect(201);
    for (const bad of ['', '12345', 'x'.repeat(21)]) await pair(bad).expect(bad.length % 21 === 0 ? 422 : 403);
    await pair('1', '').expect(422);
  });

  it('tires of wrong codes from all together', async () => {
    const { pair, code } = shared();
    for (let i = 0; i < 20; i++) await pair('abcdef').expect(403);
    expect((await pair(await code()).expect(429)).body).toMatchObject({ code: 'too-often' });
  });

  it('takes nothing from other pages, other names, or who only says to be the machine', async () => {
    const { api, code, pair } = shared();
    const cookie = cookieOf(await pair(await code()).expect(201));
    const ask = (headers: Record<string, string>) => api.get('/api/bottles').set({ Cookie: cookie, ...headers });
    await ask({ Host: HOST, Origin: 'http://elsewhere.test' }).expect(403);
    await ask({ Host: 'elsewhere.test' }).expect(403);
    await ask({ Host: HOST, Origin: `http://${HOST}` }).expect(200);
    await ask({ Host: HOST, Cookie: 'still_device=short' }).expect(401);
    await ask({ Host: HOST, Cookie: `x=1; ${cookie}; y=2` }).expect(200);
  });

  it('is shut however a path is written', async () => {
    const { api, code, pair } = shared();
    for (const path of ['/API/bottles', '/Api/bottles/', '/api/bottles/', '/api/BATCHES', '/api', '/api/export'])
      await api.get(path).set('Host', HOST).expect(401);
    const cookie = cookieOf(await pair(await code()).expect(201));
    const as = { Host: HOST, Cookie: cookie, 'Content-Type': 'application/zip' };
    for (const path of ['/api/backup/restore/', '/API/backup/RESTORE', '/api/import/', '/API/import/look/'])
      await api.post(path).set(as).send(Buffer.from('x')).expect(403);
    for (const path of ['/api/SHARE', '/api/share/']) await api.get(path).set(as).expect(403);
  });

  it('leaves to the machine itself who is let in and what takes the notebook’s place', async () => {
    const { api, code, pair } = shared();
    const cookie = cookieOf(await pair(await code()).expect(201));
    const as = { Host: HOST, Cookie: cookie };
    expect((await api.get('/api/share').set(as).expect(403)).body).toMatchObject({ code: 'at-the-machine' });
    for (const path of ['/api/backup/restore', '/api/import', '/api/import/look'])
      await api.post(path).set(as).set('Content-Type', 'application/zip').send(Buffer.from('x')).expect(403);
    await api.delete('/api/share/devices/dev_x').set(as).expect(403);
    // Its page is served to all: without a token it can only pair.
    await api.get('/api/health').set('Host', HOST).expect(200);
  });

  it('lets no device back in with a backup', () => {
    const home = mkdtempSync(join(tmpdir(), 'still-share-'));
    const db = openDb(join(home, 'still.db'));
    db.prepare("INSERT INTO device VALUES ('dev_a', 'phone', ?, '2026', '2026')").run('0'.repeat(64));
    const bytes = new Uint8Array(db.serialize());
    db.close();
    restoreBackup(bytes, home, '2026-03-14T12:00:00.000Z');
    const again = openDb(join(home, 'still.db'));
    expect(again.prepare('SELECT COUNT(*) AS n FROM device').get()).toEqual({ n: 0 });
    again.close();
  });
});
