import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { given } from '#base/figure';
import { BenchDefaults, cylinderFor, roundTo } from '#matter/gear';
import { allSubstances, molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import { catalogue } from '#run/route';
import { times } from '#testing/property';
import {
  add,
  amountsOf,
  boilingVessels,
  contentsMass,
  dissolve,
  emptyContents,
  fitVessel,
  isShallow,
  liquidVolume,
  type Product,
  react,
} from './index.ts';

const figure = (value: number, unit = 'g') => given({ symbol: 'x', name: 'x', unit }, value, 'test');
const product = (id: SubstanceId, pct: number, over: Partial<Product> = {}): Product => ({
  substance: substanceOf(id),
  w: figure(pct, '%'),
  dissolved: substanceOf(id).form === 'dissolved',
  name: id,
  ...over,
});
const every = fc.constantFrom(...allSubstances.map(({ id }) => id));
const grams = fc.double({ min: 0.1, max: 5000, noNaN: true });

describe('contents', () => {
  it('gain exactly the mass that is added, of every substance: solid, wet or in solution, into water or none', () => {
    fc.assert(
      fc.property(
        every,
        grams,
        fc.double({ min: 1, max: 100, noNaN: true }),
        fc.constantFrom({ dissolved: true }, { dissolved: false, wet: true }, { dissolved: false }),
        fc.constantFrom(0, 100),
        (id, mass, pct, how, water) => {
          const before = add(emptyContents, product('water', 100), figure(water)).contents;
          const { contents } = add(before, product(id, pct, how), figure(mass));
          expect(contentsMass(contents)).toBeCloseTo(mass + water, 6);
        },
      ),
      { numRuns: times(1500) },
    );
  });

  it('keep their mass while they dissolve, all or in part, of every substance', () => {
    fc.assert(
      fc.property(every, grams, fc.double({ min: 0, max: 500, noNaN: true }), (id, mass, s) => {
        const wet = add(emptyContents, product('water', 100), figure(100)).contents;
        const { contents } = add(wet, product(id, 100, { dissolved: false }), figure(mass));
        const after = dissolve(contents, () => figure(s, 'g/100 g')).contents;
        expect(contentsMass(after)).toBeCloseTo(mass + 100, 6);
        for (const [, n] of amountsOf(after)) expect(n).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: times(1000) },
    );
  });

  it('lose only the gas when they react, in every reaction of the catalogue', () => {
    const reactions = catalogue.flatMap((route) => route.reactions);
    fc.assert(
      fc.property(
        fc.constantFrom(...reactions),
        fc.array(grams, { minLength: 4, maxLength: 4 }),
        (reaction, masses) => {
          let contents = add(emptyContents, product('water', 100), figure(200)).contents;
          for (const [i, { substanceId }] of reaction.reactants.entries())
            contents = add(contents, product(substanceId, 100), figure(masses[i] ?? 1)).contents;
          const before = contentsMass(contents);
          const done = react(contents, reaction)!;
          const gas = done.gases.reduce(
            (sum, { id, amount }) => sum + amount.value * molarMass(substanceOf(id).formula),
            0,
          );
          expect(contentsMass(done.contents) + gas).toBeCloseTo(before, 6);
          for (const [, n] of amountsOf(done.contents)) expect(n).toBeGreaterThanOrEqual(0);
        },
      ),
      { numRuns: times(300) },
    );
  });

  it('do not react while a reactant is missing', () => {
    const reaction = catalogue.find((route) => route.id === 'zinc-sulfate')!.reactions[0]!;
    expect(react(add(emptyContents, product('zinc', 99), figure(10)).contents, reaction)).toBeUndefined();
  });

  it('take the volume that a density table gives for one solute', () => {
    // 16 % zinc sulfate is 1.1806 g/mL, 20 % acetic acid 1.0263 (CRC): 100 g are 84.70 and 97.44 mL.
    const volume = (id: SubstanceId, pct: number) =>
      liquidVolume(add(emptyContents, product(id, pct, { dissolved: true }), figure(100)).contents);
    expect(volume('zinc-sulfate', 16)).toBeCloseTo(84.7, 1);
    expect(volume('acetic-acid', 20)).toBeCloseTo(97.44, 1);
  });
});

describe('measures', () => {
  it('choose the smallest cylinder that takes it, else fillings of the largest', () => {
    expect(cylinderFor(60, [10, 50, 100, 250])).toMatchObject({ stepMl: 1, text: '100 mL cylinder' });
    expect(cylinderFor(343, [10, 50, 100, 250])).toMatchObject({
      stepMl: 1,
      text: '250 mL, the rest with the 100 mL cylinder',
    });
    expect(cylinderFor(695, [250]).text).toBe('250 mL cylinder, 3 fillings');
  });

  it('round to what the instrument shows', () => {
    expect(roundTo(17.046, 0.01)).toBe(17.05);
    expect(roundTo(343.4, 2)).toBe(344);
    expect(roundTo(0.1 + 0.2, 0.1)).toBe(0.3);
  });
});

describe('vessel', () => {
  it('is the smallest that holds liquid and foam', () => {
    expect(fitVessel(BenchDefaults.vessels, 128, 40)?.vessel.name).toBe('250 mL beaker');
    expect(fitVessel(BenchDefaults.vessels, 128, 200)?.vessel.name).toBe('400 mL beaker');
  });

  it('that is too small is still named, and said not to hold', () => {
    expect(fitVessel(BenchDefaults.vessels, 9000, 0)).toMatchObject({ holds: false, vessel: { name: '5 L bucket' } });
    expect(fitVessel([], 10, 0)).toBeUndefined();
  });
});

describe('vessels for boiling down', () => {
  it('begin in one that is at most three fifths full and go on in smaller ones', () => {
    const stretches = boilingVessels(BenchDefaults.vessels, 550, 20);
    expect(stretches.map(({ vessel }) => vessel.name)[0]).toBe('1 L beaker');
    expect(stretches.length).toBeGreaterThan(1);
    expect(stretches[0]!.fromMl).toBe(550);
    expect(stretches.at(-1)!.toMl).toBe(20);
  });

  it('join up, never overfill, and are shallow only where there is no smaller one', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 900, noNaN: true }),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        (from, part) => {
          const stretches = boilingVessels(BenchDefaults.vessels, from, from * part);
          for (const [i, each] of stretches.entries()) {
            if (i > 0) expect(each.fromMl).toBe(stretches[i - 1]!.toMl);
            expect(each.toMl).toBeLessThan(each.fromMl + 1e-9);
            if (each.topUpMl === 0) expect(each.fromMl).toBeLessThanOrEqual(0.6 * each.vessel.capacityMl + 1e-9);
            expect(each.vessel.material ?? 'glass').toBe('glass');
          }
          expect(stretches.at(-1)!.toMl).toBeCloseTo(from * part, 9);
        },
      ),
    );
  });

  it('pour the rest in as it sinks when none is large enough, and say nothing of nothing', () => {
    expect(boilingVessels(BenchDefaults.vessels, 1500, 200)[0]).toMatchObject({ topUpMl: 900 });
    expect(boilingVessels(BenchDefaults.vessels, 0, 0)).toEqual([]);
    expect(boilingVessels(BenchDefaults.vessels, 100, 100)).toEqual([]);
    expect(boilingVessels([], 100, 10)).toEqual([]);
    expect(isShallow(BenchDefaults.vessels[4]!, 30)).toBe(true);
    expect(isShallow(BenchDefaults.vessels[4]!, 300)).toBe(false);
  });
});

describe('how full a vessel may be', () => {
  const vessel = { name: '1 L beaker', capacityMl: 1000, diameterMm: 101, heightMm: 145 };
  const holds = (liquidMl: number, foamMl: number) => fitVessel([vessel], liquidMl, foamMl)?.holds;

  it('of liquid alone four fifths, with its foam 95 %', () => {
    expect(holds(800, 0)).toBe(true);
    expect(holds(801, 0)).toBe(false);
    expect(holds(500, 450)).toBe(true);
    expect(holds(500, 451)).toBe(false);
  });
});
