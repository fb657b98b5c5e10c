import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { given, sdOf } from '#base/figure';
import {
  combineExtents,
  extentByCurrent,
  extentByDose,
  extentByGas,
  extentByHeat,
  extentBySight,
  inferStrength,
  nextPortion,
  type PortionFacts,
  stopBand,
  unreacted,
} from './index.ts';

const figure = (value: number, sd = 0, unit = 'g') =>
  given(
    { symbol: 'x', name: 'x', unit },
    { value, uncertainty: sd > 0 ? { [`x${value}`]: { name: 'x', effect: sd } } : {} },
    'test',
  );

const facts: PortionFacts = {
  leftG: 50,
  plannedG: 50,
  unreactedG: 0,
  gasMlPerG: 84,
  kJPerG: null,
  halfLifeMin: 0.5,
  foamPerGas: 0.25,
  foamNowMl: null,
  capacityMl: 600,
  liquidMl: 250,
  heatCapacityJPerK: 1000,
  tempC: 20,
  airC: 20,
  ceilingC: 60,
  roomM3: null,
  gasLimitPct: 0.5,
  solidG: 0,
  stepG: 0.1,
};

describe('what has not reacted', () => {
  it('halves in a half-life, and piles up when portions come faster', () => {
    expect(unreacted([{ grams: 8, minutesAgo: 30 }], 10)).toBeCloseTo(1, 12);
    expect(
      unreacted(
        [0, 5, 10].map((minutesAgo) => ({ grams: 4, minutesAgo })),
        60,
      ),
    ).toBeGreaterThan(11);
    expect(unreacted([{ grams: 4, minutesAgo: -5 }], 10)).toBe(4);
  });
});

describe('the next portion', () => {
  it('is no more than the foam room, the heat room, a fifth of the dose or what is left', () => {
    // Free room 0.95 × 600 − 250 = 320 mL; a gram lifts 0.25 × 84 × 0.75 = 15.75 mL: 20 g. A fifth of the dose is 10 g.
    expect(nextPortion(facts)).toMatchObject({ grams: 10, limitedBy: 'evenness', waitMin: 0 });
    expect(nextPortion({ ...facts, capacityMl: 300 })).toMatchObject({ limitedBy: 'foam', grams: 2 });
    expect(nextPortion({ ...facts, kJPerG: 8, heatCapacityJPerK: 1000, ceilingC: 30 })).toMatchObject({
      limitedBy: 'heat',
      grams: 1,
    });
    expect(nextPortion({ ...facts, leftG: 3 })).toMatchObject({ limitedBy: 'the dose', grams: 3 });
    expect(nextPortion({ ...facts, leftG: 0 })).toMatchObject({ limitedBy: 'nothing', grams: 0 });
    expect(nextPortion({ ...facts, roomM3: 0.1 }).limitedBy).toBe('gas');
  });

  it('waits for foam and heat, and warns of what has piled up', () => {
    expect(nextPortion({ ...facts, foamNowMl: 300 }).waitFor).toBe('foam');
    const hot = nextPortion({ ...facts, kJPerG: 1, tempC: 58, ceilingC: 60 });
    expect(hot.waitFor).toBe('heat');
    expect(hot.waitMin).toBeGreaterThan(1);
    const piled = nextPortion({ ...facts, kJPerG: 5, halfLifeMin: 60, unreactedG: 30 });
    expect(piled.pending.danger).toBe(true);
    expect(piled.warnings.join(' ')).toContain('without reacting');
    expect(nextPortion({ ...facts, solidG: 60 }).warnings.join(' ')).toContain('Thick');
    expect(nextPortion({ ...facts, tempC: 70 }).warnings.join(' ')).toContain('above its ceiling');
    expect(nextPortion({ ...facts, capacityMl: 240 }).warnings.join(' ')).toContain('full');
  });

  it('never lifts foam over the rim, heats over the ceiling, or is more than is left', () => {
    const some = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        some(0, 500),
        some(50, 3000),
        some(10, 2000),
        some(0, 400),
        some(0, 6),
        (leftG, capacityMl, liquidMl, gasMlPerG, kJPerG) => {
          const given = { ...facts, leftG, plannedG: 500, capacityMl, liquidMl, gasMlPerG, kJPerG };
          const { grams, warnings, waitMin } = nextPortion(given);
          expect(Number.isFinite(grams) && Number.isFinite(waitMin) && waitMin >= 0).toBe(true);
          expect(grams).toBeLessThanOrEqual(Math.max(leftG, given.stepG) + 1e-9);
          const foam = grams * given.foamPerGas * gasMlPerG * 0.75;
          if (warnings.length === 0) {
            expect(liquidMl + foam).toBeLessThanOrEqual(0.95 * capacityMl + 1e-6);
            expect(20 + (1000 * kJPerG * grams) / given.heatCapacityJPerK).toBeLessThanOrEqual(given.ceilingC + 1e-6);
          }
        },
      ),
    );
  });
});

