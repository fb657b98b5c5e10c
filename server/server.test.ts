import { describe, expect, it } from 'vitest';
import { testShelf } from '#testing/shelf';
import { entry, longId, testNotebook, testPlan } from './testing/notebook.ts';

const card = testShelf[0]!.card;
const charged = (value: number) => ({
  kind: 'added',
  step: 'zinc',
  role: 'zinc',
  bottleId: longId('bottle_zinc'),
  reading: { is: 'exact', value, unit: 'g' },
  reason: '',
});

describe('bottles', () => {
  it('are put, listed, used, corrected, undone', async () => {
    const { api, putShelf } = testNotebook();
    await putShelf();
    const id = longId('bottle_brick');
    expect((await api.get('/api/bottles')).body).toHaveLength(5);
    const used = await api
      .post(`/api/bottles/${id}/events`)
      .send({
        id: 'ev_used01',
        happenedAt: '2026-03-14T10:00:00Z',
        body: { kind: 'used', grams: 100, forBatch: null, why: '' },
      })
      .expect(201);
    expect(used.body).toMatchObject({ usedG: 100, version: 2 });
    const corrected = await api
      .post(`/api/bottles/${id}/events`)
      .send({
        id: 'ev_corr01',
        happenedAt: '2026-03-14T10:00:00Z',
        basedOn: 2,
        body: { kind: 'corrected', card: { ...card, name: 'Renamed' } },
      })
      .expect(201);
    expect(corrected.body.card.name).toBe('Renamed');
    const undone = await api
      .post(`/api/bottles/${id}/events`)
      .send({ id: 'ev_undo01', happenedAt: '2026-03-14T10:00:00Z', body: { kind: 'undone', of: 'ev_used01' } })
      .expect(201);
    expect(undone.body.usedG).toBe(0);
    expect((await api.get(`/api/bottles/${id}/events`)).body).toHaveLength(4);
  });

  it('take the same write twice as once, and another under its id not at all', async () => {
    const { api } = testNotebook();
    const body = { id: 'bottle_twice01', eventId: 'ev_twice01', card };
    await api.post('/api/bottles').send(body).expect(201);
    await api.post('/api/bottles').send(body).expect(201);
    expect((await api.get('/api/bottles')).body).toHaveLength(1);
    const other = await api
      .post('/api/bottles')
      .send({ ...body, card: { ...card, name: 'Other' } })
      .expect(409);
    expect(other.body).toMatchObject({ code: 'id-taken', status: 409 });
    await api
      .post('/api/bottles')
      .send({ ...body, eventId: 'ev_twice02' })
      .expect(409);
  });

  it('come with the entry that put them there: both or neither, once however often it is sent', async () => {
    const { api, putShelf, putBatch } = testNotebook();
    await putShelf();
    const batch = await putBatch();
    const bottled = (holds: object, n: string) => ({
      events: [entry({ kind: 'bottled', bottleId: `bottle_made000${n}`, card: holds }, undefined, `ev_bottled${n}`)],
    });
    const send = (body: object) => api.post(`/api/batches/${batch}/events`).send(body);
    await send(bottled(card, '1')).expect(201);
    await send(bottled(card, '1')).expect(201);
    expect((await api.get('/api/bottles/bottle_made0001')).body.card.name).toBe(card.name);
    const refused = await send(bottled({ ...card, substanceId: 'nothing-known' }, '2')).expect(422);
    expect(refused.body.detail).toContain('nothing-known');
    await send(bottled({ ...card, name: 'Another' }, '3')).expect(201);
    await send({
      events: [entry({ kind: 'bottled', bottleId: 'bottle_made0003', card }, undefined, 'ev_bottled4')],
    }).expect(409);
    const { events } = (await api.get(`/api/batches/${batch}`)).body;
    expect(events.map(({ id }: { id: string }) => id)).toEqual(['ev_bottled1', 'ev_bottled3']);
  });

  it('refuse an edit made on an old version', async () => {
    const { api, putShelf } = testNotebook();
    await putShelf();
    const id = longId('bottle_brick');
    const edit = (event: string, name: string) =>
      api.post(`/api/bottles/${id}/events`).send({
        id: event,
        happenedAt: '2026-03-14T10:00:00Z',
        basedOn: 1,
        body: { kind: 'corrected', card: { ...card, name } },
      });
    await edit('ev_first01', 'First').expect(201);
    const stale = await edit('ev_second1', 'Second').expect(409);
    expect(stale.headers['content-type']).toContain('application/problem+json');
    expect(stale.body.detail).toContain('changed elsewhere');
    expect((await api.get(`/api/bottles/${id}`)).body.card.name).toBe('First');
  });

  it.each([
    [{ ...card, substanceId: 'phlogiston' }, 'unknown-substance'],
    [{ ...card, strength: { value: 140, unit: 'w/w' } }, 'impossible-strength'],
    [{ ...card, strength: null }, 'missing-part'],
    [{ ...card, name: '' }, 'invalid-input'],
  ])('refuse a card that cannot be', async (bad, code) => {
    const { api } = testNotebook();
    const refused = await api
      .post('/api/bottles')
      .send({ id: 'bottle_bad001', eventId: 'ev_bad0001', card: bad })
      .expect(422);
    expect(refused.body.code).toBe(code);
    expect(refused.body.detail).toMatch(/[.?]$/);
  });

  it('that are not there are said not to be', async () => {
    const { api } = testNotebook();
    await api.get('/api/bottles/bottle_nowhere').expect(404);
    await api
      .post('/api/bottles/bottle_nowhere/events')
      .send({ id: 'ev_nowhere1', happenedAt: '2026-03-14T10:00:00Z', body: { kind: 'restored' } })
      .expect(404);
  });
});

