import { describe, expect, it } from 'vitest';
import { given } from '#base/figure';
import { add, uncertain } from '#base/units';
import { toleranceSentence } from '#run/sheet';

const label = uncertain(50, 2, { id: 'label:a', name: 'acid: label' });
const jug = uncertain(50, 0.25, { id: 'mark', name: 'reading the mark' });
const figure = given({ symbol: 'c', name: 'c', unit: 'mol/L' }, add(label, jug), 'test');

describe('is it good enough', () => {
  // 95 % band: 2 √(2² + 0.25²) = 4.03 of 100; without the label 0.5.
  it('says so when the band is narrower than what is wanted', () =>
    expect(toleranceSentence(figure, 5)).toContain('Good enough: ± 4.0 %'));
  it('names what to measure, and how well: √(2² − 0.5²) = 1.9', () =>
    expect(toleranceSentence(figure, 2)).toContain('Measure acid: label so well that it adds at most ± 1.9 %'));
  it('goes on to the next source when one is not enough', () =>
    expect(toleranceSentence(figure, 0.3)).toContain('acid: label first, and reading the mark'));
});
