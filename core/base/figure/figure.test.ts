import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { uncertain } from '#base/units';
import { recompute } from '#testing/recompute';
import { datum, derive, given, isAbout, pack, sdOf, unpack, workingOf, workingText } from './index.ts';

const m = given(
  { symbol: 'm', name: 'mass', unit: 'g' },
  uncertain(72.4, 0.02, { id: 'balance', name: 'balance' }),
  'weighed',
);
const w = given(
  { symbol: 'w', name: 'strength', unit: '%' },
  uncertain(37, 0.6, { id: 'label', name: 'label' }),
  'label',
);
const M = datum({ symbol: 'M', name: 'molar mass', unit: 'g/mol' }, 98.072, { source: 'IUPAC 2021', grade: 'A' });
const n = derive(
  { symbol: 'n', name: 'amount', unit: 'mol' },
  'm × w ÷ (100 × M)',
  { m, w, M },
  (x) => (x.m * x.w) / (100 * x.M),
);

describe('figures', () => {
  it('carry value and uncertainty through a formula', () => {
    expect(n.value).toBeCloseTo(0.27314, 4);
    expect(sdOf(n) / n.value).toBeCloseTo(0.6 / 37, 4);
  });

  it('lay out their working, causes first, each once', () => {
    const twice = derive({ symbol: 'a', name: 'twice', unit: 'mol' }, 'n + m ÷ M', { n, m, M }, (x) => x.n + x.m / x.M);
    expect(workingOf(twice).map((line) => line.symbol)).toEqual(['m', 'w', 'M', 'n', 'a']);
    expect(workingText(n)).toContain('n = m × w ÷ (100 × M) = 72.4 × 37 ÷ (100 × 98.072) = 0.273');
    expect(workingText(n)).toContain('[IUPAC 2021, grade A]');
  });

  it('say “about” when anything below them is grade C', () => {
    const rough = datum({ symbol: 'f', name: 'loss', unit: '' }, 0.9, { source: 'estimate', grade: 'C' });
    const product = derive({ symbol: 'p', name: 'product', unit: 'g' }, 'm × f', { m, f: rough }, (x) => x.m * x.f);
    expect(isAbout(n)).toBe(false);
    expect(isAbout(product)).toBe(true);
  });

  it('come back whole from JSON, shared figures shared again', () => {
    const answer = { rows: [{ amount: n }, { amount: n, other: m }], text: 'x', none: null };
    const packed = JSON.parse(JSON.stringify(pack(answer)));
    const back = unpack(packed) as typeof answer;
    // What a formula does stays behind, as in any copy that crosses to another thread.
    expect(back).toEqual(structuredClone(answer));
    expect(back.rows[0]!.amount).toBe(back.rows[1]!.amount);
    expect(packed.figures).toHaveLength(4);
  });

  it('pack any plain value unchanged', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        fc.pre(!JSON.stringify(value).includes('figure'));
        expect(unpack(JSON.parse(JSON.stringify(pack(value))))).toEqual(JSON.parse(JSON.stringify(value)));
      }),
    );
  });
});

describe('a formula as shown', () => {
  it('gives its own result', () => expect(recompute(n)).toBeCloseTo(n.value, 12));
});
