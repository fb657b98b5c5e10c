import { derive, given } from '#base/figure';
import { must } from '#base/lookup';
import { fail, ok } from '#base/problem';
import { molarMassFigure } from '#matter/substance';
import { type MeasuredMethod, weighingSd } from '../method.ts';
import { titrantMol, titreEntry } from '../titrant.ts';
import { protonsOf } from '../two-ends/index.ts';

/** What escapes or dissolves slowly goes into more acid than it takes; the acid left is titrated back with alkali. */
const TAKES: Readonly<Record<string, number>> = {
  ammonia: 1,
  'ammonium-hydrogencarbonate': 1,
  'calcium-carbonate': 2,
  'magnesium-carbonate': 2,
  'magnesium-hydroxide': 2,
  'magnesium-oxide': 2,
  'calcium-oxide': 2,
  'calcium-hydroxide': 2,
  'zinc-oxide': 2,
};

export const back: MeasuredMethod = {
  is: 'measured',
  id: 'back',
  title: 'into excess acid, titrated back',
  needs: [],
  known: [
    ['hydrochloric-acid', 'sulfuric-acid'],
    ['sodium-hydroxide', 'potassium-hydroxide'],
  ],
  suits: ({ substance }) =>
    Object.hasOwn(TAKES, substance.species) ? null : 'it neither escapes nor dissolves slowly',
  reaction: ({ substance }) => `${substance.name} + ${TAKES[substance.species] ?? 1} H+; H+ + OH- -> H2O`,
  steps: [
    'Weigh the acid into the flask first: more than the sample takes.',
    'Weigh {sample} under its surface; boil out carbon dioxide if it fizzed, cool.',
    'Titrate the acid that is left with alkali, methyl red.',
  ],
  entries: [
    { name: 'sampleG', label: 'sample', unit: 'g', least: 0.001, most: 2000, sd: (bench) => weighingSd(bench) },
    titreEntry('acid', 'acid put in'),
    titreEntry('alkali', 'alkali titrated back'),
  ],
  strength: (reduction) => {
    const { content, read, known } = reduction;
    const acid = titrantMol(reduction, 0, must(read.acid, 'acid'));
    const alkali = titrantMol(reduction, 1, must(read.alkali, 'alkali'));
    if (!acid.ok) return acid;
    if (!alkali.ok) return alkali;
    const z = given(
      { symbol: 'z', name: 'protons a mole of acid', unit: '' },
      protonsOf(known[0]?.content.substance.species),
      'its formula',
    );
    const t = given(
      { symbol: 't', name: `protons that ${content.substance.name} takes`, unit: '' },
      TAKES[content.substance.species] ?? 1,
      'its formula',
    );
    if (z.value * acid.value.value < alkali.value.value)
      return fail('out-of-range', 'More alkali went in than acid: then the sample took none. Check which is which.', {
        field: 'alkali',
      });
    return ok(
      derive(
        { symbol: 'w', name: 'strength by the acid it took', unit: '%' },
        '100 × (z × na − nb) × M ÷ (t × m)',
        {
          na: acid.value,
          nb: alkali.value,
          z,
          t,
          M: molarMassFigure(content.substance.formula),
          m: must(read.sampleG, 'sampleG'),
        },
        (x) => (100 * (x.z * x.na - x.nb) * x.M) / (x.t * x.m),
      ),
    );
  },
  model: ({ substance, w }) => {
    const mol = 0.02;
    return {
      sampleG:
        (mol * molarMassFigure(substance.formula).value * 100) /
        Math.max(w.value, 0.01) /
        (TAKES[substance.species] ?? 1),
      acid: 300,
      alkali: 100,
    };
  },
  besidesSd: 0.003,
  besides: 'what escapes before it is in the acid',
  minutes: 60,
  cautions: ['Ammonia outdoors, opened under the acid.'],
};
