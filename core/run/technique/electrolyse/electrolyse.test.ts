import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import { amountOf, at, massOverAll } from '#matter/vessel';
import { FARADAY } from '#model/cell';
import { sheetOf } from '#run/sheet';
import { on } from '#testing/on-route';
import { times } from '#testing/property';
import { atStep, standingWith, vesselOf } from '#testing/standing';
import { techniques } from '../catalogue.ts';

const epsom = 'magnesium sulfate heptahydrate 99% 2 kg';
const copper = on('copper-sulfate-by-cell', '45 g copper sulfate', {
  salt: epsom,
  'pot-salt': epsom,
  strap: 'copper 99% 500 g',
}).plan;
const acid = on('acid-by-cell', '250 mL 0.5 mol/L sulfuric acid', {
  copper: 'copper sulfate pentahydrate 99% 1 kg',
}).plan;
const lye = on('sodium-hydroxide-by-cell', '100 mL 0.8 mol/L sodium hydroxide', {
  feed: 'sodium hydrogencarbonate 99% 1 kg',
  starter: 'sodium hydrogencarbonate 99% 1 kg',
}).plan;

const opOf = (plan: typeof copper) => {
  const op = plan.route.steps.find(({ id }) => id === 'run')?.op;
  if (op?.do !== 'electrolyse') throw new Error('no cell');
  return op;
};
/** 70 g of Epsom salt and 30 g of copper in the jar, 45 g of Epsom salt in the pot. */
const filled = {
  ...standingWith({ ...vesselOf(320, { 'magnesium-sulfate': 34 }), solid: vesselOf(0, { copper: 30 }, false).solid }),
};
const jar = {
  ...filled,
  vessels: { ...filled.vessels, 'cathode side': vesselOf(190, { 'magnesium-sulfate': 22 }) },
};
const run = (entries: Parameters<typeof atStep>[1] = {}, controls: Parameters<typeof atStep>[2] = {}) =>
  unwrap(techniques.electrolyse.act(jar, opOf(copper), atStep(copper, entries, controls)));

