import type { Pair, Sight, TitrationMethod } from '../method.ts';

const BURETTE = 'sodium-thiosulfate';
const THIO = '2 S2O3^2- -> S4O6^2- + 2 I-';

/** What frees iodine, and how many thiosulfate that iodine takes. */
const FREES: readonly (readonly [species: string, electrons: number, reaction: string])[] = [
  ['sodium-hypochlorite', 2, 'NaClO + 2 I- + 2 H+ -> NaCl + I2 + H2O'],
  ['calcium-hypochlorite', 4, 'Ca(ClO)2 + 4 I- + 4 H+ -> CaCl2 + 2 I2 + 2 H2O'],
  ['hydrogen-peroxide', 2, 'H2O2 + 2 I- + 2 H+ -> I2 + 2 H2O'],
  ['iodine', 2, 'I2 + 2 S2O3^2- -> 2 I- + S4O6^2-'],
  ['bromine', 2, 'Br2 + 2 I- -> 2 Br- + I2'],
  ['potassium-iodate', 6, 'KIO3 + 5 I- + 6 H+ -> K+ + 3 I2 + 3 H2O'],
  ['potassium-periodate', 8, 'KIO4 + 7 I- + 8 H+ -> K+ + 4 I2 + 4 H2O'],
  ['sodium-periodate', 8, 'NaIO4 + 7 I- + 8 H+ -> Na+ + 4 I2 + 4 H2O'],
  ['iron-chloride', 1, '2 Fe^3+ + 2 I- -> 2 Fe^2+ + I2'],
  ['ferric-alum-dry', 1, '2 Fe^3+ + 2 I- -> 2 Fe^2+ + I2'],
  ['copper-sulfate', 1, '2 CuSO4 + 4 I- -> 2 CuI + I2 + 2 SO4^2-'],
  ['copper-chloride', 1, '2 CuCl2 + 4 I- -> 2 CuI + I2 + 4 Cl-'],
  ['copper-nitrate-anhydrous', 1, '2 Cu(NO3)2 + 4 I- -> 2 CuI + I2 + 4 NO3-'],
  ['copper-acetate', 1, '2 Cu(C2H3O2)2 + 4 I- -> 2 CuI + I2 + 4 C2H3O2-'],
  ['copper-formate', 1, '2 Cu(CHO2)2 + 4 I- -> 2 CuI + I2 + 4 CHO2-'],
];

const pairs: readonly Pair[] = FREES.map(([flask, electrons, reaction]) => ({
  flask,
  burette: BURETTE,
  ratio: 1 / electrons,
  reaction: `${reaction}; I2 + ${THIO}`,
  indicator: 'starch',
}));

/** What oxidises frees iodine from iodide, and thiosulfate takes the iodine, to starch. */
export const iodometric: TitrationMethod = {
  is: 'titration',
  id: 'iodometric',
  title: 'iodine and thiosulfate',
  pairs,
  steps: ({ flask }) => [
    'Weigh {sample} into the flask with 50 mL of water.',
    reagentsFor(flask),
    flask === 'hydrogen-peroxide'
      ? 'Stand fifteen minutes covered in the dark: without molybdate it is slow.'
      : 'Stand five minutes covered in the dark.',
    'Titrate to pale straw, add 1 mL of starch, and go on by drops until the blue is gone.',
  ],
  sights: () => SIGHTS,
  endSdMl: 0.03,
  besidesSd: 0.002,
  besides: 'iodine lost to the air, iodide oxidised by it',
  minutes: 50,
  usual: 0.1,
  cautions: [
    'Bleach is never acidified before iodide is in it: chlorine.',
    'Iodine vapour irritates: cover the flask.',
  ],
};

/** What sets the iodine free: iodide first, acid after it. */
function reagentsFor(flask: string): string {
  if (flask === 'iodine' || flask === 'bromine') return 'Add 1 g of potassium iodide and swirl until it is dissolved.';
  if (/^copper/.test(flask)) return 'Add 2 g of potassium iodide and 5 mL of vinegar.';
  return 'Add 1 g of potassium iodide, swirl, then 10 mL of dilute sulfuric acid (about 1 mol/L) or 30 mL of vinegar.';
}

const SIGHTS: readonly [Sight, Sight, Sight, Sight] = [
  { says: 'brown: iodine is there, go on', tint: 'amber' },
  { says: 'pale straw: now the starch, then by drops', tint: 'straw' },
  { says: 'blue gone and it stays so half a minute: stop', tint: 'clear' },
  { says: 'colourless all along: past it, an upper limit', tint: 'clear' },
];
