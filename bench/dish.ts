import { verbs } from '#contract/verbs';
import { median, report } from './report.ts';

// A frame of the dish panel: the path with its 200 points, methods and passes, water moving as under a slider.
const input = {
  substanceId: 'potassium-alum',
  grams: 100,
  waterG: 150,
  hotC: 70,
  coldC: 6,
  boilAwayG: 20,
  crops: 2,
  impurityPct: 2,
  airC: 16,
  humidityPct: 60,
  pressureHPa: 1013,
  dishCm2: 200,
};
const times: number[] = [];
for (let i = 0; i < 300; i++) {
  const started = performance.now();
  const answer = verbs.dish.run({ ...input, waterG: 150 + i / 10 });
  if (!answer.ok || answer.value.path.curve.length !== 200) throw new Error('no dish');
  if (i >= 60) times.push(performance.now() - started);
}
report('a frame of the dish panel, median', `${median(times).toFixed(2)} ms`, '< 4 ms');
