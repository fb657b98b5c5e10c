import { describe, expect, it } from 'vitest';
import type { Reading } from '#base/reading';
import { netReading } from './net-reading.ts';

const read = (reading: Reading, over: { readonly tareG?: number; readonly state?: 'wet' | 'dry' } = {}) =>
  netReading({ kind: 'read', step: 'filter', quantity: 'left', reading, place: '', ...over });

describe('what a weighing says of the thing itself', () => {
  it('has the paper taken off both ends of a band', () => {
    const band: Reading = { is: 'band', low: 10, high: 14, unit: 'g' };
    expect(read(band, { tareG: 3.5 })).toEqual({ is: 'band', low: 6.5, high: 10.5, unit: 'g' });
  });

  it.each(['exact', 'over', 'under'] as const)('has the paper taken off a reading of the kind “%s”', (is) => {
    expect(read({ is, value: 10, unit: 'g' }, { tareG: 3.5 })).toEqual({ is, value: 6.5, unit: 'g' });
  });

  it('is never less than nothing, whatever the paper', () => {
    expect(read({ is: 'exact', value: 3, unit: 'g' }, { tareG: 3.5 })).toMatchObject({ value: 0 });
  });

  it('of a wet residue is a band from two fifths of it to all of it', () => {
    const wet = read({ is: 'exact', value: 10, unit: 'g' }, { state: 'wet' });
    expect(wet).toEqual({ is: 'band', low: 4, high: 10, unit: 'g' });
    const onPaper = read({ is: 'band', low: 10, high: 14, unit: 'g' }, { state: 'wet', tareG: 2 });
    expect(onPaper).toMatchObject({ is: 'band', high: 12 });
    expect(onPaper.is === 'band' ? onPaper.low : 0).toBeCloseTo(3.2, 12);
  });
});
