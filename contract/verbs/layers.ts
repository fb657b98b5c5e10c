import { layersShape, layers as run } from '#model/layers';
import { verb } from '../verb.ts';

export const layers = verb({
  name: 'layers',
  input: layersShape,
  run,
  example: {
    liquid: 'ethyl-acetate',
    liquidG: 78,
    liquor: { waterG: 20, salt: null, saltG: 0 },
    solutes: [{ substanceId: 'acetic-acid', grams: 3 }],
    pH: null,
    washes: [{ waterG: 17.6, salt: 'sodium-chloride', saltG: 6.3 }],
  },
});
