import { absorbShape, absorb as run } from '#model/absorb';
import { verb } from '../verb.ts';

export const absorb = verb({
  name: 'absorb',
  input: absorbShape,
  run,
  example: {
    gas: 'hydrogen-chloride',
    mol: 0.5,
    waterG: 100,
    alkali: null,
    acidAlong: 0,
    startC: 12,
    ceilingC: 25,
    litresPerMin: 0.2,
    bathW: 60,
    reagent: { molPerL: 6, perGas: 1, dropsPerMl: 20 },
  },
});
