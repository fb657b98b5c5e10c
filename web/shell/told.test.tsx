import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { ClockAnswer, NoticeAnswer, SoonAnswer } from '#contract/api';
import { USUAL_HOURS } from '#matter/gear';
import { draw } from '../testing/bench.tsx';
import { serverOf } from '../testing/page.tsx';
import { benchAnswer } from '../testing/week.ts';
import { beep } from './beep.ts';
import { ChoiceProvider } from './choice.tsx';
import { tell } from './notify.ts';
import { Told } from './told.tsx';

vi.mock('./beep.ts', () => ({ beep: vi.fn() }));
vi.mock('./notify.ts', () => ({ tell: vi.fn() }));

const MINUTE = 60_000;
// By the clock on the wall, so that quiet hours are quiet wherever this is run.
const NOON = new Date(2026, 10, 27, 12).valueOf();
const at = (min: number) => new Date(NOON + min * MINUTE).toISOString();
type Item = ClockAnswer['items'][number];
const item = (text: string, over: Partial<Item> = {}): Item =>
  ({ batchId: 'batch_a', number: 1, step: 'grow', kind: 'timer', text, at: at(-3), ...over }) as Item;

function shown(
  items: readonly Item[],
  of: { notices?: readonly NoticeAnswer[]; soon?: SoonAnswer['items']; quiet?: { from: number; to: number } } = {},
) {
  const bench = benchAnswer().bench;
  const server = serverOf({
    'GET /clock': { items, written: 1, now: at(0) },
    'GET /notices': of.notices ?? [],
    'GET /week/soon': { now: at(0), items: of.soon ?? [] },
    'GET /bench': { version: 1, bench: { ...bench, hours: { ...USUAL_HOURS, quiet: of.quiet ?? null } } },
    'POST /notices': { ok: true },
  });
  draw(
    <MemoryRouter>
      <ChoiceProvider>
        <Told />
      </ChoiceProvider>
    </MemoryRouter>,
  );
  return server;
}
const due = () => screen.findByRole('region', { name: 'Due now' });

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['Date'], now: NOON });
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.unstubAllGlobals();
  vi.clearAllMocks();
  localStorage.clear();
});

describe('what is due', () => {
  it('is told with since when, alarms first, the longest waiting next, three at the most', async () => {
    shown([
      item('stir it, alum', { at: at(-3) }),
      item('feel its warmth, alum', { at: at(-20), step: 'cool' }),
      item('look at the dish, zinc sulfate', { at: at(-1), step: 'dish' }),
      item('above 60 °C, iodine', { kind: 'alarm', at: at(-2), step: 'hot' }),
      item('not yet', { at: at(5), step: 'later' }),
    ]);
    const lines = [...(await due()).querySelectorAll('li')].map((each) => each.textContent);
    expect(lines).toHaveLength(3);
    expect(lines[0]).toMatch(/^above 60 °C, iodine/);
    expect(lines[1]).toMatch(/^feel its warmth, alumfor 20 min/);
    expect(screen.getByText('and 1 more, on the strip below')).toBeDefined();
    expect(screen.getByRole('alert').textContent).toMatch(/above 60/);
  });

  it('is seen once for all devices; an alarm only for ten minutes', async () => {
    const { sent } = shown([item('stir it, alum'), item('above 60 °C, iodine', { kind: 'alarm', step: 'hot' })]);
    await due();
    fireEvent.click(screen.getByRole('button', { name: 'Seen: stir it, alum' }));
    fireEvent.click(screen.getByRole('button', { name: /^Seen: above 60/ }));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[0]?.body).toMatchObject({ until: null, of: expect.stringContaining('stir it') });
    expect(sent[1]?.body).toMatchObject({ until: at(10), reason: 'seen, still so' });
    // Nothing puts an alarm off.
    expect(screen.queryByRole('button', { name: /^Later: above/ })).toBeNull();
  });

  it('is put off only with a reason', async () => {
    const { sent } = shown([item('stir it, alum')]);
    await due();
    fireEvent.click(screen.getByRole('button', { name: 'Later: stir it, alum' }));
    const put = await screen.findByRole('button', { name: 'Put it off' }, { timeout: 10_000 });
    expect((put as HTMLButtonElement).disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('Why'), { target: { value: '   ' } });
    expect((put as HTMLButtonElement).disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('Why'), { target: { value: 'at table' } });
    fireEvent.click(screen.getByText('30 min'));
    fireEvent.click(put);
    await waitFor(() => expect(sent[0]?.body).toMatchObject({ until: at(30), reason: 'at table' }));
  });

  it('is silent while it is put off or seen, and comes again when that is over', async () => {
    const key = `batch_a:grow:timer:${at(-3)}:stir it, alum`;
    const notice = (until: string | null): NoticeAnswer => ({ of: key, at: at(-2), until, reason: 'at table' });
    shown([item('stir it, alum'), item('look, alum', { step: 'dish' })], { notices: [notice(at(4))] });
    expect((await due()).textContent).not.toMatch(/stir it/);
    cleanup();
    shown([item('stir it, alum')], { notices: [notice(at(-1))] });
    expect((await due()).textContent).toMatch(/stir it/);
  });

  it('sounds, three times for an alarm; in quiet hours for an alarm alone', async () => {
    shown([item('stir it, alum')]);
    await due();
    await waitFor(() => expect(beep).toHaveBeenCalledWith(1));
    cleanup();
    vi.clearAllMocks();
    shown([item('stir it, alum')], { quiet: { from: 11, to: 13 } });
    // Until the hours are known the usual ones hold, which have no quiet: what counts is that it is not told on and on.
    await due();
    const before = vi.mocked(beep).mock.calls.length;
    expect(before).toBeLessThanOrEqual(1);
    cleanup();
    vi.clearAllMocks();
    shown([item('above 60 °C, iodine', { kind: 'alarm' })], { quiet: { from: 11, to: 13 } });
    await due();
    await waitFor(() => expect(beep).toHaveBeenCalledWith(3));
  });

  it('shows itself as the browser’s notice only where that was wanted', async () => {
    shown([item('stir it, alum')]);
    await due();
    expect(tell).not.toHaveBeenCalled();
    cleanup();
    localStorage.setItem('earnest-still:told', 'on');
    shown([item('stir it, alum')]);
    await due();
    await waitFor(() => expect(tell).toHaveBeenCalledWith(expect.objectContaining({ text: 'stir it, alum' })));
  });

  it('names a visit of the kept plan by its first step', async () => {
    const step = (id: string, min: number, minutes: number) => ({
      id,
      batchId: 'batch_b',
      step: id,
      text: `${id}, zinc sulfate`,
      at: at(min),
      minutes,
    });
    shown([], { soon: [step('filter', -1, 15), step('boil down', 20, 20), step('cool', 300, 5)] });
    expect((await due()).textContent).toMatch(/filter, zinc sulfate, and 1 more after it/);
  });
});
