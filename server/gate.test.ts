import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { parseLabel } from '#matter/label';
import type { Plan } from '#run/plan';
import { runState } from '#run/state';
import { on } from '#testing/on-route';
import { planFor } from '#testing/shelf';
import { entry, longId, testNotebook } from './testing/notebook.ts';

const cardOf = (label: string) => parseLabel(label, '2026-03-14', 20).card!;
const added = (over: object) => ({
  kind: 'added',
  step: 'first-water',
  role: null,
  bottleId: null,
  reading: { is: 'exact', value: 100, unit: 'g' },
  reason: '',
  ...over,
});

async function withBatch(text = '1 L of 10 % hydrochloric acid', id = 'batch_gate01') {
  const { api, putShelf, putBatch } = testNotebook();
  await putShelf();
  const batch = await putBatch(id, text);
  const bottle = async (bottleId: string, label: string) => {
    await api
      .post('/api/bottles')
      .send({ id: bottleId, eventId: `ev_${bottleId}`, card: cardOf(label) })
      .expect(201);
    return bottleId;
  };
  const enter = (body: object, batchId = batch) =>
    api.post(`/api/batches/${batchId}/events`).send({ events: [entry(body)] });
  const state = async (batchId = batch) => {
    const { body } = await api.get(`/api/batches/${batchId}`).expect(200);
    return unwrap(runState(body.plan, body.events));
  };
  return { api, batch, bottle, enter, state, putBatch };
}

describe('what has happened', () => {
  it('is taken over the network too, as what it is, and the first moves follow', async () => {
    const { bottle, enter, state, api } = await withBatch();
    await enter(added({ step: 'acid', role: 'acid', bottleId: longId('bottle_brick') })).expect(201);
    // Without its card, under a role that is another’s.
    const bleach = await bottle('bottle_bleach1', 'thin bleach 5% sodium hypochlorite 750 mL');
    await enter(added({ step: 'acid', role: 'acid', bottleId: bleach })).expect(201);
    const now = await state();
    expect(now.sheet.now!.present.map(({ substanceId }) => substanceId)).toContain('sodium-hypochlorite');
    expect(now.together[0]!.says).toContain('chlorine');
    expect(now.together[0]!.moves.length).toBeGreaterThan(1);
    const { body } = await api.get('/api/bottles').expect(200);
    expect(body.find(({ id }: { id: string }) => id === bleach).usedG).toBeGreaterThan(90);
  });

  it('is never booked as the substance of its role', async () => {
    const { bottle, enter, state } = await withBatch('60 g zinc sulfate');
    const nitric = await bottle('bottle_nitric', 'nitric acid 65% 1 L');
    await enter(added({ step: 'zinc', role: 'acid', bottleId: nitric })).expect(201);
    const ids = (await state()).sheet.now!.present.map(({ substanceId }) => substanceId);
    expect(ids).toContain('nitric-acid');
    expect(ids).not.toContain('sulfuric-acid');
  });

  it('is refused only of a bottle that there is not', async () => {
    const { enter } = await withBatch();
    const { body } = await enter(added({ bottleId: 'bottle_nowhere' })).expect(404);
    expect(body.detail).toContain('no bottle');
  });

  it('is the same when it is sent again', async () => {
    const { bottle, api, batch } = await withBatch();
    const bleach = await bottle('bottle_bleach2', 'thin bleach 5% sodium hypochlorite 750 mL');
    const event = { events: [entry(added({ bottleId: bleach }))] };
    await api.post(`/api/batches/${batch}/events`).send(event).expect(201);
    expect((await api.post(`/api/batches/${batch}/events`).send(event).expect(201)).body.written).toBe(0);
  });

  it('holds a step that would pour onto it', async () => {
    const { bottle, enter, state } = await withBatch();
    const bleach = await bottle('bottle_bleach3', 'thin bleach 5% sodium hypochlorite 750 mL');
    await enter(added({ step: 'first-water', bottleId: bleach, reason: 'took it for water' })).expect(201);
    const acid = (await state()).steps.find(({ key }) => key === 'acid')!;
    expect(acid.held).toContain('chlorine');
  });
});

