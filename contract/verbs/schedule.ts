import { placeWeek, weekShape } from '#core/week';
import { verb } from '../verb.ts';
import { weekExample } from './week-example.ts';

export const schedule = verb({ name: 'schedule', input: weekShape, run: placeWeek, example: weekExample });
