import { ok } from '#base/problem';
import { fields, list, nullable, number, one, optional, text } from '#base/shape';
import { materials } from '#matter/gear';
import { presentShape } from '#matter/guard';
import { causesOf, type Observation, observations } from '#run/surprise';
import { techniqueNames } from '#run/technique';
import { verb } from '../verb.ts';

export const surprise = verb({
  name: 'surprise',
  input: fields({
    observation: one(...(Object.keys(observations) as Observation[])),
    present: list(presentShape, 200),
    tempC: number({ min: -80, max: 500 }),
    technique: nullable(one(...techniqueNames)),
    /** What the vessel is made of. */
    material: optional(one(...materials)),
    /** What was looked into before. */
    known: optional(list(fields({ cause: text(300), verdict: one('it was this', 'it was not this') }), 200)),
  }),
  run: ({ observation, ...scene }) => ok(causesOf(observation, scene)),
  example: {
    observation: 'gas',
    present: [
      { substanceId: 'sulfuric-acid', pct: 15 },
      { substanceId: 'zinc', pct: 5 },
    ],
    tempC: 20,
    technique: 'hold',
  },
});
