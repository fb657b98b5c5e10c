import type { BenchAnswer, WeekAnswer } from '#contract/api';
import { BenchDefaults, USUAL_HOURS } from '#matter/gear';
import type { BenchTask } from '#run/agenda';
import { NO_CHOICES } from '#run/week';

const DAY = 1440;
/** The beginning of the week of tests. */
export const WEEK_FROM = '2026-11-27T00:00:00.000Z';

/** Half an hour of hands at a batch that is named by the first letter, and what is said otherwise. */
export const benchTask = (id: string, over: Partial<BenchTask> = {}): BenchTask => ({
  id,
  batch: id.slice(0, 1),
  step: id,
  title: `step ${id}`,
  handsOnMin: 30,
  waitMin: [0, 0],
  wait: 'alone',
  daylight: false,
  where: 'anywhere',
  lookEveryMin: null,
  ceilingC: null,
  gear: [],
  after: [],
  ownRuns: 0,
  soon: '',
  ...over,
});

/** One evening and one day of hours, with two batches: alum that runs, zinc sulfate that is planned. */
export const weekAnswer = (
  tasks: readonly BenchTask[],
  choices: Partial<WeekAnswer['choices']> = {},
  over: Partial<WeekAnswer> = {},
): WeekAnswer => ({
  now: WEEK_FROM,
  version: 1,
  choices: { ...NO_CHOICES, ...choices },
  laid: {
    from: WEEK_FROM,
    free: [
      [1080, 1320],
      [DAY + 600, DAY + 1320],
    ],
    home: [
      [420, 1380],
      [DAY + 420, DAY + 1380],
    ],
    light: [[480, 960]],
    lightKnown: true,
    air: [],
  },
  hours: USUAL_HOURS,
  place: 'shed',
  tasks,
  batches: [
    { id: 'a', number: 1, title: 'alum', status: 'running', vessel: null },
    { id: 'b', number: 2, title: 'zinc sulfate', status: 'planned', vessel: null },
  ],
  unread: [],
  ...over,
});

/** A bench with the usual hours. */
export const benchAnswer = (over: Partial<BenchAnswer> = {}): BenchAnswer => ({
  version: 3,
  bench: { ...BenchDefaults, hours: USUAL_HOURS },
  ...over,
});