describe('the stop band', () => {
  it('is two standard uncertainties about what is enough', () => {
    expect(stopBand(figure(50, 1), 40)).toMatchObject({ fromG: 48, toG: 52, place: 'before', overG: 0 });
    expect(stopBand(figure(50, 1), 50).place).toBe('inside');
    expect(stopBand(figure(50, 1), 55)).toMatchObject({ place: 'past', overG: 3 });
  });
});

describe('witnesses of the extent', () => {
  it('that agree narrow it; that do not are named', () => {
    const dose = extentByDose({ value: 40, sd: 0.1 }, { value: 50, sd: 1 });
    expect(dose.pct).toBeCloseTo(80, 9);
    const both = combineExtents([dose, extentByGas({ value: 1.62, sd: 0.02 }, 2)]);
    expect(both.disagreement).toBe('');
    expect(both.highPct! - both.lowPct!).toBeLessThan(dose.highPct! - dose.lowPct!);
    const apart = combineExtents([
      extentByDose({ value: 48.5, sd: 0.1 }, { value: 50, sd: 1 }),
      extentByGas({ value: 1.6, sd: 0.02 }, 2),
    ]);
    expect(apart.disagreement).toBe(
      'gas says 80 %, dose says 97 %: what was added is weaker than its label, or gas was lost.',
    );
    expect(apart.lowPct!).toBeLessThan(85);
  });

  it('count one-sided ones as bounds', () => {
    expect(combineExtents([extentByHeat({ value: 5, sd: 0.2 }, 10)])).toMatchObject({ pct: null, highPct: 100 });
    expect(combineExtents([extentBySight('pH', true)]).lowPct).toBe(98);
    const still = combineExtents([
      extentByDose({ value: 60, sd: 0.1 }, { value: 50, sd: 0.5 }),
      extentBySight('sight', false),
    ]);
    expect(still.highPct).toBeLessThanOrEqual(99.5);
    const early = combineExtents([
      extentByDose({ value: 30, sd: 0.1 }, { value: 50, sd: 0.5 }),
      extentBySight('pH', true),
    ]);
    expect(early.disagreement).toContain('yet the endpoint is there');
    expect(combineExtents([])).toMatchObject({ pct: null, lowPct: null, highPct: null, disagreement: '' });
  });

  it('read a falling current as what is left', () => {
    expect(extentByCurrent({ value: 0.5, sd: 0 }, 2).pct).toBeCloseTo(75, 9);
    expect(extentByCurrent({ value: 2.2, sd: 0 }, 2).pct).toBe(0);
  });

  it('stay within 0 and 100 % whatever is read', () => {
    const read = fc.double({ min: 0, max: 200, noNaN: true });
    fc.assert(
      fc.property(read, read, read, (a, b, c) => {
        const report = combineExtents([
          extentByDose({ value: a, sd: 1 }, { value: 50, sd: 1 }),
          extentByGas({ value: b, sd: 1 }, 100),
          extentByHeat({ value: c, sd: 1 }, 100),
        ]);
        expect(report.pct!).toBeGreaterThanOrEqual(0);
        expect(report.pct!).toBeLessThanOrEqual(100);
        expect(report.lowPct!).toBeLessThanOrEqual(report.highPct!);
      }),
    );
  });
});

describe('a stall as an assay', () => {
  it('gives the strength that the solid gone stands for', () => {
    // 15.00 g of 99 % zinc, 2.20 g left: 12.80 × 0.99 / 65.38 = 0.19382 mol; × 98.078 / 60.0 g = 31.68 %.
    const w = inferStrength(
      { gone: figure(12.8, 0.01), w: figure(99, 0.3, '%'), formula: 'Zn', name: 'zinc' },
      { poured: figure(60, 0.3), formula: 'H2SO4', name: 'battery acid' },
      1,
    );
    expect(w.value).toBeCloseTo(31.68, 2);
    expect(sdOf(w) / w.value).toBeCloseTo(Math.hypot(0.01 / 12.8, 0.3 / 99, 0.3 / 60), 4);
  });
});

describe('the wait for the heat', () => {
  // 250 mL: 6.83 cm wide, 183 cm² of side and top; 1000 J/K ÷ (15 W/(m² K) × 0.01832 m²) are 60.6 min.
  const warm = (airC: number) =>
    nextPortion({ ...facts, gasMlPerG: 0, kJPerG: 1, tempC: 58, airC, ceilingC: 60, leftG: 10 }).waitMin;

  it('is Newton’s law down to the ceiling less the rise', () => {
    // A fifth of 50 g is 10 g: 10 K. From 58 to 50 °C over air of 20: 60.6 × ln(38 ÷ 30) = 14.3 min.
    expect(warm(20)).toBeGreaterThan(14);
    expect(warm(20)).toBeLessThan(15);
  });

  it('is longer in warm air', () => {
    // Over air of 40 °C: 60.6 × ln(18 ÷ 10) = 35.6 min.
    expect(warm(40)).toBeGreaterThan(35);
    expect(warm(40)).toBeLessThan(36.5);
  });
});
