import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { derive, given, sdOf } from '#base/figure';
import { unwrap } from '#base/problem';
import { uncertain } from '#base/units';
import { indicators } from '#matter/data';
import { type Bench, BenchDefaults } from '#matter/gear';
import { parseLabel } from '#matter/label';
import { balance } from '#matter/reaction';
import { contentOf, type ShelfBottle } from '#matter/stock';
import { molarMass, substanceById } from '#matter/substance';
import { acidsToEnd, basesToEnd, dryGasMol, methodById, methods, standardOf, waterVapourHPa } from '#model/method';
import { type AssayBody, type AssayEntry, type AssayPlan, assayState, methodsFor, statisticsOf } from './index.ts';

const bench: Bench = {
  ...BenchDefaults,
  gear: ['burette', 'dropper bottle', 'oven', 'thermometer', 'gas jar over water', 'hydrometer'],
};
const bottle = (id: string, label: string): ShelfBottle => ({
  id,
  card: parseLabel(label, '2026-11-01', 20).card!,
  usedG: 0,
  archived: false,
});
const shelf = [
  bottle('per', 'hydrogen peroxide 3% 250 mL'),
  bottle('mn', 'potassium permanganate 0.0200 mol/L 500 mL'),
  bottle('lye', 'sodium hydroxide 0.1 mol/L 1 L'),
  bottle('khp', 'potassium hydrogen phthalate 99.9% 100 g'),
  bottle('acid', 'hydrochloric acid 1 mol/L 1 L'),
  bottle('soda', 'soda ash 99.5% 500 g'),
];
const of = (id: string) => shelf.find((each) => each.id === id)!;
const shelved = (id: string) => {
  const { archived: _, ...rest } = of(id);
  return rest;
};

const plan = (change: Partial<AssayPlan>): AssayPlan => ({
  id: 'assay_test01',
  bottle: shelved('per'),
  methodId: 'permanganate',
  turned: false,
  known: [shelved('mn')],
  byMass: true,
  sampleG: 1.2,
  dilution: null,
  indicator: null,
  tolerancePct: 1,
  bench,
  day: '2026-11-01',
  ...change,
});

let count = 0;
const entry = (body: AssayBody): AssayEntry => ({ id: `ev_${++count}`, happenedAt: '2026-11-01T10:00:00Z', body });
const read = (replicate: string, name: string, value: number) => entry({ kind: 'read', replicate, name, value });
const ended = (replicate: string, as: 'sign' | 'past' | 'spoilt' = 'sign') =>
  entry({ kind: 'ended', replicate, as, note: '' });
/** A replicate of a titration by mass: sample, dropper bottle before and after. */
const rep = (key: string, sampleG: number, from: number, to: number) => [
  read(key, 'sampleG', sampleG),
  read(key, 'level', from),
  read(key, 'level', to),
  ended(key),
];

