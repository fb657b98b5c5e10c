import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { RunEvent } from '#core/log';

const event = (id: string): RunEvent => ({
  id,
  happened: { at: '2026-03-14T08:00:00.000Z', giveOrTakeMin: 0 },
  writtenAt: '2026-03-14T08:00:00.000Z',
  body: { kind: 'noted', step: 'cool', text: id },
});
type Answer = 'ok' | 'away' | 400 | 500;
/** What the server does with each call; the last answer stands for all that follow. */
let answers: Answer[] = [];
let sent: { readonly path: string; readonly ids: readonly string[] }[] = [];

async function answer(path: string, init: RequestInit): Promise<Response> {
  const next = (answers.length > 1 ? answers.shift() : answers[0]) ?? 'ok';
  const { events } = JSON.parse(String(init.body)) as { events: readonly RunEvent[] };
  if (next === 'away') throw new TypeError('no connection');
  sent.push({ path, ids: events.map(({ id }) => id) });
  const body = next === 'ok' ? {} : { status: next, detail: `refused with ${next}`, title: '', type: '', code: 'x' };
  return new Response(JSON.stringify(body), { status: next === 'ok' ? 200 : next });
}

/** The outbox as a page that was just opened has it. */
async function opened() {
  vi.resetModules();
  return await import('./outbox.ts');
}
const stored = () => JSON.parse(localStorage.getItem('earnest-still:outbox') ?? '{}') as { waiting?: unknown[] };
const settled = () => vi.advanceTimersByTimeAsync(0);

beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  answers = ['ok'];
  sent = [];
  vi.stubGlobal('fetch', vi.fn(answer));
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the outbox', () => {
  it('takes readings of an assay to the assay', async () => {
    const { postAssay } = await opened();
    const body = { kind: 'noted' as const, text: 'cloudy' };
    postAssay('assay_a', [{ id: 'ev_reading', happenedAt: '2026-03-14T10:00:00Z', body }]);
    await settled();
    expect(sent).toEqual([{ path: '/api/assays/assay_a/events', ids: ['ev_reading'] }]);
  });

  it('sends an entry at once, tells that it is written, and keeps nothing', async () => {
    const { post, whenWritten } = await opened();
    const written = vi.fn();
    whenWritten(written);
    post('batch_a', [event('ev_one')]);
    await settled();
    expect(sent).toEqual([{ path: '/api/batches/batch_a/events', ids: ['ev_one'] }]);
    expect(written).toHaveBeenCalledWith([{ of: 'batches', batchId: 'batch_a', event: event('ev_one') }]);
    expect(stored().waiting).toEqual([]);
  });

  it('keeps entries over a closed page while the server is away, and sends them in order when it is back', async () => {
    answers = ['away'];
    const first = await opened();
    first.post('batch_a', [event('ev_one')]);
    first.post('batch_a', [event('ev_two')]);
    await settled();
    expect(stored().waiting).toHaveLength(2);
    answers = ['ok'];
    await opened();
    await settled();
    expect(sent.flatMap(({ ids }) => ids)).toEqual(['ev_one', 'ev_two']);
    expect(stored().waiting).toEqual([]);
  });

  it('tries again by itself after a while', async () => {
    answers = ['away', 'away', 'ok'];
    const { post } = await opened();
    post('batch_a', [event('ev_one')]);
    await settled();
    expect(sent).toEqual([]);
    await vi.advanceTimersByTimeAsync(3000);
    expect(sent).toEqual([]);
    await vi.advanceTimersByTimeAsync(3000);
    expect(sent.map(({ ids }) => ids)).toEqual([['ev_one']]);
  });

  it('takes trouble at the server for its own, not for the entry’s', async () => {
    answers = [500, 'ok'];
    const { post } = await opened();
    post('batch_a', [event('ev_one')]);
    await settled();
    expect(stored().waiting).toHaveLength(1);
    await vi.advanceTimersByTimeAsync(3000);
    expect(sent.map(({ ids }) => ids)).toEqual([['ev_one'], ['ev_one']]);
    expect(stored().waiting).toEqual([]);
  });

  it('sets aside the one entry that is refused, with the sentence, and sends its neighbours', async () => {
    answers = ['away'];
    const away = await opened();
    away.post('batch_a', [event('ev_one'), event('ev_bad'), event('ev_three')]);
    await settled();
    // As a whole refused, then one by one: the second is the bad one.
    answers = [400, 'ok', 400, 400, 'ok'];
    const back = await opened();
    await settled();
    await settled();
    expect(stored()).toMatchObject({ waiting: [], refused: [{ event: { id: 'ev_bad' }, why: 'refused with 400' }] });
    expect(sent.at(-1)!.ids).toEqual(['ev_three']);
    back.dismissRefused();
    expect(stored()).toMatchObject({ refused: [] });
  });

  it('sends each batch its own, in the order they were written', async () => {
    answers = ['away'];
    const away = await opened();
    away.post('batch_a', [event('ev_one')]);
    away.post('batch_b', [event('ev_two')]);
    away.post('batch_a', [event('ev_three')]);
    await settled();
    answers = ['ok'];
    await opened();
    await settled();
    expect(sent.map(({ path, ids }) => [path.split('/')[3], ...ids])).toEqual([
      ['batch_a', 'ev_one'],
      ['batch_b', 'ev_two'],
      ['batch_a', 'ev_three'],
    ]);
  });

  it('begins empty where what was stored cannot be read', async () => {
    localStorage.setItem('earnest-still:outbox', '{ half');
    const { post } = await opened();
    post('batch_a', [event('ev_one')]);
    await settled();
    expect(sent).toHaveLength(1);
  });
});
