import { boilShape, boil as run } from '#model/still';
import { verb } from '../verb.ts';

export const boil = verb({
  name: 'boil',
  input: boilShape,
  run,
  example: { first: 'hydrochloric-acid', second: 'water', pressureHPa: 994, pct: 20.26 },
});
