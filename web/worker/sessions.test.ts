import { describe, expect, it } from 'vitest';
import { done, START } from '#testing/on-route';
import { eventsAt, planFor } from '#testing/shelf';
import { sessionAfter } from './sessions.ts';

const plan = planFor('60 g zinc sulfate');
const events = eventsAt(START, ...done('ready', 'zinc', 'water'));
const open = (batchId: string) => sessionAfter({ batchId, plan, keep: 0, events });

describe('a run that the worker keeps open', () => {
  it('grows by what came since, and is the same object while nothing did', () => {
    const first = open('batch_a');
    expect(sessionAfter({ batchId: 'batch_a', plan: null, keep: 3, events: [] })).toBe(first);
    const [more] = eventsAt(START, { kind: 'finished', step: 'acid' });
    const after = sessionAfter({ batchId: 'batch_a', plan: null, keep: 3, events: [more!] });
    expect(after.plan).toBe(plan);
    expect(after.events).toHaveLength(4);
    expect(after.events.slice(0, 3)).toEqual(events);
  });

  it('drops what no longer holds, and begins again with another plan', () => {
    open('batch_b');
    expect(sessionAfter({ batchId: 'batch_b', plan: null, keep: 1, events: [] }).events).toHaveLength(1);
    const other = planFor('30 g zinc sulfate');
    expect(sessionAfter({ batchId: 'batch_b', plan: other, keep: 0, events: [] })).toEqual({ plan: other, events: [] });
  });

  it('keeps runs apart, and lets go of the one longest unseen', () => {
    for (const id of ['1', '2', '3', '4', '5', '6', '7']) open(`batch_many${id}`);
    expect(() => sessionAfter({ batchId: 'batch_many1', plan: null, keep: 3, events: [] })).toThrow('never opened');
    expect(sessionAfter({ batchId: 'batch_many7', plan: null, keep: 3, events: [] }).events).toHaveLength(3);
  });
});
