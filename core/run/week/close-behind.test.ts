import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { times } from '#testing/property';
import { free, light, placedAt, task, week } from '#testing/week';
import { fits, rehearse, type Task } from './index.ts';

const DAY = 1440;

describe('what must come close behind another', () => {
  it('lets that wait for hours that are long enough for both', () => {
    // The evening has four hours, and three and a half of them are taken: hot and not filtered it would stand until tomorrow.
    const found = week([
      task('a1', { startedMin: 1080, handsOnMin: 210 }),
      task('b1', { handsOnMin: 20 }),
      task('b2', { handsOnMin: 20, after: ['b1'], withinMin: 10 }),
    ]);
    expect(placedAt(found, 'b1')).toMatchObject({ from: DAY + 1080, because: 'what follows', by: 'b2' });
    expect(placedAt(found, 'b2').from).toBe(DAY + 1100);
    expect([found.broken, found.gapMin]).toEqual([[], 0]);
  });

  it('is placed before another batch can come between', () => {
    const chain = (batch: string): readonly Task[] => [
      task(`${batch}1`, { handsOnMin: 60 }),
      task(`${batch}2`, { handsOnMin: 10, after: [`${batch}1`], withinMin: 5 }),
      task(`${batch}3`, { handsOnMin: 10, after: [`${batch}2`], withinMin: 5 }),
    ];
    const found = week([...chain('a'), ...chain('b'), task('c1', { handsOnMin: 15 })]);
    for (const batch of ['a', 'b']) {
      const [first, second, third] = [1, 2, 3].map((i) => placedAt(found, `${batch}${i}`));
      expect(second?.from).toBeLessThanOrEqual((first?.over[1] ?? 0) + 5);
      expect(third?.from).toBeLessThanOrEqual((second?.over[1] ?? 0) + 5);
    }
  });

  it('waits for gear of what follows, not of itself alone', () => {
    const found = week([
      task('a1', { startedMin: 1080, handsOnMin: 10, waitMin: [100, 100], gear: ['filter'] }),
      task('b1', { handsOnMin: 20 }),
      task('b2', { handsOnMin: 20, after: ['b1'], withinMin: 10, gear: ['filter'] }),
    ]);
    // The filter is free at 1190: ten minutes before that at the soonest the hot liquid is ready.
    expect(placedAt(found, 'b2').from).toBe(1190);
    expect(placedAt(found, 'b1').from).toBe(1160);
  });

  it('is said where no hours hold both, and where it was put elsewhere by hand', () => {
    const long = [
      task('a1', { handsOnMin: 700 }),
      task('a2', { handsOnMin: 700, after: ['a1'], withinMin: 30 }),
    ] as const;
    const apart = week(long);
    expect(apart.placed).toHaveLength(2);
    expect(apart.broken).toEqual([
      { id: 'a2', what: 'too long after', by: 'a1', gear: null, min: Math.round(apart.gapMin) },
    ]);
    const byHand = week([task('a1'), task('a2', { after: ['a1'], withinMin: 30, pinnedMin: DAY + 1080 })]);
    // Over at 1110 in the first evening; the next begins 1410 min later, of which 30 were allowed.
    expect(byHand.broken).toEqual([{ id: 'a2', what: 'too long after', by: 'a1', gear: null, min: DAY - 60 }]);
  });

  it('is offered for free time only with what it follows, and the other way round', () => {
    const tasks = [
      task('a1', { handsOnMin: 20 }),
      task('a2', { handsOnMin: 20, after: ['a1'], withinMin: 10 }),
      task('b1', { handsOnMin: 5, waitMin: [600, 900] }),
      task('b2', { after: ['b1'], withinMin: 60 }),
    ];
    const ids = (min: number) => unwrap(fits({ tasks, free, light }, [0, min])).map(({ id }) => id);
    // What goes on by itself beyond the stretch may be begun: its next step is not due in it.
    expect(ids(30)).toEqual(['b1']);
    expect([...ids(60)].sort()).toEqual(['a1', 'a2', 'b1']);
  });

  it('is rehearsed as it is planned', () => {
    const tasks = [task('a1', { waitMin: [5, 60] }), task('a2', { after: ['a1'], withinMin: 10 })];
    const tried = unwrap(rehearse({ tasks, free, light }, { tries: 20, seed: 3 }));
    expect(tried.steps.map(({ id }) => id)).toEqual(['a1', 'a2']);
  });
});

const chains = fc
  .array(
    fc.array(
      fc.record({
        handsOnMin: fc.integer({ min: 1, max: 90 }),
        most: fc.integer({ min: 0, max: 500 }),
        withinMin: fc.option(fc.integer({ min: 0, max: 240 }), { nil: undefined }),
        plate: fc.boolean(),
      }),
      { minLength: 2, maxLength: 4 },
    ),
    { minLength: 1, maxLength: 4 },
  )
  .map((all) =>
    all.flatMap((steps, b) =>
      steps.map(({ handsOnMin, most, withinMin, plate }, i) =>
        task(`${b}-${i}`, {
          handsOnMin,
          waitMin: [0, most],
          gear: plate ? ['hotplate'] : [],
          ...(i > 0 ? { after: [`${b}-${i - 1}`] } : {}),
          ...(i > 0 && withinMin !== undefined ? { withinMin } : {}),
        }),
      ),
    ),
  );

it('comes in time, or is said to be late by what it is, in any week', () => {
  fc.assert(
    fc.property(chains, (tasks) => {
      const found = week(tasks);
      const said = new Map(found.broken.map(({ id, min }) => [id, min]));
      for (const { id, after, withinMin } of tasks) {
        const at = found.placed.find((each) => each.id === id);
        const before = found.placed.find((each) => each.id === after[0]);
        if (!at || !before || withinMin === undefined) continue;
        const over = at.from - before.over[1] - withinMin;
        if (over > 0.5) expect(said.get(id)).toBe(Math.round(over));
        else expect(said.has(id)).toBe(false);
      }
    }),
    { numRuns: times(30) },
  );
});
