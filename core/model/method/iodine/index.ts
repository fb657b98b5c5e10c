import type { Pair, Sight, TitrationMethod } from '../method.ts';

const pairs: readonly Pair[] = [
  { flask: 'ascorbic-acid', ratio: 1, reaction: 'C6H8O6 + I2 -> C6H6O6 + 2 I- + 2 H+' },
  { flask: 'tin-chloride-anhydrous', ratio: 1, reaction: 'Sn^2+ + I2 -> Sn^4+ + 2 I-' },
  { flask: 'sodium-thiosulfate', ratio: 2, reaction: '2 S2O3^2- + I2 -> S4O6^2- + 2 I-' },
  { flask: 'sodium-sulfite', ratio: 1, reaction: 'SO3^2- + I2 + H2O -> SO4^2- + 2 I- + 2 H+' },
  { flask: 'sodium-hydrogensulfite', ratio: 1, reaction: 'HSO3- + I2 + H2O -> SO4^2- + 2 I- + 3 H+' },
  { flask: 'sodium-metabisulfite', ratio: 0.5, reaction: 'S2O5^2- + 2 I2 + 3 H2O -> 2 SO4^2- + 4 I- + 6 H+' },
].map((each) => ({ ...each, burette: 'iodine', indicator: 'starch' }));

/** What iodine oxidises, titrated by iodine to the first blue of starch. */
export const iodine: TitrationMethod = {
  is: 'titration',
  id: 'iodine',
  title: 'by iodine, to the first blue',
  pairs,
  steps: ({ flask }) => [
    flask === 'tin-chloride-anhydrous'
      ? 'Weigh {sample} into the flask with 50 mL of boiled, cooled water and 10 mL of hydrochloric acid; a pinch of bicarbonate keeps the air out.'
      : 'Weigh {sample} into the flask with 50 mL of boiled, cooled water.',
    'Add 1 mL of starch.',
    'Titrate at once: air takes its part.',
  ],
  sights: () => SIGHTS,
  endSdMl: 0.04,
  besidesSd: 0.003,
  besides: 'oxygen of the air',
  minutes: 35,
  usual: 0.05,
  cautions: ['Iodine stains, and its vapour irritates.'],
};

const SIGHTS: readonly [Sight, Sight, Sight, Sight] = [
  { says: 'colourless: go on', tint: 'clear' },
  { says: 'blue where it falls, gone on swirling: by drops', tint: 'clear' },
  { says: 'first blue that stays half a minute: stop', tint: 'blue' },
  { says: 'deep blue: past it, an upper limit', tint: 'blue' },
];
