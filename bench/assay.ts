import { must } from '#base/lookup';
import { unwrap } from '#base/problem';
import { curveOf, fitCurve, phAt, solutionOf } from '#matter/equilibrium';
import { BenchDefaults } from '#matter/gear';
import { parseLabel } from '#matter/label';
import { methodsFor } from '#model/assay';
import { median, report } from './report.ts';

// Titration curves and what is read off them.
const of = (...dissolved: readonly (readonly [string, number])[]) =>
  unwrap(
    solutionOf(
      dissolved.map(([substanceId, molPerL]) => ({ substanceId, molPerL })),
      20,
    ),
  );
const mixed = {
  sample: of(['phosphoric-acid', 0.05], ['acetic-acid', 0.05], ['ammonium-chloride', 0.05]),
  sampleMl: 25,
  titrant: of(['sodium-hydroxide', 0.1]),
};
const vinegar = { sample: of(['acetic-acid', 0.1]), sampleMl: 25, titrant: of(['sodium-hydroxide', 0.1]) };
const readings = Array.from({ length: 100 }, (_, i) => {
  const found = phAt(vinegar, i * 0.35);
  return { titreMl: i * 0.35, pH: (found.outcome === 'solved' ? found.pH : 7) + 0.01 * Math.sin(i * 7) };
});
const fit = () =>
  fitCurve(
    readings,
    [
      { name: 'c', start: 0.08, low: 0.01, high: 0.5 },
      { name: 'pKa', start: 4.4, low: 2, high: 9 },
      { name: 'offset', start: 0, low: -1, high: 1 },
    ],
    ({ c = 0.1, pKa = 4.7 }) => ({
      ...vinegar,
      sample: { ...vinegar.sample, families: [{ name: 'acid', pKas: [pKa], baseCharge: -1, molPerL: c }] },
    }),
  );
const shelf = [
  'hydrochloric acid 28% 5 L',
  'sodium hydroxide 0.1 mol/L 1 L',
  'soda ash 99.5% 500 g',
  'potassium permanganate 0.02 mol/L 500 mL',
  'hydrogen peroxide 3% 250 mL',
  'sodium thiosulfate 0.1 mol/L 1 L',
  'oxalic acid dihydrate 99.5% 250 g',
].map((label, i) => ({
  id: `b${i}`,
  card: must(parseLabel(label, '2026-03-14', 20).card, 'card'),
  usedG: 0,
  archived: false,
}));
const ways = () =>
  shelf.map(({ archived: _, ...bottle }) =>
    methodsFor({ bottle, shelf, bench: BenchDefaults, day: '2026-03-14', tolerancePct: 1 }),
  );

const taken = (run: () => unknown) => {
  const start = performance.now();
  run();
  return performance.now() - start;
};
const times = (run: () => unknown, n: number) => median(Array.from({ length: n }, () => taken(run)));
const ms = (value: number) => `${value.toFixed(2)} ms`;
for (const warm of [() => curveOf(mixed, 60, 500), fit, ways]) warm();
report('titration curve, 500 points, 3 species', ms(times(() => curveOf(mixed, 60, 500), 15)), '15 ms');
report('curve fitted to 100 readings', ms(times(fit, 9)), '200 ms');
report('ways to assay a bottle, ranked', ms(times(ways, 9) / shelf.length), '50 ms');
