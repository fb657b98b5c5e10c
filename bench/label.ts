import { reckon } from '#ask/reckon';
import { parseLabel } from '#matter/label';
import { median, report } from './report.ts';

// Reading a label as it is typed: every beginning of every label, as a person types it; and texts meant to be slow.
const LABELS = [
  'Slabwright patio and brick acid, hydrochloric acid 28% 5 L 11.50',
  'hair peroxide 30 vol 120 ml',
  'descaler 500 g 4.20',
  'copper(II) sulphate pentahydrate 98% 1 kg 9.40 bought march',
  'oxygen bleach powder, mixed 1 kg',
  'tile cleaner hydrochloric acid 14% phosphoric acid 6% 1 L 3.80',
  'hydrocloric acid 28% 1 L',
  'calcium ammonium nitrate 15.5% N 5 kg',
  'Sn97Cu3 250 g 18',
];
const NASTY = [
  'a'.repeat(300),
  'zinc '.repeat(60),
  'sulphate of nothing known '.repeat(11),
  '1-2-3-'.repeat(50),
  '(((((((([[[[[[[['.repeat(18),
  '9.9.9.9 % % % kg kg '.repeat(14),
  'ferrous ferric cuprous cupric (ii) (iii) iv v '.repeat(6),
  'non without free of remover killer dust '.repeat(7),
];

const taken = (run: () => unknown) => {
  const start = performance.now();
  run();
  return performance.now() - start;
};
const read = (text: string) => parseLabel(text, '2026-03-14', 20);

for (const label of LABELS) read(label);
const typing = LABELS.flatMap((label) =>
  Array.from({ length: label.length }, (_, i) => taken(() => read(label.slice(0, i + 1)))),
);
const ms = (value: number) => `${value.toFixed(2)} ms`;
report('label as it is typed, median', ms(median(typing)), '3 ms');
report('label as it is typed, slowest', ms(Math.max(...typing)), '50 ms');
report('label meant to be slow, slowest', ms(Math.max(...NASTY.map((text) => taken(() => read(text))))), '50 ms');
report(
  'line of the Reckoner meant to be slow, slowest',
  ms(Math.max(...NASTY.map((text) => taken(() => reckon(text))))),
  '50 ms',
);
