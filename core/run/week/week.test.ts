import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { times } from '#testing/property';
import { free, light, placedAt, task, week } from '#testing/week';
import { placeWeek, type Task, type WeekInput } from './index.ts';

const DAY = 1440;
const message = (tasks: readonly Task[], over: Partial<WeekInput> = {}) => {
  const found = placeWeek({ tasks, free, light, ...over });
  return found.ok ? '' : found.problem.message;
};

describe('a week', () => {
  it('lets crystals have their night while another batch is in hand', () => {
    const found = week([
      task('a1'),
      task('a2', { after: ['a1'], waitMin: [480, 720] }),
      task('a3', { after: ['a2'] }),
      task('b1', { handsOnMin: 60 }),
    ]);
    // The short one first, of two that are over at the same time; the crystals stand over night, and are filtered the next evening.
    expect(placedAt(found, 'b1').from).toBe(1080);
    expect(placedAt(found, 'a2').from).toBe(1170);
    expect(placedAt(found, 'a3')).toMatchObject({ from: DAY + 1080, because: 'the hours you are there' });
  });

  it('keeps what may not be left in one stretch, and what wants light in the light', () => {
    const found = week([
      task('a1', { handsOnMin: 30, waitMin: [60, 180], wait: 'stay' }),
      task('a2', { handsOnMin: 45, daylight: true, after: ['a1'] }),
    ]);
    expect(placedAt(found, 'a1').from).toBe(1080);
    expect(placedAt(found, 'a2').from).toBe(5 * DAY + 540);
    expect(placedAt(found, 'a2').because).toBe('daylight');
  });

  it('has one hotplate', () => {
    const plate = { gear: ['hotplate'], waitMin: [30, 60] as [number, number] };
    const found = week([task('a1', plate), task('b1', plate)]);
    const [first, second] = [placedAt(found, 'a1').from, placedAt(found, 'b1').from].sort((a, b) => a - b);
    expect(second! - first!).toBeGreaterThanOrEqual(90);
  });

  it('does not move what has begun, and says what is late and what has no room', () => {
    const found = week([
      task('a1', { startedMin: 1200, handsOnMin: 60 }),
      task('b1', { byMin: 1100 }),
      ...Array.from({ length: 3 }, (_, i) => task(`c${i}`, { handsOnMin: 700 })),
    ]);
    expect(placedAt(found, 'a1').from).toBe(1200);
    expect(found.late).toEqual([{ id: 'b1', byMin: 10, past: false, surely: true }]);
    expect(found.left).toEqual([]);
    expect(week(Array.from({ length: 6 }, (_, i) => task(`c${i}`, { handsOnMin: 700 }))).left).toHaveLength(2);
  });

  it('says plainly what cannot be, and what would help', () => {
    expect(message([task('a1')], { free: [] })).toMatch(/no free hour at all/);
    // A step too long for any stretch takes its followers with it, and nothing else.
    const found = week([task('a1', { handsOnMin: 800 }), task('a2', { after: ['a1'] }), task('b1')]);
    expect(found.placed.map(({ id }) => id)).toEqual(['b1']);
    expect(found.left[0]!.why).toMatch(/13\.3 h in one stretch.*longest is 13 h: one of them longer by 20 min/);
    expect(found.left[1]!.why).toMatch(/comes after “a1”, which has no place/);
    expect(week([task('a1', { daylight: true })], { light: [] }).left[0]!.why).toMatch(
      /none of your hours is by daylight/,
    );
    expect(message([task('a1', { after: ['b1'] }), task('b1', { after: ['a1'] })])).toMatch(
      /wait for one another: “a1”, “b1”/,
    );
    expect(message([task('a1', { after: ['zz'] })])).toMatch(/not among the steps/);
    expect(message([task('a1'), task('a1')])).toMatch(/Two steps have the id/);
  });
});