describe('batches', () => {
  it('are planned, changed until begun, then only added to', async () => {
    const { api, putShelf, putBatch } = testNotebook();
    await putShelf();
    const id = await putBatch();
    const plan = testPlan('70 g zinc sulfate');
    expect((await api.put(`/api/batches/${id}/plan`).send({ basedOn: 1, plan }).expect(200)).body.version).toBe(2);
    await api.put(`/api/batches/${id}/plan`).send({ basedOn: 1, plan }).expect(409);
    await api
      .post(`/api/batches/${id}/events`)
      .send({ events: [entry({ kind: 'started', step: 'ready' })] })
      .expect(201);
    const begun = await api.put(`/api/batches/${id}/plan`).send({ basedOn: 2, plan }).expect(409);
    expect(begun.body.detail).toContain('has begun');
  });

  it('book what is charged on its bottle, and put it right when it is corrected', async () => {
    const { api, putShelf, putBatch } = testNotebook();
    await putShelf();
    const id = await putBatch();
    const used = async () => (await api.get(`/api/bottles/${longId('bottle_zinc')}`)).body.usedG;
    const first = entry(charged(61.4));
    await api
      .post(`/api/batches/${id}/events`)
      .send({ events: [first] })
      .expect(201);
    await api
      .post(`/api/batches/${id}/events`)
      .send({ events: [first] })
      .expect(201);
    expect(await used()).toBeCloseTo(61.4, 9);
    const fix = entry({ kind: 'corrected', of: first.id, body: charged(16.4), reason: '' });
    await api
      .post(`/api/batches/${id}/events`)
      .send({ events: [fix] })
      .expect(201);
    expect(await used()).toBeCloseTo(16.4, 9);
    const strike = entry({ kind: 'corrected', of: first.id, body: null, reason: '' });
    await api
      .post(`/api/batches/${id}/events`)
      .send({ events: [strike] })
      .expect(201);
    expect(await used()).toBe(0);
  });

  it('write a list of entries whole or not at all', async () => {
    const { api, putShelf, putBatch } = testNotebook();
    await putShelf();
    const id = await putBatch();
    const good = entry({ kind: 'noted', step: 'zinc', text: 'good' });
    const bad = entry({ kind: 'corrected', of: 'ev_no_such_entry', body: null, reason: '' });
    await api
      .post(`/api/batches/${id}/events`)
      .send({ events: [good, bad] })
      .expect(404);
    expect((await api.get(`/api/batches/${id}`)).body.events).toHaveLength(0);
  });

  it('refuse an entry from next week, and one for a batch that is not', async () => {
    const { api, putShelf, putBatch } = testNotebook();
    await putShelf();
    const id = await putBatch();
    const note = { kind: 'noted', step: 'zinc', text: 'x' };
    const future = await api
      .post(`/api/batches/${id}/events`)
      .send({ events: [entry(note, '2026-03-21T00:00:00Z')] })
      .expect(422);
    expect(future.body.detail).toContain('future');
    await api
      .post('/api/batches/batch_nowhere/events')
      .send({ events: [entry(note)] })
      .expect(404);
  });

  it('keep two times: when it happened and when it was written', async () => {
    const { api, putShelf, putBatch, clock } = testNotebook();
    await putShelf();
    const id = await putBatch();
    clock.now = '2026-03-16T12:00:00.000Z';
    await api.post(`/api/batches/${id}/events`).send({
      events: [
        {
          ...entry({ kind: 'noted', step: 'grow', text: 'prisms' }),
          happened: { at: '2026-03-14T12:00:00Z', giveOrTakeMin: 360 },
        },
      ],
    });
    expect((await api.get(`/api/batches/${id}`)).body.events[0]).toMatchObject({
      happened: { at: '2026-03-14T12:00:00Z', giveOrTakeMin: 360 },
      writtenAt: '2026-03-16T12:00:00.000Z',
    });
  });

  it('are listed with yields that follow their entries, and stand on the clock', async () => {
    const { api, putShelf, putBatch } = testNotebook();
    await putShelf();
    const id = await putBatch();
    expect((await api.get('/api/batches')).body[0]).toMatchObject({
      number: 1,
      status: 'planned',
      title: '60 g of zinc sulfate',
      yieldPct: null,
    });
    const weighed = {
      kind: 'read',
      step: 'dry',
      quantity: 'mass',
      reading: { is: 'exact', value: 55, unit: 'g' },
      place: '',
    };
    await api
      .post(`/api/batches/${id}/events`)
      .send({ events: [entry(charged(18.1)), entry(weighed)] })
      .expect(201);
    const [listed] = (await api.get('/api/batches')).body;
    expect(listed.status).toBe('running');
    expect(listed.yieldPct.value).toBeGreaterThan(60);
    expect((await api.get('/api/clock')).body.items[0]).toMatchObject({ batchId: id, number: 1 });
  });

  it('refuse a plan that cannot be', async () => {
    const { api } = testNotebook();
    const plan = testPlan('60 g zinc sulfate');
    const refused = await api
      .post('/api/batches')
      .send({ id: 'batch_bad0001', plan: { ...plan, target: { ...plan.target, amount: { value: -5, unit: 'g' } } } })
      .expect(422);
    expect(refused.body).toMatchObject({ field: 'target.amount' });
    await api
      .post('/api/batches')
      .send({ id: 'batch_bad0001', plan: { ...plan, routeId: 'alchemy' } })
      .expect(422);
  });
});

