import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { moistureOf } from './index.ts';

const sulfate = (grams: number) => ({ name: 'potassium sulfate', formula: 'K2SO4', grams });
const salt = (grams: number) => ({ name: 'product', formula: 'NH3OHHSO4', grams });

describe('water of an intermediate, by what came of it', () => {
  it('by hand: 30 g of disulfonate, 17.4 g of sulfate are 0.0999 mol, 26.9 g dry, 3.1 g of water', () => {
    const found = moistureOf(30, 'HON(SO3K)2', [sulfate(17.4), salt(8)]);
    if (!found.ok) throw new Error(found.problem.message);
    expect(found.value.dry.value).toBeCloseTo(26.89, 1);
    expect(found.value.water.value).toBeCloseTo(3.11, 1);
    expect(found.value.by).toBe('potassium sulfate');
  });

  it('refuses more than can come of it, nothing, and no mass', () => {
    for (const [wet, came] of [
      [10, [sulfate(17)]],
      [0, [sulfate(1)]],
      [10, []],
    ] as const)
      expect(moistureOf(wet, 'HON(SO3K)2', came).ok).toBe(false);
  });

  it('never finds more than was weighed, and less the more came', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 500, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (wet, share) => {
          const most = (wet * 174.26) / 269.33;
          const [a, b] = [
            moistureOf(wet, 'HON(SO3K)2', [sulfate(share * most)]),
            moistureOf(wet, 'HON(SO3K)2', [sulfate(most)]),
          ];
          if (!a.ok || !b.ok) throw new Error('refused');
          expect(a.value.water.value).toBeGreaterThanOrEqual(b.value.water.value - 1e-9);
          expect(a.value.water.value).toBeLessThanOrEqual(wet + 1e-9);
        },
      ),
    );
  });
});
