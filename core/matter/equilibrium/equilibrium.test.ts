import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { times } from '#testing/property';
import {
  bufferOf,
  capacityAt,
  conditionalLogK,
  curveOf,
  type Dissolved,
  derivativeEnd,
  edtaJump,
  edtaProtonation,
  fitCurve,
  granEnd,
  indicatorsFor,
  phAt,
  phOf,
  type Solution,
  solutionOf,
  solve,
  titrate,
  titreAt,
} from './index.ts';
import { pKwAt } from './solution.ts';

const of = (...dissolved: readonly (readonly [string, number])[]): Dissolved[] =>
  dissolved.map(([substanceId, molPerL]) => ({ substanceId, molPerL }));
const solution = (...dissolved: readonly (readonly [string, number])[]): Solution =>
  unwrap(solutionOf(of(...dissolved), 25));

describe('pH', () => {
  // Standard reference values at 25 °C: R. G. Bates, Determination of pH (NBS scale), given in mol/kg and taken as mol/L × 0.997.
  it.each([
    ['phthalate 0.05', of(['potassium-hydrogen-phthalate', 0.0498]), 4.005],
    ['tartrate, saturated', of(['potassium-hydrogen-tartrate', 0.0341]), 3.557],
    [
      'phosphate 0.025 + 0.025',
      of(['sodium-dihydrogenphosphate-anhydrous', 0.0249], ['disodium-hydrogenphosphate-anhydrous', 0.0249]),
      6.865,
    ],
    [
      'phosphate 0.00869 + 0.0304',
      of(['sodium-dihydrogenphosphate-anhydrous', 0.00866], ['disodium-hydrogenphosphate-anhydrous', 0.0303]),
      7.413,
    ],
    ['carbonate 0.025 + 0.025', of(['sodium-hydrogencarbonate', 0.0249], ['sodium-carbonate', 0.0249]), 10.012],
  ])('of the buffer %s is the published one within 0.02', (_name, dissolved, pH) => {
    expect(Math.abs(unwrap(phOf(dissolved, 25)).pH - pH)).toBeLessThan(0.02);
  });

  // Harned and Owen, activity of HCl: a± 0.1 mol/kg 0.796; ammonia and acetic acid from their published degrees of dissociation.
  it.each([
    ['0.1 mol/L acetic acid', of(['acetic-acid', 0.1]), 2.88],
    ['0.1 mol/L hydrochloric acid', of(['hydrochloric-acid', 0.1]), 1.1],
    ['0.1 mol/L ammonia', of(['ammonia', 0.1]), 11.12],
    ['pure water', of(['water', 1]), 6.998],
    ['nothing at all', [], 6.998],
  ])('of %s', (_name, dissolved, pH) => {
    expect(Math.abs(unwrap(phOf(dissolved, 25)).pH - pH)).toBeLessThan(0.02);
  });

  it('is told for ideal solutions too, as school books do', () => {
    // x² = 1.754e-5 (0.1 − x): x = 1.316e-3.
    expect(unwrap(phOf(of(['acetic-acid', 0.1]), 25, 'none')).pH).toBeCloseTo(2.881, 2);
    expect(unwrap(phOf(of(['hydrochloric-acid', 0.1]), 25, 'none')).pH).toBeCloseTo(1, 3);
  });

  it('is refused where no constants are held, and for what cannot be', () => {
    expect(phOf(of(['sodium-thiosulfate', 0.1]), 25)).toMatchObject({
      ok: false,
      problem: { code: 'unknown-substance' },
    });
    expect(phOf(of(['acetic-acid', -1]), 25)).toMatchObject({ ok: false });
    expect(phOf(of(['acetic-acid', Number.NaN]), 25)).toMatchObject({ ok: false });
    expect(phOf(of(['acetic-acid', 3]), 25)).toMatchObject({ ok: false });
  });

  const acids = ['acetic-acid', 'hydrochloric-acid', 'citric-acid', 'phosphoric-acid', 'oxalic-acid', 'sulfuric-acid'];
  const bases = [
    'ammonia',
    'sodium-hydroxide',
    'sodium-carbonate',
    'sodium-acetate',
    'disodium-hydrogenphosphate-anhydrous',
  ];
  const some = (ids: readonly string[]) =>
    fc.array(fc.tuple(fc.constantFrom(...ids), fc.double({ min: 0, max: 1, noNaN: true })), { maxLength: 3 });

  it('balances the charges of any mixture, whatever it is', () => {
    fc.assert(
      fc.property(some(acids), some(bases), (a, b) => {
        const found = solve(solution(...a, ...b));
        expect(found.outcome).toBe('solved');
        if (found.outcome === 'solved') expect(Number.isFinite(found.pH) && found.ionicStrength >= 0).toBe(true);
      }),
      { numRuns: times(300) },
    );
  });

  it('only falls when acid goes in, and only rises with alkali', () => {
    fc.assert(
      fc.property(some(acids), some(bases), fc.double({ min: 1e-4, max: 0.5, noNaN: true }), (a, b, more) => {
        const pH = (extra: readonly (readonly [string, number])[]) => {
          const found = solve(solution(...a, ...b, ...extra), 'none');
          return found.outcome === 'solved' ? found.pH : Number.NaN;
        };
        const now = pH([]);
        expect(pH([['hydrochloric-acid', more]])).toBeLessThan(now + 1e-9);
        expect(pH([['sodium-hydroxide', more]])).toBeGreaterThan(now - 1e-9);
      }),
      { numRuns: times(200) },
    );
  });

  it('says that there is no such state rather than giving half an answer', () => {
    expect(solve({ families: [], spectatorCharge: 1e9, spectatorStrength: 1e9, pKw: 14 }, 'none').outcome).toBe(
      'no-such-state',
    );
  });
});

