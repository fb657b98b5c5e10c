import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { given } from '#core/figure';
import { catalogue } from '#core/route';
import { molarMass, substanceById } from '#core/substance';
import {
  BenchDefaults,
  boilingVessels,
  type Contents,
  charge,
  cylinderFor,
  emptyContents,
  fitVessel,
  isShallow,
  liquidVolume,
  react,
  roundTo,
} from './index.ts';

const figure = (value: number, unit = 'g') => given({ symbol: 'x', name: 'x', unit }, value, 'test');
const massOf = (contents: Contents) =>
  contents.waterG.value +
  contents.inertG.value +
  Object.entries(contents.amounts).reduce((sum, [id, n]) => sum + n.value * molarMass(substanceById(id)!.formula), 0);

const product = (id: string, pct: number, dissolved: boolean) => ({
  substance: substanceById(id)!,
  w: figure(pct, '%'),
  dissolved,
  name: id,
});

describe('contents', () => {
  it('gain exactly the mass that is charged, as substance, water and inert matter', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(
          ['sulfuric-acid', true],
          ['sodium-carbonate-decahydrate', false],
          ['zinc', false],
          ['acetic-acid', true],
        ),
        fc.double({ min: 0.1, max: 5000, noNaN: true }),
        fc.double({ min: 1, max: 100, noNaN: true }),
        ([id, dissolved], mass, pct) => {
          const { contents } = charge(emptyContents, product(id as string, pct, dissolved as boolean), figure(mass));
          expect(massOf(contents)).toBeCloseTo(mass, 6);
        },
      ),
    );
  });

  it('lose only the gas when they react', () => {
    const reaction = catalogue.find((route) => route.id === 'sodium-acetate')!.reactions[0]!;
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 2000, noNaN: true }),
        fc.double({ min: 1, max: 400, noNaN: true }),
        (vinegar, soda) => {
          const acid = charge(emptyContents, product('acetic-acid', 8, true), figure(vinegar)).contents;
          const both = charge(acid, product('sodium-carbonate-decahydrate', 100, false), figure(soda)).contents;
          const done = react(both, reaction)!;
          const gas = done.gases['carbon-dioxide']!.value * molarMass('CO2');
          expect(massOf(done.contents) + gas).toBeCloseTo(vinegar + soda, 6);
          for (const left of Object.values(done.contents.amounts)) expect(left.value).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  it('do not react while a reactant is missing', () => {
    const reaction = catalogue.find((route) => route.id === 'zinc-sulfate')!.reactions[0]!;
    expect(react(charge(emptyContents, product('zinc', 99, false), figure(10)).contents, reaction)).toBeUndefined();
  });

  it('take the volume that a density table gives for one solute', () => {
    // 16 % zinc sulfate is 1.1806 g/mL, 20 % acetic acid 1.0263 (CRC): 100 g are 84.70 and 97.44 mL.
    const volume = (id: string, pct: number) =>
      liquidVolume(charge(emptyContents, product(id, pct, true), figure(100)).contents);
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
