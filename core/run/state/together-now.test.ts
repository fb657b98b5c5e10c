import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { parseLabel } from '#matter/label';
import { careOfRun } from '#run/care';
import type { EventBody } from '#run/log';
import { times } from '#testing/property';
import { eventsAt, planFor, testShelf } from '#testing/shelf';
import { runState } from './index.ts';

const DAY = '2026-03-14';
const wrong = (label: string, grams: number): EventBody => ({
  kind: 'added',
  step: 'acid',
  role: null,
  bottleId: 'bottle_wrong',
  reading: { is: 'exact', value: grams, unit: 'g' },
  reason: 'the wrong tub',
  stock: { card: parseLabel(label, DAY, 20).card!, usedG: 0 },
});

describe('a wrong bottle', () => {
  const plan = planFor('60 g zinc sulfate');
  const acid = Object.keys(plan.bottles).find((role) => role === 'acid') ?? '';
  const begun: readonly EventBody[] = [
    {
      kind: 'added',
      step: 'water',
      role: 'water',
      bottleId: null,
      reading: { is: 'exact', value: 60, unit: 'g' },
      reason: '',
    },
    {
      kind: 'added',
      step: 'acid',
      role: acid,
      bottleId: plan.bottles[acid] ?? null,
      reading: { is: 'exact', value: 60, unit: 'g' },
      reason: '',
    },
  ];
  const entered = (...bodies: readonly EventBody[]) => eventsAt('2026-03-14T08:00:00Z', ...begun, ...bodies);

  it('is said with its gas, its share of the room and its minutes', () => {
    expect(unwrap(runState(plan, entered())).together).toEqual([]);
    // 20 g of 97 %: 19.4 ÷ 190.1 = 0.1021 mol, twice as much gas: 13.07 g.
    const [met] = unwrap(runState(plan, entered(wrong('sodium metabisulfite 97% 500 g', 20)))).together;
    expect(met?.says).toMatch(/13(\.\d)? g of sulfur dioxide, 2[45]\d ppm of this room, beyond its limit in/);
  });

  it('is said with its warmth where acid and lye took each other up, until its step is over', () => {
    const lye = wrong('sodium hydroxide 99% 500 g', 10);
    const state = unwrap(runState(plan, entered(lye)));
    // 10 g of 99 % is 0.2475 mol, and takes half as much of the 0.2264 mol of acid.
    const left = state.sheet.now!.vessels.pot!.aqueous;
    expect(left['sulfuric-acid']!.value).toBeCloseTo((60 * 0.37) / 98.08 - 9.9 / 39.997 / 2, 3);
    expect(left['sodium-sulfate']!.value).toBeCloseTo(9.9 / 39.997 / 2, 3);
    // About 57 kJ/mol of neutralising, and 44 of the lye’s dissolving, in 130 g.
    const [hot] = state.together;
    const kelvin = Number(/up to (\d+) K warmer/.exec(hot?.says ?? '')?.[1]);
    expect(kelvin).toBeGreaterThan(45);
    expect(kelvin).toBeLessThan(75);
    expect(hot?.moves[0]).toContain('Step back');
    // The card tells the same warmth, and no other.
    const card = unwrap(careOfRun({ plan, events: entered(lye), shelf: testShelf })).cards[0]?.card;
    expect(card?.working.filter((line) => line.includes('warmer'))).toEqual([hot?.says]);
    const over = unwrap(runState(plan, entered(lye, { kind: 'finished', step: 'acid' })));
    expect(over.together).toEqual([]);
  });

  it('makes the card say leave, and first aid no milder than before', () => {
    const card = (events: ReturnType<typeof entered>) =>
      unwrap(careOfRun({ plan, events, shelf: testShelf })).cards.find(({ vessel }) => vessel === 'pot')?.card;
    expect(card(entered())?.go).toBe('stay');
    const worse = card(entered(wrong('sodium metabisulfite 97% 500 g', 20)));
    expect(worse?.go).toBe('leave');
    expect(worse?.leaveBecause).toContain('sulfur dioxide');
    const thin = card(entered(wrong('sodium chloride 99% 500 g', 5)));
    expect(thin?.firstAid).toEqual(card(entered())?.firstAid);
    const bleached = card(entered(wrong('sodium hypochlorite 12.5% 2 L', 400)));
    expect(bleached?.go).toBe('leave');
    expect(bleached?.firstAid.swallowed).toContain('do not vomit');
  });

  it('never makes first aid or the verdict milder, whatever goes in and how much', () => {
    const labels = [
      'sodium chloride 99% 500 g',
      'baking soda 1 kg',
      'sodium hypochlorite 12.5% 2 L',
      'sodium metabisulfite 97% 500 g',
      'sodium hydroxide 99% 500 g',
      'hydrogen peroxide 12% 1 L',
      'isopropyl alcohol 99% 1 L',
      'ammonia 10% 1 L',
    ];
    const grave = (events: ReturnType<typeof entered>) => {
      const found = unwrap(careOfRun({ plan, events, shelf: testShelf })).cards.find(({ vessel }) => vessel === 'pot');
      const aid = found?.card.firstAid;
      return [
        found?.card.go === 'leave',
        aid?.eye.includes('20 minutes') ?? false,
        aid?.skin.includes('20 minutes') ?? false,
        aid?.swallowed.includes('do not vomit') ?? false,
        aid?.breathed.includes('sit up') ?? false,
      ];
    };
    const pour = fc.record({ label: fc.constantFrom(...labels), grams: fc.double({ min: 1, max: 800, noNaN: true }) });
    fc.assert(
      fc.property(fc.array(pour, { maxLength: 2 }), pour, (poured, one) => {
        const bodies = poured.map(({ label, grams }) => wrong(label, grams));
        const [before, now] = [grave(entered(...bodies)), grave(entered(...bodies, wrong(one.label, one.grams)))];
        for (const [i, was] of before.entries()) if (was) expect(now[i], `${one.label} ${i}`).toBe(true);
      }),
      { numRuns: times(60) },
    );
  });

  it('is nothing where it is harmless', () => {
    expect(unwrap(runState(plan, entered(wrong('sodium chloride 99% 500 g', 5)))).together).toEqual([]);
  });
});
