import { describe, expect, it } from 'vitest';
import { type Figure, type Spread, sdOf, spreadOf } from '#base/figure';
import { unwrap } from '#base/problem';
import { sheetOf } from '#run/sheet';
import { planFor } from '#testing/shelf';

function run(figure: Figure, samples = 10_000, seed = 7): Spread {
  const samplesRun = spreadOf(figure, samples, seed);
  for (;;) {
    const step = samplesRun.next();
    if (step.done) return step.value;
  }
}

describe('Monte Carlo of a sheet', () => {
  it.each(['1.5 L of 2 mol/L hydrochloric acid', '60 g zinc sulfate', 'sodium acetate from 250 mL vinegar'])(
    'agrees with first order for %s',
    (target) => {
      const sheet = unwrap(sheetOf(planFor(target)));
      const figure = sheet.product ?? sheet.made!.strength;
      const spread = run(figure);
      expect(Math.abs(spread.mean / figure.value - 1)).toBeLessThan(0.02);
      expect(spread.sd / sdOf(figure)).toBeGreaterThan(0.85);
      expect(spread.sd / sdOf(figure)).toBeLessThan(1.15);
      expect(spread.low).toBeLessThan(spread.median);
      expect(spread.median).toBeLessThan(spread.high);
    },
  );

  it('is lower than first order near a limit, where either reagent may run out', () => {
    // Vinegar with its exact share of carbonate: whichever is weaker limits, so the mean falls below the plan.
    const { theory } = unwrap(sheetOf(planFor('sodium acetate from 250 mL vinegar')));
    expect(run(theory!).mean).toBeLessThan(theory!.value);
  });

  it('repeats with its seed and can be dropped between breaths', () => {
    const { product } = unwrap(sheetOf(planFor('60 g zinc sulfate')));
    expect(run(product!, 2000, 3)).toEqual(run(product!, 2000, 3));
    const dropped = spreadOf(product!, 10_000, 1);
    expect(dropped.next().value).toBe(100);
    expect(dropped.return({} as Spread).done).toBe(true);
  });
});
