import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { keyOf } from '#matter/substance';
import { fertilisersBy, npkIn } from './fertiliser.ts';
import { productNamed, productsIn } from './find.ts';
import { allProducts, holds } from './product.ts';

describe('the products', () => {
  it('have shares that can be, the typical between the lowest and the highest', () => {
    for (const { name, parts } of allProducts) {
      expect(parts.length, name).toBeGreaterThan(0);
      for (const { low, high, typical } of parts) {
        expect(low, name).toBeGreaterThanOrEqual(0);
        expect(high, name).toBeGreaterThanOrEqual(low);
        if (typical === null) continue;
        expect(typical, name).toBeGreaterThanOrEqual(low - 1e-9);
        expect(typical, name).toBeLessThanOrEqual(high + 1e-9);
      }
    }
  });

  it('are each found by their own name, alone', () => {
    for (const product of allProducts) {
      expect(productNamed(product.name)).toBe(product);
      const [found] = productsIn(keyOf(product.name)).filter(({ key }) => key === keyOf(product.name));
      expect(found?.value, product.name).toEqual([product]);
    }
  });

  it('say how one tells them apart, where a name stands for several', () => {
    const several = allProducts
      .flatMap(({ also }) => also)
      .filter((name) => {
        const [found] = productsIn(keyOf(name));
        return (found?.value.length ?? 0) > 1;
      });
    expect(new Set(several).size).toBeGreaterThan(60);
  });

  it('hold their parts with or without water', () => {
    const crystals = productNamed('washing soda crystals')!;
    expect(holds(crystals, productNamed('soda ash')!.parts[0]!.substance!)).toBe(true);
    expect(holds(crystals, productNamed('borax, laundry')!.parts[0]!.substance!)).toBe(false);
  });

  it('turn per cents of an element or of chlorine into the substance', () => {
    // 90 % of available chlorine in (ClCNO)3, 91.5 % when pure.
    const trichlor = productNamed('pool chlorine tablets, trichlor')!.parts[0]!;
    expect(trichlor.typical).toBeCloseTo(98.3, 0);
  });
});

describe('the three numbers of a fertiliser', () => {
  it.each([
    ['NPK 10-10-10 5 kg', [10, 10, 10]],
    ['15.5-0-0', [15.5, 0, 0]],
    ['13,5-0-46 1 kg', [13.5, 0, 46]],
  ])('%s', (typed, [n, p, k]) => expect(npkIn(typed)).toMatchObject({ n, p, k }));

  it.each(['2026-03-14', '0-0-0', '60-60-60', 'zinc 99 %', '1-2'])('%s are none', (typed) =>
    expect(npkIn(typed)).toBeUndefined(),
  );

  it('never stand for more than the pure salt holds', () => {
    const number = fc.integer({ min: 0, max: 60 });
    fc.assert(
      fc.property(number, number, number, (n, p, k) => {
        for (const { pct } of fertilisersBy({ n, p, k })) {
          expect(pct).toBeLessThanOrEqual(100);
          expect(pct).toBeGreaterThan(85);
        }
      }),
    );
  });
});
