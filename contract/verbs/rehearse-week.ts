import { fields, number } from '#base/shape';
import { rehearse, weekShape } from '#run/week';
import { verb } from '../verb.ts';
import { weekExample } from './week-example.ts';

export const rehearseWeek = verb({
  name: 'rehearseWeek',
  input: fields({
    week: weekShape,
    tries: number({ min: 1, max: 1000, whole: true }),
    seed: number({ min: 0, max: 1e9, whole: true }),
  }),
  run: ({ week, ...how }) => rehearse(week, how),
  example: { week: weekExample, tries: 100, seed: 1 },
});