const vinegar = { sample: solution(['acetic-acid', 0.1]), sampleMl: 25, titrant: solution(['sodium-hydroxide', 0.1]) };

describe('a titration curve', () => {
  it('passes through the published points of 25 mL 0.1 mol/L acetic acid by 0.1 mol/L alkali', () => {
    // Skoog, West: 2.88 at the start, 4.76 − 0.12 (ionic strength 0.05) at half, 8.73 at equivalence, 12.0 after 40 mL.
    const at = (ml: number) => {
      const found = phAt({ ...vinegar, activity: 'none' }, ml);
      return found.outcome === 'solved' ? found.pH : Number.NaN;
    };
    expect(at(0)).toBeCloseTo(2.88, 2);
    expect(at(12.5)).toBeCloseTo(4.76, 2);
    expect(at(25)).toBeCloseTo(8.73, 2);
    expect(at(40)).toBeCloseTo(12.36, 1);
  });

  it('rises all the way', () => {
    const curve = unwrap(curveOf(vinegar, 40, 200));
    expect(curve).toHaveLength(200);
    for (let i = 1; i < curve.length; i++) expect(curve[i]!.pH).toBeGreaterThan(curve[i - 1]!.pH);
    expect(titreAt(vinegar, 20, [0, 40])).toBeNull();
  });

  it('ends at phenolphthalein within a tenth of a per cent, at methyl orange not at all near', () => {
    const ends = indicatorsFor(vinegar, 25);
    const named = (id: string) => ends.find(({ indicator }) => indicator.id === id);
    expect(Math.abs(named('phenolphthalein')!.relative!)).toBeLessThan(0.001);
    expect(named('methyl_orange')!.relative).toBeLessThan(-0.5);
    expect(ends[0]!.indicator.low).toBeGreaterThan(7);
  });

  it('of soda by acid ends at methyl orange', () => {
    const soda = {
      sample: solution(['sodium-carbonate', 0.05]),
      sampleMl: 25,
      titrant: solution(['hydrochloric-acid', 0.1]),
    };
    const [orange] = indicatorsFor(soda, 25).filter(({ indicator }) => indicator.id === 'methyl_orange');
    expect(Math.abs(orange!.relative!)).toBeLessThan(0.005);
  });
});

