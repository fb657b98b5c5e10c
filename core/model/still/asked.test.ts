import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { USUAL_STILL } from '#matter/gear';
import {
  atMl,
  boil,
  caughtBetween,
  chargeOf,
  deviates,
  distil,
  firstDrop,
  fit as fitReadings,
  fitStill,
  type Instant,
  mixtureById,
  mlAfter,
  mlAtGrams,
  outlook,
  planCut,
  pointAt,
  readingsFrom,
  reviewOf,
  type StillAsked,
  type StillFit,
  scaledTo,
  still,
} from './index.ts';

const acid: StillAsked = {
  first: 'hydrochloric-acid',
  second: 'water',
  pressureHPa: 1009,
  grams: 650,
  pct: 18,
  staying: [],
  apparatus: USUAL_STILL,
  airC: 16,
  wanted: null,
};
const nitric: StillAsked = { ...acid, first: 'nitric-acid' };
const warned = (asked: StillAsked) => unwrap(still(asked)).warnings.map(({ id }) => id);

describe('a charge', () => {
  it('of 28 % hydrochloric acid sends gas first: said, with the water that stops it', () => {
    const found = unwrap(still({ ...acid, pct: 28 })).warnings.find(({ id }) => id === 'gas-first')!;
    // 650 g at 28 % are 182 g; at 18 % that is 1011 g: 361 g of water more.
    expect(found.text).toMatch(/361 g of water bring it to 18 %/);
    expect(found.text).toContain('hydrogen chloride');
    expect(warned(acid)).not.toContain('gas-first');
  });

  it('of nitric acid past its azeotrope is refused with the water to add; beside sulfuric acid far sooner', () => {
    const past = still({ ...nitric, pct: 75 });
    expect(past).toMatchObject({ ok: false, problem: { code: 'beyond-scope' } });
    expect(past.ok ? '' : past.problem.message).toMatch(/Add \d+ g of water/);
    expect(still({ ...nitric, pct: 68 }).ok).toBe(true);
    const beside = { ...nitric, pct: 55, staying: [{ substanceId: 'sulfuric-acid', grams: 300 }] };
    expect(still(beside)).toMatchObject({ ok: false });
    expect(still({ ...beside, staying: [] }).ok).toBe(true);
    // As much water as it says makes it good.
    const refused = still(beside);
    const water = Number(/Add ([\d.]+) g/.exec(refused.ok ? '' : refused.problem.message)![1]);
    const grams = beside.grams + water;
    expect(still({ ...beside, grams, pct: (55 * beside.grams) / grams }).ok).toBe(true);
  });

  it('that is more than the flask, or more than two thirds of it, is told', () => {
    expect(warned({ ...acid, grams: 1300 })).toContain('overfull');
    expect(warned({ ...acid, grams: 900 })).toContain('overfull');
    expect(warned({ ...acid, grams: 500 })).not.toContain('overfull');
    expect(warned({ ...acid, grams: 500, foams: true })).toEqual(expect.arrayContaining(['overfull', 'foam']));
  });

  it('is told what overwhelms the condenser, the thermometer, the flask', () => {
    expect(
      warned({ ...acid, apparatus: { ...USUAL_STILL, condenser: { by: 'water', mlPerMin: 5, inC: 12 } } }),
    ).toContain('condenser');
    expect(warned({ ...acid, apparatus: { ...USUAL_STILL, condenser: { by: 'air' } } })).toEqual(
      expect.arrayContaining(['condenser', 'air-condenser']),
    );
    expect(warned({ ...acid, apparatus: { ...USUAL_STILL, thermometer: { minC: -10, maxC: 105 } } })).toContain(
      'thermometer',
    );
    expect(warned({ ...acid, apparatus: { ...USUAL_STILL, heaterW: 0 } })).toContain('no-heat');
    expect(warned({ ...acid, bathC: 90 })).toContain('no-heat');
    expect(warned({ ...acid, pressureHPa: 200, outsideHPa: 1009 })).toContain('vacuum');
    expect(warned({ ...acid, first: 'ethanol', pct: 50 })).toContain('flammable');
    expect(warned({ ...acid, first: 'acetic-acid', pct: 8 })).not.toContain('flammable');
    expect(warned({ ...acid, first: 'ethanol', second: 'ethyl-salicylate', heldBackMl: 40 })).toContain('return');
  });

  it('of spirit says that no still gets past the azeotrope, from both sides', () => {
    const said = (pct: number) =>
      unwrap(still({ ...acid, first: 'ethanol', pct })).warnings.find(({ id }) => id === 'azeotrope')!.text;
    expect(said(50)).toMatch(/No still gets ethanol past/);
    expect(said(98)).toMatch(/gives that azeotrope first/);
  });

  it('asked the other way about comes to the same', () => {
    const a = unwrap(still(acid));
    const b = unwrap(still({ ...acid, first: 'water', second: 'hydrochloric-acid', pct: 82 }));
    expect(b.points[5]!.headC).toBeCloseTo(a.points[5]!.headC, 6);
    expect(
      unwrap(boil({ first: 'water', second: 'hydrochloric-acid', pct: 80, pressureHPa: 1013 })).boilsAtC,
    ).toBeCloseTo(108.56, 1);
  });

  it('that cannot be is refused, in a sentence', () => {
    for (const wrong of [
      { ...acid, pct: 60 },
      { ...acid, first: 'sand' },
      { ...acid, second: 'ethanol' },
      { ...acid, staying: [{ substanceId: 'unobtainium', grams: 5 }] },
      { ...acid, first: 'sulfuric-acid', pct: 80 },
    ]) {
      const found = still(wrong);
      expect(found.ok).toBe(false);
      if (!found.ok) expect(found.problem.message).toMatch(/[.]$/);
    }
  });
});

