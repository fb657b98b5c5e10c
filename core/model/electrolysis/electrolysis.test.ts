import { describe, expect, it } from 'vitest';
import { FARADAY } from '#model/cell';
import { chargeFrom } from './charge.ts';
import { whyChanged } from './falling.ts';
import { efficiencyFrom, progressOf, sdOfRange } from './progress.ts';
import { suppliesFor } from './supplies.ts';

describe('charge', () => {
  it('comes from readings, however far apart and in whatever order', () => {
    const h = 3_600_000;
    const reads = [
      { at: 4 * h, amps: 0.3, sd: 0.005 },
      { at: 0, amps: 0.5, sd: 0.005 },
      { at: 2 * h, amps: 0.4, sd: 0.005 },
    ];
    const passed = chargeFrom(reads, 0, 4 * h)!;
    expect(passed.ampHours).toBeCloseTo(0.45 * 2 + 0.35 * 2, 9);
    // One reading alone is held; its band is wider.
    const one = chargeFrom([reads[2]!], 0, 4 * h)!;
    expect(one.ampHours).toBeCloseTo(1.6, 9);
    expect(one.sd).toBeGreaterThan(passed.sd);
    expect(chargeFrom([], 0, h)).toBeNull();
    expect(chargeFrom(reads, 5 * h, 4 * h)).toBeNull();
    // What was read before it began counts from its beginning.
    expect(chargeFrom(reads, 2 * h, 4 * h)!.ampHours).toBeCloseTo(0.7, 9);
  });

  it('of finer readings is better known', () => {
    const every = (step: number) =>
      Array.from({ length: 1 + 10 / step }, (_, i) => ({
        at: i * step * 3_600_000,
        amps: 0.5 - 0.02 * i * step,
        sd: 0.002,
      }));
    const fine = chargeFrom(every(0.5), 0, 36_000_000)!;
    const coarse = chargeFrom(every(5), 0, 36_000_000)!;
    expect(fine.ampHours).toBeCloseTo(coarse.ampHours, 6);
    expect(fine.sd).toBeLessThan(coarse.sd);
  });
});

