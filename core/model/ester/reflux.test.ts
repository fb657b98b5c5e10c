import { describe, expect, it } from 'vitest';
import {
  beginReflux,
  constantAt,
  courseOf,
  esterOf,
  formedAfter,
  letReflux,
  type RefluxSetup,
  refluxEnd,
} from './index.ts';

const setup: RefluxSetup = {
  mixture: {
    acidId: 'acetic-acid',
    alcoholId: 'ethanol',
    charge: { acid: 1, alcohol: 1.6, water: 0.8, ester: 0, taken: 0 },
    litres: 0.16,
    strong: 0.05,
  },
  pair: esterOf('acetic-acid', 'ethanol')!,
  boilsC: 76,
  heatCapacity: 400,
  vapourKJ: 35,
  vapourM: 46,
  airC: 20,
  condenserW: 120,
};
const kept = (watts: number, hours: number) => {
  const state = beginReflux(setup);
  state.watts = watts;
  letReflux(setup, state, 3600 * hours);
  return state;
};

describe('a flask under a condenser', () => {
  it('boils at its boil, and comes as far as the course of a steady flask says', () => {
    const state = kept(100, 4);
    expect(state.tempC).toBeCloseTo(76, 6);
    const K = constantAt(setup.pair, 76);
    const course = courseOf(setup.mixture, { K, end: refluxEnd(setup), tempC: 76 })!;
    // It took minutes to warm: a little behind.
    expect(state.formed / formedAfter(course, 4)).toBeGreaterThan(0.93);
    expect(state.formed / formedAfter(course, 4)).toBeLessThan(1.01);
  });

  it('loses vapour only when it is heated past what its condenser takes', () => {
    expect(kept(100, 1).lostG).toBe(0);
    // 200 W less 28 lost by the glass and 120 condensed: 52 W, 5.3 mol an hour … 246 g.
    const lost = kept(200, 1).lostG;
    expect(lost).toBeGreaterThan(200);
    expect(lost).toBeLessThan(260);
  });

  it('bumps when it boils again without a fresh stone, and not with one', () => {
    const again = (stone: boolean) => {
      const state = kept(100, 1);
      state.watts = 0;
      letReflux(setup, state, 1800);
      state.stones = stone;
      state.watts = 100;
      letReflux(setup, state, 1800);
      return state.bumps;
    };
    expect(again(false)).toBe(1);
    expect(again(true)).toBe(0);
  });

  it('does nothing cold', () => {
    expect(kept(0, 1).formed).toBeLessThan(0.1 * kept(100, 1).formed);
  });
});
