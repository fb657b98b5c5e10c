import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { azeotropeOf, massPct, mixtureById, mixtureIds, mixtureOf, moleFraction, SEA_LEVEL_HPA } from './index.ts';

describe('azeotropes', () => {
  it.each([
    // CRC Handbook, azeotropic data; Gmehling, Azeotropic Data.
    ['ethanol-water', 95.6, 78.2],
    ['isopropanol-water', 87.8, 80.3],
    ['nitric-acid-water', 68.0, 120.5],
    ['formic-acid-water', 77.5, 107.4],
    ['ethyl-acetate-ethanol', 69.2, 71.8],
    ['hydrogen-chloride-water', 20.22, 108.6],
    ['sulfuric-acid-water', 98.3, 338],
  ])('of %s stands at %d %% and %d °C', (id, pct, tempC) => {
    const mixture = mixtureById(id, SEA_LEVEL_HPA);
    if (id === 'sulfuric-acid-water') {
      // The table ends in it.
      expect(massPct(mixture, mixture.ends)).toBeCloseTo(pct, 0);
      expect(mixture.boilsAt(mixture.ends)).toBeCloseTo(tempC, 0);
      return;
    }
    const found = azeotropeOf(mixture)!;
    expect(Math.abs(found.pct - pct)).toBeLessThan(0.5);
    expect(Math.abs(found.tempC - tempC)).toBeLessThan(0.3);
  });

  it.each([
    // Foulk and Hollingsworth 1923: constant-boiling acid by the pressure it was distilled at, mmHg.
    [780, 20.173],
    [770, 20.197],
    [750, 20.245],
    [740, 20.269],
    [730, 20.293],
  ])('of hydrochloric acid at %d mmHg holds %d %%', (mmHg, pct) => {
    const found = azeotropeOf(mixtureById('hydrogen-chloride-water', mmHg * 1.33322))!;
    expect(Math.abs(found.pct - pct)).toBeLessThan(0.03);
    expect(found.kind).toBe('maximum');
  });

  it('there is none of acetone, methanol, acetic acid or ammonia with water', () => {
    for (const id of ['acetone-water', 'methanol-water', 'acetic-acid-water', 'ammonia-water'])
      expect(azeotropeOf(mixtureById(id, SEA_LEVEL_HPA)), id).toBeNull();
  });

  it('of ethanol leaves less water at lower pressure', () => {
    // CRC: 96.5 % at 95 mmHg lies far off; at 700 mmHg it is 0.1 % more than at 760.
    const [high, low] = [1013, 933].map((hPa) => azeotropeOf(mixtureById('ethanol-water', hPa))!.pct);
    expect(low!).toBeGreaterThan(high!);
    expect(low! - high!).toBeLessThan(0.4);
  });
});

describe('boiling points', () => {
  it.each([
    // Producers' tables of hydrochloric acid and ammonia solution; ICT for nitric and sulfuric acid.
    ['hydrogen-chloride-water', 10, 103],
    ['hydrogen-chloride-water', 20, 108.5],
    ['hydrogen-chloride-water', 30, 90],
    ['ammonia-water', 25, 37.7],
    ['nitric-acid-water', 50, 116.4],
    // Perry, mole fractions of published rows between those that are held: x 0.4720 and 0.8943.
    ['ethanol-water', massOf('ethanol-water', 0.472), 80.0],
    ['ethanol-water', massOf('ethanol-water', 0.8943), 78.15],
    ['methanol-water', massOf('methanol-water', 0.08), 89.3],
    ['methanol-water', massOf('methanol-water', 0.6), 71.2],
    ['acetone-water', massOf('acetone-water', 0.02), 86.5],
    ['acetone-water', massOf('acetone-water', 0.6), 59.1],
  ])('of %s at %d %% is %d °C', (id, pct, tempC) => {
    const mixture = mixtureById(id, SEA_LEVEL_HPA);
    expect(Math.abs(mixture.boilsAt(moleFraction(mixture, pct)) - tempC)).toBeLessThan(0.6);
  });

  it('falls with the pressure as water does: 1 °C for 36 hPa', () => {
    // Water boils at 96.7 °C at 900 hPa (IAPWS).
    expect(mixtureById('ethanol-water', 900).boilsAt(0)).toBeCloseTo(96.7, 1);
  });

  it('of an ideal pair lies between the two, the more volatile first however it is asked', () => {
    const mixture = unwrap(mixtureOf('ethyl-salicylate', 'ethanol', SEA_LEVEL_HPA));
    expect(mixture.first.id).toBe('ethanol');
    expect(mixture.boilsAt(1)).toBeCloseTo(78.3, 0);
    expect(mixture.boilsAt(0)).toBeCloseTo(233, 0);
    expect(mixture.boilsAt(0.5)).toBeGreaterThan(78.3);
    expect(mixture.grade).toBe('C');
  });

  it('is not invented where none is held', () => {
    expect(mixtureOf('sodium-hydroxide', 'water', 1013)).toMatchObject({ ok: false, problem: { code: 'no-data' } });
    expect(mixtureOf('isoamyl-alcohol', 'water', 1013).ok).toBe(false);
    expect(mixtureOf('ethanol', 'water', 5).ok).toBe(false);
  });
});

describe('vapour', () => {
  it('is never less than nothing nor more than all, and richer in what makes it boil cooler (Konovalov)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...mixtureIds),
        fc.double({ min: 0.001, max: 0.999, noNaN: true }),
        fc.integer({ min: 700, max: 1050 }),
        (id, share, hPa) => {
          const mixture = mixtureById(id, hPa);
          const x = share * mixture.ends;
          const y = mixture.vapour(x);
          expect(y).toBeGreaterThanOrEqual(0);
          expect(y).toBeLessThanOrEqual(1);
          const slope = mixture.boilsAt(Math.min(mixture.ends, x + 0.01)) - mixture.boilsAt(Math.max(0, x - 0.01));
          if (Math.abs(slope) > 0.4) expect(Math.sign(x - y)).toBe(Math.sign(slope));
          expect(mixture.dew(y)).toBeCloseTo(y > mixture.vapour(0) ? x : 0, 2);
        },
      ),
    );
  });
});

function massOf(id: string, x: number): number {
  return massPct(mixtureById(id, SEA_LEVEL_HPA), x);
}
