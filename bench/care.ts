import { must } from '#base/lookup';
import { unwrap } from '#base/problem';
import { clashesOf, presentIn } from '#matter/guard';
import { at } from '#matter/vessel';
import { careOfRun } from '#run/care';
import { liveOf } from '#run/log';
import { catalogue } from '#run/route';
import { goThrough } from '#run/sheet';
import { checkEntry, runState } from '#run/state';
import { planForRoute } from '#testing/catalogue';
import { eventsAt, planFor, testShelf } from '#testing/shelf';
import { median, report } from './report.ts';

// The gate: what an entry is asked before it is written, and what meets in a vessel; and the care of a whole batch.
const plan = planFor('60 g zinc sulfate');
const entered = eventsAt(
  '2026-03-14T08:00:00.000Z',
  { kind: 'finished', step: 'ready' },
  {
    kind: 'added',
    step: 'zinc',
    role: 'zinc',
    bottleId: 'bottle_zinc',
    reading: { is: 'exact', value: 14, unit: 'g' },
    reason: '',
  },
);
const [last] = entered.slice(-1);

const taken = (run: () => unknown) => {
  const start = performance.now();
  run();
  return performance.now() - start;
};
const ms = (value: number) => `${value.toFixed(3)} ms`;
const many = (run: () => unknown, count = 300) => median(Array.from({ length: count }, () => taken(run)));

report('gate of an entry', ms(many(() => checkEntry(plan, entered, must(last, 'last')))), '1 ms');

const mixtures = catalogue.flatMap((route) => {
  const gone = goThrough(planForRoute(route), liveOf([]));
  return gone.ok ? [...gone.value.planned.outcomes.values()].map(({ vessels }) => presentIn(at(vessels, 'pot'))) : [];
});
const bottles = testShelf.map(({ card }) => ({ substanceId: card.substanceId, pct: 30 }));
const clashes = mixtures.flatMap((there) =>
  bottles.map((added) => taken(() => clashesOf(there, added, { tempC: 20 }))),
);
report('what a bottle would do in a vessel, worst', ms(Math.max(...clashes.slice(200))), '1 ms');

const care = () => unwrap(careOfRun({ plan: { ...plan }, events: [...entered], shelf: testShelf }));
const state = () => unwrap(runState({ ...plan }, [...entered]));
state();
report('care of a batch against its state', (many(care, 40) / many(state, 40)).toFixed(2), '2 ×');