describe('a cut', () => {
  const run = distil({
    mixture: mixtureById('hydrogen-chloride-water', 1009),
    charge: chargeOf(mixtureById('hydrogen-chloride-water', 1009), 650, 18),
    apparatus: USUAL_STILL,
    airC: 16,
  });

  it('is the most that is so strong, and no cut of it holds more', () => {
    const { best } = planCut(run, { by: 'strength', pct: 20 });
    expect(best!.pct).toBeGreaterThanOrEqual(20);
    const check = caughtBetween(run, best!.fromMl, best!.toMl);
    expect(check.pct).toBeCloseTo(best!.pct, 3);
    expect((100 * check.n1) / run.setup.charge.first).toBeCloseTo(best!.recoveryPct, 3);
    for (const [from, to] of [
      [200, 590],
      [240, 600],
      [260, 560],
    ])
      if (caughtBetween(run, from!, to!).pct >= 20)
        expect((100 * caughtBetween(run, from!, to!).n1) / run.setup.charge.first).toBeLessThan(
          best!.recoveryPct + 0.7,
        );
  });

  it('costs strength for amount, all along the trade-off', () => {
    const { tradeOff, strongest } = planCut(run, { by: 'recovery', pct: 50 });
    for (const [i, cut] of tradeOff.entries()) {
      const next = tradeOff[i + 1];
      if (next) expect(next.pct).toBeLessThan(cut.pct);
    }
    expect(strongest!.pct).toBeLessThanOrEqual(20.3);
    expect(planCut(run, { by: 'strength', pct: 25 }).best).toBeNull();
  });
});

describe('what readings say', () => {
  const mixture = mixtureById('hydrogen-chloride-water', 994);
  const prior = { pct: 18, pctSd: 0.5, platesSd: 0.3, heatSd: 0.15, grams: 650 };

  function fitted(seed: number, count: number): { found: StillFit; truth: readonly number[] } {
    const normal = deviates(seed);
    const truth = [
      18 + 0.5 * normal(),
      Math.max(1, 1.3 + 0.3 * normal()),
      Math.min(0.99, 0.8 * Math.exp(0.15 * normal())),
    ];
    const [pct = 18, plates = 1, heatShare = 1] = truth;
    const run = distil({
      mixture,
      charge: chargeOf(mixture, 650, pct),
      apparatus: { ...USUAL_STILL, plates, heatShare },
      airC: 16,
    });
    const readings = Array.from({ length: count }, (_, k) => {
      const minutes = (k * 30) / count;
      const ml = mlAfter(run, run.minutes[0]! + minutes);
      return {
        minutes,
        headC: atMl(run, 'headC', ml) + 0.1 * normal(),
        potC: atMl(run, 'potC', ml) + 0.1 * normal(),
        overMl: ml + normal(),
      };
    });
    const search = fitStill({ mixture, apparatus: USUAL_STILL, prior, airC: 16, readings });
    for (;;) {
      const step = search.next();
      if (step.done) return { found: step.value, truth };
      expect(step.value).toBeLessThanOrEqual(1);
    }
  }

  it('finds strength, plates and heat within its own band nine times in ten', () => {
    const within = [0, 0, 0];
    const runs = 20;
    for (let seed = 1; seed <= runs; seed++) {
      const { found, truth } = fitted(seed * 7919, 40);
      for (const [i, { value, sd }] of [found.pct, found.plates, found.heatShare].entries())
        if (Math.abs(value - truth[i]!) < 2 * sd) within[i]!++;
    }
    for (const count of within) expect(count).toBeGreaterThanOrEqual(0.9 * runs);
  });

  it('says less the fewer they are, and what is known beforehand where they say nothing', () => {
    const [few, many] = [fitted(5, 4).found, fitted(5, 120).found];
    expect(many.pct.sd).toBeLessThan(few.pct.sd);
    expect(few.pct.sd).toBeLessThan(prior.pctSd);
  });

  it('refuses readings that go back, and too few of them', () => {
    const asked = { still: acid, pctSd: 0.5, platesSd: 0.3, heatSd: 0.2 };
    expect(fitReadings({ ...asked, readings: [{ minutes: 1, headC: 107 }] })).toMatchObject({ ok: false });
    const back = fitReadings({
      ...asked,
      readings: [
        { minutes: 1, overMl: 40 },
        { minutes: 5, overMl: 60 },
        { minutes: 9, overMl: 20 },
      ],
    });
    expect(back.ok ? '' : back.problem.message).toMatch(/less than the 60 of before/);
  });

  it('says so where nothing of the kind could have been read', () => {
    const far = Array.from({ length: 12 }, (_, k) => ({ minutes: k, headC: 95, potC: 96, overMl: 4 * k }));
    expect(unwrap(fitReadings({ still: acid, pctSd: 0.3, platesSd: 0.3, heatSd: 0.1, readings: far })).misfit).toMatch(
      /times its uncertainty off/,
    );
  });
});

