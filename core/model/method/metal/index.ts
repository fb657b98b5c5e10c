import { derive, given } from '#base/figure';
import { entryOf } from '#base/lookup';
import { fail, ok } from '#base/problem';
import { molarMassFigure } from '#matter/substance';
import { type MeasuredMethod, weighingSd } from '../method.ts';

interface Eats {
  readonly metal: string;
  readonly formula: string;
  /** Moles of acid that a mole of the metal takes. */
  readonly acidPerMetal: number;
  readonly reaction: string;
}

const zinc = (acidPerMetal: number, reaction: string): Eats => ({
  metal: 'zinc',
  formula: 'Zn',
  acidPerMetal,
  reaction,
});

const EATS: Readonly<Record<string, Eats>> = {
  'hydrochloric-acid': zinc(2, 'Zn + 2 HCl -> ZnCl2 + H2'),
  'sulfuric-acid': zinc(1, 'Zn + H2SO4 -> ZnSO4 + H2'),
  'acetic-acid': { metal: 'magnesium', formula: 'Mg', acidPerMetal: 2, reaction: 'Mg + 2 C2H4O2 -> Mg(C2H3O2)2 + H2' },
  'formic-acid': { metal: 'magnesium', formula: 'Mg', acidPerMetal: 2, reaction: 'Mg + 2 CH2O2 -> Mg(CHO2)2 + H2' },
  'citric-acid': {
    metal: 'magnesium',
    formula: 'Mg',
    acidPerMetal: 2 / 3,
    reaction: '3 Mg + 2 C6H8O7 -> Mg3(C6H5O7)2 + 3 H2',
  },
  'nitric-acid': {
    metal: 'copper',
    formula: 'Cu',
    acidPerMetal: 8 / 3,
    reaction: '3 Cu + 8 HNO3 -> 3 Cu(NO3)2 + 2 NO + 4 H2O',
  },
};

/** An acid by how much of a metal it eats until it stops: a screening test, good to a tenth or so. */
export const metal: MeasuredMethod = {
  is: 'measured',
  id: 'metal',
  title: 'metal it eats, a screening test',
  needs: [],
  known: [],
  suits: ({ substance }) =>
    Object.hasOwn(EATS, substance.species) ? null : 'no metal is held that it eats to the end',
  reaction: ({ substance }) => EATS[substance.species]?.reaction ?? '',
  steps: [
    'Weigh {sample} of the acid into a glass, dilute threefold.',
    'Put in a weighed piece of the metal, more than it can eat; outdoors.',
    'Wait until no bubble rises for an hour, overnight for weak acids; rinse, dry, weigh what is left.',
  ],
  entries: [
    { name: 'sampleG', label: 'acid', unit: 'g', least: 0.001, most: 2000, sd: (bench) => weighingSd(bench) },
    { name: 'beforeG', label: 'metal before', unit: 'g', least: 0, most: 2000, sd: (bench) => weighingSd(bench) },
    { name: 'afterG', label: 'metal after', unit: 'g', least: 0, most: 2000, sd: (bench) => weighingSd(bench) },
  ],
  strength: ({ content, read }) => {
    const eats = EATS[content.substance.species];
    if (!eats) return fail('no-data', 'No metal is held that it eats to the end.');
    const sampleG = entryOf(read, 'sampleG');
    const beforeG = entryOf(read, 'beforeG');
    const afterG = entryOf(read, 'afterG');
    if (afterG.value > beforeG.value)
      return fail('out-of-range', 'The metal weighs more than before: dry it, or mind which is which.', {
        field: 'afterG',
      });
    if (!(afterG.value > 0))
      return fail('out-of-range', 'All metal is gone: it may have eaten more. Put in more, so that some is left.', {
        field: 'afterG',
      });
    const r = given({ symbol: 'r', name: `acid a mole of ${eats.metal}`, unit: '' }, eats.acidPerMetal, eats.reaction);
    return ok(
      derive(
        { symbol: 'w', name: `strength by ${eats.metal} eaten`, unit: '%' },
        '100 × (b − a) ÷ Mm × r × M ÷ m',
        {
          a: afterG,
          b: beforeG,
          Mm: molarMassFigure(eats.formula),
          r,
          M: molarMassFigure(content.substance.formula),
          m: sampleG,
        },
        (x) => (((100 * (x.b - x.a)) / x.Mm) * x.r * x.M) / x.m,
      ),
    );
  },
  model: ({ substance, w }) => {
    const eats = EATS[substance.species];
    const M = molarMassFigure(substance.formula).value;
    const grams = 20;
    const mol = (grams * w.value) / 100 / M / (eats?.acidPerMetal ?? 1);
    const lost = mol * molarMassFigure(eats?.formula ?? 'Zn').value;
    return { sampleG: grams, beforeG: 2 * lost, afterG: lost };
  },
  besidesSd: 0.05,
  besides: 'it slows before it ends; brown gas takes a varying share of nitric acid',
  minutes: 720,
  cautions: ['Hydrogen, and brown poisonous gas from nitric acid: a few grams, outdoors, never closed.'],
};
