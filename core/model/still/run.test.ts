import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { USUAL_STILL } from '#matter/gear';
import { times } from '#testing/property';
import {
  atMl,
  caughtBetween,
  chargeOf,
  distil,
  letRun,
  type Mixture,
  mixtureById,
  mixtureIds,
  mlAt,
  NOTHING_STAYS,
  type Setup,
  setUp,
  switchReceiver,
  topOf,
} from './index.ts';

import { heatingMin } from './run.ts';
import { kJToBoil } from './still.ts';
import { warningsOf } from './warnings.ts';

const SIMPLE = { ...USUAL_STILL, plates: 1, holdupMl: 0 };

function setupOf(id: string, pct: number, over: Partial<Setup> = {}): Setup {
  const mixture = mixtureById(id, 1013.25);
  return { mixture, charge: chargeOf(mixture, 600, pct), apparatus: SIMPLE, airC: 20, ...over };
}

/** Rayleigh: ln(n₀ ÷ n) is the integral of dx ÷ (y − x), by Simpson’s rule. */
function rayleigh(mixture: Mixture, from: number, to: number): number {
  const steps = 4000;
  const h = (to - from) / steps;
  let sum = 0;
  for (let i = 0; i <= steps; i++) {
    const x = from + i * h;
    const weight = i === 0 || i === steps ? 1 : 2 + 2 * (i % 2);
    sum += weight / (mixture.vapour(x) - x);
  }
  return (sum * h) / 3;
}

describe('a single plate', () => {
  it.each([
    ['ethanol-water', 40],
    ['acetone-water', 50],
    ['hydrogen-chloride-water', 15],
    ['nitric-acid-water', 40],
    ['acetic-acid-water', 30],
    ['methanol-water', 60],
  ])('follows Rayleigh’s integral: %s at %d %%', (id, pct) => {
    const setup = setupOf(id, pct);
    const run = distil(setup);
    const all = setup.charge.first + setup.charge.second;
    const x0 = setup.charge.first / all;
    for (const share of [0.1, 0.3, 0.5, 0.8]) {
      const i = run.overMl.findIndex((_, k) => run.over1[k]! + run.over2[k]! >= share * all);
      const left1 = setup.charge.first - run.over1[i]!;
      const left = all - run.over1[i]! - run.over2[i]!;
      // Next to nothing left of it: the integral runs away before the numbers do.
      if (left1 / left < 0.03) continue;
      const integral = rayleigh(setup.mixture, x0, left1 / left);
      // ln(n ÷ n₀), so that what is left agrees within 0.1 %.
      expect(Math.abs(Math.exp(-integral) / (all / left) - 1)).toBeLessThan(0.001);
    }
  });
});

describe('a column', () => {
  it('parts as Fenske says at total reflux and constant volatility', () => {
    const alpha = 2.4;
    const mixture = {
      ...mixtureById('ethanol-water', 1013),
      vapour: (x: number) => (alpha * x) / (1 + (alpha - 1) * x),
    };
    const odds = (x: number) => x / (1 - x);
    for (const plates of [1, 2, 5, 10]) {
      const { y } = topOf(mixture, 0.1, { plates, down: 1 });
      const found = Math.log(odds(y) / odds(0.1)) / Math.log(alpha);
      expect(Math.abs(found / plates - 1)).toBeLessThan(0.02);
    }
  });

  it('gives more with more plates and with more sent back, and no more than the azeotrope', () => {
    const top = (plates: number, reflux: number) => {
      const setup = setupOf('ethanol-water', 40, { apparatus: { ...SIMPLE, plates, reflux } });
      return distil(setup).pct[0]!;
    };
    expect(top(5, 3)).toBeGreaterThan(top(2, 3));
    expect(top(5, 8)).toBeGreaterThan(top(5, 1));
    expect(top(30, 30)).toBeLessThan(95.7);
    expect(top(5, 0)).toBeGreaterThan(top(1, 0));
  });
});

