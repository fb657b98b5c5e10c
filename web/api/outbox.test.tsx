import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { RunEvent } from '#run/log';

const event = (id: string): RunEvent => ({
  id,
  happened: { at: '2026-03-14T08:00:00.000Z', giveOrTakeMin: 0 },
  writtenAt: '2026-03-14T08:00:00.000Z',
  body: { kind: 'noted', step: 'cool', text: id },
});
type Answer = 'ok' | 'away' | 400 | 500;
/** What the server does with each call; the last answer stands for all that follow. */
let answers: Answer[] = [];
let notebook = 'one';
let date = '';
let sent: { readonly path: string; readonly ids: readonly string[]; readonly at: readonly string[] }[] = [];

async function answer(path: string, init: RequestInit): Promise<Response> {
  const asks = init.method === 'GET';
  const next = (answers.length > 1 && (!asks || answers[0] === 'away') ? answers.shift() : answers[0]) ?? 'ok';
  if (next === 'away') throw new TypeError('no connection');
  const headers = { 'X-Notebook': notebook, ...(date && { Date: date }) };
  const meant = (init.headers as Record<string, string>)['X-Notebook'];
  if (meant !== undefined && meant !== notebook)
    return new Response(JSON.stringify({ status: 409, detail: 'another', code: 'other-notebook' }), {
      status: 409,
      headers,
    });
  if (asks) return new Response('{}', { headers });
  if (init.method === 'PUT') {
    sent.push({ path, ids: [], at: [] });
    return new Response('{}', { status: next === 'ok' ? 201 : next, headers });
  }
  const { events } = JSON.parse(String(init.body)) as { events: readonly RunEvent[] };
  sent.push({ path, ids: events.map(({ id }) => id), at: events.map((each) => each.happened?.at ?? '') });
  const body = next === 'ok' ? {} : { status: next, detail: `refused with ${next}`, title: '', type: '', code: 'x' };
  return new Response(JSON.stringify(body), { status: next === 'ok' ? 200 : next, headers });
}

/** The outbox as a page that was just opened has it: each is a tab of its own. */
async function opened() {
  vi.resetModules();
  const tab = await import('./outbox.ts');
  await settled();
  return tab;
}

/** What the device keeps, as a page that is opened later finds it. */
async function stored() {
  vi.resetModules();
  const { allKept } = await import('./outbox-store.ts');
  const all = await allKept();
  return {
    waiting: all.filter(({ why }) => why === null).map(({ id }) => id),
    refused: all.flatMap(({ id, why }) => (why === null ? [] : [[id, why]])),
  };
}

async function settled(): Promise<void> {
  for (let i = 0; i < 40; i++) await new Promise((go) => setImmediate(go));
}

/** One lock for all tabs, as the browser has it. */
function oneLock() {
  let last: Promise<unknown> = Promise.resolve();
  const request = (_: string, work: () => Promise<void>) => {
    const mine = last.then(work);
    last = mine.catch(() => undefined);
    return mine;
  };
  return { request };
}

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  localStorage.clear();
  vi.stubGlobal('indexedDB', new IDBFactory());
  Object.defineProperty(navigator, 'locks', { value: oneLock(), configurable: true });
  answers = ['ok'];
  notebook = 'one';
  date = '';
  sent = [];
  vi.stubGlobal('fetch', vi.fn(answer));
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const ids = () => sent.flatMap((each) => each.ids);

