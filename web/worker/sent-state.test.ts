import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runState } from '#run/state';
import { done, START } from '#testing/on-route';
import { eventsAt, planFor } from '#testing/shelf';
import { grown, grownFrom } from './grown.ts';
import { Receiver, Sender } from './sent-state.ts';

const plan = planFor('60 g zinc sulfate');
const stateAfter = (n: number) => {
  const found = runState(plan, all.slice(0, n));
  if (!found.ok) throw new Error(found.problem.message);
  return found.value;
};
const all = eventsAt(START, ...done('ready', 'zinc', 'water'), { kind: 'noted', step: 'acid', text: 'fizzes' });

/** As it can go over a wire. */
const plain = (value: unknown) => JSON.parse(JSON.stringify(value)) as unknown;

describe('a list that grows', () => {
  it('comes to the same as the whole, whatever changed', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(4)), fc.array(fc.nat(4)), (before, after) => {
        const change = grownFrom(before, after);
        expect(grown(before, change)).toEqual(after);
        expect(change.head + change.middle.length + change.tail).toBe(after.length);
      }),
    );
  });

  it('sends what joined it alone', () => {
    expect(grownFrom([3, 2, 1], [4, 3, 2, 1])).toEqual({ head: 0, tail: 3, middle: [4] });
  });
});

describe('the state of a run on its way to the page', () => {
  it('is the same there, and its log goes over by what came since', () => {
    const sender = new Sender();
    const page = new Receiver();
    for (let n = 0; n <= all.length; n++) {
      const sent = sender.send('batch_a', page.has('batch_a'), stateAfter(n));
      expect(sent.log.middle.length).toBeLessThanOrEqual(1);
      expect(plain(page.receive('batch_a', sent))).toEqual(plain(stateAfter(n)));
    }
  });

  it('goes over whole to a page that has another version, and is not put on the wrong one', () => {
    const sender = new Sender();
    const page = new Receiver();
    page.receive('batch_a', sender.send('batch_a', 0, stateAfter(2)));
    // Two questions at once: both say what the page had when they were asked.
    const has = page.has('batch_a');
    const [first, second] = [sender.send('batch_a', has, stateAfter(3)), sender.send('batch_a', has, stateAfter(4))];
    expect(second.base).toBe(0);
    expect(plain(page.receive('batch_a', second))).toEqual(plain(stateAfter(4)));
    expect(page.receive('batch_a', first)).toBeUndefined();
    expect(new Receiver().receive('batch_b', first)).toBeUndefined();
  });
});
