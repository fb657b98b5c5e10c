import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { classesOf } from '#matter/guard';
import {
  allSubstances,
  hydrateWater,
  molarMass,
  type SubstanceId,
  substanceById,
  substanceOf,
} from '#matter/substance';
import { ceilingOf, constantMass, desiccantDoses, dryingMethods, hydrateBy, hydrateByLoss } from './index.ts';

const at = (hour: number, grams: number) => ({ at: new Date(Date.UTC(2026, 2, 14, hour)).toISOString(), grams });

describe('constant mass', () => {
  it('needs two weighings', () => {
    expect(constantMass([], 0.01)).toMatchObject({ constant: false, grams: null });
    expect(constantMass([at(8, 60)], 0.01)).toMatchObject({ constant: false, grams: 60, changePct: null });
  });

  it('is reached when the change is under half a percent, in whatever order they were entered', () => {
    const result = constantMass([at(16, 60.1), at(8, 63), at(12, 60.3)], 0.01);
    expect(result.constant).toBe(true);
    expect(result.grams).toBeCloseTo(60.2, 6);
  });

  it('is not reached while it loses, nor by two weighings minutes apart', () => {
    expect(constantMass([at(8, 63), at(12, 61)], 0.01).sentence).toContain('Still losing');
    const soon = constantMass(
      [
        { at: '2026-03-14T08:00:00Z', grams: 60 },
        { at: '2026-03-14T08:20:00Z', grams: 60 },
      ],
      0.01,
    );
    expect(soon.constant).toBe(false);
    expect(soon.sentence).toContain('20 min apart');
  });

  it('says that a gain is water from the air', () => {
    expect(constantMass([at(8, 60), at(12, 61)], 0.01).sentence).toContain('gained');
  });

  it('takes a coarse balance at its word', () => {
    expect(constantMass([at(8, 10), at(12, 9)], 1).constant).toBe(true);
  });
});

describe('which hydrate a mass says', () => {
  it('reads the water of the crystal from the mass and the moles in it', () => {
    // 0.1 mol of MgSO4·7H2O is 24.648 g; at 22.85 g it holds 6 H2O.
    expect(hydrateBy('MgSO4.7H2O', 24.65, 0.1, 0.01, 0.0003)).toMatchObject({ says: 'as its formula' });
    expect(hydrateBy('MgSO4.7H2O', 22.85, 0.1, 0.01, 0.0003)!.water).toBeCloseTo(6, 1);
    expect(hydrateBy('MgSO4.7H2O', 22.85, 0.1, 0.01, 0.0003)).toMatchObject({ says: 'over-dried' });
    expect(hydrateBy('MgSO4.7H2O', 27, 0.1, 0.01, 0.0003)).toMatchObject({ says: 'wetter' });
    expect(hydrateBy('MgSO4.7H2O', 0, 0.1, 0.01, 0.001)).toBeUndefined();
  });
});

describe('drying a liquid', () => {
  it('doses by the water, forbids what reacts, and knows what each leaves', () => {
    const ethanol = desiccantDoses('ethanol', { grams: 500, waterPct: 5, tempC: 18 });
    expect(ethanol.find(({ desiccant }) => desiccant.id === 'calcium-chloride')).toMatchObject({
      grams: 0,
      forbidden: 'forms CaCl2.4C2H5OH',
    });
    // 500 g at 5 % down to 3 %: 10 g of water, ÷ 0.5 × 1.5 = 30 g.
    expect(ethanol.find(({ desiccant }) => desiccant.id === 'magnesium-sulfate')!.grams).toBeCloseTo(30, 1);
    // A sieve goes down to 0.01 %: 24.95 g of water, ÷ 0.195 × 1.5 = 192 g, and it comes first.
    expect(ethanol[0]).toMatchObject({ desiccant: { id: 'sieve-3a' }, hours: [24, 72] });
    expect(ethanol[0]!.grams).toBeCloseTo(191.9, 0);
    const ester = (waterPct: number, tempC: number) => desiccantDoses('esters', { grams: 100, waterPct, tempC });
    expect(ester(2, 18).find(({ desiccant }) => desiccant.id === 'calcium-oxide')!.forbidden).toContain('saponifies');
    expect(ester(2, 40).find(({ desiccant }) => desiccant.id === 'sodium-sulfate')!.forbidden).toContain('32 °C');
    for (const { grams } of desiccantDoses('hydrocarbons', { grams: 100, waterPct: 0, tempC: 18 }))
      expect(grams).toBe(0);
  });
});