/** Batches of a few steps each, one after the other. */
const batches = fc
  .array(
    fc.array(
      fc.record({
        handsOnMin: fc.integer({ min: 0, max: 120 }),
        least: fc.integer({ min: 0, max: 300 }),
        more: fc.integer({ min: 0, max: 600 }),
        stay: fc.boolean(),
        daylight: fc.boolean(),
        plate: fc.boolean(),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    { minLength: 1, maxLength: 4 },
  )
  .map((all) =>
    all.flatMap((steps, b) =>
      steps.map(({ handsOnMin, least, more, stay, daylight, plate }, i) =>
        task(`${b}-${i}`, {
          handsOnMin,
          waitMin: stay ? [Math.min(30, least), 60] : [least, least + more],
          wait: stay ? 'stay' : 'alone',
          daylight,
          gear: plate ? ['hotplate'] : [],
          after: i > 0 ? [`${b}-${i - 1}`] : [],
        }),
      ),
    ),
  );
const lasts = ([from, to]: readonly [number, number]) => to > from;
const meets = (a: readonly [number, number], b: readonly [number, number]) => a[0] < b[1] - 1e-6 && b[0] < a[1] - 1e-6;

describe('any week', () => {
  it('has nobody at two places, no gear twice, its order kept, and its person there', () => {
    fc.assert(
      fc.property(batches, (tasks) => {
        const found = week(tasks);
        const by = new Map(tasks.map((each) => [each.id, each]));
        const spans = found.placed.map((each) => {
          const of = by.get(each.id)!;
          const stays = of.wait === 'stay' ? each.over[1] : each.handsOffAt;
          return {
            of,
            from: each.from,
            present: [each.from, stays] as const,
            whole: [each.from, each.over[1]] as const,
          };
        });
        for (const [i, a] of spans.entries()) {
          for (const b of spans.slice(0, i)) {
            // What takes no hands and is left needs nobody, wherever it stands.
            if (lasts(a.present) && lasts(b.present)) expect(meets(a.present, b.present)).toBe(false);
            if (a.of.gear.length > 0 && b.of.gear.length > 0) expect(meets(a.whole, b.whole)).toBe(false);
          }
          for (const id of a.of.after)
            expect(a.from).toBeGreaterThanOrEqual(spans.find(({ of }) => of.id === id)!.whole[1] - 1e-6);
          if (a.present[1] > a.present[0])
            expect(free.some(([f, t]) => f <= a.present[0] + 1e-6 && t >= a.present[1] - 1e-6)).toBe(true);
        }
      }),
      { numRuns: times(60) },
    );
  });

  it('is at most a tenth later than the best of all orders, on small cases', () => {
    fc.assert(
      fc.property(
        batches.filter((tasks) => tasks.length <= 5),
        (tasks) => {
          const best = Math.min(...orders(tasks).map((order) => week(order).overAt));
          expect(week(tasks).overAt).toBeLessThanOrEqual(1.1 * best + 1e-6);
        },
      ),
      { numRuns: times(15) },
    );
  });

  it('stays where it was when it is placed again with what is done', () => {
    fc.assert(
      fc.property(batches, fc.nat(6), (tasks, done) => {
        const first = week(tasks);
        const started = new Map(
          [...first.placed]
            .sort((a, b) => a.from - b.from)
            .slice(0, done)
            .map(({ id, from }) => [id, from]),
        );
        const again = week(
          tasks.map((each) => (started.has(each.id) ? { ...each, startedMin: started.get(each.id)! } : each)),
        );
        for (const [id, from] of started) expect(placedAt(again, id).from).toBe(from);
      }),
      { numRuns: times(30) },
    );
  });
});

function orders<T>(all: readonly T[]): readonly (readonly T[])[] {
  if (all.length <= 1) return [all];
  return all.flatMap((each, i) => orders([...all.slice(0, i), ...all.slice(i + 1)]).map((rest) => [each, ...rest]));
}
