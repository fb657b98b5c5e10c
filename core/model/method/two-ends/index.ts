import { derive, given } from '#base/figure';
import { must } from '#base/lookup';
import { fail, ok } from '#base/problem';
import { molarMassFigure } from '#matter/substance';
import { type MeasuredMethod, weighingSd } from '../method.ts';
import { titrantMol, titreEntry } from '../titrant.ts';

/**
 * Hydroxide and the carbonate that air made of it, by acid with two ends: to phenolphthalein hydroxide and half the carbonate, on to
 * methyl orange the other half. The first end less the second part is hydroxide.
 */
export const twoEnds: MeasuredMethod = {
  is: 'measured',
  id: 'two-ends',
  title: 'hydroxide beside carbonate, two ends',
  needs: [],
  known: [['hydrochloric-acid', 'sulfuric-acid', 'nitric-acid']],
  suits: ({ substance }) =>
    ['sodium-hydroxide', 'potassium-hydroxide'].includes(substance.species)
      ? null
      : 'it is for lye that has taken up carbon dioxide',
  reaction: () => 'OH- + H+ -> H2O; CO3^2- + H+ -> HCO3-; HCO3- + H+ -> CO2 + H2O',
  steps: [
    'Weigh {sample} into the flask with 50 mL of boiled, cooled water; 2 drops of phenolphthalein.',
    'Titrate until the pink just goes: first end.',
    'Add methyl orange and go on to the first orange: both ends together.',
  ],
  entries: [
    { name: 'sampleG', label: 'sample', unit: 'g', least: 0.001, most: 2000, sd: (bench) => weighingSd(bench) },
    titreEntry('first', 'acid to the first end'),
    titreEntry('total', 'acid to both ends'),
  ],
  strength: (reduction) => {
    const { content, read } = reduction;
    const first = titrantMol(reduction, 0, must(read.first, 'first'));
    const total = titrantMol(reduction, 0, must(read.total, 'total'));
    if (!first.ok) return first;
    if (!total.ok) return total;
    if (total.value.value < first.value.value)
      return fail('out-of-range', 'Both ends together take at least as much acid as the first: check the two titres.', {
        field: 'total',
      });
    if (2 * first.value.value < total.value.value)
      return fail(
        'out-of-range',
        'The second part is larger than the first: that is carbonate with bicarbonate, no hydroxide is left.',
        { field: 'total' },
      );
    const protons = given(
      { symbol: 'z', name: 'protons a mole of acid', unit: '' },
      protonsOf(reduction.known[0]?.content.substance.species),
      'its formula',
    );
    return ok(
      derive(
        { symbol: 'w', name: `${content.substance.name} beside its carbonate`, unit: '%' },
        '100 × z × (2 × n₁ − n₂) × M ÷ m',
        {
          'n₁': first.value,
          'n₂': total.value,
          z: protons,
          M: molarMassFigure(content.substance.formula),
          m: must(read.sampleG, 'sampleG'),
        },
        (x) => (100 * x.z * (2 * x['n₁'] - x['n₂']) * x.M) / x.m,
      ),
    );
  },
  model: ({ substance, w }) => {
    const M = molarMassFigure(substance.formula).value;
    const grams = (GOOD_MOL * M * 100) / Math.max(w.value, 0.01);
    return { sampleG: grams, first: 20.4, total: 20.8 };
  },
  besidesSd: 0.003,
  besides: 'the first end is blurred by the second',
  minutes: 50,
  cautions: ['Goggles: alkali blinds.'],
};

/** 20 mL of 0.1 mol/L. */
const GOOD_MOL = 0.002;

export function protonsOf(species: string | undefined): number {
  return species === 'sulfuric-acid' ? 2 : 1;
}
