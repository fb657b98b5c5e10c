import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { exactReading } from '#base/reading';
import type { BatchSummary } from '#contract/api';
import { done, on, read, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';
import { drawAt, serverOf } from '../testing/page.tsx';

const { RecordPage } = await import('./record-page.tsx');
const { RecordList } = await import('./record-list.tsx');

const alum = on('alum-recrystallised', '60 g alum', { crude: 'potassium alum 97 % 1 kg' });
const whole = [
  alum.added('crude', 'crude', 80),
  ...done('crude', 'water', 'heat', 'filter', 'cool', 'collect'),
  read('dry', 'mass', 58, 'g'),
  read('dry', 'mass', 58, 'g'),
];
const batch = (bodies: Parameters<typeof eventsAt>[1][]) => ({
  id: 'batch_rec001',
  number: 5,
  version: 1,
  createdAt: START,
  plan: alum.plan,
  events: eventsAt(START, ...bodies),
});
const page = (bodies: Parameters<typeof eventsAt>[1][]) =>
  serverOf({ 'GET /batches/batch_rec001': batch(bodies), 'GET /batches': [], 'GET /lessons': [], 'GET /bottles': [] });
const shown = () => drawAt('/record/batch_rec001', '/record/:batchId', <RecordPage />);

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('a record', () => {
  it('says what was planned and what went in, step by step', async () => {
    page(whole);
    shown();
    expect(await screen.findByRole('heading', { level: 1 })).toBeDefined();
    const text = document.body.textContent ?? '';
    expect(text).toContain('60 g of potassium aluminium sulfate dodecahydrate');
    expect(text).toContain('on the bench');
    expect(text).toMatch(/80\.0/);
    expect(text).toContain('What went in');
  });

  it('says why a run was abandoned', async () => {
    page([...whole.slice(0, 2), { kind: 'abandoned', reason: 'the beaker broke' }]);
    shown();
    expect((await screen.findByText('the beaker broke')).textContent).toContain('Abandoned.');
  });

  it('keeps what was corrected in sight', async () => {
    const [first] = eventsAt(START, ...whole);
    page([
      ...whole.slice(0, 1),
      {
        kind: 'corrected',
        of: first!.id,
        body: { ...alum.added('crude', 'crude', 82), reading: exactReading(82, 'g') } as never,
        reason: 'misread',
      },
    ]);
    shown();
    await screen.findByRole('heading', { level: 1 });
    const text = document.body.textContent ?? '';
    expect(text).toContain('82');
    expect(text).toContain('misread');
  });

  it('says what was taken as planned, and asks for the weighing that was never made', async () => {
    page(done(...alum.plan.route.steps.map(({ id }) => id)));
    shown();
    expect((await screen.findByText(/^Taken as planned, since nothing was entered/)).textContent).toMatch(
      /\d+(\.\d+)? g of Potassium alum/,
    );
    expect(screen.getAllByText('as planned').length).toBeGreaterThan(0);
    expect(screen.queryByRole('region', { name: 'Yield' })).toBeNull();
    expect(await screen.findByLabelText(/^Product weighs, dry/)).toBeDefined();
  });

  it('says when there is no such batch', async () => {
    serverOf({ 'GET /batches': [] });
    shown();
    expect(await screen.findByText(/There is no GET/)).toBeDefined();
  });
});

describe('the list of batches', () => {
  const summary = (change: Partial<BatchSummary>): BatchSummary => ({
    id: 'batch_a',
    number: 1,
    title: '60 g of zinc sulfate',
    routeId: 'zinc-sulfate',
    weighs: true,
    status: 'done',
    createdAt: START,
    startedAt: START,
    finishedAt: START,
    yieldPct: { value: 88.2, band: 2 },
    got: '52.9 g',
    bottles: [],
    vessel: null,
    residue: [],
    lesson: '',
    shows: { lossPct: null, boilGPerH: null, cellPct: null },
    colours: [],
    version: 3,
    ...change,
  });

  it('has a line each: what was got, the yield, and what became of it', async () => {
    serverOf({
      'GET /batches': [
        summary({}),
        summary({ id: 'batch_b', number: 2, status: 'abandoned', yieldPct: null, got: '', lesson: 'stir it' }),
        summary({ id: 'batch_c', number: 3, yieldPct: { value: 104, band: 1 } }),
      ],
    });
    drawAt('/record', '/record', <RecordList />);
    const link = (await screen.findAllByRole('link', { name: '60 g of zinc sulfate' }))[0]!;
    const rows = within(link.closest('table')!)
      .getAllByRole('row')
      .map((row) => row.textContent ?? '');
    expect(rows.some((row) => row.includes('88.2') && row.includes('52.9 g'))).toBe(true);
    expect(rows.some((row) => row.includes('abandoned') && row.includes('stir it'))).toBe(true);
    expect(rows.some((row) => row.includes('over'))).toBe(true);
  });

  it('says that there is none yet, and that the server is away', async () => {
    serverOf({ 'GET /batches': [] });
    drawAt('/record', '/record', <RecordList />);
    expect((await screen.findAllByText(/No batch yet/)).length).toBeGreaterThan(0);
    cleanup();
    serverOf({ 'GET /batches': 'away' });
    drawAt('/record', '/record', <RecordList />);
    expect(await screen.findByText(/does not answer/)).toBeDefined();
  });
});