describe('any run', () => {
  it('keeps the mass of either, ends, and never goes back', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...mixtureIds.filter((id) => id !== 'sulfuric-acid-water')),
        fc.double({ min: 0.5, max: 99, noNaN: true }),
        fc.double({ min: 1, max: 8, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.integer({ min: 60, max: 800 }),
        (id, pct, plates, reflux, heaterW) => {
          const mixture = mixtureById(id, 1000);
          const most = 100 * mixture.ends;
          const charge = chargeOf(mixture, 500, Math.min(pct, most));
          const run = distil(
            { mixture, charge, apparatus: { ...USUAL_STILL, plates, reflux, heaterW }, airC: 18 },
            {},
            80,
          );
          const last = run.overMl.length - 1;
          const over = run.over1[last]! + run.gas1[last]!;
          expect(over).toBeLessThanOrEqual(charge.first * (1 + 1e-6));
          expect(run.over2[last]!).toBeLessThanOrEqual(charge.second * (1 + 1e-6));
          for (let i = 1; i <= last; i++) {
            expect(run.overMl[i]!).toBeGreaterThanOrEqual(run.overMl[i - 1]!);
            expect(run.minutes[i]!).toBeGreaterThan(run.minutes[i - 1]!);
          }
          for (const column of [run.headC, run.potC, run.pct, run.potPct, run.mlPerMin])
            for (const value of column) expect(Number.isFinite(value)).toBe(true);
        },
      ),
      { numRuns: times(40) },
    );
  });

  it('is closed between its receivers and the flask within a millionth', () => {
    const setup = setupOf('nitric-acid-water', 30);
    const run = distil(setup);
    const cuts = [0, 100, 250, 400].map((ml, i, all) => caughtBetween(run, ml, all[i + 1] ?? 1e9));
    const last = run.overMl.length - 1;
    expect(cuts.reduce((sum, { n1 }) => sum + n1, 0) / run.over1[last]!).toBeCloseTo(1, 6);
    expect(cuts.reduce((sum, { n2 }) => sum + n2, 0) / run.over2[last]!).toBeCloseTo(1, 6);
  });

  it('is left where the flask stays cold', () => {
    expect(distil(setupOf('ethanol-water', 40, { apparatus: { ...SIMPLE, heaterW: 0 } })).ends).toBe('no heat');
    expect(distil(setupOf('nitric-acid-water', 40, { apparatus: { ...SIMPLE, heaterW: 12 } })).ends).toBe('no heat');
  });

  it('ends at the volume, and at the temperature of the flask, that were asked for', () => {
    const setup = setupOf('ethanol-water', 40);
    expect(distil(setup, { overMl: 123 }).overMl.at(-1)).toBeCloseTo(123, 3);
    const hot = distil(setup, { potC: 90 });
    expect(hot.potC.at(-1)!).toBeGreaterThanOrEqual(90);
    expect(mlAt(distil(setup), 'potC', 90)).toBeCloseTo(hot.overMl.at(-1)!, -1);
  });
});

describe('what stays in the flask', () => {
  it('makes it hotter than its vapour, and drives the acid out sooner', () => {
    const plain = setupOf('hydrogen-chloride-water', 15);
    const acid = { ...plain, charge: { ...plain.charge, staying: { sulfuric: 2, particles: 0, grams: 196 } } };
    const [a, b] = [distil(plain), distil(acid)];
    expect(b.potC[0]! - b.headC[0]!).toBeGreaterThan(2);
    expect(b.pct[0]!).toBeGreaterThan(a.pct[0]!);
    // At the end mostly sulfuric acid stays: it climbs far beyond what boils off.
    expect(b.potC.at(-1)!).toBeGreaterThan(140);
  });

  it('raises it by half a kelvin for a mol of particles in a kg of water', () => {
    const plain = setupOf('ethanol-water', 0.5);
    const salty = { ...plain, charge: { ...plain.charge, staying: { ...NOTHING_STAYS, particles: 1.2, grams: 35 } } };
    // 600 g at 2 mol/kg.
    expect(distil(salty).potC[0]! - distil(plain).potC[0]!).toBeCloseTo(1.03, 1);
  });
});

