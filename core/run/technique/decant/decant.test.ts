import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { given } from '#base/figure';
import { unwrap } from '#base/problem';
import { substanceOf } from '#matter/substance';
import { add, at, emptyContents, massOverAll, phaseG } from '#matter/vessel';
import { times } from '#testing/property';
import { emptyStanding } from '../outcome.ts';
import { decant } from './index.ts';

const figure = (value: number, unit = 'g') => given({ symbol: 'x', name: 'x', unit }, value, 'test');
const product = (id: 'water' | 'calcium-carbonate' | 'sodium-chloride') => ({
  substance: substanceOf(id),
  w: figure(100, '%'),
  dissolved: id !== 'calcium-carbonate',
  name: id,
});

describe('decanting', () => {
  it('keeps the solid and its share of the liquor, and loses nothing', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.double({ min: 0.1, max: 500, noNaN: true }),
        (leavesPct, grams) => {
          const water = add(emptyContents, product('water'), figure(200)).contents;
          const pot = add(water, product('calcium-carbonate'), figure(grams)).contents;
          const standing = { ...emptyStanding, vessels: { pot } };
          const { vessels, figures } = unwrap(decant.act(standing, { leavesPct }, {} as never));
          expect(massOverAll(vessels)).toBeCloseTo(200 + grams, 9);
          expect(phaseG(at(vessels, 'pot').solid)).toBeCloseTo(grams, 9);
          expect(at(vessels, 'pot').waterG.value).toBeCloseTo(2 * leavesPct, 9);
          expect(figures['decanted.volume']!.value).toBeCloseTo((200 - 2 * leavesPct) / 0.9982, 0);
        },
      ),
      { numRuns: times(50) },
    );
  });

  it('takes nothing from a vessel that is empty', () => {
    const { vessels } = unwrap(decant.act(emptyStanding, { leavesPct: 10 }, {} as never));
    expect(massOverAll(vessels)).toBe(0);
  });
});