describe('a loss on heating', () => {
  it('tells the hydrate of a sample', () => {
    // 2.500 g of CuSO4·5H2O leave 2.5 × 159.6 ÷ 249.7 = 1.598 g.
    expect(hydrateByLoss('CuSO4.5H2O', 2.5, 1.598, 0.004)!.water).toBeCloseTo(5, 1);
    expect(hydrateByLoss('CuSO4.5H2O', 2.5, 1.598, 0.004)).toMatchObject({ says: 'as its formula' });
    expect(hydrateByLoss('CuSO4.5H2O', 2.5, 1.868, 0.004)!.water).toBeCloseTo(3, 1);
    expect(hydrateByLoss('CuSO4.5H2O', 2.5, 2.6, 0.004)).toBeUndefined();
    expect(hydrateByLoss('CuSO4.5H2O', 2.5, 0, 0.004)).toBeUndefined();
  });

  it('is the inverse of a hydrate’s own water, whichever it is', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('CuSO4.5H2O', 'MgSO4.7H2O', 'Na2CO3.10H2O', 'KAl(SO4)2.12H2O', 'H2C2O4.2H2O'),
        fc.double({ min: 0.5, max: 500, noNaN: true }),
        (formula, grams) => {
          const left = (grams * molarMass(formula.replace(/\.\d+H2O$/, ''))) / molarMass(formula);
          expect(hydrateByLoss(formula, grams, left, 0.0001)!.water).toBeCloseTo(hydrateWater(formula), 2);
        },
      ),
    );
  });
});

describe('the ceiling of a solid', () => {
  it.each([
    ['ferric-alum', 20],
    ['sodium-thiosulfate-pentahydrate', 33],
    ['sodium-hydrogencarbonate', 40],
    ['zinc-sulfate-heptahydrate', 30],
    ['potassium-nitrate', 110],
    ['silica', 800],
  ])('%s is dried below %d °C', (id, tempC) => expect(ceilingOf(substanceById(id)!)!.tempC).toBe(tempC));

  it('is not made up', () => {
    expect(ceilingOf(substanceOf('bromine'))).toBeUndefined();
  });
});

describe('methods of drying', () => {
  const room = { waterG: 10, areaCm2: 300, roomC: 20, humidityPct: 50, pressureHPa: 1013, routeCeiling: undefined };
  const of = (id: SubstanceId, over = {}) =>
    dryingMethods({ ...room, substance: substanceOf(id), classes: classesOf(id, 100), ...over });
  const method = (id: string, found: ReturnType<typeof of>) => found.methods.find((each) => each.id === id)!;

  it('leave a salt that draws water out of the air', () => {
    expect(method('air', of('calcium-nitrate-tetrahydrate', { humidityPct: 60 })).verdict).toBe('no');
    expect(method('air', of('potassium-nitrate')).verdict).toBe('good');
    expect(method('desiccator', of('potassium-nitrate')).verdict).toBe('good');
  });

  it('keep a hydrate from weathering', () => {
    const epsom = of('magnesium-sulfate-heptahydrate');
    expect(method('air', epsom)).toMatchObject({ verdict: 'mind' });
    expect(method('desiccator', epsom).says).toContain('54 %');
    expect(method('air', of('magnesium-sulfate-heptahydrate', { humidityPct: 70 })).verdict).toBe('good');
    // Oxalic acid keeps its water down to 13 %: a desiccator may have it.
    expect(method('desiccator', of('oxalic-acid-dihydrate')).verdict).toBe('good');
  });

  it('allow no oven where there is no room under the ceiling, and no ethanol on a nitrate or an acid', () => {
    expect(method('oven', of('zinc-nitrate', { roomC: 25 }))).toMatchObject({ verdict: 'no', hours: null });
    expect(method('oven', of('sodium-chloride'))).toMatchObject({ verdict: 'good', tempC: 105 });
    expect(method('solvent rinse', of('potassium-nitrate')).verdict).toBe('no');
    expect(method('solvent rinse', of('citric-acid')).verdict).toBe('no');
  });

  it('take the lower of the route’s ceiling and the published one', () => {
    const mine = { tempC: 30, why: 'the route says so', grade: 'B' as const };
    expect(of('copper-sulfate-pentahydrate', { routeCeiling: mine }).ceiling).toEqual(mine);
    expect(of('zinc-sulfate-heptahydrate', { routeCeiling: { ...mine, tempC: 60 } }).ceiling!.tempC).toBe(30);
  });

  it('take longer for more water, damper air and a smaller plate, and no time for none', () => {
    const hours = (over: object) => method('air', of('sodium-chloride', over)).hours!;
    expect(hours({ waterG: 20 })[0]).toBeCloseTo(2 * hours({})[0], 6);
    expect(hours({ humidityPct: 65 })[1]).toBeGreaterThan(hours({})[1]);
    expect(hours({ areaCm2: 100 })[0]).toBeCloseTo(3 * hours({})[0], 6);
    expect(hours({ waterG: 0 })).toEqual([0, 0]);
    expect(method('air', of('silica-gel', { humidityPct: 99 })).hours).toBeNull();
  });
});

describe('a ceiling that practice says nothing of', () => {
  it('is kept five degrees below the first published change', () => {
    const found = allSubstances.flatMap((substance) => {
      const at = /^from (\d+(?:\.\d+)?) °C it/.exec(ceilingOf(substance)?.why ?? '');
      return at ? [{ changes: Number(at[1]), ceiling: ceilingOf(substance)?.tempC }] : [];
    });
    expect(found.length).toBeGreaterThan(3);
    for (const { changes, ceiling } of found) expect(ceiling).toBe(changes - 5);
  });
});
