import { itemAt } from '#base/lookup';
import { unwrap } from '#base/problem';
import { USUAL_STILL } from '#matter/gear';
import {
  atMl,
  chargeOf,
  deviates,
  distil,
  fitStill,
  mixtureById,
  mlAfter,
  planCut,
  type Setup,
  still,
  topOf,
} from '#model/still';
import { median, report } from './report.ts';

// A batch still, what readings say of it, where to cut it; how a run grows with its steps and plates.
const mixture = mixtureById('ethanol-water', 1013);
const setupOf = (plates: number): Setup => ({
  mixture,
  charge: chargeOf(mixture, 800, 40),
  apparatus: { ...USUAL_STILL, plates, reflux: plates > 2 ? 3 : 0 },
  airC: 20,
});
const ten = setupOf(10);
const run = distil(ten);
const acid = mixtureById('hydrogen-chloride-water', 1009);
const truth = distil({
  mixture: acid,
  charge: chargeOf(acid, 650, 17.3),
  apparatus: { ...USUAL_STILL, heatShare: 0.74 },
  airC: 16,
});
const noise = deviates(4);
const readings = Array.from({ length: 200 }, (_, i) => {
  const ml = mlAfter(truth, itemAt(truth.minutes, 0) + 0.3 * i);
  return {
    minutes: 0.3 * i,
    headC: atMl(truth, 'headC', ml) + 0.1 * noise(),
    potC: atMl(truth, 'potC', ml) + 0.1 * noise(),
    overMl: ml + noise(),
  };
});
const fit = () => {
  const search = fitStill({
    mixture: acid,
    apparatus: USUAL_STILL,
    airC: 16,
    prior: { pct: 18, pctSd: 0.4, platesSd: 0.3, heatSd: 0.2, grams: 650 },
    readings,
  });
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
};
/** Only the plates, as often as a run asks for them: twice a step, and twice more where liquid hangs in the column. */
const bare = () => {
  let from = 0.5;
  for (let i = 0; i < 6 * run.overMl.length; i++)
    from = topOf(mixture, 0.3 - 0.29 * (i / (6 * run.overMl.length)), { plates: 10, down: 0.75, from }).y;
  return from;
};
const asked = () =>
  unwrap(
    still({
      first: 'hydrochloric-acid',
      second: 'water',
      pressureHPa: 1009,
      grams: 650,
      pct: 18,
      staying: [],
      apparatus: USUAL_STILL,
      airC: 16,
      wanted: { by: 'strength', pct: 20 },
    }),
  );

const taken = (what: () => unknown) => {
  const start = performance.now();
  what();
  return performance.now() - start;
};
const times = (what: () => unknown, n: number) => median(Array.from({ length: n }, () => taken(what)));
const ms = (value: number) => `${value.toFixed(2)} ms`;
for (const warm of [() => distil(ten), fit, bare, asked]) for (let i = 0; i < 3; i++) warm();
const whole = times(() => distil(ten), 15);
report('a run, 500 steps, 10 plates', ms(whole), '40 ms');
report('  against its bare plates', `${(whole / times(bare, 15)).toFixed(2)} ×`, '3 ×');
report('  1000 steps against 500', `${(times(() => distil(ten, {}, 1000), 9) / whole).toFixed(2)} ×`, '2 ×');
report('  20 plates against 10', `${(times(() => distil(setupOf(20)), 9) / whole).toFixed(2)} ×`, '2 ×');
report('fit of 200 readings', ms(times(fit, 7)), '1500 ms');
report('where to cut', ms(times(() => planCut(run, { by: 'strength', pct: 90 }), 9)), '100 ms');
report('the plan’s chart, whole', ms(times(asked, 9)), '100 ms');
