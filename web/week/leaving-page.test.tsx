import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { BackAnswer, LeavingAnswer } from '#contract/api';
import type { Hours } from '#matter/gear';
import { drawAt, serverOf } from '../testing/page.tsx';
import { benchAnswer, WEEK_FROM } from '../testing/week.ts';
import { BackPage } from './back-page.tsx';
import { LeavingPage } from './leaving-page.tsx';

const HOUR = 3_600_000;
const later = (hours: number) => new Date(Date.parse(WEEK_FROM) + hours * HOUR).toISOString();
const act = (step: string, over: Partial<LeavingAnswer['acts'][number]> = {}): LeavingAnswer['acts'][number] => ({
  batchId: 'batch_a',
  batch: 'alum',
  step,
  title: `step ${step}`,
  act: 'Heat off.',
  min: 5,
  costs: 'Nothing but the time.',
  ...over,
});
const leaving = (over: Partial<LeavingAnswer> = {}): LeavingAnswer => ({
  now: WEEK_FROM,
  back: later(3),
  darkAt: null,
  acts: [],
  min: 0,
  goesOn: [],
  due: [],
  ...over,
});

/** The page, whatever time of coming back is asked for. */
function shown(answer: LeavingAnswer | number) {
  const server = serverOf({
    'GET /bench': benchAnswer(),
    'PUT /bench': (body: { bench: unknown }) => ({ version: 4, bench: body.bench }),
    'POST /batches/batch_a/events': (body: { events: unknown[] }) => body.events,
  });
  const known = globalThis.fetch;
  vi.stubGlobal('fetch', (path: string, init?: RequestInit) =>
    String(path).includes('/week/leaving') && typeof answer !== 'number'
      ? Promise.resolve(new Response(JSON.stringify(answer)))
      : known(path, init),
  );
  drawAt('/bench/leaving', '/bench/leaving', <LeavingPage />);
  return server;
}

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['Date'], now: Date.parse(WEEK_FROM) });
});
afterEach(() => {
  cleanup();
  localStorage.clear();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('leaving the bench', () => {
  it('lists what to make safe in its order, with minutes and costs, and what goes on and falls due', async () => {
    shown(
      leaving({
        acts: [
          act('boil', { title: 'Boil down' }),
          act('filter', { title: 'Filter hot', costs: 'Left until you are back: it sets.' }),
        ],
        min: 10,
        goesOn: [{ batchId: 'batch_b', text: 'Cool to 6 °C, zinc sulfate' }],
        darkAt: later(1),
      }),
    );
    expect(await screen.findByRole('heading', { name: 'First, in this order: about 10 min' })).toBeDefined();
    const listed = screen.getAllByRole('checkbox').map((each) => each.closest('li')?.textContent);
    expect(listed[0]).toMatch(/Boil down, alum.*about 5 min.*Heat off\./);
    expect(listed[1]).toMatch(/Costs: Left until you are back: it sets\./);
    expect(screen.getByRole('region', { name: 'Goes on by itself' }).textContent).toMatch(/zinc sulfate/);
    expect(screen.getByRole('region', { name: 'Falls due meanwhile' }).textContent).toMatch(/it is dark/);
  });

  it('warns of what is not made safe, and lets one go all the same', async () => {
    const { sent } = shown(leaving({ acts: [act('boil'), act('filter')], min: 10 }));
    expect(await screen.findByText(/^2 things are not made safe yet/)).toBeDefined();
    const [first] = screen.getAllByRole('checkbox');
    if (first) fireEvent.click(first);
    expect(screen.getByText(/^One thing is not made safe yet/)).toBeDefined();
    await waitFor(() =>
      expect(screen.getByRole('button', { name: 'I must go all the same' })).not.toHaveProperty('disabled', true),
    );
    fireEvent.click(screen.getByRole('button', { name: 'I must go all the same' }));
    await waitFor(() => expect(sent.some(({ to }) => to === 'PUT /bench')).toBe(true));
    const saved = sent.find(({ to }) => to === 'PUT /bench')?.body as { bench: { hours: Hours } } | undefined;
    expect(saved?.bench.hours.away).toMatchObject([{ from: WEEK_FROM, to: later(3) }]);
    // What was done and what was not stands in the log of its batch.
    const kept = localStorage.getItem('earnest-still:outbox') ?? JSON.stringify(sent);
    expect(kept).toMatch(/Made safe before leaving: Heat off\./);
    expect(kept).toMatch(/Left as it was: not made safe\./);
  });

  it('asks for a time that is still to come', async () => {
    shown(leaving());
    expect(await screen.findByRole('heading', { name: 'Nothing has to be made safe' })).toBeDefined();
    for (const text of ['', '2020-01-01T08:00']) {
      fireEvent.change(screen.getByLabelText('Back by'), { target: { value: text } });
      expect(screen.getByText('Say a day and a time that are still to come.')).toBeDefined();
      expect(screen.queryByRole('button', { name: /gone until|go all the same/ })).toBeNull();
    }
  });

  it('says the order by heart where the notebook cannot be asked', async () => {
    shown(500);
    expect(await screen.findByText(/flames out, heat off, gas shut/)).toBeDefined();
  });
});

describe('back at the bench', () => {
  const at = (path: string, answer?: BackAnswer) => {
    serverOf(answer ? { [`GET /week/back?left=${encodeURIComponent(answer.left)}`]: answer } : {});
    drawAt(path, '/bench/back', <BackPage />);
  };
  const item = (text: string, over: Partial<BackAnswer['items'][number]>): BackAnswer['items'][number] =>
    ({
      batchId: 'batch_a',
      number: 1,
      step: 'grow',
      text,
      at: null,
      kind: 'timer',
      missed: false,
      ...over,
    }) as BackAnswer['items'][number];

  it('shows what was missed before the rest', async () => {
    at(`/bench/back?left=${encodeURIComponent(later(-5))}`, {
      now: WEEK_FROM,
      left: later(-5),
      items: [item('stir it, alum', { at: later(-2), missed: true }), item('look at the dish, alum', { at: later(4) })],
    });
    expect((await screen.findByRole('region', { name: 'Look at first' })).textContent).toMatch(/stir it, alum was due/);
    expect(screen.getByRole('region', { name: 'Then' }).textContent).toMatch(/look at the dish/);
  });

  it('says that nothing was missed, and what it was not told', async () => {
    at(`/bench/back?left=${encodeURIComponent(later(-5))}`, { now: WEEK_FROM, left: later(-5), items: [] });
    expect(await screen.findByRole('heading', { name: 'Nothing was missed' })).toBeDefined();
    cleanup();
    at('/bench/back');
    expect(await screen.findByText(/Since when you were away is not said/)).toBeDefined();
  });
});