describe('readings', () => {
  const passed = (ampHours: number) => ({ ampHours, sd: 0.02 * ampHours });

  it('give back the efficiency they were made with, within the band', () => {
    const book = { value: 97, sd: sdOfRange({ low: 90, high: 101 }) };
    let inside = 0;
    for (let i = 0; i < 60; i++) {
      const truth = 90 + (i % 11);
      const noise = (k: number) => Math.sin(12.9898 * (i + 1) + 78.233 * k) * 1.6;
      const seen = [4, 7, 9].map((ah, k) => {
        const mol = ((truth / 100) * ah * 3600) / (2 * FARADAY);
        return { how: 'colour', passed: passed(ah), mol: { value: mol * (1 + 0.05 * noise(k)), sd: 0.05 * mol } };
      });
      const found = efficiencyFrom(book, seen, 2);
      if (Math.abs(found.value - truth) <= 2 * found.sd) inside++;
      expect(found.from).toBe('this cell');
    }
    expect(inside).toBeGreaterThan(52);
  });

  it('without any the book’s range stands', () => {
    expect(efficiencyFrom({ value: 97, sd: 3 }, [], 2)).toEqual({ value: 97, sd: 3, from: 'the book', agrees: true });
  });

  it('that do not fit the charge are said not to', () => {
    const seen = [{ how: 'colour', passed: passed(6), mol: { value: 0.03, sd: 0.003 } }];
    const progress = progressOf({
      wantedMol: { value: 0.2, sd: 0.004 },
      electrons: 2,
      passed: passed(6),
      efficiency: { value: 97, sd: 3 },
      seen,
      amps: 0.4,
      drift: 0.1,
    });
    expect(progress.agree).toBe(false);
    expect(progress.byCharge.value).toBeCloseTo((100 * 6) / progress.neededAh.value, 6);
    expect(progress.hours!.low).toBeLessThan(progress.hours!.value);
    expect(efficiencyFrom({ value: 97, sd: 3 }, seen, 2).agrees).toBe(false);
  });

  it('without a current have no end in sight', () => {
    const progress = progressOf({
      wantedMol: { value: 0.2, sd: 0 },
      electrons: 2,
      passed: passed(1),
      efficiency: { value: 97, sd: 3 },
      seen: [],
      amps: 0,
      drift: 0,
    });
    expect(progress.hours).toBeNull();
    expect(progress.agree).toBeNull();
  });

  const drops = { anode: 0.4, anolyte: 0.4, wall: 0.6, catholyte: 0.4, cathode: 0.9, leads: 0.02 };
  const fall = {
    amps: [0.42, 0.3] as const,
    volts: [4, 4] as const,
    tempC: [24, 24] as const,
    drops: [drops, drops] as const,
    divided: true,
    anodeGone: 0.3,
    feed: null,
    potSalt: [1.6, 0.9] as const,
    clogged: 0.2,
    evaporated: 0.02,
    battery: null,
    anodeMA: 10,
    wallRead: null,
  };

  it('of a fallen current rank its causes, and a probe across the wall decides', () => {
    const before = whyChanged(fall);
    expect(before.reduce((sum, { likely }) => sum + likely, 0)).toBeCloseTo(1, 9);
    const wall = before.find(({ id }) => id === 'wall')!;
    const film = before.find(({ id }) => id === 'film')!;
    expect(wall.wallV![0]).toBeGreaterThan(film.wallV![1]);
    const high = whyChanged({ ...fall, wallRead: wall.wallV![0] + 0.3 });
    expect(high[0]!.id).toBe('wall');
    const low = whyChanged({ ...fall, wallRead: 0.2 });
    expect(low[0]!.id).not.toBe('wall');
  });

  it('of a colder shed blame the cold', () => {
    expect(whyChanged({ ...fall, tempC: [30, 14], potSalt: [1.6, 1.58], clogged: 0, anodeGone: 0.1 })[0]!.id).toBe(
      'cold',
    );
  });

  it('of a strap nearly gone blame the strap', () => {
    const causes = whyChanged({ ...fall, anodeGone: 0.95, clogged: 0, potSalt: [1.6, 1.6] });
    expect(causes[0]!.id).toBe('eaten');
  });

  it('say nothing of a current that has hardly changed, or follows its voltage', () => {
    expect(whyChanged({ ...fall, amps: [0.42, 0.415] })).toEqual([]);
    expect(whyChanged({ ...fall, amps: [0.4, 0.3], volts: [4, 3] })).toEqual([]);
    expect(whyChanged({ ...fall, amps: [0.3, 0.42] })[0]!.id).toMatch(/made|warm/);
  });
});

describe('usual supplies', () => {
  const judged = (name: RegExp, over: Partial<Parameters<typeof suppliesFor>[0]>) =>
    suppliesFor({ voltsAtFirst: 4, voltsAtMost: 4, voltsAtLeast: 4, amps: 0.4, ampHours: 1.5, ...over }).find((each) =>
      name.test(each.name),
    )!;

  it('that start slower and come to the current are not called useless', () => {
    const cell = { voltsAtFirst: 20, voltsAtMost: 20, voltsAtLeast: 8 };
    expect(judged(/12 V DC/, cell)).toMatchObject({ does: 'nearly', why: expect.stringContaining('starts slower') });
    expect(judged(/USB/, cell)).toMatchObject({ does: 'no', why: expect.stringContaining('never') });
  });

  it('give out by volts, amps or amp-hours', () => {
    expect(judged(/USB/, {}).does).toBe('yes');
    expect(judged(/USB/, { voltsAtMost: 6 }).why).toMatch(/falls towards the end/);
    expect(judged(/USB/, { amps: 3 }).why).toMatch(/2 A at most/);
    expect(judged(/alkaline/, { ampHours: 12 }).why).toMatch(/2 A·h of the 12.0/);
    expect(judged(/12 V DC/, {}).why).toMatch(/draws too much/);
  });
});
