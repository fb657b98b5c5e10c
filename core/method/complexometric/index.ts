import type { Sight, TitrationMethod } from '../method.ts';

const METALS: readonly (readonly [species: string, ion: string, indicator: string])[] = [
  ['magnesium-sulfate', 'Mg^2+', 'EBT'],
  ['magnesium-chloride', 'Mg^2+', 'EBT'],
  ['magnesium-acetate-anhydrous', 'Mg^2+', 'EBT'],
  ['zinc-sulfate', 'Zn^2+', 'EBT'],
  ['zinc-chloride', 'Zn^2+', 'EBT'],
  ['zinc-acetate', 'Zn^2+', 'EBT'],
  ['zinc', 'Zn^2+', 'EBT'],
  ['calcium-chloride', 'Ca^2+', 'calcon'],
  ['calcium-acetate', 'Ca^2+', 'calcon'],
  ['calcium-carbonate', 'Ca^2+', 'calcon'],
  ['copper-sulfate', 'Cu^2+', 'PAN'],
];

/** A metal by EDTA, one to one, at the pH where its hold counts. */
export const complexometric: TitrationMethod = {
  is: 'titration',
  id: 'complexometric',
  title: 'metal by EDTA',
  pairs: METALS.map(([flask, ion, indicator]) => ({
    flask,
    burette: 'edta-disodium-anhydrous',
    ratio: 1,
    reaction: `${ion} + H2C10H12N2O8^2- -> ${ion.replace('^2+', '')}C10H12N2O8^2- + 2 H+`,
    indicator,
  })),
  steps: ({ flask, indicator }) => [
    /^(?:zinc|calcium-carbonate)$/.test(flask)
      ? 'Weigh {sample} into the flask, dissolve in the least hydrochloric acid, neutralise, bring to 50 mL.'
      : 'Weigh {sample} into the flask with 50 mL of distilled water.',
    PH_FOR[indicator] ?? '',
    indicator === 'PAN'
      ? 'Warm to 60 °C with 20 mL of spirit: cold it turns slowly.'
      : 'A pinch of indicator ground in salt.',
  ],
  sights: ({ indicator }) => (indicator === 'PAN' ? COPPER : SIGHTS),
  endSdMl: 0.05,
  besidesSd: 0.002,
  besides: 'other metals count along (calcium with magnesium, zinc with both)',
  minutes: 40,
  usual: 0.05,
  cautions: ['The pH 10 buffer smells of ammonia: outdoors or by an open window.'],
};

const PH_FOR: Readonly<Record<string, string>> = {
  EBT: 'Add 5 mL of pH 10 ammonia buffer.',
  calcon: 'Bring it to pH 12 with lye and wait two minutes.',
  PAN: 'Bring it to pH 5 with acetate buffer.',
};

const SIGHTS: readonly [Sight, Sight, Sight, Sight] = [
  { says: 'wine red: go on', tint: 'pink' },
  { says: 'violet: slowly, by drops', tint: 'violet' },
  { says: 'the last red is gone, clear blue: stop', tint: 'blue' },
  { says: 'blue all along: past it, an upper limit', tint: 'blue' },
];
const COPPER: readonly [Sight, Sight, Sight, Sight] = [
  { says: 'red-violet: go on', tint: 'violet' },
  { says: 'dirty violet: by drops', tint: 'violet' },
  { says: 'green without violet: stop', tint: 'green' },
  { says: 'green all along: past it, an upper limit', tint: 'green' },
];