describe('a current led through a divided cell', () => {
  it('makes on its own side what its charge says, and keeps mass over every place', () => {
    const { vessels, figures } = run();
    const made = amountOf(at(vessels, 'pot'), 'copper-sulfate')!.value;
    const charge = figures['cell.charge']!.value;
    const pct = figures['cell.efficiency']!.value;
    expect(made).toBeCloseTo((36 * charge * pct) / (2 * FARADAY), 6);
    expect(amountOf(at(vessels, 'cathode side'), 'magnesium-hydroxide')!.value).toBeGreaterThan(0.5 * made);
    expect(massOverAll(vessels)).toBeCloseTo(massOverAll(jar.vessels), 6);
    // Copper that left the strap is in the jar, or in the pot as hydroxide.
    const gone = amountOf(at(jar.vessels, 'pot'), 'copper')!.value - amountOf(at(vessels, 'pot'), 'copper')!.value;
    const lost = amountOf(at(vessels, 'cathode side'), 'copper-hydroxide')?.value ?? 0;
    expect(made + lost).toBeCloseTo(gone, 6);
  });

  it('takes more charge where finished cells of this bench were less efficient, and makes no more of it', () => {
    const here = { ...copper, bench: { ...copper.bench, cellEfficiency: { pct: 60, sd: 4 } } };
    const cell = (plan: typeof copper, entries: Parameters<typeof atStep>[1] = {}) =>
      unwrap(techniques.electrolyse.act(jar, opOf(plan), atStep(plan, entries)));
    const [book, own] = [cell(copper), cell(here)];
    const of = (each: typeof book, id: string) => each.figures[id]!.value;
    expect(of(own, 'cell.efficiency')).toBe(60);
    expect(of(own, 'cell.charge') / of(book, 'cell.charge')).toBeCloseTo(of(book, 'cell.efficiency') / 60, 6);
    expect(of(own, 'cell.hours') / of(book, 'cell.hours')).toBeCloseTo(of(book, 'cell.efficiency') / 60, 6);
    expect(of(own, 'cell.made')).toBeCloseTo(of(book, 'cell.made'), 4);
    expect(massOverAll(own.vessels)).toBeCloseTo(massOverAll(jar.vessels), 6);
    // What a meter read is what has passed, at that efficiency.
    const metered = cell(here, { readings: { charge: exactReading(4, 'A·h') }, finished: true });
    expect(of(metered, 'cell.charge')).toBe(4);
    expect(amountOf(at(metered.vessels, 'pot'), 'copper-sulfate')!.value).toBeCloseTo((36 * 4 * 60) / (2 * FARADAY), 4);
  });

  it('goes by the ampere-hours of a meter, whatever was planned', () => {
    const half = run({ readings: { charge: exactReading(4, 'A·h') }, finished: true });
    const whole = run({ readings: { charge: exactReading(8, 'A·h') }, finished: true });
    expect(half.figures['cell.charge']!.value).toBe(4);
    const made = (each: typeof half) => amountOf(at(each.vessels, 'pot'), 'copper-sulfate')!.value;
    expect(made(whole) / made(half)).toBeGreaterThan(1.7);
    expect(made(whole) / made(half)).toBeLessThan(2);
    expect(made(half)).toBeLessThan((4 * 3600) / (2 * FARADAY));
    const none = run({ readings: { charge: exactReading(0, 'A·h') }, finished: true });
    expect(massOverAll(none.vessels)).toBeCloseTo(massOverAll(jar.vessels), 6);
    expect(amountOf(at(none.vessels, 'pot'), 'copper-sulfate')?.value ?? 0).toBe(0);
  });

  it('goes by currents that were read, with the time between them', () => {
    const h = 3_600_000;
    const read = (...currents: readonly (readonly [number, number])[]) =>
      run({
        readings: { current: exactReading(0.4, 'A') },
        currents: currents.map(([hours, amps]) => ({ at: hours * h, amps, sd: 0.005 })),
        from: 0,
        to: 10 * h,
        finished: true,
      });
    expect(read([0, 0.4], [10, 0.4]).figures['cell.charge']!.value).toBeCloseTo(4, 6);
    expect(read([0, 0.4], [5, 0.2], [10, 0.2]).figures['cell.charge']!.value).toBeCloseTo(2.5, 6);
    // Late and out of order is the same.
    expect(read([10, 0.2], [0, 0.4], [5, 0.2]).figures['cell.charge']!.value).toBeCloseTo(2.5, 6);
  });

  it('under way counts what was read, and nothing before that', () => {
    const going = { ...atStep(copper).going, onlyDone: true };
    const step = { ...atStep(copper), going };
    const before = unwrap(techniques.electrolyse.act(jar, opOf(copper), step));
    expect(before.vessels).toBe(jar.vessels);
    const entries = { ...atStep(copper).entries, readings: { charge: exactReading(3, 'A·h') } };
    const after = unwrap(techniques.electrolyse.act(jar, opOf(copper), { ...step, entries }));
    expect(amountOf(at(after.vessels, 'pot'), 'copper-sulfate')!.value).toBeGreaterThan(0.03);
  });

  it('stops where the strap is eaten through', () => {
    const short = {
      ...jar,
      vessels: { ...jar.vessels, pot: { ...at(jar.vessels, 'pot'), solid: vesselOf(0, { copper: 3 }, false).solid } },
    };
    const { vessels } = unwrap(techniques.electrolyse.act(short, opOf(copper), atStep(copper)));
    expect(amountOf(at(vessels, 'pot'), 'copper-sulfate')!.value).toBeLessThan(3 / 63.5);
    expect(massOverAll(vessels)).toBeCloseTo(massOverAll(short.vessels), 6);
  });

  it('does nothing in an empty vessel, and nothing without what it feeds on', () => {
    const empty = unwrap(techniques.electrolyse.act(standingWith(vesselOf(0, {})), opOf(copper), atStep(copper)));
    expect(empty.figures['cell.charge']).toBeUndefined();
    const water = unwrap(techniques.electrolyse.act(standingWith(vesselOf(200, {})), opOf(acid), atStep(acid)));
    expect(massOverAll(water.vessels)).toBeCloseTo(200, 6);
  });

  it('leaves what it knows nothing of where it is, and says so', () => {
    const odd = standingWith(vesselOf(250, { 'copper-sulfate': 20, 'citric-acid': 5 }));
    const { vessels, notKnown } = unwrap(techniques.electrolyse.act(odd, opOf(acid), atStep(acid)));
    expect(amountOf(at(vessels, 'pot'), 'citric-acid')!.value).toBeCloseTo(5 / 192.12, 4);
    expect(notKnown.some(({ says }) => says.includes('citric acid'))).toBe(true);
    expect(massOverAll(vessels)).toBeCloseTo(275, 6);
  });

  it('keeps mass at any salt, charge and strap', () => {
    const grams = fc.double({ min: 0.5, max: 60, noNaN: true });
    fc.assert(
      fc.property(grams, grams, grams, fc.double({ min: 0, max: 30, noNaN: true }), (a, k, strap, ah) => {
        const standing = {
          ...jar,
          vessels: {
            pot: { ...vesselOf(300, { 'magnesium-sulfate': a }), solid: vesselOf(0, { copper: strap }, false).solid },
            'cathode side': vesselOf(180, { 'magnesium-sulfate': k }),
          },
        };
        const entries = { readings: { charge: exactReading(ah, 'A·h') }, finished: true };
        const { vessels } = unwrap(techniques.electrolyse.act(standing, opOf(copper), atStep(copper, entries)));
        expect(massOverAll(vessels) / massOverAll(standing.vessels)).toBeCloseTo(1, 6);
        for (const contents of Object.values(vessels))
          for (const phase of ['aqueous', 'solid'] as const)
            for (const n of Object.values(contents![phase])) expect(n!.value).toBeGreaterThan(-1e-9);
      }),
      { numRuns: times(40) },
    );
  });
});

