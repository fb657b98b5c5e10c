import { USUAL_CELL } from '#matter/gear';
import { cellShape, cell as run } from '#model/electrolysis';
import { verb } from '../verb.ts';

export const cell = verb({
  name: 'cell',
  input: cellShape,
  run,
  example: {
    anolyte: { ml: 300, parts: [{ substanceId: 'magnesium-sulfate', molPerL: 0.85 }] },
    catholyte: { ml: 170, parts: [{ substanceId: 'magnesium-sulfate', molPerL: 0.95 }] },
    anode: 'copper',
    anodeG: 28,
    cathode: 'stainless steel',
    divider: 'flower pot',
    gear: { ...USUAL_CELL, supply: { kind: 'bench supply', volts: 4.4, amps: 0.4 } },
    airC: 17,
    stirred: false,
    hours: 30,
    holdA: null,
    topUps: [{ atH: 20, side: 'cathode', substanceId: 'magnesium-sulfate-heptahydrate', grams: 12, waterMl: 15 }],
    compare: { ampHours: 10, amps: [0.2, 0.4, 0.8] },
  },
});
