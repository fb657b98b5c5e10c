import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { unwrap } from '#base/problem';
import { advise } from '#run/state';
import { own } from '#testing/asking';
import { done, on, read, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';
import { benchAt, computeHere, draw } from '../testing/bench.tsx';

const { DryPane } = await import('./technique/dry/dry-pane.tsx');
const { EvaporatePane } = await import('./technique/boil-down/evaporate-pane.tsx');
const { WashPane } = await import('./technique/filter/wash-pane.tsx');
const { RedissolveForm } = await import('./panes/redissolve-form.tsx');
const { UseFurtherForm } = await import('./panes/use-further-form.tsx');
const { FilterSays } = await import('./technique/filter/filter-says.tsx');

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const alum = on('alum-recrystallised', '60 g alum', { crude: 'potassium alum 97 % 1 kg' });
const caught = [
  alum.added('crude', 'crude', 80),
  ...done('crude'),
  alum.added('water', 'water', 100, 'mL'),
  ...done('water', 'heat', 'filter', 'cool', 'collect'),
];
const type = (label: string | RegExp, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

describe('the drying panel', () => {
  it('sets the methods side by side under the ceiling of the route', () => {
    draw(<DryPane {...benchAt(alum, 'dry', ...caught).props} />);
    expect(screen.getByText(/^Not above/).textContent).toContain('Not above 40 °C');
    const rows = screen.getAllByRole('row').map((row) => row.textContent ?? '');
    expect(rows).toHaveLength(5);
    expect(rows.find((row) => row.startsWith('oven'))).toContain('40 °C');
    expect(rows.find((row) => row.startsWith('solvent rinse'))).toContain('mind it');
  });

  it('goes by what the last weighing is over the dry mass', () => {
    draw(<DryPane {...benchAt(alum, 'dry', ...caught, read('dry', 'mass', 90, 'g')).props} />);
    expect(screen.getByText(/g over it at the last weighing/)).toBeDefined();
  });

  it('says when crystal water has gone', () => {
    const weighed = [60, 55.1, 55, 49.5].map((grams, i) => ({
      ...eventsAt(`2026-03-${16 + i}T08:00:00.000Z`, read('dry', 'mass', grams, 'g'))[0]!,
      id: `ev_weighed0${i}`,
    }));
    const { props } = benchAt(alum, 'dry', ...caught);
    const events = [...eventsAt(START, ...caught), ...weighed];
    const state = computeHere('run', { plan: alum.plan, events }).value!;
    draw(<DryPane {...props} run={{ ...props.run, events, state }} />);
    expect(screen.getByText(/over-dried: crystal water has gone/)).toBeDefined();
  });
});

describe('the evaporating panel', () => {
  const zinc = on('zinc-sulfate', '60 g zinc sulfate', { zinc: 'zinc 99 % 1 kg', acid: 'sulfuric acid 37 % 1 L' });
  const before = done('ready', 'zinc', 'water', 'acid', 'dissolve', 'filter');

  it('boils down to where its own step ends', () => {
    const { props } = benchAt(zinc, 'boil-down', ...before);
    draw(<EvaporatePane {...props} />);
    const goal = Math.round(props.run.state.sheet.figures['boil.volume']!.value);
    expect(screen.getByText(`${goal} mL`)).toBeDefined();
    expect(screen.getByText(/^about \d+ min$|^about \d(\.\d)? h$/)).toBeDefined();
    expect(screen.getByText(/beaker: \d+/)).toBeDefined();
  });

  it('and an open dish to where that ends', () => {
    const { props } = benchAt(zinc, 'grow', ...before, ...done('boil-down'));
    draw(<EvaporatePane {...props} />);
    expect(screen.getByText(`${Math.round(props.run.state.sheet.figures['dish.volume']!.value)} mL`)).toBeDefined();
    expect(screen.getByText(/left to evaporate, .* g a day/)).toBeDefined();
  });
});

describe('the washing panel', () => {
  it('logs what the washings read, and tells how many more from what was logged', () => {
    const { props, entered } = benchAt(alum, 'collect', ...caught.slice(0, -1));
    draw(<WashPane {...props} />);
    type('The washings read', '4000');
    press('Log it');
    expect(entered).toEqual([
      {
        kind: 'read',
        step: 'collect',
        quantity: 'conductivity',
        reading: { is: 'exact', value: 4000, unit: 'µS/cm' },
        of: 'washings',
        place: '',
      },
    ]);
    cleanup();
    const washings = [4000, 1000].map((value) => ({
      ...read('collect', 'conductivity', value, 'µS/cm'),
      of: 'washings',
    }));
    draw(<WashPane {...benchAt(alum, 'collect', ...caught.slice(0, -1), ...(washings as typeof caught)).props} />);
    type('Clean at', '100');
    expect(screen.getByRole('status').textContent).toBe('About 2 more.');
  });

  it('reads a pH as well, each kind by itself', () => {
    const mixed = [
      { ...read('collect', 'conductivity', 4000, 'µS/cm'), of: 'washings' },
      { ...read('collect', 'pH', 4, ''), of: 'washings' },
      { ...read('collect', 'pH', 6.9, ''), of: 'washings' },
    ] as typeof caught;
    draw(<WashPane {...benchAt(alum, 'collect', ...caught.slice(0, -1), ...mixed).props} />);
    fireEvent.click(screen.getByText('pH'));
    expect(screen.getByRole('status').textContent).toBe('One more.');
  });
});

describe('redissolving', () => {
  it('waits until something has been caught, and is not offered for what does not dissolve', () => {
    draw(<RedissolveForm {...benchAt(alum, 'heat', ...caught.slice(0, 3)).props} why="" />);
    expect(screen.getByText(/Filter it off first/)).toBeDefined();
    cleanup();
    const carbonate = on('zinc-carbonate-from-salt', '20 g zinc carbonate', {
      salt: 'zinc chloride 1 mol/L 500 mL',
      soda: 'washing soda crystals 1 kg',
    });
    draw(<RedissolveForm {...benchAt(carbonate, 'collect').props} why="" />);
    expect(screen.getByText(/does not dissolve in water/)).toBeDefined();
  });

  it('puts in the step, its water, and what has to be done again; what was drying is let go', () => {
    const { props, entered, onClose } = benchAt(alum, 'dry', ...caught);
    draw(<RedissolveForm {...props} why="it caked" />);
    press('Redissolve it');
    expect(entered.map(({ kind }) => kind)).toEqual([
      'step-skipped',
      'step-inserted',
      'added',
      'step-inserted',
      'step-inserted',
      'step-inserted',
    ]);
    const [, first, water, ...again] = entered;
    expect(first).toMatchObject({ does: 'redissolve', why: 'it caked' });
    expect(water).toMatchObject({ role: null, bottleId: null, step: (first as { step: string }).step });
    expect(again).toMatchObject([
      { does: 'as-before', repeats: 'cool' },
      { does: 'as-before', repeats: 'collect' },
      { does: 'as-before', repeats: 'dry' },
    ]);
    expect(onClose).toHaveBeenCalled();
  });

  it('takes the water that is typed, and none that cannot be', () => {
    const { props, entered } = benchAt(alum, 'dry', ...caught);
    draw(<RedissolveForm {...props} why="" />);
    type('Water poured on', '-5');
    expect(within(screen.getByRole('alert')).getByText(/At least 1 g/)).toBeDefined();
    type('Water poured on', '77,5');
    press('Redissolve it');
    expect(entered.find(({ kind }) => kind === 'added')).toMatchObject({ reading: { value: 77.5, unit: 'g' } });
  });
});

describe('using a part further', () => {
  it('puts an intermediate bottle on the shelf, as strong as is expected, and books the share', async () => {
    const { props, entered, onClose } = benchAt(alum, 'dry', ...caught);
    const expected = props.run.state.sheet.product!.value;
    draw(<UseFurtherForm {...props} why="for the kit" />);
    press('To the shelf, intermediate');
    expect(screen.getByRole('alert').textContent).toContain('Weigh all of it');
    type('All of it, wet', '90');
    type('Used further', '45');
    press('To the shelf, intermediate');
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    const poured = entered[0];
    if (poured?.kind !== 'poured-off') throw new Error('Nothing was poured off.');
    const { card } = poured;
    expect(card).toMatchObject({ group: 'intermediate', size: { value: 45, unit: 'g' }, fromBatch: 'batch_test01' });
    expect(card?.strength?.value).toBeCloseTo((100 * expected) / 90, 0);
    expect(entered).toMatchObject([{ kind: 'poured-off', share: 0.5, step: 'dry', why: 'for the kit' }]);
  });

  it('all of it ends the run: what it would still have done is left out', async () => {
    const { props, entered, onClose } = benchAt(alum, 'dry', ...caught);
    draw(<UseFurtherForm {...props} why="" />);
    type('All of it, wet', '90');
    press('To the shelf, intermediate');
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    expect(entered.map(({ kind }) => kind)).toEqual(['bottled', 'step-skipped', 'step-skipped']);
  });

  it('says why it cannot be, and enters nothing then', () => {
    const { props, entered } = benchAt(alum, 'dry', ...caught);
    draw(<UseFurtherForm {...props} why="" />);
    type('All of it, wet', '90');
    type('Used further', '91');
    press('To the shelf, intermediate');
    expect(screen.getByRole('alert').textContent).toContain('at most all of it');
    expect(entered).toEqual([]);
    cleanup();
    draw(<UseFurtherForm {...benchAt(alum, 'dry', ...caught, read('dry', 'mass', 58, 'g')).props} why="" />);
    expect(screen.getByText(/It has been weighed dry/)).toBeDefined();
  });
});

describe('what is said at a filter', () => {
  it('names every medium with its verdict in words, and the rinse with its price', () => {
    const advice = unwrap(advise(alum.plan, eventsAt(START, ...caught.slice(0, 5)), 'filter', START));
    draw(<FilterSays says={own(advice, 'filter')} />);
    const text = document.body.textContent ?? '';
    for (const word of ['coffee filter or paper good', 'polypropylene cloth with care', 'steel sieve with care'])
      expect(text).toContain(word);
    expect(text).toMatch(/A rinse of 5 mL brings .* g back/);
  });
});
