import { derive, given } from '#base/figure';
import { entryOf } from '#base/lookup';
import { fail, ok } from '#base/problem';
import { molarMass, molarMassFigure } from '#matter/substance';
import { type MeasuredMethod, weighingSd } from '../method.ts';

interface Weighed {
  readonly formula: string;
  /** Moles of the substance a mole of what is weighed. */
  readonly per: number;
  readonly reaction: string;
  readonly how: string;
}

const chloride = (per: number): Weighed => ({
  formula: 'AgCl',
  per,
  reaction: 'Cl- + Ag+ -> AgCl',
  how: 'by silver nitrate in a little excess, in nitric acid, warm, in the dark; wash with very dilute nitric acid; dry at 120 °C',
});
const copper: Weighed = {
  formula: 'Cu',
  per: 1,
  reaction: 'Cu^2+ + Zn -> Cu + Zn^2+',
  how: 'by zinc in a little acid until it is colourless and all zinc has gone; wash with water, then spirit; dry below 60 °C',
};
const oxalate: Weighed = {
  formula: 'CaC2O4.H2O',
  per: 1,
  reaction: 'Ca^2+ + C2O4^2- + H2O -> CaC2O4.H2O',
  how: 'by ammonium oxalate in warm ammonia; stand an hour; wash with dilute oxalate; dry at 105 °C',
};

const WEIGHED: Readonly<Record<string, Weighed>> = {
  'sodium-chloride': chloride(1),
  'potassium-chloride': chloride(1),
  'ammonium-chloride': chloride(1),
  'hydrochloric-acid': chloride(1),
  'magnesium-chloride': chloride(0.5),
  'copper-sulfate': copper,
  'copper-chloride': copper,
  'copper-acetate': copper,
  'copper-formate': copper,
  'calcium-chloride': oxalate,
  'calcium-acetate': oxalate,
};

/** What is thrown down, dried and weighed. */
export const gravimetric: MeasuredMethod = {
  is: 'measured',
  id: 'gravimetric',
  title: 'thrown down and weighed',
  needs: ['oven'],
  known: [],
  suits: ({ substance }) => (Object.hasOwn(WEIGHED, substance.species) ? null : 'no precipitate of it is weighed here'),
  reaction: ({ substance }) => WEIGHED[substance.species]?.reaction ?? '',
  steps: [
    'Weigh {sample} and dissolve it in 100 mL of water.',
    'Throw it down as the reaction says, let it settle, filter on a dried, weighed paper.',
    'Wash, dry to constant mass, weigh with the paper.',
  ],
  entries: [
    { name: 'sampleG', label: 'sample', unit: 'g', least: 0.001, most: 500, sd: (bench) => weighingSd(bench) },
    { name: 'paperG', label: 'paper, dried', unit: 'g', least: 0, most: 100, sd: (bench) => weighingSd(bench) },
    {
      name: 'withG',
      label: 'paper with precipitate',
      unit: 'g',
      least: 0,
      most: 500,
      sd: (bench) => weighingSd(bench),
    },
  ],
  strength: ({ content, read }) => {
    const facts = WEIGHED[content.substance.species];
    if (!facts) return fail('no-data', 'No precipitate of it is weighed here.');
    const sampleG = entryOf(read, 'sampleG');
    const paperG = entryOf(read, 'paperG');
    const withG = entryOf(read, 'withG');
    if (withG.value < paperG.value)
      return fail('out-of-range', 'The paper with the precipitate weighs less than the paper alone.', {
        field: 'withG',
      });
    const factor = given(
      { symbol: 'r', name: `${content.substance.name} a mole of ${facts.formula}`, unit: '' },
      facts.per,
      `${facts.reaction}: ${facts.how}`,
    );
    return ok(
      derive(
        { symbol: 'w', name: `strength by ${facts.formula}`, unit: '%' },
        '100 × (b − a) ÷ Mp × r × M ÷ m',
        {
          a: paperG,
          b: withG,
          m: sampleG,
          Mp: molarMassFigure(facts.formula),
          r: factor,
          M: molarMassFigure(content.substance.formula),
        },
        (x) => (((100 * (x.b - x.a)) / x.Mp) * x.r * x.M) / x.m,
      ),
    );
  },
  model: ({ substance, w }) => {
    const facts = WEIGHED[substance.species];
    const grams = 2;
    const mol = (grams * w.value) / 100 / molarMass(substance.formula) / (facts?.per ?? 1);
    return { sampleG: grams, paperG: 1, withG: 1 + mol * molarMass(facts?.formula ?? 'AgCl') };
  },
  besidesSd: 0.005,
  besides: 'what the precipitate keeps in it and what the washing takes',
  minutes: 240,
  cautions: ['Keep silver chloride: nothing of it down the drain.'],
};
