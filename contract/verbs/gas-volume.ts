import { given } from '#base/figure';
import { fail, ok } from '#base/problem';
import { fields, number } from '#base/shape';
import { dryGasMol } from '#model/method';
import { verb } from '../verb.ts';

export const gasVolume = verb({
  name: 'gasVolume',
  input: fields({
    /** What stands in the jar over water, and the air that was in flask and tube before, which is not of it. */
    volumeMl: number({ min: 0, max: 1e6 }),
    deadMl: number({ min: 0, max: 1e6 }),
    tempC: number({ min: 0, max: 60 }),
    hPa: number({ min: 600, max: 1100 }),
  }),
  run: ({ volumeMl, deadMl, tempC, hPa }) => {
    if (deadMl > volumeMl)
      return fail('out-of-range', 'The dead volume is at most the volume of the jar.', { field: 'deadMl' });
    return ok({
      mol: dryGasMol({
        volumeMl: given({ symbol: 'V', name: 'gas, less dead volume', unit: 'mL' }, volumeMl - deadMl, 'read'),
        tempC: given({ symbol: 't', name: 'temperature', unit: '°C' }, tempC, 'read'),
        hPa: given({ symbol: 'p', name: 'air pressure', unit: 'hPa' }, hPa, 'read'),
      }),
    });
  },
  example: { volumeMl: 214, deadMl: 3, tempC: 18.5, hPa: 1002 },
});
