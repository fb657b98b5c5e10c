import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decrease, entryOf, increase, itemAt, lastOf, must, NothingThere } from './index.ts';

describe('a look-up', () => {
  it('hands out what is there, falsy or not', () => {
    expect([itemAt([0, 1], 0), lastOf([1, 0]), entryOf({ a: 0 }, 'a'), must('', 'name'), must(false, 'flag')]).toEqual([
      0,
      0,
      0,
      '',
      false,
    ]);
    expect(itemAt(Float64Array.of(1.5), 0)).toBe(1.5);
    expect(itemAt('₀₁₂', 2)).toBe('₂');
  });

  it('says what is missing', () => {
    expect(() => itemAt([7, 8], 2)).toThrow('There is no item 2: there are 2.');
    expect(() => lastOf([])).toThrow('There is no item -1: there are 0.');
    expect(() => entryOf({ a: 1 }, 'b')).toThrow('There is no entry “b”.');
    expect(() => must(null, 'bottle of acid')).toThrow('There is no bottle of acid.');
    expect(() => must(undefined, 'x')).toThrow(NothingThere);
  });

  it('changes a number in its place, and none that is not there', () => {
    const all = [1, 2, 3];
    increase(all, 1, 5);
    decrease(all, 2, 3);
    expect(all).toEqual([1, 7, 0]);
    expect(() => increase(all, 3, 1)).toThrow(NothingThere);
    expect(all).toHaveLength(3);
  });

  it('finds each item of any list, and nothing beside it', () => {
    fc.assert(
      fc.property(fc.array(fc.integer()), fc.integer({ min: -5, max: 20 }), (all, i) => {
        if (i >= 0 && i < all.length) expect(itemAt(all, i)).toBe(all[i]);
        else expect(() => itemAt(all, i)).toThrow(NothingThere);
      }),
    );
  });
});
