import { describe, expect, it } from 'vitest';
import type { ClockAnswer, SoonAnswer } from '#contract/api';
import { dueByClock, dueByWeek, unseen } from './due-now.ts';

const now = Date.parse('2026-11-27T18:10:00.000Z');
const at = (min: number) => new Date(now + min * 60_000).toISOString();
const item = (over: Partial<ClockAnswer['items'][number]>): ClockAnswer['items'][number] => ({
  batchId: 'batch_one',
  number: 1,
  step: 'grow',
  kind: 'look',
  act: 'look',
  text: 'look at the dish, alum',
  at: at(-5),
  progress: null,
  ...over,
});
const soon = (id: string, min: number, minutes = 10): SoonAnswer['items'][number] => ({
  id,
  batchId: 'batch_one',
  step: id,
  text: id,
  at: at(min),
  minutes,
});

describe('what is due', () => {
  it('is what has run out, and limits passed; not what may be done at any time or lies ahead', () => {
    const due = dueByClock(
      { items: [item({}), item({ at: at(5) }), item({ at: null }), item({ kind: 'alarm', text: '99 °C', at: at(0) })] },
      now,
    );
    expect(due.map(({ text, alarm }) => [text, alarm])).toEqual([
      ['look at the dish, alum', false],
      ['99 °C', true],
    ]);
  });

  it('is of a visit its first step, with how many follow; each visit once, none before its time or long after', () => {
    const items = [soon('filter', -5), soon('wash', 5), soon('dry', 30), soon('label', 120)];
    expect(dueByWeek({ items }, now).map(({ text }) => text)).toEqual(['filter, and 2 more after it']);
    expect(dueByWeek({ items: [soon('filter', -180)] }, now)).toEqual([]);
    expect(dueByWeek({ items: [soon('filter', 1)] }, now)).toEqual([]);
  });

  it('is told until it is seen, and again once what it was put off to is past', () => {
    const due = dueByClock({ items: [item({})] }, now);
    const of = due[0]!.key;
    const notice = (until: string | null) => [{ of, at: at(-1), until, reason: '' }];
    expect(unseen(due, [], now)).toHaveLength(1);
    expect(unseen(due, notice(null), now)).toEqual([]);
    expect(unseen(due, notice(at(10)), now)).toEqual([]);
    expect(unseen(due, notice(at(-1)), now)).toHaveLength(1);
    // Two timers that end together at one step are two.
    expect(unseen(dueByClock({ items: [item({}), item({ text: 'another' })] }, now), notice(null), now)).toHaveLength(
      1,
    );
    // The next look at the same dish is another one.
    expect(unseen(dueByClock({ items: [item({ at: at(-1) })] }, now), notice(null), now)).toHaveLength(1);
  });
});
