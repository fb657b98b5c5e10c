import { workingOf } from '#base/figure';
import { sheetOf } from '#run/sheet';
import { planFor } from '#testing/shelf';
import { median, report } from './report.ts';

// One batch sheet with the working of its product, warm, median of many.
for (const target of [
  '1.5 L of 2 mol/L hydrochloric acid',
  'sodium acetate from 250 mL vinegar',
  '60 g zinc sulfate',
]) {
  const plan = planFor(target);
  const times: number[] = [];
  for (let i = 0; i < 600; i++) {
    const started = performance.now();
    const sheet = sheetOf(plan);
    if (!sheet.ok) throw new Error(sheet.problem.message);
    const figure = sheet.value.product ?? sheet.value.made?.strength;
    if (!figure || workingOf(figure).length < 5) throw new Error('no working');
    if (i >= 100) times.push(performance.now() - started);
  }
  report(`batch sheet with working, median: ${target}`, `${median(times).toFixed(2)} ms`, '< 2 ms');
}