describe('a still worked by hand', () => {
  it('goes as the run does at steady heat', () => {
    const setup = setupOf('hydrogen-chloride-water', 18, { apparatus: USUAL_STILL });
    const live = setUp(setup);
    live.heaterW = setup.apparatus.heaterW;
    const run = distil(setup);
    letRun(setup, live, run.minutes[0]! + 60);
    const expected = run.overMl.findIndex((_, i) => run.minutes[i]! >= run.minutes[0]! + 60);
    expect(Math.abs(live.standing.overMl / run.overMl[expected]! - 1)).toBeLessThan(0.06);
    expect(live.headC).toBeCloseTo(atMl(run, 'headC', live.standing.overMl), 1);
  });

  it('drips no more when the heat is off, and begins again when it is on', () => {
    const setup = setupOf('ethanol-water', 40, { apparatus: USUAL_STILL });
    const live = setUp(setup);
    live.heaterW = 300;
    letRun(setup, live, 60);
    const then = live.standing.overMl;
    expect(then).toBeGreaterThan(50);
    live.heaterW = 0;
    letRun(setup, live, 30);
    expect(live.standing.overMl).toBeCloseTo(then, 6);
    expect(live.potC).toBeLessThan(80);
    switchReceiver(live);
    live.heaterW = 300;
    letRun(setup, live, 60);
    expect(live.caught[1]!.n1).toBeGreaterThan(0);
    const kept = live.caught.reduce((sum, each) => sum + each.n1 + each.gas1, live.standing.n1);
    expect(kept / setup.charge.first).toBeCloseTo(1, 9);
  });

  it('stands dry without coming to nonsense', () => {
    const setup = setupOf('ethanol-water', 40, { apparatus: USUAL_STILL });
    const live = setUp(setup);
    live.heaterW = 2000;
    letRun(setup, live, 2000);
    expect(live.standing.n1 + live.standing.n2).toBeGreaterThanOrEqual(0);
    expect(Number.isFinite(live.headC)).toBe(true);
  });
});

describe('the wait for the first drop', () => {
  // 300 g of water in a 1 L flask: 16.653 mol × 75.3 J/(mol K), and the glass, over 80 K.
  const setup = setupOf('ethanol-water', 0, { apparatus: { ...SIMPLE, heaterW: 240, heatShare: 0.8 } });
  const standing = setUp(setup).standing;
  const kJ = kJToBoil(setup, standing);

  it('is the heat over what is left of the power, half of the loss at the boil taken off', () => {
    // 0.16 W/K × 80 K are lost at the boil; half of it on the way: 192 − 6.4 W, 0.06 kJ a minute for each.
    expect(heatingMin(setup, standing, 240)).toBeCloseTo(kJ / ((192 - 6.4) * 0.06), 1);
  });

  it('never ends where the flask loses at the boil all that it is given', () => {
    expect(heatingMin(setup, standing, 15)).toBe(Number.POSITIVE_INFINITY);
    expect(heatingMin(setup, standing, 17)).toBeLessThan(Number.POSITIVE_INFINITY);
  });
});

describe('how full a flask is', () => {
  const charged = (share: number, foams: boolean) => {
    const run = distil(setupOf('ethanol-water', 10));
    const apparatus = { ...SIMPLE, flaskMl: run.chargeMl / share };
    const said = warningsOf(distil(setupOf('ethanol-water', 10, { apparatus })), { foams });
    return said.some(({ id }) => id === 'overfull');
  };

  it('is said from two thirds on, and of what foams from two fifths on', () => {
    expect(charged(0.66, false)).toBe(false);
    expect(charged(0.68, false)).toBe(true);
    expect(charged(0.39, true)).toBe(false);
    expect(charged(0.41, true)).toBe(true);
  });

  it('ends with a hundredth of the charge in it', () => {
    const run = distil(setupOf('ethanol-water', 10));
    const last = run.minutes.length - 1;
    const left = 1 - (run.over1[last]! + run.over2[last]!) / (run.setup.charge.first + run.setup.charge.second);
    expect(left).toBeGreaterThan(0.005);
    expect(left).toBeLessThan(0.02);
  });
});
