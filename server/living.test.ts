import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { runState } from '#run/state';
import { testShelf } from '#testing/shelf';
import { entry, longId, testNotebook } from './testing/notebook.ts';

const card = testShelf[0]!.card;
const charged = (value: number) => ({
  kind: 'added',
  step: 'zinc',
  role: 'zinc',
  bottleId: longId('bottle_zinc'),
  reading: { is: 'exact', value, unit: 'g' },
  reason: '',
});

describe('lessons', () => {
  it('are added once, listed, retired and brought back', async () => {
    const { api, putBatch } = testNotebook();
    const batchId = await putBatch();
    const lesson = {
      id: 'lesson_test01',
      routeId: 'zinc-sulfate',
      step: 'dissolve',
      bottleId: null,
      batchId,
      text: 'Cut it smaller.',
    };
    await api.post('/api/lessons').send(lesson).expect(201);
    await api.post('/api/lessons').send(lesson).expect(201);
    expect((await api.get('/api/lessons')).body).toMatchObject([{ text: 'Cut it smaller.', retiredAt: null }]);
    await api
      .post('/api/lessons')
      .send({ ...lesson, text: 'Other' })
      .expect(409);
    expect((await api.post('/api/lessons/lesson_test01/retire').expect(200)).body.retiredAt).not.toBeNull();
    expect((await api.post('/api/lessons/lesson_test01/restore').expect(200)).body.retiredAt).toBeNull();
  });

  it.each([
    [{ text: '' }, 422],
    [{ text: 'x'.repeat(1001) }, 422],
    [{ id: 'nonsense' }, 422],
    [{ bottleId: 'bottle_nowhere' }, 404],
    [{ batchId: 'batch_nowhere' }, 404],
  ])('refuse %j', async (change, status) => {
    const { api } = testNotebook();
    const lesson = {
      id: 'lesson_test01',
      routeId: 'zinc-sulfate',
      step: null,
      bottleId: null,
      batchId: null,
      text: 'x',
      ...change,
    };
    await api.post('/api/lessons').send(lesson).expect(status);
    await api.post('/api/lessons/lesson_nowhere/retire').expect(404);
  });
});

describe('a batch split and joined', () => {
  it('keeps all of what was in the vessel, with its lineage, and a repeat does nothing', async () => {
    const { api, putShelf, putBatch } = testNotebook();
    await putShelf();
    const id = await putBatch('batch_whole1', '20 g basic zinc carbonate');
    const post = (body: object) =>
      api
        .post(`/api/batches/${id}/events`)
        .send({ events: [entry(body)] })
        .expect(201);
    await api.post(`/api/batches/${id}/split`).send({ id: 'batch_part01', share: 0.4, why: '' }).expect(422);
    await post({ kind: 'finished', step: 'ready' });
    await post(charged(10));
    await post({ kind: 'finished', step: 'zinc' });
    await post({
      kind: 'added',
      step: 'water',
      role: 'water',
      bottleId: null,
      reading: { is: 'exact', value: 100, unit: 'mL' },
      reason: '',
    });
    await post({ kind: 'finished', step: 'water' });
    const split = { id: 'batch_part01', share: 0.4, why: 'too large for the beaker' };
    await api.post(`/api/batches/${id}/split`).send(split).expect(201);
    await api.post(`/api/batches/${id}/split`).send(split).expect(201);
    const run = async (batchId: string) => {
      const { plan, events } = (await api.get(`/api/batches/${batchId}`)).body;
      return unwrap(runState(plan, events));
    };
    const [kept, part] = [await run(id), await run('batch_part01')];
    expect(part.sheet.now!.massG / (kept.sheet.now!.massG + part.sheet.now!.massG)).toBeCloseTo(0.4, 6);
    expect(part.log.some((line) => line.text.includes('came from batch 1'))).toBe(true);
    const join = { id: 'ev_join001', from: 'batch_part01' };
    await api.post(`/api/batches/${id}/join`).send(join).expect(201);
    await api.post(`/api/batches/${id}/join`).send(join).expect(201);
    const whole = await run(id);
    expect(whole.sheet.now!.massG).toBeCloseTo(kept.sheet.now!.massG + part.sheet.now!.massG, 6);
    expect((await run('batch_part01')).status).toBe('abandoned');
    await api.post(`/api/batches/${id}/join`).send({ id: 'ev_join002', from: id }).expect(422);
    await api
      .post(`/api/batches/${id}/split`)
      .send({ ...split, id: 'batch_part02', share: 1 })
      .expect(422);
  });
});

