import { describe, expect, it } from 'vitest';
import { BenchDefaults } from '#matter/gear';
import { parseLabel } from '#matter/label';
import type { BottleCard } from '#matter/stock';
import type { AssayBody } from '#model/assay';
import { testNotebook } from '../testing/notebook.ts';

const card = (label: string): BottleCard => parseLabel(label, '2026-03-01', 20).card!;
const peroxide = card('hydrogen peroxide 3% 250 mL');
const permanganate = card('potassium permanganate 0.02 mol/L 500 mL');
const plan = {
  id: 'assay_test01',
  bottle: { id: 'bottle_peroxide', card: peroxide, usedG: 0 },
  methodId: 'permanganate',
  turned: false,
  known: [{ id: 'bottle_purple1', card: permanganate, usedG: 0 }],
  byMass: true,
  sampleG: 1.2,
  dilution: null,
  indicator: null,
  tolerancePct: 1,
  bench: BenchDefaults,
  day: '2026-03-14',
};

let count = 0;
const entry = (body: AssayBody) => ({ id: `ev_assay_${++count}`, happenedAt: '2026-03-14T11:00:00.000Z', body });
const read = (replicate: string, name: string, value: number) => entry({ kind: 'read', replicate, name, value });

async function begun() {
  const notebook = testNotebook();
  const { api } = notebook;
  for (const [id, each] of [
    ['bottle_peroxide', peroxide],
    ['bottle_purple1', permanganate],
  ] as const)
    await api
      .post('/api/bottles')
      .send({ id, eventId: `ev_put_${id}`, card: each })
      .expect(201);
  await api.post('/api/assays').send({ plan }).expect(201);
  const enter = (...events: object[]) => api.post('/api/assays/assay_test01/events').send({ events });
  const replicate = (key: string, sampleG: number, from: number, to: number) =>
    enter(
      read(key, 'sampleG', sampleG),
      read(key, 'level', from),
      read(key, 'level', to),
      entry({ kind: 'ended', replicate: key, as: 'sign', note: '' }),
    ).expect(201);
  return { ...notebook, enter, replicate };
}

describe('assays', () => {
  it('are begun once, and kept reading by reading', async () => {
    const { api, enter } = await begun();
    await api.post('/api/assays').send({ plan }).expect(201);
    await api
      .post('/api/assays')
      .send({ plan: { ...plan, sampleG: 2 } })
      .expect(409);
    const sample = read('1', 'sampleG', 1.21);
    expect((await enter(sample).expect(201)).body.written).toBe(1);
    expect((await enter(sample).expect(201)).body.written).toBe(0);
    const { body } = await api.get('/api/assays/assay_test01').expect(200);
    expect(body.entries).toMatchObject([{ body: { name: 'sampleG', value: 1.21 } }]);
  });

  it('write their strength on the bottle, book what was used, once', async () => {
    const { api, replicate } = await begun();
    await replicate('1', 1.21, 148.36, 127.36);
    await replicate('2', 1.2, 127.36, 106.5);
    await replicate('3', 1.22, 106.5, 85.3);
    expect((await api.get('/api/assays')).body).toMatchObject([{ replicates: 3, applied: false, suspect: false }]);
    await api.post('/api/assays/assay_test01/apply').send({ id: 'ev_apply_01' }).expect(201);
    await api.post('/api/assays/assay_test01/apply').send({ id: 'ev_apply_01' }).expect(201);
    const bottle = (await api.get('/api/bottles/bottle_peroxide').expect(200)).body;
    // 21.00 g of 0.02 mol/kg, five to two, on 1.21 g: 2.95 %.
    expect(bottle.card).toMatchObject({
      assayed: true,
      strength: { unit: 'w/w' },
      measured: { assayId: 'assay_test01', day: '2026-03-14' },
    });
    expect(bottle.card.strength.value).toBeGreaterThan(2.9);
    expect(bottle.card.strength.value).toBeLessThan(3);
    expect(bottle.usedG).toBeCloseTo(3.63, 6);
    expect(bottle.assays).toHaveLength(1);
    expect((await api.get('/api/bottles/bottle_purple1')).body.usedG).toBeCloseTo(63.06, 6);
    // Undone, the label stands again.
    await api
      .post('/api/bottles/bottle_peroxide/events')
      .send({
        id: 'ev_undo_0001',
        happenedAt: '2026-03-14T12:00:00Z',
        body: { kind: 'undone', of: bottle.assays[0].eventId },
      })
      .expect(201);
    expect((await api.get('/api/bottles/bottle_peroxide')).body.card.strength.value).toBe(3);
  });

  it('say what is wrong with a reading, beside its field, and keep the others', async () => {
    const { api, enter } = await begun();
    const refused = async (body: AssayBody, says: RegExp) => {
      const answer = await enter(entry(body)).expect(422);
      expect(answer.headers['content-type']).toMatch(/problem\+json/);
      expect(answer.body.detail).toMatch(says);
    };
    await enter(read('1', 'sampleG', 1.21), read('1', 'level', 148.36)).expect(201);
    await refused({ kind: 'read', replicate: '1', name: 'sampleG', value: -1 }, /more than 0 g/);
    await refused({ kind: 'read', replicate: '1', name: 'sampleG', value: 900 }, /holds about/);
    await refused({ kind: 'read', replicate: '1', name: 'level', value: 160 }, /grows lighter; if it was filled up/);
    await refused({ kind: 'read', replicate: '1', name: 'level', value: 20, unit: 'mL' }, /counts that in g/);
    await refused({ kind: 'ended', replicate: '2', as: 'sign', note: '' }, /not weighed yet/);
    await enter(entry({ kind: 'withdrawn', of: 'ev_nobody01' })).expect(404);
    await enter({
      ...entry({ kind: 'noted', text: 'x' }),
      body: { kind: 'read', replicate: '1', name: 'level', value: 'much' },
    }).expect(422);
    expect((await api.get('/api/assays/assay_test01')).body.entries).toHaveLength(2);
  });

  it('take a list as a whole or not at all', async () => {
    const { api, enter } = await begun();
    await enter(read('1', 'sampleG', 1.21), read('1', 'level', -4)).expect(422);
    expect((await api.get('/api/assays/assay_test01')).body.entries).toEqual([]);
  });

  it('are refused where bottle and method do not fit, and where there are none', async () => {
    const { api } = await begun();
    await api
      .post('/api/assays')
      .send({ plan: { ...plan, id: 'assay_test02', methodId: 'argentometric' } })
      .expect(422);
    await api
      .post('/api/assays')
      .send({ plan: { ...plan, id: 'assay_test03', bottle: { ...plan.bottle, id: 'bottle_nobody' } } })
      .expect(404);
    await api.get('/api/assays/assay_nobody').expect(404);
    await api.post('/api/assays/assay_test01/apply').send({ id: 'ev_apply_02' }).expect(422);
  });

  it('show at the clock what wants one', async () => {
    const { api, clock } = await begun();
    const pool = card('sodium hypochlorite 12.5% 2 L');
    await api.post('/api/bottles').send({ id: 'bottle_pool01', eventId: 'ev_put_pool01', card: pool }).expect(201);
    clock.now = '2026-12-14T12:00:00.000Z';
    const { overdue } = (await api.get('/api/clock').expect(200)).body;
    expect(overdue.map((each: { bottleId: string }) => each.bottleId)).toContain('bottle_pool01');
  });
});
