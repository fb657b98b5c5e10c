import { drying, dryingShape } from '#model/dry';
import { verb } from '../verb.ts';

export const dry = verb({
  name: 'dry',
  input: dryingShape,
  run: drying,
  example: {
    substanceId: 'magnesium-sulfate-heptahydrate',
    waterG: 12,
    areaCm2: 300,
    roomC: 20,
    humidityPct: 45,
    pressureHPa: 1013,
    ceiling: { tempC: 40, why: 'it weathers' },
  },
});