describe('the outbox', () => {
  it('takes readings of an assay to the assay', async () => {
    const { postAssay } = await opened();
    const body = { kind: 'noted' as const, text: 'cloudy' };
    postAssay('assay_a', [{ id: 'ev_reading', happenedAt: '2026-03-14T10:00:00Z', body }]);
    await settled();
    expect(sent).toMatchObject([{ path: '/api/assays/assay_a/events', ids: ['ev_reading'] }]);
  });

  it('sends an entry at once, tells that it is written, and keeps nothing', async () => {
    const { post, whenWritten } = await opened();
    const written = vi.fn();
    whenWritten(written);
    post('batch_a', [event('ev_one')]);
    await settled();
    expect(sent).toMatchObject([{ path: '/api/batches/batch_a/events', ids: ['ev_one'] }]);
    expect(written).toHaveBeenCalledWith([{ of: 'batches', batchId: 'batch_a', event: event('ev_one') }]);
    expect((await stored()).waiting).toEqual([]);
  });

  it('keeps entries over a closed page while the server is away, and sends them in order when it is back', async () => {
    answers = ['away'];
    const first = await opened();
    first.post('batch_a', [event('ev_one')]);
    first.post('batch_a', [event('ev_two')]);
    await settled();
    expect((await stored()).waiting).toEqual(['ev_one', 'ev_two']);
    answers = ['ok'];
    await opened();
    expect(ids()).toEqual(['ev_one', 'ev_two']);
    expect((await stored()).waiting).toEqual([]);
  });

  it('keeps the entries of each tab beside those of the others, and sends each once', async () => {
    answers = ['away'];
    const one = await opened();
    const other = await opened();
    one.post('batch_a', [event('ev_one')]);
    one.post('batch_a', [event('ev_two')]);
    other.post('batch_b', [event('ev_three')]);
    await settled();
    expect([...(await stored()).waiting].sort()).toEqual(['ev_one', 'ev_three', 'ev_two']);
    answers = ['ok'];
    await Promise.all([one.flush(), other.flush()]);
    await settled();
    expect([...ids()].sort()).toEqual(['ev_one', 'ev_three', 'ev_two']);
    expect((await stored()).waiting).toEqual([]);
  });

  it('tells a tab what another has sent', async () => {
    answers = ['away'];
    const one = await opened();
    one.post('batch_a', [event('ev_one')]);
    await settled();
    const other = await opened();
    const written = vi.fn();
    other.whenWritten(written);
    answers = ['ok'];
    await one.flush();
    await vi.waitFor(() => expect(written).toHaveBeenCalled());
  });

  it('tries again by itself after a while', async () => {
    answers = ['away', 'away', 'ok'];
    const { post } = await opened();
    post('batch_a', [event('ev_one')]);
    await settled();
    expect(sent).toEqual([]);
    for (let i = 0; i < 3 && sent.length === 0; i++) {
      await vi.advanceTimersByTimeAsync(3000);
      await settled();
    }
    expect(ids()).toEqual(['ev_one']);
  });

  it('takes trouble at the server for its own, not for the entry’s', async () => {
    answers = [500, 'ok'];
    const { post, useOutbox } = await opened();
    const { renderHook } = await import('@testing-library/react');
    const { result, rerender } = renderHook(() => useOutbox());
    post('batch_a', [event('ev_one')]);
    await settled();
    rerender();
    // A server that answered is not said to be away: what it said is.
    expect(result.current).toMatchObject({ away: false, trouble: 'refused with 500' });
    await vi.advanceTimersByTimeAsync(3000);
    await settled();
    expect(ids()).toEqual(['ev_one', 'ev_one']);
    rerender();
    expect(result.current.trouble).toBeNull();
    expect((await stored()).waiting).toEqual([]);
  });

  it('keeps the one entry that is refused, with the sentence, and sends its neighbours', async () => {
    answers = ['away'];
    const away = await opened();
    away.post('batch_a', [event('ev_one'), event('ev_bad'), event('ev_three')]);
    await settled();
    // As a whole refused, then one by one: the second is the bad one.
    answers = [400, 'ok', 400, 400, 'ok'];
    await opened();
    await settled();
    expect(await stored()).toEqual({ waiting: [], refused: [['ev_bad', 'refused with 400']] });
    expect(sent.at(-1)!.ids).toEqual(['ev_three']);
    // A page opened later still has it.
    answers = [400];
    const later = await opened();
    expect((await stored()).refused).toHaveLength(1);
    later.sendAgain('ev_bad', false);
    await settled();
    expect((await stored()).refused).toEqual([['ev_bad', 'refused with 400']]);
    expect(later.asText()).toContain('ev_bad');
    answers = ['ok'];
    later.sendAgain('ev_bad', true);
    await settled();
    expect(await stored()).toEqual({ waiting: [], refused: [] });
    expect(Date.parse(sent.at(-1)!.at[0]!)).toBeGreaterThan(Date.parse('2026-03-15'));
  });

  it('lets a refused entry go only when its owner says so', async () => {
    answers = [400];
    const tab = await opened();
    tab.post('batch_a', [event('ev_bad')]);
    await settled();
    tab.giveUp('ev_other');
    expect((await stored()).refused).toHaveLength(1);
    tab.giveUp('ev_bad');
    await settled();
    expect((await stored()).refused).toEqual([]);
  });

  it('keeps entries for the notebook they were made in', async () => {
    const tab = await opened();
    tab.post('batch_a', [event('ev_first')]);
    await settled();
    answers = ['away'];
    tab.post('batch_a', [event('ev_mine')]);
    await settled();
    // Another notebook answers under the same address.
    answers = ['ok'];
    notebook = 'two';
    await tab.flush();
    await settled();
    expect(ids()).toEqual(['ev_first']);
    expect((await stored()).waiting).toEqual(['ev_mine']);
    notebook = 'one';
    await opened();
    await settled();
    expect(ids()).toEqual(['ev_first', 'ev_mine']);
  });

  it('goes by the server’s clock where this device’s is wrong', async () => {
    date = new Date(Date.now() - 600_000).toUTCString();
    const tab = await opened();
    tab.post('batch_a', [event('ev_one')]);
    await settled();
    const { clockAhead, notebookTime } = await import('../kit/clock.ts');
    expect(clockAhead()! / 60_000).toBeCloseTo(-10, 0);
    expect(notebookTime()).toBeLessThan(Date.now() - 500_000);
  });

  it('sends from this tab, and says that nothing is kept, where the device forbids it', async () => {
    vi.stubGlobal('indexedDB', {
      open: () => {
        throw new DOMException('forbidden', 'SecurityError');
      },
    });
    answers = ['away'];
    const { post, useOutbox, flush } = await opened();
    const { renderHook } = await import('@testing-library/react');
    const { result, rerender } = renderHook(() => useOutbox());
    post('batch_a', [event('ev_one')]);
    await settled();
    rerender();
    expect(result.current).toMatchObject({ kept: false, waiting: [{ batchId: 'batch_a' }] });
    answers = ['ok'];
    await flush();
    await settled();
    expect(ids()).toEqual(['ev_one']);
  });

  it('takes over what an earlier page kept in one list', async () => {
    const old = { version: 2, waiting: [{ of: 'batches', batchId: 'batch_a', event: event('ev_old') }], refused: [] };
    localStorage.setItem('earnest-still:outbox', JSON.stringify(old));
    await opened();
    await settled();
    expect(ids()).toEqual(['ev_old']);
    expect(localStorage.getItem('earnest-still:outbox')).toBeNull();
  });

  it('keeps a photo with its entry while the server is away, and sends it before', async () => {
    answers = ['away'];
    const away = await opened();
    const { holdPhoto } = await import('./photos.ts');
    const shown: RunEvent = {
      ...event('ev_shown'),
      body: { kind: 'photographed', step: 'cool', attachmentId: 'att_one', caption: 'needles' },
    };
    await holdPhoto('att_one', 'batch_a', new Blob(['picture'], { type: 'image/png' }));
    away.post('batch_a', [shown]);
    await settled();
    expect(sent).toEqual([]);
    answers = ['ok'];
    await opened();
    await settled();
    expect(sent.map(({ path }) => path)).toEqual([
      '/api/attachments/att_one?batch=batch_a',
      '/api/batches/batch_a/events',
    ]);
    const { keptPhoto } = await import('./outbox-store.ts');
    expect(await keptPhoto('att_one')).toBeUndefined();
  });

  it('puts what was made before the server said its time by the server’s clock', async () => {
    answers = ['away'];
    const away = await opened();
    away.post('batch_a', [event('ev_early')]);
    await settled();
    answers = ['ok'];
    // This device is ten minutes ahead, and learns it before the entry goes out.
    date = new Date(Date.now() - 600_000).toUTCString();
    await opened();
    await settled();
    expect(Date.parse(sent[0]!.at[0]!)).toBeCloseTo(Date.parse('2026-03-14T07:50:00.000Z'), -4);
  });

  it('begins empty where what was stored cannot be read', async () => {
    localStorage.setItem('earnest-still:outbox', '{ half');
    const { post } = await opened();
    post('batch_a', [event('ev_one')]);
    await settled();
    expect(ids()).toEqual(['ev_one']);
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
    expect(sent.map((each) => [each.path.split('/')[3], ...each.ids])).toEqual([
      ['batch_a', 'ev_one'],
      ['batch_b', 'ev_two'],
      ['batch_a', 'ev_three'],
    ]);
  });
});
