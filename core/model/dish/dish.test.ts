import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { given } from '#base/figure';
import { unwrap } from '#base/problem';
import { molarMass, substanceById } from '#matter/substance';
import { crystallise, solubilityOf, solubilityRange } from './index.ts';

const of = (id: string) => substanceById(id)!;
const s = (id: string, tempC: number) => unwrap(solubilityOf(of(id), tempC)).gPer100gWater;
const grams = (value: number) => given({ symbol: 'x', name: 'x', unit: 'g' }, value, 'test');
const cold = (value: number) => given({ symbol: 'T', name: 'T', unit: '°C' }, value, 'test');

describe('solubility', () => {
  // Between the rows: Seidell (1940) zinc sulfate 15 °C 50.4, 35 °C 66.9 (by interpolation of his curve 66 to 67); sodium acetate 10 °C 40.8.
  it.each([
    ['zinc-sulfate', 15, 50.4],
    ['sodium-acetate', 10, 40.8],
    ['potassium-nitrate', 35, 53.5],
    ['copper-sulfate', 15, 18.8],
  ])('of %s at %d °C is %d g', (id, tempC, published) =>
    expect(Math.abs(s(id, tempC) / published - 1)).toBeLessThan(0.03),
  );

  it('follows the stable phase across a transition', () => {
    expect(unwrap(solubilityOf(of('zinc-sulfate'), 30)).phase).toBe('ZnSO4.7H2O');
    expect(unwrap(solubilityOf(of('zinc-sulfate'), 45)).phase).toBe('ZnSO4.6H2O');
    expect(unwrap(solubilityOf(of('zinc-sulfate'), 95)).phase).toBe('ZnSO4.H2O');
    expect(unwrap(solubilityOf(of('sodium-acetate'), 70)).phase).toBe('CH3COONa');
  });

  it('never jumps by more than a few percent in half a degree', () => {
    for (const id of ['zinc-sulfate', 'sodium-acetate', 'copper-sulfate', 'sodium-carbonate']) {
      const [low, high] = solubilityRange(of(id))!;
      for (let t = low; t < high - 0.5; t += 0.5)
        expect(Math.abs(Math.log(s(id, t + 0.5) / s(id, t))), `${id} ${t}`).toBeLessThan(0.08);
    }
  });

  it('refuses what is not held and far outside', () => {
    expect(solubilityOf(of('zinc'), 20).ok).toBe(false);
    expect(solubilityOf(of('zinc-sulfate'), 140).ok).toBe(false);
  });
});

describe('crystals on cooling', () => {
  const zinc = [of('zinc-sulfate'), of('zinc-sulfate-heptahydrate')] as const;

  it('agree with a hand calculation that counts the hydrate’s water', () => {
    // 62 g ZnSO4 in 60 g water to 0 °C, s = 41.04: (62 − 24.62) ÷ (0.5614 − 0.4104 × 0.4386) = 97.98 g
    const { crystals } = unwrap(crystallise(...zinc, { dissolved: grams(62), water: grams(60) }, cold(0)));
    expect(Math.abs(crystals.value / 97.98 - 1)).toBeLessThan(0.005);
  });

  it('leave a saturated mother liquor, and no matter is made or lost', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 90, noNaN: true }),
        fc.double({ min: 40, max: 200, noNaN: true }),
        fc.integer({ min: 0, max: 35 }),
        (A, W, T) => {
          const { crystals } = unwrap(crystallise(...zinc, { dissolved: grams(A), water: grams(W) }, cold(T)));
          const r = molarMass('ZnSO4') / molarMass('ZnSO4.7H2O');
          const saltLeft = A - r * crystals.value;
          const waterLeft = W - (1 - r) * crystals.value;
          expect(saltLeft).toBeGreaterThanOrEqual(-1e-9);
          expect(waterLeft).toBeGreaterThanOrEqual(-1e-9);
          if (crystals.value > 0 && waterLeft > 1e-6 && saltLeft > 1e-6) {
            expect((100 * saltLeft) / waterLeft).toBeCloseTo(s('zinc-sulfate', T), 6);
          }
        },
      ),
    );
  });

  it('are none below saturation and more the colder it is', () => {
    const at = (T: number) =>
      unwrap(crystallise(...zinc, { dissolved: grams(50), water: grams(100) }, cold(T))).crystals.value;
    expect(at(35)).toBe(0);
    expect(at(2)).toBeGreaterThan(at(10));
  });
});
