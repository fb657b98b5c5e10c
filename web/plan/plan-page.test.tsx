import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { BenchDefaults } from '#matter/gear';
import { planFor, testShelf } from '#testing/shelf';
import { drawAt, serverOf } from '../testing/page.tsx';

const { PlanPage } = await import('./plan-page.tsx');

const bottles = testShelf.map((each) => ({ ...each, uses: [], version: 1, lastEventId: null }));
const page = (answers: object = {}) =>
  serverOf({
    'GET /bench': { version: 0, bench: BenchDefaults },
    'GET /bottles': bottles,
    'GET /batches': [],
    'GET /lessons': [],
    ...answers,
  });
const shown = (path = '/plan') => drawAt(path, '/plan/:batchId?', <PlanPage />);
const make = async (text: string) => {
  const line = await screen.findByLabelText('Make');
  fireEvent.change(line, { target: { value: text } });
};

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('the plan', () => {
  it('offers examples, and takes one', async () => {
    page();
    shown();
    fireEvent.click(await screen.findByRole('button', { name: '60 g zinc sulfate' }));
    expect(await screen.findByText('From the shelf')).toBeDefined();
    expect(screen.getByText(/Zn \+ H₂SO₄/)).toBeDefined();
  });

  it('shows doses, vessel, gas by its formula, product with theory and yield', async () => {
    page();
    shown('/plan?make=60+g+zinc+sulfate');
    expect(await screen.findByText('What comes of it')).toBeDefined();
    const text = document.body.textContent ?? '';
    expect(text).toContain('Ridgeway');
    expect(text).toMatch(/H₂ 6\.\d L/);
    expect(text).toMatch(/theory\s*7\d/);
    expect(screen.getByText('heat, all at once')).toBeDefined();
  });

  it('draws carbon dioxide, not hydrogen, where that comes off', async () => {
    page();
    shown('/plan?make=sodium+acetate+from+250+mL+vinegar');
    expect(await screen.findByText(/CO₂ \d/)).toBeDefined();
    expect(document.body.textContent).not.toContain('H₂ ');
  });

  it.each([
    ['zinc sulfate', /How much/],
    ['-5 g zinc sulfate', /more than 0/],
    ['60 g phlogiston', /No substance/],
    ['1 L of 45 % hydrochloric acid', /end at 40 %/],
  ])('says of “%s” what is wrong with it', async (text, said) => {
    page();
    shown();
    await screen.findByLabelText('Make');
    await waitFor(async () => {
      await make(text);
      expect(screen.getByText(said)).toBeDefined();
    });
    expect(screen.queryByRole('button', { name: 'Take it to the bench' })).toBeNull();
  });

  it('names the bottle that is missing, and cannot be taken to the bench without it', async () => {
    page({ 'GET /bottles': bottles.filter(({ id }) => id !== 'bottle_zinc') });
    shown('/plan?make=60+g+zinc+sulfate');
    expect(await screen.findByText(/zinc/i, { selector: '.problem' })).toBeDefined();
  });

  it('is kept with its route and its bottles, and goes to the bench', async () => {
    const { sent } = page({
      'POST /batches': (body: { id: string; plan: object }) => ({
        ...body,
        number: 1,
        version: 1,
        createdAt: '2026-03-14T08:00:00Z',
        events: [],
      }),
    });
    const router = shown('/plan?make=60+g+zinc+sulfate');
    fireEvent.click(await screen.findByRole('button', { name: 'Take it to the bench' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    const { plan } = sent[0]!.body as { plan: ReturnType<typeof planFor> };
    expect(plan.route.id).toBe('zinc-sulfate');
    expect(plan.route.steps.length).toBeGreaterThan(8);
    expect(plan.stock[plan.bottles.zinc!]!.card.name).toContain('Ridgeway');
    await waitFor(() => expect(router.state.location.pathname).toMatch(/^\/bench\//));
  });

  it('opens one that was kept, with its own target', async () => {
    const plan = planFor('60 g zinc sulfate', { controls: { 'acid-excess': 12 } });
    page({
      'GET /batches/batch_kept01': {
        id: 'batch_kept01',
        number: 3,
        version: 2,
        createdAt: '2026-03-14T08:00:00Z',
        plan,
        events: [],
      },
    });
    shown('/plan/batch_kept01');
    expect(await screen.findByDisplayValue(/60 g of zinc sulfate/)).toBeDefined();
    expect(await screen.findByText('12 %')).toBeDefined();
  });

  it('says when the server would not keep it', async () => {
    page({ 'POST /batches': 422 });
    shown('/plan?make=60+g+zinc+sulfate');
    fireEvent.click(await screen.findByRole('button', { name: 'Keep as a plan' }));
    expect(await screen.findByText('The server would not.')).toBeDefined();
  });
});
