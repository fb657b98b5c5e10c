import { precipitation, precipitationShape } from '#model/precipitate';
import { verb } from '../verb.ts';

export const precipitate = verb({
  name: 'precipitate',
  input: precipitationShape,
  run: precipitation,
  example: { solid: 'BaSO4', cationMol: 0.01, anionMol: 0.011, litres: 1, beside: 0.05 },
});
