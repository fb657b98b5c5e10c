import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { AssayAnswer, BottleAnswer } from '#contract/api';
import { BenchDefaults } from '#matter/gear';
import { parseLabel } from '#matter/label';
import { drawAt, serverOf } from '../testing/page.tsx';

const { AssayHome } = await import('./home.tsx');
const { ChoosePage } = await import('./choose-page.tsx');
const { RunPage } = await import('./run-page.tsx');

const bottle = (id: string, label: string): BottleAnswer => ({
  id,
  card: parseLabel(label, '2026-11-01', 20).card!,
  usedG: 0,
  uses: [],
  archived: false,
  version: 1,
  lastEventId: null,
  assays: [],
  tests: [],
});
const peroxide = bottle('bottle_per', 'hydrogen peroxide 3% 250 mL');
const purple = bottle('bottle_mn', 'potassium permanganate 0.02 mol/L 500 mL');
const bench = { version: 0, bench: BenchDefaults };
const assay: AssayAnswer = {
  id: 'assay_a1',
  createdAt: '2026-11-01T10:00:00Z',
  plan: {
    id: 'assay_a1',
    bottle: { id: peroxide.id, card: peroxide.card, usedG: 0 },
    methodId: 'permanganate',
    turned: false,
    known: [{ id: purple.id, card: purple.card, usedG: 0 }],
    byMass: true,
    sampleG: 1.2,
    dilution: null,
    indicator: null,
    tolerancePct: 1,
    bench: BenchDefaults,
    day: '2026-11-01',
  },
  entries: [],
};

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  localStorage.clear();
});

describe('the assay station', () => {
  it('says what is overdue first, and what to do where there is nothing', async () => {
    serverOf({
      'GET /bottles': [purple, peroxide],
      'GET /assays': [],
      'GET /batches': [],
      'GET /clock': { now: '', items: [], overdue: [{ bottleId: 'bottle_per', name: 'x', days: 9 }] },
    });
    drawAt('/assay', '/assay', <AssayHome />);
    const [first] = await screen.findAllByText(/overdue/);
    expect(first!.closest('tr')?.textContent).toContain('Hydrogen peroxide');
    cleanup();
    serverOf({
      'GET /bottles': [],
      'GET /assays': [],
      'GET /batches': [],
      'GET /clock': { now: '', items: [], overdue: [] },
    });
    drawAt('/assay', '/assay', <AssayHome />);
    expect(await screen.findByText(/Nothing on the shelf yet/)).toBeDefined();
  });

  it('ranks the ways, says what is wanting, and begins the one that is chosen', async () => {
    const { sent } = serverOf({
      'GET /bottles': [purple, peroxide],
      'GET /bench': bench,
      'POST /assays': (body: { plan: AssayAnswer['plan'] }) => ({ ...assay, id: body.plan.id, plan: body.plan }),
    });
    drawAt('/assay/of/bottle_per', '/assay/of/:bottleId', <ChoosePage />);
    fireEvent.click(await screen.findByRole('button', { name: /iodine and thiosulfate/ }));
    expect(await screen.findByText(/It wants sodium thiosulfate of known strength/)).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: /permanganate/ }));
    fireEvent.click(await screen.findByRole('button', { name: 'Begin' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ plan: { methodId: 'permanganate', byMass: true } });
  });

  it('refuses a tolerance that is none beside its field', async () => {
    serverOf({ 'GET /bottles': [purple, peroxide], 'GET /bench': bench });
    drawAt('/assay/of/bottle_per', '/assay/of/:bottleId', <ChoosePage />);
    const field = await screen.findByLabelText('How sure do you want to be?');
    fireEvent.change(field, { target: { value: '-3' } });
    expect(await screen.findByText(/At least 0.01/)).toBeDefined();
  });

  it('takes readings one by one, and says at the field what cannot be', async () => {
    const { sent } = serverOf({
      'GET /assays/assay_a1': assay,
      'GET /batches': [],
      'POST /assays/assay_a1/events': 'away',
    });
    drawAt('/assay/run/assay_a1', '/assay/run/:assayId', <RunPage />);
    const sample = await screen.findByLabelText('The sample weighs');
    fireEvent.change(sample, { target: { value: 'a lot' } });
    fireEvent.submit(sample);
    expect(await screen.findByRole('alert')).toBeDefined();
    fireEvent.change(sample, { target: { value: '-1' } });
    fireEvent.submit(sample);
    expect(await screen.findByText(/more than 0 g/)).toBeDefined();
    fireEvent.change(sample, { target: { value: '1,21' } });
    fireEvent.submit(sample);
    const level = await screen.findByLabelText('The dropper bottle weighs');
    fireEvent.change(level, { target: { value: '148.36' } });
    fireEvent.submit(level);
    expect(await screen.findByText(/Run in to about/)).toBeDefined();
    await waitFor(() => expect(sent.length).toBeGreaterThan(0));
  });

  it('takes what the bench would stand in for: the temperature, the pressure, what was tipped in', async () => {
    const plan = { ...assay.plan, id: 'assay_a2', methodId: 'gas', known: [] };
    const { sent } = serverOf({
      'GET /assays/assay_a2': { ...assay, id: 'assay_a2', plan },
      'GET /batches': [],
      'POST /assays/assay_a2/events': 'away',
    });
    drawAt('/assay/run/assay_a2', '/assay/run/:assayId', <RunPage />);
    fireEvent.click(await screen.findByRole('button', { name: 'temperature (20 °C)' }));
    const field = await screen.findByLabelText('Temperature');
    fireEvent.change(field, { target: { value: '99' } });
    fireEvent.submit(field);
    expect(await screen.findByText(/lies between 0 and/)).toBeDefined();
    fireEvent.change(field, { target: { value: '17.5' } });
    fireEvent.submit(field);
    expect(await screen.findByRole('button', { name: 'temperature (17.5 °C)' })).toBeDefined();
    expect(await screen.findByLabelText('The sample weighs')).toBeDefined();
    await waitFor(() => expect(sent.length).toBeGreaterThan(0));
  });

  it('says that there is no such assay', async () => {
    serverOf({ 'GET /batches': [] });
    drawAt('/assay/run/assay_no', '/assay/run/:assayId', <RunPage />);
    expect(await screen.findByText(/There is no GET/)).toBeDefined();
  });
});
