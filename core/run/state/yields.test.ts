import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sdOf } from '#base/figure';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import type { EventBody } from '#run/log';
import { catalogue } from '#run/route';
import { runState } from '#run/state';
import { planForRoute } from '#testing/catalogue';
import { done, on, read, START } from '#testing/on-route';
import { times } from '#testing/property';
import { eventsAt } from '#testing/shelf';

const gel = on('silica', '30 g silica gel', {
  sand: 'quartz sand 99 % 1 kg',
  lye: 'sodium hydroxide 99 % 1 kg',
  acid: 'sulfuric acid 91 % 1 L',
});
const melt = [
  gel.added('sand', 'sand', 60),
  gel.added('lye', 'lye', 80),
  ...done('clean', 'sand', 'lye', 'fuse', 'water'),
  read('leach', 'left', 18, 'g'),
  ...done('leach'),
];
const rest = done('acid', 'settle', 'collect', 'wash');

describe('a yield comes out, from whichever basis is true', () => {
  // 60 g less 18 g at 99 %: 41.58 g of SiO2 in solution, as gel with 5 % of water 43.8 g.
  const all = (42 * 0.99) / 0.95;

  it('a gel that set while the lye had taken all of the acid is counted against the silicate', () => {
    const run = gel.run(
      ...melt,
      gel.added('acid', 'acid', 25, 'mL'),
      ...rest,
      read('dry', 'mass', 38.5, 'g'),
      ...done('dry'),
    );
    expect(run.yield!.theory.value).toBeCloseTo(all, 0);
    expect(run.yield!.yieldPct.value).toBeCloseTo((100 * 38.5) / all, 0);
    expect(run.yield!.of).toBe('the sodium silicate');
    expect(run.yield!.explanations.join(' ')).toContain('neutral');
  });

  it('without any acid entered, and with enough of it', () => {
    const none = gel.run(
      ...melt,
      gel.added('acid', 'acid', 1, 'mL'),
      ...rest,
      read('dry', 'mass', 9.58, 'g'),
      ...done('dry'),
    );
    expect(none.yield!.yieldPct.value).toBeCloseTo((100 * 9.58) / all, 0);
    const enough = gel.run(
      ...melt,
      gel.added('acid', 'acid', 80, 'mL'),
      ...rest,
      read('dry', 'mass', 38.5, 'g'),
      ...done('dry'),
    );
    expect(enough.yield!.theory.value).toBeCloseTo(all, 0);
    expect(enough.yield!.explanations).toEqual([]);
  });

  it('is wide while the product was weighed wet only, and says so', () => {
    const wet: EventBody = { ...read('dry', 'mass', 60, 'g'), state: 'wet' } as EventBody;
    const run = gel.run(...melt, gel.added('acid', 'acid', 80, 'mL'), ...rest, wet);
    expect(run.weighing.sentence).toContain('Weighed wet');
    // 24 to 60 g: 42 ± 10.4 g.
    expect(run.yield!.mass.value).toBeCloseTo(42, 6);
    expect(sdOf(run.yield!.mass)).toBeCloseTo(36 / 2 / Math.sqrt(3), 6);
    const dried = gel.run(...melt, gel.added('acid', 'acid', 80, 'mL'), ...rest, wet, read('dry', 'mass', 39, 'g'));
    expect(dried.yield!.mass.value).toBe(39);
  });

  it('is of the mass weighed at the last step too, with its jar taken off', () => {
    const jar: EventBody = { ...read('jar', 'mass', 139, 'g'), state: 'dry', tareG: 100 } as EventBody;
    const run = gel.run(...melt, gel.added('acid', 'acid', 80, 'mL'), ...rest, ...done('dry'), jar);
    expect(run.yield!.mass.value).toBe(39);
  });
});

describe('a better crop than expected', () => {
  const alum = on('alum-recrystallised', '60 g alum', { crude: 'potassium alum 97 % 1 kg' });
  const until = [
    alum.added('crude', 'crude', 80),
    alum.added('water', 'water', 120, 'mL'),
    ...done('crude', 'water', 'heat', 'filter', 'open', 'cool', 'collect'),
  ];
  const weighed = (grams: number) => {
    const events = eventsAt(START, ...until, read('dry', 'mass', grams, 'g'), read('dry', 'mass', grams, 'g'));
    const last = events.at(-1)!;
    const later = { ...last, happened: { at: '2026-03-14T18:00:00.000Z', giveOrTakeMin: 0 } };
    return unwrap(runState(alum.plan, [...events.slice(0, -1), later]));
  };

  it('is not called wet while the salt that went in could give it', () => {
    const { sheet } = alum.run(...until);
    const good = weighed(1.06 * sheet.product!.value);
    expect(good.weighing.constant).toBe(true);
    expect(good.hydrate?.says).not.toBe('wetter');
    expect(good.yield!.over).toBe('no');
    expect(weighed(1.3 * sheet.theory!.value).hydrate?.says).toBe('wetter');
  });

  it('is asked about when it is far better', () => {
    const thin = alum.run(...until.slice(0, 1), alum.added('water', 'water', 400, 'mL'), ...until.slice(2)).sheet;
    const events = eventsAt(START, ...until.slice(0, 1), alum.added('water', 'water', 400, 'mL'), ...until.slice(2));
    const most = eventsAt('2026-03-15T08:00:00.000Z', read('dry', 'mass', 0.95 * thin.theory!.value, 'g'));
    const run = unwrap(runState(alum.plan, [...events, ...most.map((each) => ({ ...each, id: 'ev_last' }))]));
    expect(run.yield!.over).toBe('no');
    expect(run.yield!.explanations.join(' ')).toMatch(/more than was to be expected.*Is it dry/);
  });
});

describe('any yield', () => {
  it.each(catalogue.map((route) => [route.id, route] as const))(
    'of %s lies between 0 and all, or is explained',
    (_, route) => {
      const plan = planForRoute(route);
      const amount = fc.double({ min: 0, max: 200, noNaN: true });
      const role = fc.constantFrom(...route.roles.map(({ id }) => id));
      fc.assert(
        fc.property(fc.array(fc.tuple(role, amount), { maxLength: 6 }), amount, (put, grams) => {
          const bodies: EventBody[] = [
            ...put.map(
              ([who, value]): EventBody => ({
                kind: 'added',
                step: route.steps.find(({ op }) => op.do === 'add' && op.role === who)?.id ?? route.steps[0]!.id,
                role: who,
                bottleId: plan.bottles[who] ?? null,
                reading: exactReading(value, 'g'),
                reason: '',
              }),
            ),
            ...done(...route.steps.map(({ id }) => id)),
            ...route.steps.filter(({ op }) => op.do === 'dry').map(({ id }) => read(id, 'mass', grams, 'g')),
          ];
          const state = runState(plan, eventsAt(START, ...bodies));
          if (!state.ok) return;
          const account = state.value.yield;
          if (!account) return;
          expect(account.yieldPct.value).toBeGreaterThanOrEqual(0);
          const over = account.yieldPct.value - 100;
          if (over > 0) expect(account.explanations.length).toBeGreaterThan(0);
          if (over > 2 * sdOf(account.yieldPct)) expect(account.over).toBe('clearly');
        }),
        { numRuns: times(30) },
      );
    },
  );
});