describe('the ends of a titration', () => {
  const endsOf = (sample: Dissolved[], titrant: string) =>
    unwrap(
      titrate({ sample, sampleMl: 25, titrant: { substanceId: titrant, molPerL: 0.1 }, tempC: 20, points: 20 }),
    ).ends.map(({ titreMl }) => titreMl);

  it('are those that are seen apart', () => {
    expect(endsOf(of(['sulfuric-acid', 0.1]), 'sodium-hydroxide')).toEqual([expect.closeTo(50, 9)]);
    expect(endsOf(of(['phosphoric-acid', 0.1]), 'sodium-hydroxide')).toEqual([25, 50]);
    expect(endsOf(of(['citric-acid', 0.1]), 'sodium-hydroxide')).toEqual([expect.closeTo(75, 9)]);
    expect(endsOf(of(['sodium-carbonate', 0.1]), 'hydrochloric-acid')).toEqual([25, 50]);
    expect(endsOf(of(['hydrochloric-acid', 0.1], ['acetic-acid', 0.1]), 'sodium-hydroxide')).toEqual([25, 50]);
  });

  it('are none where nothing reacts, and that is said', () => {
    const none = titrate({
      sample: of(['sodium-chloride', 0.1]),
      sampleMl: 25,
      titrant: { substanceId: 'sodium-hydroxide', molPerL: 0.1 },
      tempC: 20,
      points: 20,
    });
    expect(none).toMatchObject({ ok: false, problem: { message: 'Nothing in the flask takes alkali.' } });
  });
});

describe('readings of a probe', () => {
  const readings = [0, 2, 4, 6, 8, 10, 12, 14, 16, 18, 20, 21, 22, 23, 24, 24.4, 24.8, 25.2, 25.6, 26, 28, 30].map(
    (titreMl) => {
      const found = phAt(vinegar, titreMl);
      return { titreMl, pH: found.outcome === 'solved' ? found.pH : Number.NaN };
    },
  );

  it('show their end where the curve is steepest', () => {
    expect(Math.abs(derivativeEnd(readings)!.titreMl - 25)).toBeLessThan(0.1);
    expect(derivativeEnd(readings.slice(0, 12))).toBeNull();
    expect(derivativeEnd([])).toBeNull();
  });

  it('tell it by Gran’s line before it comes', () => {
    const before = granEnd(
      readings.filter(({ titreMl }) => titreMl <= 22),
      { sampleMl: 25, weak: true, rising: true },
    );
    expect(Math.abs(before!.titreMl - 25)).toBeLessThan(0.35);
    expect(granEnd(readings.slice(0, 2), { sampleMl: 25, weak: true, rising: true })).toBeNull();
  });

  it('tell strength, pKa and the probe’s offset by the curve through them, in any order, with noise', () => {
    const noisy = readings.map(({ titreMl, pH }, i) => ({ titreMl, pH: pH + 0.07 + 0.01 * Math.sin(7 * i) })).reverse();
    const { values, sds } = unwrap(
      fitCurve(
        noisy,
        [
          { name: 'c', start: 0.08, low: 0.01, high: 0.5 },
          { name: 'pKa', start: 4.5, low: 2, high: 9 },
          { name: 'offset', start: 0, low: -1, high: 1 },
        ],
        ({ c, pKa }) => ({
          ...vinegar,
          sample: { ...vinegar.sample, families: [{ name: 'acid', pKas: [pKa!], baseCharge: -1, molPerL: c! }] },
        }),
      ),
    );
    expect(values.c).toBeCloseTo(0.1, 3);
    expect(values.pKa).toBeCloseTo(4.756, 1);
    expect(values.offset).toBeCloseTo(0.07, 1);
    expect(sds.c).toBeLessThan(0.001);
  });

  it('are too few, and that is said', () => {
    expect(fitCurve(readings.slice(0, 2), [{ name: 'c', start: 0.1, low: 0, high: 1 }], () => vinegar)).toMatchObject({
      ok: false,
    });
  });
});

