import { given, spreadOf } from '#base/figure';
import { itemAt, must } from '#base/lookup';
import { massFraction, strengthsOf } from '#matter/solution';
import { parseFormula, substanceOf } from '#matter/substance';
import { sheetOf } from '#run/sheet';
import { planFor } from '#testing/shelf';
import { median, report } from './report.ts';

// Strengths there and back, formulas read, and ten thousand samples of a sheet.
const acid = substanceOf('hydrochloric-acid');
const rounds = 300;
let started = performance.now();
for (let i = 0; i < rounds; i++) {
  const w = given({ symbol: 'w', name: 'w', unit: '%' }, 5 + (i % 30), 'bench');
  const c = must(
    strengthsOf(w, acid, 20, true).find((each) => each.unit === 'mol/L'),
    'strengthsOf',
  );
  const back = massFraction({ value: c.value, unit: 'mol/L' }, acid, 20);
  if (!back.ok || Math.abs(back.value - w.value) > 1e-6) throw new Error('not back where it was');
}
report(
  'strength in every unit and back from mol/L, a second',
  (rounds / ((performance.now() - started) / 1000)).toFixed(0),
  'as many as may be',
);

const formulas = ['KAl(SO4)2.12H2O', 'CuSO4·5H2O', '[Fe(CN)6]^4-', 'Na2C10H14N2O8.2H2O'];
started = performance.now();
for (let i = 0; i < 20_000; i++) if (!parseFormula(itemAt(formulas, i % 4)).ok) throw new Error('not read');
report('formulas read, a second', (20_000 / ((performance.now() - started) / 1000)).toFixed(0), 'as many as may be');

for (const target of ['1.5 L of 2 mol/L hydrochloric acid', '60 g zinc sulfate']) {
  const times: number[] = [];
  for (let i = 0; i < 12; i++) {
    const sheet = sheetOf(planFor(target));
    if (!sheet.ok) throw new Error(sheet.problem.message);
    const from = performance.now();
    const run = spreadOf(sheet.value.product ?? must(sheet.value.made, 'made').strength, 10_000, i);
    while (!run.next().done);
    if (i > 1) times.push(performance.now() - from);
  }
  report(`Monte Carlo, 10 000 samples: ${target}`, `${median(times).toFixed(0)} ms`, '< 150 ms');
}
