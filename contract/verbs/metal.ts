import { metalInAcid, metalShape } from '#model/rate';
import { verb } from '../verb.ts';

export const metal = verb({
  name: 'metal',
  input: metalShape,
  run: metalInAcid,
  example: { form: 'sheet', sizeMm: 2, gonePct: 20, hours: 8, residuePct: 4, toMm: 0.5, warmerK: 20 },
});
