import { unwrap } from '#base/problem';
import type { Stretch } from '#base/time';
import { placeWeek, type Task, type WeekInput } from '#run/week';
import { median, report } from './report.ts';

// Twenty batches of twelve steps over two weeks, a third of them close behind the one before: placed from nothing, and while a step is dragged.
const DAY = 1440;
const days = <T>(of: (day: number) => T): readonly T[] => Array.from({ length: 14 }, (_, day) => of(day));
const free = days(
  (day): Stretch => (day % 7 >= 5 ? [day * DAY + 540, day * DAY + 1320] : [day * DAY + 1020, day * DAY + 1320]),
);
const light = days((day): Stretch => [day * DAY + 480, day * DAY + 1020]);
const home = days((day): Stretch => [day * DAY + 420, day * DAY + 1380]);
const tasks = Array.from({ length: 240 }, (_, i): Task => {
  const [batch, step] = [Math.floor(i / 12), i % 12];
  const waits = step % 3 === 2;
  return {
    id: `${batch} ${step}`,
    batch: String(batch),
    title: `step ${step}`,
    handsOnMin: 5 + ((i * 7) % 11),
    waitMin: waits ? [60 + 30 * (i % 5), 180 + 60 * (i % 9)] : [0, 0],
    wait: waits && i % 4 === 0 ? 'near' : 'alone',
    daylight: false,
    gear: step === 5 ? ['hotplate'] : [],
    after: step === 0 ? [] : [`${batch} ${step - 1}`],
    // A third of them as soon as what goes before is over: filtered hot, washed, gone on with.
    ...(step % 3 === 1 ? { withinMin: step % 2 === 1 ? 10 : 60 } : {}),
    ...(step % 6 === 1
      ? { gives: [i % 2 === 0 ? 'acid vapour' : 'ammonia'], shuns: [i % 2 === 0 ? 'ammonia' : 'acid vapour'] }
      : {}),
  };
});

const timed = (input: WeekInput, runs: number): number => {
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const started = performance.now();
    const { placed, left } = unwrap(placeWeek(input));
    if (placed.length + left.length !== tasks.length) throw new Error('a step is lost');
    times.push(performance.now() - started);
  }
  return median(times.slice(1));
};

for (const aim of ['soonest', 'least time there', 'fewest nights'] as const)
  report(
    `a week of 240 steps placed, ${aim}, median`,
    `${timed({ tasks, free, light, home, aim }, 8).toFixed(0)} ms`,
    '< 300 ms',
  );
const { order, holds } = unwrap(placeWeek({ tasks, free, light, home }));
const dragged = tasks.map((task, i) => (i === 30 ? { ...task, pinnedMin: 3 * DAY + 1100 } : task));
report(
  'the same while a step is dragged, median',
  `${timed({ tasks: dragged, free, light, home, order, holds }, 30).toFixed(1)} ms`,
  '< 32 ms',
);
