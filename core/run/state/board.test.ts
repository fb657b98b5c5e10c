import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import type { EventBody } from '#run/log';
import { onBoard, runState } from '#run/state';
import { eventsAt, planFor } from '#testing/shelf';

const START = '2026-03-14T08:00:00.000Z';
const LATER = '2026-03-16T09:00:00.000Z';
const plan = planFor('60 g zinc sulfate');
const board = (now: string, ...bodies: EventBody[]) =>
  onBoard('b', 'zinc sulfate', { state: unwrap(runState(plan, eventsAt(START, ...bodies))), now });
const done = (...steps: string[]): EventBody[] => steps.map((step) => ({ kind: 'finished', step }));
const read = (step: string, quantity: 'volume' | 'mass', value: number): EventBody => ({
  kind: 'read',
  step,
  quantity,
  reading: exactReading(value, quantity === 'mass' ? 'g' : 'mL'),
  place: '',
});
const all = unwrap(runState(plan, [])).steps.map(({ key }) => key);
const upTo = (step: string) => done(...all.slice(0, all.indexOf(step)));

describe('a batch on the board', () => {
  it('stands there only while it runs', () => {
    expect(board(START)).toBeNull();
    expect(board(START, ...done(...all))).toBeNull();
    expect(board(START, { kind: 'started', step: 'ready' }, { kind: 'abandoned', reason: 'cracked' })).toBeNull();
  });

  it('says what is next, with no time where any will do, and nothing read where nothing was', () => {
    const item = board(START, ...done('ready'))!;
    expect(item).toMatchObject({ step: 'zinc', at: null, reads: '', liquidMl: 0, drawn: 'vessel' });
    expect(item.act).toMatch(/^Weigh .* zinc/);
    // The batch is named beside it, not in it.
    expect(item.act).not.toContain('zinc sulfate');
  });

  it('shows a dish with what was last read of it, and how long it has stood', () => {
    const item = board(LATER, ...upTo('grow'), { kind: 'started', step: 'grow' }, read('grow', 'volume', 82))!;
    expect(item).toMatchObject({ step: 'grow', drawn: 'dish', reads: '82.0 mL', far: 'day 3 of about 4', alone: true });
    expect(item.part).toBeGreaterThan(0.3);
    expect(Date.parse(item.until!)).toBeGreaterThan(Date.parse(START));
  });

  it('gives no share of a drying before two weighings agree, and never one beyond the whole', () => {
    const drying = [...upTo('dry'), { kind: 'started', step: 'dry' } as const];
    const wet = board(LATER, ...drying, read('dry', 'mass', 70), read('dry', 'mass', 60))!;
    expect(wet).toMatchObject({ drawn: 'heap', reads: '60.0 g', part: null });
    expect(wet.far).toMatch(/^14 % lost between two weighings$/);
    const late = board('2027-01-01T00:00:00.000Z', ...upTo('grow'), { kind: 'started', step: 'grow' })!;
    expect(late.part).toBe(1);
  });
});
