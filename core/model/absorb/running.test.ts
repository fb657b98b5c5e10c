import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { times } from '#testing/property';
import { beginGas, type GasSetup, gainedBy, letGas, lyeLeftPct } from './index.ts';

const bottle: GasSetup = {
  gas: 'chlorine',
  sourceMol: 0.06,
  funnel: { ml: 14, molPerL: 5.4, perGas: 1 },
  arrives: 0.85,
  along: 0.03,
  waterG: 25,
  lyeMol: 0.1,
  holdsMol: 0,
  startC: 5,
  bathC: 0,
  wattsPerK: 1.5,
};
const ran = (minutes: number, setup = bottle, mlPerMin = 0.4) => {
  const state = beginGas(setup, mlPerMin);
  letGas(setup, state, 60 * minutes);
  return state;
};

describe('a generator that drips', () => {
  it('makes what was dripped, less what is still to come: 0.4 mL a minute of 5.4 mol/L, 20 min, 0.0432 mol', () => {
    const state = ran(20);
    expect(state.drippedMl).toBeCloseTo(8, 6);
    expect(state.madeMol + state.toCome).toBeCloseTo(0.0432, 5);
    expect(state.takenMol).toBeCloseTo(0.85 * state.madeMol, 9);
    expect(gainedBy(bottle, state)).toBeCloseTo(state.takenMol * (70.9 + 0.03 * 36.46), 3);
  });

  it('stops soon after the tap is shut, and sucks back when the tube is left in', () => {
    const state = ran(10);
    const made = state.madeMol;
    state.mlPerMin = 0;
    letGas(bottle, state, 600);
    expect(state.madeMol).toBeLessThan(made + state.toCome + 0.005);
    expect(state.suckedBack).toBe(1);
    const lifted = ran(10);
    lifted.mlPerMin = 0;
    lifted.lifted = true;
    letGas(bottle, lifted, 600);
    expect(lifted.suckedBack).toBe(0);
  });

  it('lets past what comes once the lye is spent', () => {
    const thin = { ...bottle, lyeMol: 0.04 };
    const state = ran(60, thin, 1);
    expect(lyeLeftPct(thin, state)!).toBeCloseTo(0, 6);
    expect(state.escapedMol).toBeGreaterThan(0.02);
  });

  it('runs warm without a bath and faster drops', () => {
    expect(ran(15, { ...bottle, wattsPerK: 0.01 }).absorberC).toBeGreaterThan(ran(15).absorberC + 10);
    expect(ran(4, bottle, 3).absorberC).toBeGreaterThan(ran(4, bottle, 0.3).absorberC);
  });

  it('keeps its gas: made is taken, escaped, or stays on the way, whenever it is looked at', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 120, noNaN: true }),
        fc.boolean(),
        (mlPerMin, minutes, drips) => {
          const setup = drips
            ? bottle
            : { ...bottle, funnel: null, gas: 'hydrogen-chloride' as const, lyeMol: null, holdsMol: 0.3 };
          const state = ran(minutes, setup, mlPerMin);
          expect(state.madeMol).toBeLessThanOrEqual(setup.sourceMol + 1e-12);
          expect(state.takenMol + state.escapedMol).toBeCloseTo(0.85 * state.madeMol, 9);
          expect(Number.isFinite(state.absorberC)).toBe(true);
          expect(state.drippedMl).toBeLessThanOrEqual(14);
        },
      ),
      { numRuns: times(40) },
    );
  });
});
