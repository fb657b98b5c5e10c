import { describe, expect, it } from 'vitest';
import { task } from '#testing/week';
import { costOf } from './cost.ts';

const tasks = new Map(['a1', 'a2'].map((id) => [id, task(id)]));
/** Two stretches of half an hour at the bench, so many minutes between them. */
const there = (gap: number) => {
  const at = (id: string, from: number) => ({
    id,
    from,
    presentUntil: from + 30,
    over: [from + 30, from + 30] as const,
  });
  return costOf({ placed: [at('a1', 600), at('a2', 630 + gap)], left: [] } as never, tasks);
};

describe('time at the bench', () => {
  it('counts a quarter of an hour for going there, once for each sitting', () => {
    // Within half an hour nobody goes away: 30 + 30 min, the gap between, and 15 for going.
    expect(there(20)).toMatchObject({ sittings: 1, thereMin: 30 + 20 + 30 + 15 });
    expect(there(30)).toMatchObject({ sittings: 1, thereMin: 30 + 30 + 30 + 15 });
    expect(there(31)).toMatchObject({ sittings: 2, thereMin: 30 + 30 + 2 * 15 });
  });
});
