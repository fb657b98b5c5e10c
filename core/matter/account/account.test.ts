import { describe, expect, it } from 'vitest';
import { given } from '#base/figure';
import { uncertain } from '#base/units';
import { substanceById } from '#matter/substance';
import { productMass, yieldOf } from './index.ts';

const solid = substanceById('zinc-sulfate-heptahydrate')!;
const theory = given(
  { symbol: 'theory', name: 'theory', unit: 'g' },
  uncertain(79.06, 0.4, { id: 'label', name: 'label' }),
  'test',
);
const zinc = { name: 'Flashing', pct: 99 };
const counted = { theory, of: zinc.name, solid, limiting: zinc, constant: false, expected: null };

describe('yield', () => {
  it('is mass over theory, with the uncertainty of both', () => {
    const account = yieldOf({ ...counted, mass: productMass(60, 0.01, 'product'), constant: true });
    expect(account.yieldPct.value).toBeCloseTo(75.89, 2);
    expect(account.over).toBe('no');
    expect(account.explanations).toEqual([]);
  });

  it('over 100 % is explained with water, hydrate and strength, in numbers', () => {
    const account = yieldOf({ ...counted, mass: productMass(86.97, 0.01, 'product') });
    expect(account.over).toBe('clearly');
    const said = account.explanations.join(' ');
    // 7.91 g over: 9.1 % of what was weighed; 0.275 mol, so 1.6 more water each; zinc would have to be 108.9 %.
    expect(said).toContain('7.9 g more');
    expect(said).toContain('9.1 %');
    expect(said).toContain('8.6 H₂O');
    expect(said).toContain('109 %');
    expect(said).toContain('cannot be');
    expect(said).toContain('dry on');
  });

  it('over by less than its uncertainty says that first', () => {
    const account = yieldOf({ ...counted, mass: productMass(79.4, 0.01, 'product'), constant: true });
    expect(account.over).toBe('within-uncertainty');
    expect(account.explanations[0]).toContain('less than its uncertainty');
  });
});

describe('a mass over the theory', () => {
  // Of exactly 50 g: the sd of the yield is that of the mass, 0.1 g or 0.2 %.
  const fixed = given({ symbol: 'theory', name: 'theory', unit: 'g' }, 50, 'test');
  const over = (grams: number) => {
    const value = uncertain(grams, 0.1, { id: 'balance', name: 'balance' });
    return yieldOf({
      ...counted,
      theory: fixed,
      mass: given({ symbol: 'm', name: 'product', unit: 'g' }, value, 'test'),
    }).over;
  };

  it('is within its uncertainty up to two standard deviations, and clearly over beyond', () => {
    expect(over(50)).toBe('no');
    expect(over(50.15)).toBe('within-uncertainty');
    expect(over(50.19)).toBe('within-uncertainty');
    expect(over(50.21)).toBe('clearly');
  });
});

describe('a crop that could be and was not to be expected', () => {
  const band = (value: number) =>
    given({ symbol: 'm', name: 'm', unit: 'g' }, uncertain(value, 0.2, { id: `of ${value}`, name: 'it' }), 'test');
  const asked = (grams: number) =>
    yieldOf({ ...counted, mass: band(grams), expected: band(50) }).explanations.length > 0;

  it('is asked about from 15 % above what was expected', () => {
    expect(asked(57.4)).toBe(false);
    expect(asked(57.6)).toBe(true);
  });
});
