import { admit } from '#matter/guard';
import { dishShape, wholeDish } from '#model/dish';
import { verb } from '../verb.ts';

export const dish = verb({
  name: 'dish',
  input: dishShape,
  run: (input) => {
    const allowed = admit(input, input.boilAwayG > 0 ? 'concentrate' : 'crystallise');
    return allowed.ok ? wholeDish(input) : allowed;
  },
  example: {
    substanceId: 'potassium-nitrate',
    grams: 100,
    waterG: 80,
    hotC: 80,
    coldC: 10,
    boilAwayG: 0,
    crops: 1,
    impurityPct: 2,
    airC: 18,
    humidityPct: 60,
    pressureHPa: 1013,
    dishCm2: 200,
  },
});