describe('what is planned', () => {
  it('is not joined where the two never meet, unless it has happened', async () => {
    const { api, batch, bottle, enter, state, putBatch } = await withBatch();
    const other = await putBatch('batch_gate02', '500 mL of 10 % hydrochloric acid');
    const bleach = await bottle('bottle_bleach4', 'thin bleach 5% sodium hypochlorite 750 mL');
    await enter(added({ step: 'acid', role: 'acid', bottleId: longId('bottle_brick') })).expect(201);
    for (const step of ['ready', 'first-water', 'acid']) await enter({ kind: 'finished', step }).expect(201);
    await enter(added({ step: 'first-water', bottleId: bleach }), other).expect(201);
    for (const step of ['ready', 'first-water']) await enter({ kind: 'finished', step }, other).expect(201);
    const join = { id: 'ev_joingate', from: other };
    const refused = await api.post(`/api/batches/${batch}/join`).send(join).expect(422);
    expect(refused.body.detail).toContain('chlorine');
    await api
      .post(`/api/batches/${batch}/join`)
      .send({ ...join, happened: true })
      .expect(201);
    expect((await state()).together[0]!.says).toContain('chlorine');
  });

  it('is not enlarged over a cap, and says the most that is within', async () => {
    const { enter } = await withBatch('60 g zinc sulfate');
    const grown = (factor: number) => ({ kind: 'enlarged', step: 'zinc', factor, why: '' });
    await enter(grown(10)).expect(201);
    const { body } = await enter(grown(16)).expect(422);
    expect(body.detail).toMatch(/hydrogen.*At most \d/);
    expect(body.field).toBe('events[0].body.factor'.replace('events[0].', ''));
  });

  it('may let meet what never may in its own apparatus alone, and under its cap', async () => {
    const { api } = testNotebook();
    const plan = on('hypochlorite-by-chlorine', '40 g sodium hypochlorite', {
      lye: 'sodium hydroxide 99 % 1 kg',
      source: 'trichloroisocyanuric acid 90 % 1 kg',
      acid: 'hydrochloric acid 18 % 1 L',
    }).plan;
    const send = (id: string, over: Partial<Plan>) => api.post('/api/batches').send({ id, plan: { ...plan, ...over } });
    await send('batch_chlor01', {}).expect(201);
    const indoors = plan.route.steps.map((step) => ({ ...step, where: 'anywhere' as const }));
    for (const [id, route] of [
      ['batch_chlor02', { ...plan.route, steps: indoors }],
      ['batch_chlor03', { ...plan.route, id: 'own-bleach' }],
    ] as const) {
      const { body } = await send(id, { route }).expect(422);
      expect(body.detail).toMatch(/two things meet that never may.*chlorine/);
    }
    const much = { ...plan.target, amount: { value: 400, unit: 'g' as const } };
    const { body } = await send('batch_chlor04', { target: much }).expect(422);
    expect(body.detail).toMatch(/at most 0\.1 mol/);
  });

  it('is refused by the room, and accepted outdoors', async () => {
    const { api } = testNotebook();
    const small: Plan = planFor('400 g zinc sulfate');
    const inRoom = (roomM3: number, air?: Plan['bench']['air']): Plan => ({
      ...small,
      bench: { ...small.bench, roomM3, ...(air && { air }) },
    });
    const { body } = await api
      .post('/api/batches')
      .send({ id: 'batch_small1', plan: inRoom(2) })
      .expect(422);
    expect(body.detail).toContain('a quarter of the 4 %');
    const most = Number(/At most (\d+) g/.exec(body.detail)![1]);
    // 1 % of 2 m3 is 20 L, 0.83 mol at 20 °C or 239 g of the heptahydrate; some leaves in the two hours it takes.
    expect(most).toBeGreaterThan(200);
    expect(most).toBeLessThan(400);
    await api
      .post('/api/batches')
      .send({ id: 'batch_small2', plan: inRoom(2, 'outdoors') })
      .expect(201);
    const within = planFor(`${most} g zinc sulfate`);
    await api
      .post('/api/batches')
      .send({ id: 'batch_small3', plan: { ...within, bench: { ...within.bench, roomM3: 2 } } })
      .expect(201);
  });
});
