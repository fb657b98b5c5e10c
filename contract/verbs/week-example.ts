import type { WeekInput } from '#run/week';

/** A small week: alum dissolved hot and left to cool, in two evenings. */
export const weekExample: WeekInput = {
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
};
