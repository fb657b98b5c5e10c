import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import type { EventBody } from '#run/log';
import { joinRuns, runState, type Standing, splitRun } from '#run/state';
import { eventsAt, planFor } from '#testing/shelf';

const START = '2026-03-14T08:00:00.000Z';
const plan = planFor('20 g basic zinc carbonate');
const begun: EventBody[] = [
  { kind: 'finished', step: 'ready' },
  { kind: 'added', step: 'zinc', role: 'zinc', bottleId: 'bottle_zinc', reading: exactReading(12, 'g'), reason: '' },
  { kind: 'finished', step: 'zinc' },
  { kind: 'added', step: 'water', role: 'water', bottleId: null, reading: exactReading(60, 'mL'), reason: '' },
  { kind: 'finished', step: 'water' },
  {
    kind: 'added',
    step: 'acid',
    role: 'acid',
    bottleId: 'bottle_battery',
    reading: exactReading(60, 'g'),
    reason: '',
  },
  { kind: 'finished', step: 'acid' },
  { kind: 'finished', step: 'dissolve' },
];
const standing = (bodies: readonly EventBody[], batchId = 'batch_one001', number = 1): Standing => ({
  batchId,
  number,
  plan,
  events: eventsAt(START, ...bodies),
});
const fold = (bodies: readonly EventBody[]) => unwrap(runState(plan, eventsAt(START, ...bodies)));

describe('splitting a run', () => {
  it('sends a share with its part of theory and uncertainty, and asks there only for what is still to come', () => {
    const { here, there, plan: other } = unwrap(splitRun(standing(begun), 0.25, 'batch_two002', 'too much'));
    const kept = fold([...begun, ...here]);
    const part = unwrap(runState(other, eventsAt(START, ...there)));
    const whole = fold(begun);
    expect(kept.sheet.theory!.value).toBeCloseTo(0.75 * whole.sheet.theory!.value, 3);
    expect(part.sheet.theory!.value).toBeCloseTo(0.25 * whole.sheet.theory!.value, 1);
    expect(other.target.amount.value).toBeCloseTo(5, 9);
    const soda = (of: typeof whole) => of.sheet.additions.find(({ role }) => role === 'soda')!.dose.mass.value;
    expect(soda(part) + soda(kept)).toBeCloseTo(soda(whole), 1);
    expect(part.steps.filter(({ status }) => status === 'skipped').map(({ key }) => key)).toContain('zinc');
    expect(part.steps.find(({ status }) => status === 'ready')?.key).toBe('filter');
  });

  it.each([0, 1, -0.2, 1.5])('refuses a share of %d', (share) => {
    expect(splitRun(standing(begun), share, 'batch_two002', '')).toMatchObject({
      ok: false,
      problem: { field: 'share' },
    });
  });

  it('refuses before anything is in the vessel', () => {
    expect(splitRun(standing([]), 0.5, 'batch_two002', '').ok).toBe(false);
  });
});

describe('joining runs', () => {
  it('brings all of the other over, and ends it with its reason', () => {
    const { into, from } = unwrap(joinRuns(standing(begun), standing(begun, 'batch_two002', 2)));
    const joined = fold([...begun, ...into]);
    const ended = fold([...begun, ...from]);
    const whole = fold(begun);
    expect(joined.sheet.now!.massG).toBeCloseTo(2 * whole.sheet.now!.massG, 6);
    expect(joined.sheet.theory!.value).toBeCloseTo(2 * whole.sheet.theory!.value, 3);
    expect(ended).toMatchObject({ status: 'abandoned', abandonedFor: 'joined into batch 1' });
    expect(ended.sheet.now!.massG).toBeCloseTo(0, 6);
  });

  it('refuses itself, another route, and an empty one', () => {
    expect(joinRuns(standing(begun), standing(begun)).ok).toBe(false);
    const other: Standing = { ...standing(begun, 'batch_two002', 2), plan: planFor('60 g zinc sulfate') };
    expect(joinRuns(standing(begun), other).ok).toBe(false);
    expect(joinRuns(standing(begun), standing([], 'batch_two002', 2)).ok).toBe(false);
  });
});
