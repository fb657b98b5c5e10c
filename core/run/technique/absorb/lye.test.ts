import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { amountOf, at, massOverAll } from '#matter/vessel';
import { routeById } from '#run/route';
import { sheetOf } from '#run/sheet';
import { advise } from '#run/state';
import type { AbsorbAdvice } from '#run/technique';
import { done, on, read, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

const bottles = {
  lye: 'sodium hydroxide 99 % 1 kg',
  source: 'trichloroisocyanuric acid 90 % 1 kg',
  acid: 'hydrochloric acid 18 % 1 L',
};
const bleach = on('hypochlorite-by-chlorine', '40 g sodium hypochlorite', bottles);
const charged = [
  bleach.added('water', 'water', 25),
  bleach.added('lye', 'lye', 4.04),
  bleach.added('source', 'source', 5),
  bleach.added('acid', 'acid', 15, 'g'),
  ...done('ready', 'water', 'lye', 'source', 'acid'),
];
const made = (run: ReturnType<typeof bleach.run>) =>
  amountOf(at(run.sheet.now!.vessels, 'absorber'), 'sodium-hypochlorite')!.value;

const gasRun = (...bodies: Parameters<typeof bleach.run>) => bleach.run(...charged, ...bodies);
const saysAfter = (...bodies: Parameters<typeof bleach.run>) =>
  unwrap(advise(bleach.plan, eventsAt(START, ...charged, ...bodies), 'gas', START)).own!.says as AbsorbAdvice;

describe('chlorine led into lye', () => {
  it('stops before the lye is spent: by hand 0.046 mol and 3.32 g for 0.1 mol of lye', () => {
    // (0.0935 − 0.0014 of acid) ÷ 2 = 0.0461 mol; × 70.9 g + 0.05 g of acid.
    const run = gasRun(...done('gas'));
    expect(made(run)).toBeCloseTo(0.04606, 4);
    expect(run.sheet.figures['absorbed.gained']!.value).toBeCloseTo(3.316, 2);
    const absorber = at(run.sheet.now!.vessels, 'absorber');
    expect(amountOf(absorber, 'sodium-hydroxide')!.value).toBeCloseTo(0.0065, 4);
    expect(amountOf(absorber, 'hydrochloric-acid')!.value).toBe(0);
  });

  it('keeps its mass over generator, funnel, lye and air, however it was ended', () => {
    const all = 25 + 4.04 + 5 + 15;
    fc.assert(
      fc.property(
        fc.option(fc.double({ min: 0, max: 6, noNaN: true })),
        fc.option(fc.double({ min: 0, max: 20, noNaN: true })),
        (gained, dripped) => {
          const run = gasRun(
            ...(gained === null ? [] : [read('gas', 'mass', gained, 'g')]),
            ...(dripped === null ? [] : [read('gas', 'dripped', dripped, 'mL')]),
            ...done('gas'),
          );
          const { vessels } = run.sheet.now!;
          expect(massOverAll(vessels)).toBeCloseTo(all, 6);
          if (gained !== null && dripped === null && gained < 3.3) {
            const absorber = at(vessels, 'absorber');
            expect(absorber.waterG.value).toBeGreaterThanOrEqual(25);
            expect(run.sheet.figures['absorbed.gained']?.value ?? 0).toBeCloseTo(gained, 6);
          }
        },
      ),
    );
  });

  it('goes by what was dripped in: a third of the acid makes a third of the gas, and the rest waits', () => {
    const run = gasRun(read('gas', 'dripped', 5, 'mL'), ...done('gas'));
    const funnel = at(run.sheet.now!.vessels, 'funnel');
    const acid = amountOf(funnel, 'hydrochloric-acid')!.value;
    // 15 g of 18 % are 0.0741 mol in 13.8 mL.
    expect(acid).toBeCloseTo(0.0741 * (1 - 5 / 13.79), 3);
    expect(made(run)).toBeCloseTo(0.85 * 0.0741 * (5 / 13.79) * (1 / 1.0255), 3);
    expect(gasRun(read('gas', 'dripped', 0, 'mL'), ...done('gas')).sheet.figures['absorbed.gained']?.value ?? 0).toBe(
      0,
    );
  });

  it('tells before, in, past and spent by the balance, and by the paper before it', () => {
    const { window, answer } = saysAfter();
    expect(window!.fromG).toBeCloseTo(3.19, 2);
    expect(window!.toG).toBeCloseTo(3.44, 2);
    expect(window!.spentG).toBeCloseTo(3.546, 2);
    expect(answer.drip!.dropsPerMin).toBeCloseTo(7.3, 1);
    const stands = (g: number) => saysAfter(read('gas', 'mass', g, 'g')).window!.stands;
    expect([2, 3.3, 3.5, 3.6].map(stands)).toEqual(['before', 'in', 'past', 'spent']);
    expect(saysAfter(read('gas', 'mass', 2, 'g'), read('gas', 'pH', 9, '')).window).toMatchObject({
      stands: 'spent',
      says: expect.stringMatching(/paper/),
    });
    // Warm it loses more of it in an hour.
    const lost = (tempC: number) => saysAfter(read('gas', 'temperature', tempC, '°C')).window!.lostPctPerH!;
    expect(lost(40)).toBeGreaterThan(10 * lost(15));
  });

  it('drops salt out of strong lye, and not out of thin', () => {
    const crystals = on('hypochlorite-crystals', '5 g sodium hypochlorite pentahydrate', bottles);
    const sheet = unwrap(sheetOf(crystals.plan));
    expect(sheet.figures['absorbed.salt']!.value).toBeGreaterThan(0.3);
    expect(unwrap(sheetOf(bleach.plan)).figures['absorbed.salt']!.value).toBe(0);
    // A thick slurry still pours: some per cent of solid.
    const { salt, thick } = {
      salt: sheet.figures['absorbed.salt']!.value,
      thick: sheet.figures['absorbed.slurry']!.value,
    };
    expect(thick).toBeGreaterThan(2);
    expect(thick).toBeLessThan(20);
    expect((100 * salt) / thick).toBeGreaterThan(10);
    // 5 g of pentahydrate hold 2.26 g of hypochlorite, 0.0304 mol.
    expect(sheet.yieldPct!.value).toBeGreaterThan(30);
  });

  it('is planned up to a tenth of a mol of chlorine, whatever is asked', () => {
    for (const asked of ['300 g sodium hypochlorite', '10 kg sodium hypochlorite']) {
      const sheet = sheetOf(on('hypochlorite-by-chlorine', asked, bottles).plan);
      expect(sheet.ok ? '' : sheet.problem.message).toMatch(/at most 0\.1 mol .* At most \d+ g at a time/);
    }
  });
});

describe('what is meant in its apparatus', () => {
  const plan = bleach.plan;
  const refusal = (route: typeof plan.route) => {
    const sheet = sheetOf({ ...plan, route });
    return sheet.ok ? 'planned' : sheet.problem.message;
  };
  const { route } = plan;
  const gas = route.steps.find(({ id }) => id === 'gas')!;
  const changed = (over: Partial<typeof gas>) => ({
    ...route,
    steps: route.steps.map((each) => (each.id === 'gas' ? { ...each, ...over } : each)),
  });

  it('is planned as it is built in, whatever its words', () => {
    expect(refusal(route)).toBe('planned');
    expect(refusal(changed({ act: 'Slowly.' }))).toBe('planned');
    expect(routeById('hypochlorite-by-chlorine')).toBeDefined();
  });

  it.each([
    ['under another name', { ...route, id: 'own-bleach' }],
    ['indoors', changed({ where: 'ventilated' })],
    ['into another vessel', changed({ op: { ...gas.op, into: 'jar' } as typeof gas.op })],
    [
      'with another dose',
      {
        ...route,
        roles: route.roles.map((each) =>
          each.id === 'acid' ? { ...each, dose: { by: 'extent' as const, perExtent: 9 } } : each,
        ),
      },
    ],
  ])('%s it is refused like anywhere', (_, other) => {
    expect(refusal(other)).toMatch(/two things meet that never may.*chlorine/);
  });

  it('poured in without the funnel it is what never may be together', () => {
    const before = [...charged.slice(0, 3), ...done('ready', 'water', 'lye')];
    const poured = { ...bleach.added('source', null, 5), bottleId: 'bottle_acid' } as (typeof charged)[number];
    expect(bleach.run(...before, ...done('source')).together).toEqual([]);
    expect(bleach.run(...before, poured).together[0]!.says).toMatch(/chlorine/);
    // By its drops it is not.
    expect(gasRun(...done('gas')).together).toEqual([]);
  });
});
