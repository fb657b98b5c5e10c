import { derive, given } from '#base/figure';
import { must } from '#base/lookup';
import { fail, ok } from '#base/problem';
import { molarMassFigure } from '#matter/substance';
import { temperatureEntry } from '../gravity.ts';
import { type MeasuredMethod, weighingSd } from '../method.ts';
import { dryGasMol, gasOf } from './gas-volume.ts';

/** Strength by the gas that a weighed sample sets free, caught over water: carbonates, peroxide, metals in acid. */
export const gas: MeasuredMethod = {
  is: 'measured',
  id: 'gas',
  title: 'gas set free, over water',
  needs: ['gas jar over water', 'thermometer'],
  known: [],
  suits: ({ substance }) => (gasOf(substance.species) ? null : 'it sets free no gas that is caught'),
  reaction: ({ substance }) => gasOf(substance.species)?.reaction ?? '',
  steps: [
    'Weigh {sample} into the dry flask; put what sets the gas free into it in a small tube, standing.',
    'Close, set the jar’s level to the outer level, tip the flask.',
    'When it stops, wait until all is at room temperature; level again and read.',
  ],
  entries: [
    { name: 'sampleG', label: 'sample', unit: 'g', least: 0.001, most: 500, sd: (bench) => weighingSd(bench) },
    {
      name: 'gasMl',
      label: 'gas in the jar',
      unit: 'mL',
      least: 0,
      most: 10_000,
      sd: (_, value) => Math.max(1, 0.01 * value),
    },
    { name: 'addedMl', label: 'liquid tipped in', unit: 'mL', least: 0, most: 1000, sd: () => 0.2, taken: () => 0 },
    temperatureEntry(1, 0),
    {
      name: 'hPa',
      label: 'air pressure',
      unit: 'hPa',
      least: 600,
      most: 1100,
      sd: () => 3,
      taken: ({ pressureHPa }) => pressureHPa,
    },
  ],
  strength: ({ content, read }) => {
    const { substance } = content;
    const facts = gasOf(substance.species);
    if (!facts) return fail('no-data', `${substance.name} sets free no gas that is caught.`);
    const { sampleG, gasMl, addedMl, tempC, hPa } = read;
    const V = derive(
      { symbol: 'V', name: 'gas, less what tipping pushed out', unit: 'mL' },
      'Vj − Va',
      { Vj: must(gasMl, 'gasMl'), Va: must(addedMl, 'addedMl') },
      (x) => x.Vj - x.Va,
    );
    if (!(V.value >= 0))
      return fail('out-of-range', 'Less gas was caught than the tipped liquid pushes out: no gas came off.', {
        field: 'gasMl',
      });
    const n = dryGasMol({ volumeMl: V, tempC: must(tempC, 'tempC'), hPa: must(hPa, 'hPa') });
    const lost = given(
      { symbol: 'f', name: 'share caught', unit: '' },
      { value: 1, uncertainty: { 'gas:dissolved': { name: 'gas dissolved in the water', effect: facts.lostSd } } },
      facts.lost,
    );
    const M = molarMassFigure(substance.formula);
    const ratio = given(
      { symbol: 'r', name: `${substance.name} a mole of gas`, unit: '' },
      facts.perGas,
      facts.reaction,
    );
    return ok(
      derive(
        { symbol: 'w', name: `strength by its gas`, unit: '%' },
        '100 × n × r × M ÷ (f × m)',
        { n, r: ratio, M, f: lost, m: must(sampleG, 'sampleG') },
        (x) => (100 * x.n * x.r * x.M) / (x.f * x.m),
      ),
    );
  },
  model: ({ substance, w }, bench) => {
    const facts = gasOf(substance.species);
    const perMl = (bench.pressureHPa - 23) / (83.14 * (bench.tempC + 273.15)) / 1000;
    const mol = GOOD_ML * perMl;
    const M = molarMassFigure(substance.formula).value;
    return { sampleG: (mol * (facts?.perGas ?? 1) * M * 100) / Math.max(w.value, 1), gasMl: GOOD_ML, addedMl: 0 };
  },
  besidesSd: 0,
  besides: 'gas dissolved in the water it is caught over',
  minutes: 30,
  cautions: ['Open by a window: no flame near hydrogen, no closed vessel without its outlet.'],
};

/** A jar well filled. */
const GOOD_ML = 200;
