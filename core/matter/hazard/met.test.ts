import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { given } from '#base/figure';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import { type Contents, emptyContents, phaseOf, withAmount } from '#matter/vessel';
import { metIn } from './index.ts';

const shut = { roomM3: 20, kind: 'closed' } as const;
const place = { air: shut, tempC: 20, pressureHPa: 1013.25 };

function mixture(grams: Partial<Record<SubstanceId, number>>, waterG = 200): Contents {
  const water = given({ symbol: 'm', name: 'water', unit: 'g' }, waterG, 'test');
  return (Object.entries(grams) as [SubstanceId, number][]).reduce(
    (contents, [id, g]) => {
      const n = given({ symbol: 'n', name: id, unit: 'mol' }, g / molarMass(substanceOf(id).formula), 'test');
      return withAmount(contents, phaseOf(substanceOf(id), waterG > 0), id, n);
    },
    { ...emptyContents, waterG: water } as Contents,
  );
}

describe('what met in a vessel', () => {
  it.each([
    // 0.100 mol of SO2 from 9.506 g of metabisulfite (two each); acid enough: 6.41 g, 2.406 L, 120 ppm of 20 m3.
    [{ 'hydrochloric-acid': 20, 'sodium-metabisulfite': 9.506 }, 'sulfur-dioxide', 6.41, 120.3],
    // 7.444 g of hypochlorite are 0.100 mol; 0.100 mol of acid make half as much chlorine: 3.545 g, 60 ppm.
    [{ 'hydrochloric-acid': 3.646, 'sodium-hypochlorite': 7.444 }, 'chlorine', 3.545, 60.1],
    // 1.580 g of permanganate are 0.0100 mol: 0.0250 mol of chlorine, 1.77 g, 30 ppm.
    [{ 'hydrochloric-acid': 30, 'potassium-permanganate': 1.58 }, 'chlorine', 1.773, 30.1],
    // 6.900 g of nitrite are 0.100 mol of brown gas, 4.60 g, 120 ppm.
    [{ 'sulfuric-acid': 20, 'sodium-nitrite': 6.9 }, 'nitrogen-dioxide', 4.6, 120.3],
    // 15.81 g of thiosulfate are 0.100 mol: 6.41 g.
    [{ 'hydrochloric-acid': 20, 'sodium-thiosulfate': 15.81 }, 'sulfur-dioxide', 6.41, 120.3],
    // 5.349 g of sal ammoniac with 2 g of lye, 0.0500 mol: 0.85 g of ammonia, 60 ppm.
    [{ 'ammonium-chloride': 5.349, 'sodium-hydroxide': 2 }, 'ammonia-gas', 0.8516, 60.1],
  ] as const)('%o gives off %s', (grams, id, g, ppm) => {
    const found = metIn(mixture(grams), place).find(({ gas }) => gas?.id === id);
    expect(found?.gas?.grams).toBeCloseTo(g, 1);
    expect(found?.gas?.ppm).toBeCloseTo(ppm, 0);
    expect(found?.leave).toBe(true);
    expect(found?.gas?.minutes).toBeGreaterThan(0);
    expect(found?.says).toMatch(/are in it together: up to [\d.]+ g of .*ppm of this room, beyond its limit in/);
  });

  it('counts hydrogen of metal and acid, and of aluminium in lye', () => {
    const of = (grams: Partial<Record<SubstanceId, number>>) =>
      metIn(mixture(grams), place).find(({ gas }) => gas?.id === 'hydrogen');
    // 2.698 g of aluminium, 0.100 mol: 0.150 mol of hydrogen, 3.61 L.
    expect(of({ aluminium: 2.698, 'sodium-hydroxide': 40 })?.gas?.litres).toBeCloseTo(3.61, 1);
  });

  it('warms by what acid and lye give in neutralising', () => {
    // 0.500 mol each: 27.9 kJ in 18.23 + 20 + 200 g of about 4 J/(g K): 29.3 K.
    const [found] = metIn(mixture({ 'hydrochloric-acid': 18.23, 'sodium-hydroxide': 20 }), place);
    expect(found?.warmerK).toBeCloseTo(29.3, 0);
    expect(found?.says).toContain('K warmer');
  });

  it('is nothing for what may stand together', () => {
    expect(metIn(mixture({ 'zinc-sulfate': 20, 'sodium-chloride': 10 }), place)).toEqual([]);
    expect(metIn(mixture({ 'acetic-acid': 10, 'sodium-sulfate': 10 }), place)).toEqual([]);
  });

  it('is judged by how strong each was poured in, however dilute it is since', () => {
    const thin = mixture({ 'hydrochloric-acid': 10, 'sodium-metabisulfite': 2 }, 5000);
    const poured = new Map([
      ['hydrochloric-acid', 30],
      ['sodium-metabisulfite', 97],
    ]);
    expect(metIn(thin, place, poured)[0]?.severity).toBe('danger');
    expect(metIn(thin, place, poured)[0]?.gas?.grams).toBeGreaterThan(1);
  });

  it('never grows milder by more of anything, nor gives more gas than either of the two can', () => {
    const ids: readonly SubstanceId[] = [
      'hydrochloric-acid',
      'sodium-hypochlorite',
      'sodium-metabisulfite',
      'sodium-nitrite',
      'sodium-hydroxide',
      'ammonium-chloride',
      'zinc-sulfate',
    ];
    const grams = fc.double({ min: 0.1, max: 200, noNaN: true });
    const some = fc.dictionary(fc.constantFrom(...ids), grams, { minKeys: 2, maxKeys: 5 });
    fc.assert(
      fc.property(some, fc.constantFrom(...ids), grams, (all, more, g) => {
        const least = mixture(all as Partial<Record<SubstanceId, number>>);
        const poured = new Map(ids.map((id) => [id, 100]));
        const most = mixture({ ...all, [more]: (all[more] ?? 0) + g } as Partial<Record<SubstanceId, number>>);
        const [before, after] = [metIn(least, place, poured), metIn(most, place, poured)];
        expect(after.length).toBeGreaterThanOrEqual(before.length);
        expect(after.some(({ leave }) => leave)).toBe(
          before.some(({ leave }) => leave) || after.some(({ leave }) => leave),
        );
        if (before.some(({ leave }) => leave)) expect(after.some(({ leave }) => leave)).toBe(true);
        for (const { gas } of after) expect(gas === null || (Number.isFinite(gas.grams) && gas.grams >= 0)).toBe(true);
      }),
    );
  });
});