describe('instruments', () => {
  const instant = (minutes: number, massG: number, receiver = 0): Instant => ({
    minutes,
    headC: 107,
    potC: 107.2,
    massG,
    watts: 240,
    receiver,
  });

  it('tell the first drop, and carry mass over a change of receiver', () => {
    const shown = [
      instant(0, 0),
      instant(10, 0.2),
      instant(20, 2),
      instant(21, 6),
      instant(26, 26),
      instant(27, 0.3, 1),
      instant(30, 12, 1),
    ];
    expect(firstDrop(shown)).toBeGreaterThan(15);
    expect(firstDrop(shown.slice(0, 2))).toBeNull();
    const readings = readingsFrom(shown, 240);
    expect(readings.at(-1)!.overG).toBeCloseTo(38, 6);
    for (const [i, { overG }] of readings.entries())
      if (i > 0) expect(overG!).toBeGreaterThanOrEqual(readings[i - 1]!.overG!);
  });

  it('count half the heat as half the time', () => {
    const full = [instant(0, 0), instant(20, 2), instant(40, 80)];
    const half = full.map((each) => ({ ...each, watts: 120 }));
    expect(readingsFrom(half, 240).at(-1)!.minutes / readingsFrom(full, 240).at(-1)!.minutes).toBeCloseTo(0.5, 6);
  });
});

describe('what is ahead', () => {
  const { points } = unwrap(still(acid));

  it('is the time to the change, at this heat', () => {
    const at = (power: number) => outlook(points, { fromMl: 100, toMl: 150, power, heatSd: 0.05 });
    expect(at(0.5).minutes).toBeCloseTo(2 * at(1).minutes, 6);
    expect(at(0).minutes).toBe(Number.POSITIVE_INFINITY);
    expect(at(1).headC).toBeCloseTo(pointAt(points, 'headC', 150), 6);
    expect(outlook(points, { fromMl: 200, toMl: 150, power: 1, heatSd: 0.05 }).minutes).toBe(0);
    expect(mlAtGrams(points, pointAt(points, 'overG', 222))).toBeCloseTo(222, 0);
  });
});

describe('a rehearsal', () => {
  it('is told against the best there is: too early, too late, as good', () => {
    const mixture = mixtureById('hydrogen-chloride-water', 1009);
    const setup = { mixture, charge: chargeOf(mixture, 650, 18), apparatus: USUAL_STILL, airC: 16 };
    const run = distil(setup);
    const played = (a: number, b: number, c: number) => [
      caughtBetween(run, 0, a),
      caughtBetween(run, a, b),
      caughtBetween(run, b, c),
    ];
    const minutes = run.minutes.at(-1)!;
    const early = reviewOf(setup, { caught: played(20, 60, 600), kept: 2, wantedPct: 19.8, minutes });
    expect(early.says[0]).toMatch(/switched to too early/);
    const late = reviewOf(setup, { caught: played(20, 450, 600), kept: 2, wantedPct: 19.8, minutes });
    expect(late.says.join(' ')).toMatch(/went into the other receivers/);
    const slow = reviewOf(setup, { caught: played(20, 230, 600), kept: 2, wantedPct: 19.8, minutes: 3 * minutes });
    expect(slow.says.join(' ')).toMatch(/at full heat from the start/);
    expect(reviewOf(setup, { caught: [], kept: 2, wantedPct: 20, minutes: 1 }).says[0]).toMatch(/Nothing was caught/);
  });

  it('scales one charge to the rest of the bottle', () => {
    expect(scaledTo({ chargeG: 450, productG: 300, hours: 3 }, 1000, 4)).toMatchObject({ charges: 3, cost: 4 });
    expect(scaledTo({ chargeG: 450, productG: 300, hours: 3 }, 1000, null).productG).toBeCloseTo(666.7, 1);
    expect(scaledTo({ chargeG: 0, productG: 0, hours: 0 }, 1000, null).charges).toBe(0);
  });
});
