import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shownBy, shownOf } from './shown.ts';

const BOOK = { value: 5, sd: 2 };

describe('what this bench has shown', () => {
  it('is the mean of its runs with a band that the next one lies in, worked by hand', () => {
    const { own, used } = shownOf('loss', [8, 9, 10, 9], BOOK)!;
    expect(own.value).toBe(9);
    // (0 + 1 + 1 + 0 + 2²) ÷ 4 = 1.5; × 1.25, rooted: 1.37.
    expect(own.sd).toBeCloseTo(1.37, 2);
    expect(own.runs).toBe(4);
    expect(used).toBe(true);
  });

  it('is not used by one run, nor where runs lie farther apart than the book', () => {
    expect(shownOf('loss', [9], BOOK)!.used).toBe(false);
    expect(shownOf('loss', [0, 10], BOOK)!.used).toBe(false);
    expect(shownOf('loss', [], BOOK)).toBeNull();
  });

  it('counts losses of its own route alone, and the pace of the plate by all', () => {
    const runs = [
      { routeId: 'a', lossPct: 4, boilGPerH: 200, cellPct: 60 },
      { routeId: 'b', lossPct: 20, boilGPerH: 220, cellPct: 99 },
      { routeId: 'a', lossPct: 6, boilGPerH: null, cellPct: 56 },
    ];
    const found = shownBy(runs, {
      route: { id: 'a', lossPct: 5, sdPct: 2 },
      boilGPerH: 150,
      cell: { routeId: 'a', value: 70, sd: 9 },
    });
    expect(found.find(({ what }) => what === 'loss')!.own).toMatchObject({ value: 5, runs: 2 });
    expect(found.find(({ what }) => what === 'boiling')!.own).toMatchObject({ value: 210, runs: 2 });
    // Of its own route alone: 58 ± √((8 + 81) ÷ 2 × 1.5) = 8.2.
    const cell = found.find(({ what }) => what === 'cell')!;
    expect(cell).toMatchObject({ unit: '%', used: true, own: { value: 58, runs: 2 } });
    expect(cell.own.sd).toBeCloseTo(8.17, 2);
  });

  it('has a band that shrinks with runs alike and holds the next of them nearly always', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 40 }), fc.double({ min: 1, max: 20, noNaN: true }), (n, value) => {
        const own = shownOf(
          'loss',
          Array.from({ length: n }, () => value),
          BOOK,
        )!;
        const more = shownOf(
          'loss',
          Array.from({ length: n + 10 }, () => value),
          BOOK,
        )!;
        expect(more.own.sd).toBeLessThanOrEqual(own.own.sd + 1e-12);
        expect(own.own.sd).toBeGreaterThan(0);
      }),
    );
  });
});
