import { placeWeek, weekShape } from '#core/week';
import { verb } from '../verb.ts';

export const schedule = verb({
  name: 'schedule',
  input: weekShape,
  run: placeWeek,
  example: {
    tasks: [
      {
        id: 'alum-dissolve',
        batch: 'alum',
        title: 'Dissolve the alum hot',
        handsOnMin: 30,
        waitMin: [0, 0],
        wait: 'alone',
        daylight: false,
        gear: ['hotplate'],
        after: [],
      },
      {
        id: 'alum-cool',
        batch: 'alum',
        title: 'Cool overnight',
        handsOnMin: 5,
        waitMin: [480, 960],
        wait: 'alone',
        daylight: false,
        gear: [],
        after: ['alum-dissolve'],
      },
    ],
    free: [
      [1080, 1320],
      [2520, 2760],
    ],
    light: [[480, 1020]],
  },
});