describe('methods', () => {
  const pairs = methods.flatMap((method) =>
    method.is === 'titration' ? method.pairs.map((pair) => ({ method: method.id, pair })) : [],
  );

  it('titrate substances that are there, to signs that are there', () => {
    for (const { method, pair } of pairs) {
      expect(substanceById(pair.flask), `${method} ${pair.flask}`).toBeDefined();
      expect(substanceById(pair.burette), `${method} ${pair.burette}`).toBeDefined();
      expect(
        indicators.some(({ id }) => id === pair.indicator),
        pair.indicator,
      ).toBe(true);
      expect(pair.ratio).toBeGreaterThan(0);
    }
  });

  it('rest on reactions that balance', () => {
    const reactions = pairs.flatMap(({ pair }) => pair.reaction.split('; ')).filter((each) => !/AgCl|H2C10/.test(each));
    for (const text of new Set(reactions)) {
      const balanced = unwrap(balance(text.replace(/(?<=^|\s)\d+ /g, '')));
      const written = [...text.matchAll(/(?:^|\s)(?:(\d+) )?([A-Z(][^\s]*)/g)].map((each) => Number(each[1] ?? 1));
      expect([...balanced.coefficients], text).toEqual(written);
    }
  });

  it('take as many protons as their reactions say', () => {
    for (const { reaction, protons } of [...acidsToEnd, ...basesToEnd]) {
      const brought = /(?:(\d) )?(?:OH-|H\+)/.exec(reaction);
      expect(Number(brought?.[1] ?? 1), reaction).toBe(protons);
    }
  });

  it('know every standard of the table that is held here, by how it is prepared', () => {
    expect(standardOf('sodium-carbonate')?.preparation).toMatch(/bake/);
    expect(standardOf('sodium-hydroxide')).toBeUndefined();
  });
});

describe('a peroxide bottle by weighed permanganate', () => {
  // By hand: 1.21 g, 21.00 g of 0.02 mol/L at 0.998 + 0.0019 g/mL; n = 21.00/1.000 × 0.02e-3 × 2.5; M 34.014.
  const once = unwrap(assayState(plan({}), rep('1', 1.21, 148.36, 127.36)));

  it('finds what a hand calculation finds', () => {
    const gPerMl = of('mn').card.gPerMl!;
    const molPerG = 0.02 / 1000 / gPerMl;
    expect(once.result?.w.value).toBeCloseTo((100 * 21.0 * molPerG * 2.5 * 34.0147) / 1.21, 3);
    expect(once.replicates[0]!.titre?.value).toBeCloseTo(21, 9);
  });

  it('says where its uncertainty comes from, and sums to one', () => {
    expect(once.result?.budget.map(({ name }) => name)).toContain('sample weighing');
    expect(once.result?.budget.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
  });

  it('takes the blank off', () => {
    const blank = [read('b1', 'level', 100), read('b1', 'level', 99.5), ended('b1')];
    const less = unwrap(assayState(plan({}), [...blank, ...rep('1', 1.21, 148.36, 127.36)]));
    expect(less.result!.w.value / once.result!.w.value).toBeCloseTo(20.5 / 21, 6);
  });

  it('says that a blank above the titre cannot be, and loses nothing', () => {
    const blank = [read('b1', 'level', 100), read('b1', 'level', 50), ended('b1')];
    const state = unwrap(assayState(plan({}), [...blank, ...rep('1', 1.21, 148.36, 127.36)]));
    expect(state.result).toBeNull();
    expect(state.replicates[0]!.problem?.message).toMatch(/blank took more/);
    expect(state.replicates[0]!.titre?.value).toBeCloseTo(21, 9);
  });

  it('counts what went out over a filling up', () => {
    const filled = [
      read('1', 'sampleG', 1.21),
      read('1', 'level', 110),
      entry({ kind: 'refilled', replicate: '1', from: 100, to: 150 }),
      read('1', 'level', 139),
      ended('1'),
    ];
    expect(unwrap(assayState(plan({}), filled)).replicates[0]!.titre?.value).toBeCloseTo(21, 9);
  });

  it('leaves out what is past, spoilt or left out, and takes back what is withdrawn', () => {
    const past = [...rep('1', 1.21, 148.36, 127.36).slice(0, 3), ended('1', 'past')];
    const two = rep('2', 1.2, 127, 106);
    expect(unwrap(assayState(plan({}), [...past, ...two])).statistics?.n).toBe(1);
    const out = entry({ kind: 'left-out', replicate: '2', out: true, why: 'splashed' });
    expect(unwrap(assayState(plan({}), [...two, out])).result).toBeNull();
    const back = entry({ kind: 'withdrawn', of: out.id });
    expect(unwrap(assayState(plan({}), [...two, out, back])).statistics?.n).toBe(1);
  });

  it('tells how far it still is, from the label first, from the replicate before afterwards', () => {
    const begun = unwrap(assayState(plan({}), [read('1', 'sampleG', 1.21), read('1', 'level', 148.36)]));
    expect(begun.advice.reads).toBe('level');
    expect(begun.advice.headline).toMatch(/Run in to about/);
    const second = [
      ...rep('1', 1.21, 148.36, 127.36),
      read('2', 'sampleG', 1.21),
      read('2', 'level', 120),
      read('2', 'level', 99.6),
    ];
    const near = unwrap(assayState(plan({}), second));
    expect(near.advice.expected?.titre).toBeCloseTo(21, 6);
    expect(near.advice.headline).toMatch(/Slow down: about 0\.6 g|By drops/);
    const over = unwrap(assayState(plan({}), [...second.slice(0, -1), read('2', 'level', 95)]));
    expect(over.advice.headline).toMatch(/More than was expected/);
  });

  it('keeps every reading in any order, and never makes a number that is none', () => {
    const some = fc.array(
      fc.oneof(
        fc.record({
          kind: fc.constant('read' as const),
          replicate: fc.constantFrom('1', '2', 'b1'),
          name: fc.constantFrom('sampleG', 'level'),
          value: fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        }),
        fc.record({
          kind: fc.constant('ended' as const),
          replicate: fc.constantFrom('1', '2', 'b1'),
          as: fc.constantFrom('sign' as const, 'past' as const, 'spoilt' as const),
          note: fc.constant(''),
        }),
        fc.record({
          kind: fc.constant('refilled' as const),
          replicate: fc.constantFrom('1', 'b1'),
          from: fc.double({ min: 0, max: 50, noNaN: true }),
          to: fc.double({ min: 0, max: 50, noNaN: true }),
        }),
        fc.record({
          kind: fc.constant('left-out' as const),
          replicate: fc.constantFrom('1', '2'),
          out: fc.boolean(),
          why: fc.constant(''),
        }),
      ),
      { maxLength: 14 },
    );
    fc.assert(
      fc.property(some, (bodies) => {
        const state = assayState(plan({}), bodies.map(entry));
        expect(state.ok).toBe(true);
        if (state.ok) expect(JSON.stringify(state.value)).not.toMatch(/null,"unit":"%"/);
        if (state.ok && state.value.result) expect(Number.isFinite(state.value.result.w.value)).toBe(true);
      }),
    );
  });
});

describe('a chain of standards', () => {
  it('carries the uncertainty of the standard on, and cancels what both share', () => {
    const acid = plan({
      id: 'assay_chain1',
      bottle: shelved('acid'),
      methodId: 'acid-base',
      turned: true,
      known: [shelved('soda')],
      byMass: true,
      sampleG: 1,
    });
    // 1.000 g of 99.5 % soda is 9.388 mmol, 18.776 mmol of acid; 19.0 g of it: 0.9882 mol/kg, 3.603 %.
    const found = unwrap(assayState(acid, [...rep('1', 1.0, 100, 81), ...rep('2', 1.0, 81, 62)]));
    expect(found.result?.w.value).toBeCloseTo((100 * 0.995 * 2 * 36.4579) / 105.988 / 19, 3);
    expect(found.result?.w.uncertainty).toHaveProperty('label:soda');
    const strength = found.result!.w;
    const card = {
      ...of('acid').card,
      strength: { value: strength.value, unit: 'w/w' as const },
      assayed: true,
      measured: {
        assayId: acid.id,
        method: 'soda',
        day: '2026-11-01',
        sources: Object.entries(strength.uncertainty).map(([id, { name, effect }]) => ({ id, name, effect })),
      },
    };
    const base = plan({
      id: 'assay_chain2',
      bottle: shelved('lye'),
      methodId: 'acid-base',
      known: [{ id: 'acid', card, usedG: 0 }],
      sampleG: 20,
    });
    const lye = unwrap(assayState(base, rep('1', 20, 62, 60)));
    expect(lye.result?.w.uncertainty).toHaveProperty('label:soda');
  });
});

describe('published uncertainty', () => {
  // EURACHEM/CITAC CG 4, QUAM:2012, example A2: NaOH standardised with potassium hydrogen phthalate, 0.10214 ± 0.00010 (standard).
  it('of a standardised alkali is the worked example’s within two per cent', () => {
    const x = (symbol: string, value: number, sd: number) =>
      given({ symbol, name: symbol, unit: '' }, uncertain(value, sd, { id: symbol, name: symbol }), 'QUAM');
    const c = derive(
      { symbol: 'c', name: 'c(NaOH)', unit: 'mol/L' },
      '1000 × m × P ÷ (M × V) × r',
      {
        m: x('m', 0.3888, 0.00013),
        P: x('P', 1, 0.00029),
        M: x('M', 204.2212, 0.0038),
        V: x('V', 18.64, 0.013),
        r: x('r', 1, 0.0005),
      },
      (v) => ((1000 * v.m * v.P) / (v.M * v.V)) * v.r,
    );
    expect(c.value).toBeCloseTo(0.10214, 5);
    expect(sdOf(c) / 0.0001).toBeGreaterThan(0.95);
    expect(Math.abs(sdOf(c) / c.value / 0.00097 - 1)).toBeLessThan(0.02);
  });
});

describe('statistics', () => {
  it('of replicates are Student’s and Grubbs’, shown and never applied', () => {
    // Five determinations, by hand: mean 10.02, sd 0.0837, t(4) 2.776.
    const five = statisticsOf([10.0, 10.1, 9.9, 10.1, 10.0])!;
    expect(five.mean).toBeCloseTo(10.02, 9);
    expect(five.sd).toBeCloseTo(0.08367, 4);
    expect(five.tHalf).toBeCloseTo((2.776 * 0.08367) / Math.sqrt(5), 4);
    expect(five.outlier).toBeNull();
    // ISO 5725 style: 5.29 among 4.8s is beyond 1.672 of six? by hand G = 1.97 > 1.887.
    expect(statisticsOf([4.8, 4.81, 4.79, 4.8, 4.82, 5.29])?.outlier?.index).toBe(5);
    expect(statisticsOf([])).toBeUndefined();
    expect(statisticsOf([3])).toMatchObject({ n: 1, sd: null, tHalf: null, outlier: null });
  });
});

describe('gas over water', () => {
  it('has the vapour pressure of the tables taken off', () => {
    // CRC: 23.39 hPa at 20 °C, 31.70 at 25 °C, 6.113 at 0 °C.
    expect(waterVapourHPa(20)).toBeCloseTo(23.39, 1);
    expect(waterVapourHPa(25)).toBeCloseTo(31.7, 1);
    expect(waterVapourHPa(0)).toBeCloseTo(6.113, 2);
  });

  it('counts as moles of dry gas', () => {
    const of = (value: number) => given({ symbol: 'x', name: 'x', unit: '' }, value, 'read');
    // 200 mL at 20 °C and 1013.25 hPa: (1013.25 − 23.4) × 0.2 / (83.145 × 293.15) = 8.122 mmol.
    expect(dryGasMol({ volumeMl: of(200), tempC: of(20), hPa: of(1013.25) }).value).toBeCloseTo(0.008122, 5);
  });
});

describe('choosing', () => {
  it('ranks what can be begun and reaches the tolerance first, and says what is wanting', () => {
    const choices = unwrap(methodsFor({ bottle: shelved('acid'), shelf, bench, day: '2026-11-01', tolerancePct: 1 }));
    expect(choices[0]!.title).toMatch(/against a weighed standard/);
    expect(choices[0]!.design!.reachesPct).toBeLessThan(1);
    expect(choices.at(-1)!.wanting.length).toBeGreaterThan(0);
  });

  it('offers something for every substance that is sold in solution, with amounts that are numbers', () => {
    for (const each of shelf) {
      for (const { design } of unwrap(methodsFor({ bottle: each, shelf, bench, day: '2026-11-01', tolerancePct: 1 }))) {
        if (!design) continue;
        expect(design.reachesPct).toBeGreaterThan(0);
        expect(Number.isFinite(design.plan.sampleG) && design.plan.sampleG > 0, design.plan.methodId).toBe(true);
        if (design.titre !== null) expect(design.titre).toBeLessThan(60);
      }
    }
  });

  it('says that a label without a strength must be guessed first', () => {
    const nought = { ...of('acid'), card: { ...of('acid').card, strength: { value: 0, unit: 'w/w' as const } } };
    expect(methodsFor({ bottle: nought, shelf, bench, day: '2026-11-01', tolerancePct: 1 })).toMatchObject({
      ok: false,
    });
  });
});

describe('methods that measure', () => {
  const measured = (
    methodId: string,
    id: string,
    values: Readonly<Record<string, number>>,
    change: Partial<AssayPlan> = {},
  ) => {
    const draft = plan({ methodId, bottle: shelved(id), known: [], ...change });
    const entries = Object.entries(values).map(([name, value]) => read('1', name, value));
    return unwrap(assayState(draft, [...entries, ended('1')]));
  };

  it('peroxide by its oxygen', () => {
    // 200 mL at 20 °C, 1013 hPa: 8.12 mmol of O2, 16.24 of peroxide, 0.5524 g in 18 g: 3.07 %.
    expect(
      measured('gas', 'per', { sampleG: 18, gasMl: 200, addedMl: 0, tempC: 20, hPa: 1013 }).result?.w.value,
    ).toBeCloseTo(3.069, 2);
  });

  it('acid by the zinc it eats', () => {
    // 1.19 g of zinc is 18.2 mmol, 36.4 mmol HCl, 1.327 g in 36.6 g.
    expect(measured('metal', 'acid', { sampleG: 36.6, beforeG: 5, afterG: 3.81 }).result?.w.value).toBeCloseTo(
      3.626,
      2,
    );
    const all = measured('metal', 'acid', { sampleG: 36.6, beforeG: 5, afterG: 0 });
    expect(all.replicates[0]!.problem?.message).toMatch(/All metal is gone/);
  });

  it('soda by what it loses, refusing weighings that contradict each other', () => {
    expect(measured('drying', 'soda', { dishG: 30, beforeG: 32, afterG: 31.9 }).result?.w.value).toBeCloseTo(95, 6);
    expect(measured('drying', 'soda', { dishG: 32, beforeG: 30, afterG: 31 }).replicates[0]!.problem?.message).toMatch(
      /no more than the empty dish/,
    );
  });

  it('acid by the weight of a measured volume, air taken into account', () => {
    // CRC: 10 % hydrochloric acid is 1.0476 g/mL at 20 °C; on a balance in air 100 mL of it weigh 104.66 g.
    const strong = {
      bottle: { ...shelved('acid'), card: parseLabel('hydrochloric acid 10% 1 L', '2026-11-01', 20).card! },
    };
    expect(measured('density', 'acid', { grams: 104.66, mL: 100, tempC: 20 }, strong).result?.w.value).toBeCloseTo(
      10,
      1,
    );
  });

  const bottleOf = (label: string) => ({
    bottle: { id: 'x', card: parseLabel(label, '2026-11-01', 20).card!, usedG: 0 },
  });
  const molPerG = (id: string) => {
    const { w, substance } = unwrap(contentOf(shelved(id), 20));
    return w.value / 100 / molarMass(substance.formula);
  };

  it('acid by a hydrometer', () => {
    // 1.0476 g/mL against 0.9982 of water.
    const strong = bottleOf('hydrochloric acid 10% 1 L');
    expect(measured('hydrometer', 'acid', { gravity: 1.0495, tempC: 20 }, strong).result?.w.value).toBeCloseTo(10, 1);
  });

  it('salt by its silver chloride, copper by the copper it throws down', () => {
    // 1.200 g of AgCl are 8.3729 mmol (143.32), 0.48931 g of NaCl (58.44) in 0.500 g.
    const salt = bottleOf('sodium chloride 98% 500 g');
    expect(measured('gravimetric', 'acid', { sampleG: 0.5, paperG: 1, withG: 2.2 }, salt).result?.w.value).toBeCloseTo(
      97.86,
      1,
    );
    // 0.5 g of copper (63.546) are 7.868 mmol, 1.9645 g of the pentahydrate (249.68) in 2 g.
    const blue = bottleOf('copper sulfate pentahydrate 98% 500 g');
    expect(measured('gravimetric', 'acid', { sampleG: 2, paperG: 1, withG: 1.5 }, blue).result?.w.value).toBeCloseTo(
      98.23,
      1,
    );
  });

  it('bluestone by the water it loses', () => {
    // 5 H2O are 90.075 of 249.68, 36.08 %: 1.75 g lost of 5.00 g.
    const blue = bottleOf('copper sulfate pentahydrate 98% 500 g');
    expect(measured('ignition', 'acid', { dishG: 30, beforeG: 35, afterG: 33.25 }, blue).result?.w.value).toBeCloseTo(
      97.02,
      1,
    );
  });

  it('hydroxide beside its carbonate, by two ends', () => {
    const lye = { ...bottleOf('sodium hydroxide 97% 1 kg'), known: [shelved('acid')] };
    const { result } = measured('two-ends', 'acid', { sampleG: 0.8, first: 20, total: 21 }, lye);
    // Hydroxide takes 2 × 20 − 21 = 19 g of the acid.
    expect(result?.w.value).toBeCloseTo((19 * molPerG('acid') * 39.997 * 100) / 0.8, 3);
    const none = measured('two-ends', 'acid', { sampleG: 0.8, first: 10, total: 21 }, lye);
    expect(none.replicates[0]!.problem?.message).toMatch(/no hydroxide is left/);
  });

  it('ammonia by the acid that it took', () => {
    const ammonia = { ...bottleOf('ammonia 9.5% 1 L'), known: [shelved('acid'), shelved('lye')] };
    const { result } = measured('back', 'acid', { sampleG: 2, acid: 20, alkali: 50 }, ammonia);
    expect(result?.w.value).toBeCloseTo(((20 * molPerG('acid') - 50 * molPerG('lye')) * 17.031 * 100) / 2, 3);
    const wrong = measured('back', 'acid', { sampleG: 2, acid: 1, alkali: 50 }, ammonia);
    expect(wrong.replicates[0]!.problem?.message).toMatch(/More alkali went in/);
  });

  it('a colour between two glasses, diluted', () => {
    const blue = bottleOf('copper sulfate 10% solution 500 mL');
    const { result } = measured('colour', 'acid', { weaker: 0.8, stronger: 1.2, times: 10 }, blue);
    expect(result?.w.value).toBeCloseTo(10, 9);
    expect(result!.relativePct).toBeGreaterThan(15);
  });

  it('acid by the pH of its dilution, about', () => {
    // 3.6 % is 0.99 mol/L; 1 g in 100 is 0.0099: pH 2.05 (CRC activity of HCl 0.904).
    const { result } = measured('strip', 'acid', { sampleG: 1, toG: 100, low: 1.9, high: 2.2 });
    expect(result!.w.value).toBeGreaterThan(2.2);
    expect(result!.w.value).toBeLessThan(5.5);
    expect(result!.relativePct).toBeGreaterThan(30);
    expect(
      measured('strip', 'acid', { sampleG: 1, toG: 100, low: 11, high: 12 }).replicates[0]!.problem?.message,
    ).toMatch(/alkaline/);
    expect(
      measured('strip', 'acid', { sampleG: 1, toG: 100, low: 3, high: 2 }).replicates[0]!.problem?.message,
    ).toMatch(/not below/);
  });

  it('says what is still to read', () => {
    expect(measured('gas', 'per', { sampleG: 18 }).replicates[0]!.problem?.message).toMatch(
      /Still to read: gas in the jar/,
    );
  });

  it('each have a name and say what misleads them', () => {
    for (const { id, title, besides } of methods) {
      expect(methodById(id)?.title).toBe(title);
      expect(besides.length).toBeGreaterThan(5);
    }
  });
});
