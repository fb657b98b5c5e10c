import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mutual, saltings } from '#matter/data';
import type { SubstanceId } from '#matter/substance';
import { basesFor, type LayersInput, layers, leftAfter, onTop, part, saltLayers, unionised } from './index.ts';

const water = (waterG: number) => ({ waterG, salt: null, saltG: 0 });
const brine = (grams: number) => ({ waterG: 0.736 * grams, salt: 'sodium-chloride' as const, saltG: 0.264 * grams });
const funnel = (more: Partial<LayersInput> = {}): LayersInput => ({
  liquid: 'ethyl-acetate',
  liquidG: 20,
  liquor: brine(50),
  solutes: [],
  pH: null,
  washes: [],
  ...more,
});
const answer = (input: LayersInput) => {
  const found = layers(input);
  if (!found.ok) throw new Error(found.problem.message);
  return found.value;
};
const whole = ({ organic, aqueous }: ReturnType<typeof part>, key: 'liquidG' | 'waterG' | 'saltG') =>
  (organic?.[key] ?? 0) + (aqueous?.[key] ?? 0);

describe('two liquids shaken', () => {
  it('20 g of ethyl acetate and 50 g of water: by hand, 15.7 g stay above', () => {
    // Per g of water 8/92 g of ester, per g of ester 3/97 g of water: (20 − 0.08696 × 50) ÷ (1 − 0.002690) = 15.69 g.
    const { organic, aqueous } = part('ethyl-acetate', 20, water(50));
    expect(organic!.liquidG).toBeCloseTo(15.694, 2);
    expect(organic!.waterG).toBeCloseTo((15.694 * 3) / 97, 2);
    expect(aqueous!.liquidG / (aqueous!.liquidG + aqueous!.waterG)).toBeCloseTo(0.08, 6);
  });

  it('brine keeps more of it above', () => {
    const { organic, about } = part('ethyl-acetate', 20, brine(50));
    expect(about).toBe(true);
    expect(organic!.liquidG).toBeGreaterThan(19);
    expect(organic!.waterG / organic!.liquidG).toBeLessThan(3 / 97);
  });

  it('a little of either is one layer', () => {
    expect(part('ethyl-acetate', 2, water(100)).organic).toBeNull();
    expect(part('ethyl-acetate', 100, water(1)).aqueous).toBeNull();
    expect(answer(funnel({ liquidG: 2, liquor: water(100) })).says).toMatch(/^One layer: the liquid all dissolves/);
    expect(answer(funnel({ liquidG: 100, liquor: water(1) })).says).toMatch(/^One layer: the water all dissolves/);
  });

  it('keeps every gram, of any liquid with any liquor', () => {
    const g = fc.double({ min: 0.01, max: 5000, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom(...mutual),
        g,
        g,
        fc.double({ min: 0, max: 0.35, noNaN: true }),
        ({ liquid }, liquidG, waterG, salt) => {
          const found = part(liquid as SubstanceId, liquidG, { waterG, salt: 'sodium-chloride', saltG: salt * waterG });
          expect(whole(found, 'liquidG')).toBeCloseTo(liquidG, 6);
          expect(whole(found, 'waterG')).toBeCloseTo(waterG, 6);
          expect(whole(found, 'saltG')).toBeCloseTo(salt * waterG, 6);
          for (const layer of [found.organic, found.aqueous])
            if (layer) expect(Math.min(layer.liquidG, layer.waterG, layer.ml)).toBeGreaterThanOrEqual(-1e-9);
        },
      ),
    );
  });
});

// What is found at the bench, none of it used above.
describe('which is on top', () => {
  const k2co3 = { waterG: 47.5, salt: 'potassium-carbonate' as const, saltG: 52.5 };
  const khco3 = { waterG: 75, salt: 'potassium-hydrogencarbonate' as const, saltG: 25 };
  it.each([
    ['ethyl-acetate', brine(100), 'organic', 'quickly'],
    ['isoamyl-formate', water(100), 'organic', 'quickly'],
    ['isoamyl-acetate', water(100), 'organic', 'quickly'],
    ['isoamyl-alcohol', water(100), 'organic', 'quickly'],
    ['ethyl-salicylate', water(100), 'aqueous', 'quickly'],
    ['ethyl-salicylate', khco3, 'organic', 'slowly'],
    ['ethyl-salicylate', k2co3, 'organic', 'quickly'],
  ] as const)('%s with a liquor', (liquid, liquor, above, parts) => {
    const found = onTop(part(liquid, 100, liquor));
    expect(found.above).toBe(above);
    expect(found.parts).toBe(parts);
  });
});

