import { losingWater, losingWaterShape } from '#run/technique';
import { verb } from '../verb.ts';

export const evaporate = verb({
  name: 'evaporate',
  input: losingWaterShape,
  run: losingWater,
  example: {
    substanceId: 'zinc-acetate-dihydrate',
    fromMl: 400,
    toMl: 60,
    awayG: 330,
    vessels: [
      { name: '600 mL beaker', capacityMl: 600, diameterMm: 86, heightMm: 123 },
      { name: '100 mL beaker', capacityMl: 100, diameterMm: 47, heightMm: 70 },
    ],
    watts: 300,
    evaporationGPerH: 150,
    dishCm2: 300,
    liquidC: 20,
    airC: 20,
    humidityPct: 50,
    pressureHPa: 1013,
  },
});
