import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { BottleAnswer } from '#contract/api';
import { BenchDefaults } from '#matter/gear';
import { parseLabel } from '#matter/label';
import { drawAt, serverOf } from '../testing/page.tsx';

const { ShelfPage } = await import('./shelf-page.tsx');

const bottle = (id: string, label: string, change: Partial<BottleAnswer> = {}): BottleAnswer => ({
  id: `bottle_${id}`,
  card: parseLabel(label, '2026-01-01', 20).card!,
  usedG: 0,
  uses: [],
  archived: false,
  version: 1,
  lastEventId: null,
  assays: [],
  tests: [],
  ...change,
});
const bench = { version: 0, bench: BenchDefaults };
const shelf = [
  bottle('acid', 'hydrochloric acid 28% 5 L 11.50'),
  bottle('soda', 'washing soda crystals 1 kg 2.10', { usedG: 250 }),
  bottle('old', 'vinegar 8 % 5 L', { archived: true }),
];
const page = (answers: object) => serverOf({ 'GET /bench': bench, 'GET /lessons': [], ...answers });
const shown = (path = '/shelf') => drawAt(path, '/shelf/:bottleId?', <ShelfPage />);

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('the shelf', () => {
  it('draws what stands on it, with how much is left, and not what is archived', async () => {
    page({ 'GET /bottles': shelf });
    shown();
    expect(await screen.findByText('As bought')).toBeDefined();
    const bottles = screen.getAllByRole('listitem').map((each) => each.textContent ?? '');
    expect(bottles).toHaveLength(2);
    expect(bottles.some((text) => text.includes('750 g left'))).toBe(true);
    expect(screen.getByText('archived 1')).toBeDefined();
  });

  it('shows the archived when asked', async () => {
    page({ 'GET /bottles': shelf });
    shown();
    fireEvent.click(await screen.findByText('archived 1'));
    await waitFor(() => expect(screen.getAllByRole('listitem')).toHaveLength(3));
  });

  it('says that it loads, that it is empty, and that the server is away', async () => {
    page({ 'GET /bottles': [] });
    shown();
    expect(screen.getByText('Loading the shelf …')).toBeDefined();
    await waitFor(() => expect(screen.queryByText('Loading the shelf …')).toBeNull());
    expect(screen.queryAllByRole('listitem')).toHaveLength(0);
    cleanup();
    page({ 'GET /bottles': 'away' });
    shown();
    expect(await screen.findByText(/does not answer/)).toBeDefined();
  });

  it('puts a bottle by its label, and says what is missing before it does', async () => {
    const { sent } = page({
      'GET /bottles': [],
      'POST /bottles': (body: object) => ({ ...bottle('new', 'zinc 99 % 1 kg'), ...body }),
    });
    shown();
    const line = screen.getByLabelText('The label says');
    fireEvent.change(line, { target: { value: 'zinc 99 %' } });
    fireEvent.submit(line);
    expect(await screen.findByText(/How much is in it/)).toBeDefined();
    expect(sent).toHaveLength(0);
    // Enter comes in the same instant as the text, before it is read.
    fireEvent.change(line, { target: { value: 'zinc 99 % 900 g 14,00' } });
    fireEvent.submit(line);
    expect(sent).toHaveLength(0);
    await waitFor(() => expect(sent).toHaveLength(1));
    const { card } = sent[0]!.body as { card: BottleAnswer['card'] };
    expect(card).toMatchObject({ substanceId: 'zinc', price: 14, size: { value: 900, unit: 'g' } });
  });

  it('opens a bottle in the margin: strengths, what is left, how it keeps', async () => {
    page({ 'GET /bottles': shelf, 'GET /batches': [] });
    shown('/shelf/bottle_acid');
    expect(await screen.findByText('Keeping', {}, { timeout: 20_000 })).toBeDefined();
    expect(screen.getByText(/fumes off when opened/)).toBeDefined();
    expect(screen.getAllByText(/mol\/L/).length).toBeGreaterThan(0);
  });

  it('says what was found of a bottle, what it is good for, and takes a test', async () => {
    const measured = { assayId: 'assay_x', method: 'soda; weighed', day: '2026-01-05', sources: [] };
    const found = bottle('acid', 'hydrochloric acid 28% 5 L', {
      assays: [
        {
          eventId: 'ev_a',
          at: '2026-01-05T10:00:00Z',
          said: '27.4 ± 0.2 %, 3 replicates',
          strength: { value: 27.4, unit: 'w/w' },
          band: 0.2,
          before: null,
          measured,
        },
      ],
    });
    const { sent } = page({ 'GET /bottles': [found], 'GET /batches': [], 'POST /bottles/bottle_acid/events': found });
    shown('/shelf/bottle_acid');
    expect(await screen.findByText('27.4 ± 0.2 %, 3 replicates', {}, { timeout: 20_000 })).toBeDefined();
    expect(screen.getByText(/Good enough for plain reagents/)).toBeDefined();
    fireEvent.click((await screen.findAllByRole('button', { name: 'not as expected', hidden: true }))[0]!);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ body: { kind: 'tested', outcome: 'not as expected' } });
  });

  it('stands as a table too, in the order that is asked for', async () => {
    page({ 'GET /bottles': shelf });
    shown('/shelf?view=table&by=name');
    const table = await screen.findByRole('table', {}, { timeout: 20_000 });
    const rows = within(table).getAllByRole('row').slice(1);
    expect(rows[0]!.textContent).toMatch(/hydrochloric/i);
  });
});