describe('a buffer', () => {
  it('of ammonia at pH 10 is mostly ammonia, and the solver agrees with the recipe', () => {
    const buffer = unwrap(bufferOf({ substanceId: 'ammonia', pH: 10, molPerL: 0.5, tempC: 25 }));
    // Half of the acid by log10(base/acid) = 10 − 9.246 less what ionic strength shifts: 13 to 18 % acid.
    expect(buffer.baseShare).toBeGreaterThan(0.8);
    expect(buffer.baseShare).toBeLessThan(0.88);
    expect(buffer.pH).toBeCloseTo(10, 3);
    expect(buffer.strongMolPerL).toBeLessThan(0);
  });

  it('comes out at the pH asked for, for any family that holds it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(
          ['ammonia', 9.25],
          ['acetic-acid', 4.7],
          ['boric-acid', 9.2],
          ['sodium-dihydrogenphosphate-anhydrous', 7],
        ) as fc.Arbitrary<[string, number]>,
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        ([id, pKa], off, c) => {
          const buffer = unwrap(bufferOf({ substanceId: id, pH: pKa + off, molPerL: c, tempC: 25 }));
          expect(Math.abs(buffer.pH - pKa - off)).toBeLessThan(0.002);
          expect(buffer.capacity).toBeGreaterThan(0);
        },
      ),
    );
  });

  it('is refused away from its pKa, and of what is strong', () => {
    expect(bufferOf({ substanceId: 'acetic-acid', pH: 9, molPerL: 0.1, tempC: 25 })).toMatchObject({ ok: false });
    expect(bufferOf({ substanceId: 'sodium-hydroxide', pH: 9, molPerL: 0.1, tempC: 25 })).toMatchObject({
      ok: false,
      problem: { code: 'no-data' },
    });
    expect(bufferOf({ substanceId: 'ammonia', pH: 10, molPerL: 0, tempC: 25 })).toMatchObject({ ok: false });
  });

  it('has its greatest capacity at its pKa: 0.576 of its strength', () => {
    expect(capacityAt(solution(['acetic-acid', 0.1]), 4.756, 0)).toBeCloseTo(0.0576, 3);
  });
});

describe('EDTA', () => {
  it('is weakened by its protons as published', () => {
    // Harris, Quantitative Chemical Analysis: α(Y4−) 0.30 at pH 10, 2.9e-7 at pH 5.
    expect(edtaProtonation(10)).toBeCloseTo(-Math.log10(0.3), 1);
    expect(edtaProtonation(5)).toBeCloseTo(-Math.log10(2.9e-7), 1);
  });

  it('ends sharply for magnesium at pH 10 and not at pH 6', () => {
    expect(edtaJump(conditionalLogK('Mg', 10), 0.005)).toBeGreaterThan(1);
    expect(edtaJump(conditionalLogK('Mg', 6), 0.005)).toBeLessThan(0.1);
  });

  it('loses some of its hold on zinc to ammonia', () => {
    expect(conditionalLogK('Zn', 10, 0.1)).toBeLessThan(conditionalLogK('Zn', 10) - 4);
  });
});

describe('the ion product of water', () => {
  // CRC Handbook: it falls as it gets warmer.
  it.each([
    [15, 14.34],
    [25, 13.995],
    [35, 13.68],
  ])('is at %d °C what is published', (tempC, published) => {
    expect(pKwAt(tempC)).toBeGreaterThan(published - 0.02);
    expect(pKwAt(tempC)).toBeLessThan(published + 0.02);
  });
});
