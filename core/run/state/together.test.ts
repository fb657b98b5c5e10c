import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { parseLabel } from '#matter/label';
import type { EventBody } from '#run/log';
import { done, START } from '#testing/on-route';
import { eventsAt, planFor } from '#testing/shelf';
import { runState } from './index.ts';

const plan = planFor('60 g zinc sulfate');
const bottle = (label: string) => ({ card: parseLabel(label, '2026-01-01', 20).card!, usedG: 0 });

/** Something went in that no step asked for. */
function wentIn(label: string, grams: number): EventBody {
  return {
    kind: 'added',
    step: plan.route.steps[0]!.id,
    role: null,
    bottleId: 'bottle_other',
    reading: { is: 'exact', value: grams, unit: 'g' },
    reason: 'it had gone in already',
    stock: bottle(label),
  };
}

const stateOf = (...bodies: EventBody[]) => unwrap(runState(plan, eventsAt(START, ...bodies)));

describe('what must never be together', () => {
  it('is nothing in a run as planned', () => {
    const all = plan.route.steps.flatMap(({ id }) => done(id));
    expect(stateOf(...all).together).toEqual([]);
  });

  it('is said as soon as both are in, whichever went in first, with what to do', () => {
    const bleach = wentIn('bleach sodium hypochlorite 5 % 1 L', 100);
    const acid = wentIn('hydrochloric acid 28 % 1 L', 100);
    expect(stateOf(bleach).together).toEqual([]);
    for (const [first] of [stateOf(bleach, acid).together, stateOf(acid, bleach).together]) {
      expect(first!.says).toMatch(/in it together: .*chlorine/);
      expect(first!.moves[0]).toContain('Put nothing more in');
    }
  });

  it('is said of a planned step too, after what an accident left', () => {
    const at = plan.route.steps.findIndex(({ op }) => op.do === 'add' && op.role === 'acid');
    const before = plan.route.steps.slice(0, at).flatMap(({ id }) => done(id));
    const bleach = wentIn('bleach sodium hypochlorite 5 % 1 L', 100);
    const acid = done(plan.route.steps[at]!.id);
    expect(stateOf(bleach, ...before, ...acid).together[0]!.says).toMatch(/sodium hypochlorite/i);
  });

  it('is gone when the entry is struck out', () => {
    const events = eventsAt(
      START,
      wentIn('hydrochloric acid 28 % 1 L', 100),
      wentIn('bleach sodium hypochlorite 5 % 1 L', 100),
    );
    const struck: EventBody = { kind: 'corrected', of: events[1]!.id, body: null, reason: 'struck out' };
    const last = { ...events[1]!, id: 'ev_struck001', body: struck };
    expect(unwrap(runState(plan, events)).together).toHaveLength(1);
    expect(unwrap(runState(plan, [...events, last])).together).toEqual([]);
  });
});