describe('what is dissolved', () => {
  it('shares itself by its distribution, and goes with the washes', () => {
    // By hand: D 0.87, 22.2 mL over 38 mL: 33.7 %; three portions of as much leave 3.8 %.
    expect(leftAfter(0.87, 22.2, [38, 38, 38])).toBeCloseTo(((0.87 * 22.2) / (0.87 * 22.2 + 38)) ** 3, 9);
    const found = answer(
      funnel({ solutes: [{ substanceId: 'acetic-acid', grams: 3 }], washes: [water(20), water(20)] }),
    );
    expect(found.shared[0]!.organicG + found.shared[0]!.aqueousG).toBeCloseTo(3, 9);
    expect(found.shared[0]!.afterG[1]).toBeLessThan(found.shared[0]!.organicG / 3);
    expect(found.shared[0]!.afterG[0]).toBeLessThan(found.shared[0]!.afterG[2]);
    expect(found.washLossG).toHaveLength(2);
    expect(found.liquidLeftG).toBeCloseTo(found.organic!.liquidG - found.washLossG.reduce((a, b) => a + b, 0), 9);
    expect(found.bases[0]).toMatchObject({ base: expect.any(String), salt: expect.any(String) });
  });

  it('as an ion stays in the water', () => {
    expect(unionised(4.76, 4.76)).toBeCloseTo(0.5, 9);
    const at = (pH: number | null) =>
      answer(
        funnel({
          liquid: 'ethyl-salicylate',
          liquor: water(50),
          pH,
          solutes: [{ substanceId: 'salicylic-acid', grams: 1 }],
        }),
      ).shared[0]!.organicG;
    expect(at(1)).toBeGreaterThan(0.9);
    expect(at(8)).toBeLessThan(0.01);
  });

  it('is said not to be known where it is not, and no number stands for it', () => {
    const found = answer(
      funnel({
        solutes: [
          { substanceId: 'glycerol', grams: 1 },
          { substanceId: 'ethanol', grams: 8 },
        ],
      }),
    );
    expect(found.shared.map(({ substanceId }) => substanceId)).toEqual(['ethanol']);
    expect(found.notKnown.join(' ')).toMatch(/glycerol.*not held.*ethanol makes both layers/);
  });

  it('many small portions take more than one large', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 50, noNaN: true }), fc.integer({ min: 2, max: 8 }), (D, n) => {
        const many = leftAfter(
          D,
          30,
          Array.from({ length: n }, () => 60 / n),
        );
        expect(many).toBeLessThan(leftAfter(D, 30, [60]));
      }),
    );
  });
});

describe('bases in the funnel', () => {
  it('potassium carbonate keeps its salt dissolved in the least water', () => {
    const found = basesFor('acetic-acid', 0.5, 20);
    expect(found[0]!.base).toBe('potassium-carbonate');
    const soda = found.find(({ base }) => base === 'sodium-hydrogencarbonate')!;
    // 0.5 mol: 42 g in 9.6 g per 100 g of water; 12 L of gas.
    expect(soda.grams).toBeCloseTo(42, 1);
    expect(soda.dissolvesInG).toBeGreaterThan(400);
    expect(soda.gasL).toBeCloseTo(12.03, 1);
    expect(found.find(({ base }) => base === 'potassium-carbonate')!.gasL).toBeCloseTo(6.01, 1);
  });

  it('does not guess the salt of an acid that none is held of', () => {
    expect(basesFor('citric-acid', 0.1, 20).every(({ keepsSaltInG }) => keepsSaltInG === null)).toBe(true);
  });
});

describe('salting out', () => {
  it('keeps every gram, of each pair that parts', () => {
    for (const { liquid, salt, parts } of saltings)
      for (const share of [0.3, 0.5, 0.7]) {
        const found = saltLayers(
          { liquid: liquid as SubstanceId, salt: salt as SubstanceId },
          100 * share,
          100 * (1 - share),
        );
        if (!found.ok) {
          expect(!parts || /stays in the brine|nothing parts|No solubility/.test(found.problem.message)).toBe(true);
          continue;
        }
        const { upperG, lowerG, saltG, liquidUpG } = found.value;
        expect(upperG + lowerG).toBeCloseTo(100 + saltG, 6);
        expect(liquidUpG).toBeLessThanOrEqual(100 * share + 1e-9);
      }
  });

  it('says of table salt and ethanol, or lye and acetone, why not, and what does', () => {
    const no = (liquid: SubstanceId, salt: SubstanceId) => {
      const found = saltLayers({ liquid, salt }, 70, 30);
      return found.ok ? '' : found.problem.message;
    };
    expect(no('ethanol', 'sodium-chloride')).toMatch(/does not salt ethanol out.*potassium carbonate/);
    expect(no('acetone', 'sodium-hydroxide')).toMatch(/condenses acetone/);
  });

  it('with too little salt the rest is not known, and with none it is asked for', () => {
    const spirit = { liquid: 'isopropanol', liquidG: 70 } as const;
    const short = answer(funnel({ ...spirit, liquor: { waterG: 30, salt: 'sodium-chloride', saltG: 2 } }));
    expect(short.notKnown.join(' ')).toMatch(/less comes up.*not held/);
    expect(layers(funnel({ ...spirit, liquor: water(30) }))).toMatchObject({ ok: false });
    expect(layers(funnel({ liquid: 'glycerol' }))).toMatchObject({ ok: false });
  });
});