describe('entries that cannot be', () => {
  it.each([
    [{ kind: 'enlarged', step: 'zinc', factor: 0.5, why: '' }, 'more than 1'],
    [{ kind: 'poured-off', step: 'zinc', share: 1.2, batchId: null, why: '' }, 'share'],
    [{ ...charged(5), reading: { is: 'counted', count: 3, measure: 'scoop', each: -2, sd: 0, unit: 'g' } }, 'each'],
    [
      {
        ...charged(5),
        role: null,
        bottleId: 'bottle_other1',
        stock: { card: { ...card, strength: { value: 140, unit: 'w/w' } }, usedG: 0 },
      },
      '100',
    ],
    [
      {
        kind: 'portion-tested',
        step: 'zinc',
        portion: 'nonsense',
        reading: { is: 'exact', value: 1, unit: 'g' },
        says: '',
      },
      'portion',
    ],
  ])('%j is refused with a sentence', async (body, says) => {
    const { api, putShelf, putBatch } = testNotebook();
    await putShelf();
    const id = await putBatch();
    const answer = await api
      .post(`/api/batches/${id}/events`)
      .send({ events: [entry(body)] })
      .expect(422);
    expect(`${answer.body.field ?? ''} ${answer.body.detail}`).toContain(says);
  });

  it('grow a batch only to hobby scale', async () => {
    const { api, putShelf, putBatch } = testNotebook();
    await putShelf();
    const id = await putBatch();
    const enlarge = () =>
      api
        .post(`/api/batches/${id}/events`)
        .send({ events: [entry({ kind: 'enlarged', step: 'zinc', factor: 15, why: '' })] });
    await enlarge().expect(201);
    expect((await enlarge().expect(422)).body.detail).toContain('of hydrogen come off');
  });
});

describe('entries that act on what was caught', () => {
  const inserted = {
    kind: 'step-inserted',
    step: 'step_again01',
    after: 'collect',
    beside: false,
    repeats: null,
    title: 'Redissolve it',
    why: 'it caked',
    leave: { alone: false, lookEveryMin: 5 },
  };
  const pouredOff = { kind: 'poured-off', step: 'collect', share: 0.25, batchId: null, why: 'for the acetate' };
  const density = {
    kind: 'read',
    step: 'jar',
    quantity: 'density',
    reading: { is: 'exact', value: 1.155, unit: 'g/mL' },
    place: '',
  };

  it('are kept as they came, and folded by who reads them', async () => {
    const { api, putBatch } = testNotebook();
    const id = await putBatch();
    const bodies = [{ ...inserted, does: 'redissolve' }, { ...pouredOff, bottleId: 'bottle_cake0001' }, density];
    const events = bodies.map((body) => entry(body));
    await api.post(`/api/batches/${id}/events`).send({ events }).expect(201);
    const { body } = await api.get(`/api/batches/${id}`).expect(200);
    expect(body.events.map((each: { body: object }) => each.body)).toEqual(bodies);
    const state = unwrap(runState(body.plan, body.events));
    expect(state.steps.map(({ key }) => key)).toContain('step_again01');
    expect(state.log.map(({ text }) => text)).toContain('25 % used further, to the shelf: for the acetate');
  });

  it.each([
    { ...inserted, does: 'melt' },
    { ...inserted, does: 1 },
    { ...pouredOff, share: 0 },
    { ...pouredOff, share: 1.01 },
    { ...pouredOff, bottleId: 'the jar' },
    { ...density, reading: { is: 'exact', value: -1, unit: 'g/mL' } },
    { ...density, quantity: 'heaviness' },
  ])('are refused when they cannot be: %j', async (body) => {
    const { api, putBatch } = testNotebook();
    const id = await putBatch();
    const { status, body: said } = await api.post(`/api/batches/${id}/events`).send({ events: [entry(body)] });
    expect(status).toBe(422);
    expect(said.detail.length).toBeGreaterThan(10);
    expect((await api.get(`/api/batches/${id}`)).body.events).toEqual([]);
  });
});
