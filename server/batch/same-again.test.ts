import { describe, expect, it } from 'vitest';
import { entry, testNotebook } from '../testing/notebook.ts';

describe('the same addition from two pages', () => {
  const water = (grams: number) => ({
    kind: 'added',
    step: 'dissolve',
    role: null,
    bottleId: null,
    reading: { is: 'exact', value: grams, unit: 'g' },
    reason: '',
  });
  const at = (minutes: number) => new Date(Date.parse('2026-03-14T10:00:00Z') + minutes * 60_000).toISOString();

  async function bench() {
    const { api, putShelf, putBatch } = testNotebook();
    await putShelf();
    const batch = await putBatch();
    return (event: object) => api.post(`/api/batches/${batch}/events`).send({ events: [event] });
  }

  it('is asked about within minutes, and taken as another when that is said', async () => {
    const send = await bench();
    await send({ ...entry(water(25), at(0)), tab: 'one' }).expect(201);
    const second = { ...entry(water(25), at(3)), tab: 'two' };
    const asked = await send(second).expect(409);
    expect(asked.body).toMatchObject({ code: 'same-again' });
    expect(asked.body.detail).toContain('25 g');
    expect(asked.body.detail).toContain('3 min apart');
    await send({ ...second, again: true }).expect(201);
  });

  it('is not asked about from one page, of another amount, after a while, twice sent, or from a script', async () => {
    const send = await bench();
    const first = { ...entry(water(25), at(0)), tab: 'one' };
    await send(first).expect(201);
    await send(first).expect(201);
    await send({ ...entry(water(25), at(1)), tab: 'one' }).expect(201);
    await send({ ...entry(water(26), at(1)), tab: 'two' }).expect(201);
    await send({ ...entry(water(25), at(30)), tab: 'two' }).expect(201);
    await send(entry(water(25), at(1))).expect(201);
  });
});
