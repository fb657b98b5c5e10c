import { itemAt, lastOf } from '#base/lookup';
import { exactReading } from '#base/reading';
import { finishOf } from '#model/rate';
import type { EventBody } from '#run/log';
import { advise, runState } from '#run/state';
import { causesOf, type Observation, observations } from '#run/surprise';
import { eventsAt, planFor } from '#testing/shelf';
import { median, report } from './report.ts';

const START = '2026-03-14T08:00:00.000Z';
const plan = planFor('20 g basic zinc carbonate');

/** A run of twelve steps, half of it done, with one weight that changes. */
function bodies(zincG: number): EventBody[] {
  const added = (step: string, role: string, value: number): EventBody => ({
    kind: 'added',
    step,
    role,
    bottleId: plan.bottles[role] ?? null,
    reading: exactReading(value, 'g'),
    reason: '',
  });
  const done = (step: string): EventBody => ({ kind: 'finished', step });
  return [
    done('ready'),
    added('zinc', 'zinc', zincG),
    done('zinc'),
    added('water', 'water', 90),
    done('water'),
    added('acid', 'acid', 61),
    done('acid'),
    done('dissolve'),
    done('filter'),
    ...Array.from({ length: 6 }, () => added('soda', 'soda', 8)),
  ];
}

const timed = (what: (i: number) => void, times = 400) => {
  const took: number[] = [];
  for (let i = 0; i < times; i++) {
    const started = performance.now();
    what(i);
    if (i >= times / 5) took.push(performance.now() - started);
  }
  return median(took);
};

const recomputed = timed((i) => {
  const run = runState(plan, eventsAt(START, ...bodies(12 + i / 1000)));
  if (!run.ok || run.value.steps.length !== 12) throw new Error('no run');
});
report('a 12-step run after one changed weight, median', `${recomputed.toFixed(2)} ms`, '< 8 ms');

const events = eventsAt(START, ...bodies(12.66));
const advised = timed(() => {
  const advice = advise(plan, events, 'soda', '2026-03-14T09:00:00.000Z');
  if (!advice.ok || advice.value.own?.do !== 'add') throw new Error('no advice');
});
report('the next portion and how far it has come, median', `${advised.toFixed(2)} ms`, '< 16 ms');

// A long run: 300 entries, then one more, as the worker has it: the list grows, and state and advice read one fold.
const many: EventBody[] = [
  ...bodies(12.66).slice(0, 9),
  ...Array.from(
    { length: 291 },
    (_, i): EventBody => ({
      kind: 'read',
      step: 'soda',
      quantity: i % 2 === 0 ? 'temperature' : 'pH',
      reading: exactReading(20 + (i % 9), i % 2 === 0 ? '°C' : ''),
      place: '',
    }),
  ),
];
const long = eventsAt(START, ...many);
const shown = timed((i) => {
  const grown = [...long, { ...lastOf(long), id: `ev_next${String(i).padStart(6, '0')}` }];
  const run = runState(plan, grown);
  const advice = advise(plan, grown, 'soda', '2026-03-14T14:00:00.000Z');
  if (!run.ok || !advice.ok || run.value.log.length < 300) throw new Error('no run');
  structuredClone(run.value);
}, 60);
report(
  'a run of 300 entries and one more: state, advice, copied to the page, median',
  `${shown.toFixed(1)} ms`,
  '< 30 ms',
);

const present = ['zinc-sulfate', 'sulfuric-acid', 'sodium-carbonate', 'zinc', 'sodium-sulfate'].map((substanceId) => ({
  substanceId,
  pct: 10,
}));
const all = Object.keys(observations) as Observation[];
const ranked = timed((i) => {
  const causes = causesOf(itemAt(all, i % all.length), { present, tempC: 40, technique: 'add' });
  if (causes.length === 0) throw new Error('no cause');
});
report('ranking the causes of a surprise, median', `${ranked.toFixed(3)} ms`, '< 20 ms');

const readings = Array.from({ length: 50 }, (_, i) => {
  const y = 60 + 30 * Math.exp(-0.1 * i) + 0.05 * Math.sin(i * 7);
  return { hours: i, hoursSd: 0, low: y, high: y };
});
const fitted = timed(() => {
  if (finishOf('levelling', readings, 0.05, 0).hours === null) throw new Error('no fit');
}, 30);
report('finishing time from 50 readings, median', `${fitted.toFixed(1)} ms`, '< 50 ms');
