import { placeWeek, weekShape } from '#run/week';
import { verb } from '../verb.ts';
import { weekExample } from './week-example.ts';

export const schedule = verb({ name: 'schedule', input: weekShape, run: placeWeek, example: weekExample });
