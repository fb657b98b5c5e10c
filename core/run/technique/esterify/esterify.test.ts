import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { amountOf, at, massOverAll } from '#matter/vessel';
import { advise, runState } from '#run/state';
import type { EsterAdvice } from '#run/technique';
import { done, on, read, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

const labels = {
  alcohol: 'isoamyl alcohol 98 % 500 mL',
  acid: 'formic acid 85 % 1 L',
  catalyst: 'sodium hydrogensulfate 95 % 1 kg',
  base: 'potassium carbonate 99 % 500 g',
  salt: 'table salt 99 % 1 kg',
  agent: 'anhydrous magnesium sulfate 98 % 500 g',
};
const route = on('isoamyl-formate', '40 g isoamyl formate', labels);
const charged = [
  route.added('alcohol', 'alcohol', 46.75),
  route.added('acid', 'acid', 50.66),
  route.added('catalyst', 'catalyst', 5.25),
  ...done('ready', 'alcohol', 'acid', 'catalyst'),
];
const HOUR = 3_600_000;

/** Entries with the warm step begun and ended so many hours apart. */
function warmFor(hours: number, ...more: Parameters<typeof eventsAt>[1][]) {
  const events = eventsAt(START, ...charged, { kind: 'started', step: 'warm' });
  const begun = Date.parse(events.at(-1)!.happened.at);
  const later = eventsAt(new Date(begun + hours * HOUR).toISOString(), { kind: 'finished', step: 'warm' }, ...more);
  return unwrap(
    runState(route.plan, [
      ...events,
      ...later.map((each, i) => ({ ...each, id: `ev_late${String(i).padStart(4, '0')}` })),
    ]),
  );
}
const formed = (run: ReturnType<typeof warmFor>) => run.sheet.figures['ester.mass']!.value;

describe('keeping an acid and an alcohol warm', () => {
  it('0.52 mol of alcohol and 0.94 of 85 % acid: by hand about 70 % at the end, 42.3 g', () => {
    // Water 0.474 mol, from both bottles: x (0.474 + x) = 3.46 (0.5197 − x)(0.9355 − x): x = 0.3645 mol, 42.3 g.
    const long = warmFor(40);
    expect(formed(long)).toBeGreaterThan(42.0);
    expect(formed(long)).toBeLessThan(42.7);
    expect(long.sheet.theory!.value).toBeCloseTo((46.75 * 0.98 * 116.16) / 88.15, 0);
  });

  it('goes by the hours it really had, and by the warmth that was read', () => {
    const [minute, hour] = [warmFor(1 / 60), warmFor(1)];
    expect(formed(minute)).toBeLessThan(3);
    expect(formed(hour)).toBeGreaterThan(25);
    expect(formed(hour)).toBeLessThan(formed(warmFor(40)));
    const cold = unwrap(
      runState(
        route.plan,
        eventsAt(START, ...charged, { kind: 'started', step: 'warm' }, read('warm', 'temperature', 20, '°C')),
      ),
    );
    expect(formed(cold)).toBeLessThan(40);
  });

  it('keeps its mass, and what it made stands in a layer of its own', () => {
    const { vessels } = warmFor(3).sheet.now!;
    expect(massOverAll(vessels)).toBeCloseTo(46.75 + 50.66 + 5.25, 6);
    expect(at(vessels, 'pot').organic['isoamyl-formate']!.value).toBeGreaterThan(0.3);
    expect(amountOf(at(vessels, 'pot'), 'formic-acid')!.value).toBeGreaterThan(0.4);
  });

  it('without what makes it run takes longer, and is not said to be at its end', () => {
    const bare = on('isoamyl-formate', '40 g isoamyl formate', labels);
    const events = eventsAt(
      START,
      bare.added('alcohol', 'alcohol', 46.75),
      bare.added('acid', 'acid', 50.66),
      ...done('ready', 'alcohol', 'acid'),
      { kind: 'step-skipped', step: 'catalyst', reason: 'none at hand' },
    );
    const { own } = unwrap(advise(bare.plan, events, 'warm', START));
    const says = own!.says as EsterAdvice;
    expect(says.enoughH!).toBeGreaterThan(6);
    expect(says.plannedG!).toBeLessThan(0.9 * says.endG);
  });
});

describe('the funnel after it', () => {
  const base = [route.added('water', 'water', 40, 'mL'), route.added('base', 'base', 45), ...done('water', 'base')];

  it('keeps the ester and the alcohol above, the salts below', () => {
    const run = warmFor(3, ...base, ...done('part'));
    const { vessels } = run.sheet.now!;
    expect(at(vessels, 'pot').organic['isoamyl-formate']!.value).toBeGreaterThan(0.3);
    expect(at(vessels, 'liquor').aqueous['potassium-formate']!.value).toBeGreaterThan(0.4);
    expect(at(vessels, 'pot').aqueous['potassium-formate']?.value ?? 0).toBeLessThan(1e-9);
    expect(run.sheet.figures['layer.lost']!.value).toBeLessThan(0.6);
  });

  it('takes the layer as it was weighed, and calls nothing lost that was not', () => {
    const all = warmFor(3, ...base, ...done('part'));
    const half = warmFor(3, ...base, read('part', 'mass', 25, 'g'), ...done('part'));
    const inPot = (run: typeof all) => at(run.sheet.now!.vessels, 'pot').organic['isoamyl-formate']!.value;
    expect(inPot(half) / inPot(all)).toBeLessThan(0.6);
    expect(massOverAll(half.sheet.now!.vessels)).toBeCloseTo(massOverAll(all.sheet.now!.vessels), 6);
  });

  it('ends in a yield within what is found in practice, alcohol in it', () => {
    const { sheet } = route.run();
    expect(sheet.yieldPct!.value).toBeGreaterThan(55);
    expect(sheet.yieldPct!.value).toBeLessThan(82);
    expect(sheet.figures['product.pct']!.value).toBeLessThan(90);
  });
});