describe('plans of cells', () => {
  it('of copper sulfate become acid, mole for mole', () => {
    const sheet = unwrap(sheetOf(acid));
    // 0.125 mol of acid: 250 mL of 0.5 mol/L; 31.2 g of the pentahydrate and a little for what does not plate.
    expect(sheet.made!.strength.value).toBeCloseTo(0.5, 2);
    expect(sheet.made!.volume.value).toBeGreaterThan(245);
    expect(sheet.additions[0]!.dose.mass.value).toBeCloseTo((0.125 * 249.68 * 1.01) / 0.99, 0);
    expect(sheet.figures['cell.metal']!.value).toBeCloseTo(0.125 * 63.55, 1);
    expect(sheet.figures['cell.second']).toBeNull();
  });

  it('of bicarbonate and of soda both become hydroxide', () => {
    const sheet = unwrap(sheetOf(lye));
    expect(sheet.made!.strength.value).toBeCloseTo(0.8, 2);
    const soda = on('sodium-hydroxide-by-cell', '100 mL 0.8 mol/L sodium hydroxide', {
      feed: 'sodium carbonate 99% 1 kg',
      starter: 'sodium carbonate 99% 1 kg',
    }).plan;
    const other = unwrap(sheetOf(soda));
    expect(other.made!.volume.value).toBeGreaterThan(90);
    expect(other.additions[0]!.amount.value).toBeLessThan(0.6 * sheet.additions[0]!.amount.value);
  });

  it('are refused with a supply that alternates, at its sentence', () => {
    const bench = {
      ...copper.bench,
      cell: { ...(copper.bench.cell ?? gear), supply: { kind: 'alternating', volts: 12, amps: 1 } as const },
    };
    const sheet = sheetOf({ ...copper, bench });
    expect(sheet.ok).toBe(false);
    if (!sheet.ok) expect(sheet.problem.message).toMatch(/alternating current/);
  });

  it('take longer with less current, and come to the same', () => {
    const slow = unwrap(sheetOf({ ...copper, controls: { ...copper.controls, current: 0.2 } }));
    const fast = unwrap(sheetOf(copper));
    expect(slow.figures['cell.hours']!.value).toBeGreaterThan(1.5 * fast.figures['cell.hours']!.value);
    expect(slow.figures['product.mass']!.value).toBeCloseTo(45, 0);
    expect(fast.figures['product.mass']!.value).toBeCloseTo(45, 0);
  });
});

const gear = {
  anodeCm2: 40,
  cathodeCm2: 40,
  gapCm: 2,
  dividerCm2: 80,
  dividerMm: 5,
  plugCm2: 8,
  plugMm: 15,
  leadMm2: 0.5,
  leadM: 1,
  openCm2: 60,
};
