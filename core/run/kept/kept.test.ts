import { describe, expect, it } from 'vitest';
import { BenchDefaults } from '#matter/gear';
import { parseLabel } from '#matter/label';
import { entryKinds, type RunEvent } from '#run/log';
import { routeProblems } from '#run/route';
import { bottleBodyFrom, eventBodyFrom, eventFrom, planFrom, routes1 } from './index.ts';

const card = { ...parseLabel('battery acid 37% 1 L', '2026-01-01', 20).card!, group: 'half-made' };
const routeThen = (id: string) => routes1.find((each) => each.id === id);

describe('an entry of version 1', () => {
  it.each([
    ['charged', 'added'],
    ['withdrawn', 'portion-taken'],
    ['looked', 'checked'],
    ['noted', 'noted'],
    ['finished', 'finished'],
  ])('%s is read as %s, with all that it held', (then, now) => {
    const body = eventBodyFrom({ kind: then, step: 'zinc', text: 'x', returned: true }, 1);
    expect(body).toEqual({ kind: now, step: 'zinc', text: 'x', returned: true });
    expect(Object.keys(entryKinds)).toContain(body.kind);
  });

  it('that was seen says now whether it was enough', () => {
    const read = (text: string) =>
      eventBodyFrom({ kind: 'read', step: 's', quantity: 'sight', reading: { is: 'word', text }, place: '' }, 1);
    expect(read('still blue with ferricyanide')).toMatchObject({ reading: { is: 'sight', enough: false } });
    expect(read('no longer fizzes')).toMatchObject({ reading: { is: 'sight', enough: true } });
    expect(read('grey')).toMatchObject({ reading: { is: 'word', text: 'grey' } });
  });

  it('of the washings says what it was read of', () => {
    const washings = { kind: 'read', step: 's', quantity: 'pH', reading: { is: 'exact', value: 6, unit: '' } };
    expect(eventBodyFrom({ ...washings, place: 'washings' }, 1)).toMatchObject({ of: 'washings', place: '' });
    expect(eventBodyFrom({ ...washings, place: 'head' }, 1)).toMatchObject({ place: 'head' });
    expect('of' in eventBodyFrom({ ...washings, place: 'head' }, 1)).toBe(false);
  });

  it('that corrects another brings its new body up too, or strikes it out', () => {
    const corrected = { kind: 'corrected', of: 'ev_abcdef12', reason: 'misread' };
    expect(eventBodyFrom({ ...corrected, body: { kind: 'charged', step: 'zinc' } }, 1)).toEqual({
      ...corrected,
      body: { kind: 'added', step: 'zinc' },
    });
    expect(eventBodyFrom({ ...corrected, body: null }, 1)).toEqual({ ...corrected, body: null });
  });

  it('carries its bottle, whose group has another name today', () => {
    const body = eventBodyFrom({ kind: 'charged', step: 's', stock: { card, usedG: 12 } }, 1);
    expect(body).toMatchObject({ stock: { card: { group: 'intermediate', name: card.name }, usedG: 12 } });
  });

  it('that waited on a device is sent as one of today', () => {
    const event = {
      id: 'ev_waited01',
      happened: { at: '2026-03-14T08:00:00Z', giveOrTakeMin: 0 },
      writtenAt: '2026-03-14T08:00:00Z',
      body: { kind: 'looked', step: 'grow' } as unknown,
    } as RunEvent;
    expect(eventFrom(event, 1).body).toEqual({ kind: 'checked', step: 'grow' });
    expect(eventFrom(event, 2)).toBe(event);
  });

  it('of today is left as it is', () => {
    const body = { kind: 'read', step: 's', place: 'washings', reading: { is: 'word', text: 'still blue' } };
    expect(eventBodyFrom(body, 2)).toBe(body);
  });
});

describe('a bottle of version 1', () => {
  it.each(['put', 'corrected'])('%s with a card is read with the group of today', (kind) =>
    expect(bottleBodyFrom({ kind, card }, 1)).toMatchObject({ kind, card: { group: 'intermediate' } }),
  );

  it('used, archived or undone is left as it is', () => {
    const used = { kind: 'used', grams: 5, forBatch: null, why: '' };
    expect(bottleBodyFrom(used, 1)).toEqual(used);
    expect(bottleBodyFrom({ kind: 'put', card }, 2)).toEqual({ kind: 'put', card });
  });
});

describe('a plan of version 1', () => {
  const then = {
    routeId: 'zinc-sulfate',
    target: {
      substanceId: 'zinc-sulfate-heptahydrate',
      amount: { value: 60, unit: 'g' },
      strength: null,
      fromRole: null,
    },
    bottles: { zinc: null },
    stock: { bottle_acid: { card, usedG: 3 } },
    controls: {},
    bench: BenchDefaults,
    day: '2026-01-01',
  };

  it('takes its route as it was then, and the tables of then', () => {
    const plan = planFrom(then, 1, routeThen);
    expect(plan.route.id).toBe('zinc-sulfate');
    expect(plan.route.steps.length).toBeGreaterThan(8);
    expect(plan.tables).toBe(1);
    expect('routeId' in plan).toBe(false);
    expect(plan.stock.bottle_acid!.card.group).toBe('intermediate');
  });

  it('of a route that never was opens all the same, with no steps', () => {
    const plan = planFrom({ ...then, routeId: 'philosophers-stone' }, 1, routeThen);
    expect(plan.route).toMatchObject({ id: 'philosophers-stone', steps: [] });
  });

  it('of today is left as it is', () => {
    const plan = { ...then, tables: 2 };
    expect(planFrom(plan, 2, routeThen)).toBe(plan);
  });
});

describe('the routes of version 1', () => {
  it('are twenty, each sound by the checks of today', () => {
    expect(routes1).toHaveLength(20);
    for (const route of routes1) expect(routeProblems(route), route.id).toEqual([]);
  });
});