describe('event tables', () => {
  it('cannot be changed or emptied, even by hand', async () => {
    const { db, putShelf } = testNotebook();
    await putShelf();
    expect(() => db.exec("UPDATE bottle_event SET body = '{}'")).toThrow('only added');
    expect(() => db.exec('DELETE FROM bottle_event')).toThrow('only added');
  });
});

describe('the bench', () => {
  it('starts with defaults and is changed by version', async () => {
    const { api } = testNotebook();
    const first = (await api.get('/api/bench')).body;
    expect(first.version).toBe(0);
    const bench = { ...first.bench, tempC: 12.5 };
    expect((await api.put('/api/bench').send({ basedOn: 0, bench }).expect(200)).body).toMatchObject({
      version: 1,
      bench: { tempC: 12.5 },
    });
    await api.put('/api/bench').send({ basedOn: 0, bench }).expect(409);
    await api
      .put('/api/bench')
      .send({ basedOn: 1, bench: { ...bench, tempC: 400 } })
      .expect(422);
  });
});

describe('the door', () => {
  it('answers only to its own name and its own pages', async () => {
    const { api } = testNotebook();
    await api.get('/api/bench').set('Host', 'evil.example').expect(403);
    await api.get('/api/bench').set('Host', '127.0.0.1:4173').set('Origin', 'http://evil.example').expect(403);
    await api.get('/api/bench').set('Host', '127.0.0.1:4173').set('Origin', 'http://127.0.0.1:4173').expect(200);
  });

  it('sends a content policy that allows its own files alone', async () => {
    const { api } = testNotebook();
    const policy = (await api.get('/api/health')).headers['content-security-policy'];
    expect(policy).toContain("default-src 'none'");
    expect(policy).toContain("script-src 'self'");
    expect(policy).not.toContain("script-src 'self' 'unsafe-inline'");
  });

  it.each([
    ['{nope', 'application/json', 400, 'not-json'],
    ['x=1', 'application/x-www-form-urlencoded', 415, 'bad-media-type'],
    [JSON.stringify({ text: 'x'.repeat(5_000_000) }), 'application/json', 413, 'too-large'],
    ['[]', 'application/json', 422, 'invalid-input'],
    ['null', 'application/json', 400, 'not-json'],
  ])('refuses the body %.12s as %s', async (body, type, status, code) => {
    const { api } = testNotebook();
    const refused = await api.post('/api/compute/label').set('Content-Type', type).send(body).expect(status);
    expect(refused.body.code).toBe(code);
    expect(JSON.stringify(refused.body)).not.toContain('node_modules');
  });

  it('says what is not there', async () => {
    const { api } = testNotebook();
    expect((await api.get('/api/alchemy').expect(404)).body.code).toBe('not-found');
    expect((await api.post('/api/compute/transmute').send({}).expect(404)).body.detail).toContain('label');
  });

  it('computes as the worker does', async () => {
    const { api } = testNotebook();
    const answer = await api
      .post('/api/compute/sheet')
      .send({ plan: testPlan('1.5 L of 2 mol/L hydrochloric acid') })
      .expect(200);
    expect(answer.body.result.additions[1].dose.take).toEqual({ value: 343, unit: 'mL' });
  });
});
