import type { Sight, TitrationMethod } from '../method.ts';

const CHLORIDES: readonly (readonly [species: string, chlorides: number])[] = [
  ['sodium-chloride', 1],
  ['potassium-chloride', 1],
  ['ammonium-chloride', 1],
  ['hydrochloric-acid', 1],
  ['magnesium-chloride', 2],
  ['calcium-chloride', 2],
  ['zinc-chloride', 2],
];

/** Chloride by silver, to the pink that fluorescein takes on the precipitate. */
export const argentometric: TitrationMethod = {
  is: 'titration',
  id: 'argentometric',
  title: 'chloride by silver nitrate',
  pairs: CHLORIDES.map(([flask, chlorides]) => ({
    flask,
    burette: 'silver-nitrate',
    ratio: 1 / chlorides,
    reaction: 'Ag+ + Cl- -> AgCl',
    indicator: 'fluorescein',
  })),
  steps: ({ flask }) => [
    'Weigh {sample} into the flask with 50 mL of distilled water.',
    flask === 'hydrochloric-acid'
      ? 'Neutralise with chalk, free of chloride, until it no longer fizzes.'
      : 'Its pH is to lie between 7 and 10: a pinch of borax if it is acid.',
    'Add 5 mL of 2 % dextrin and 10 drops of fluorescein; work out of strong light.',
  ],
  sights: () => SIGHTS,
  endSdMl: 0.05,
  besidesSd: 0.002,
  besides: 'bromide and iodide count as chloride',
  minutes: 40,
  usual: 0.05,
  cautions: [
    'Silver nitrate stains skin black and burns eyes.',
    'Keep the precipitate: silver goes back to silver, none down the drain.',
  ],
};

const SIGHTS: readonly [Sight, Sight, Sight, Sight] = [
  { says: 'white, greenish glow: go on', tint: 'lime' },
  { says: 'it curdles: by drops, swirl hard', tint: 'lime' },
  { says: 'the precipitate turns pink: stop', tint: 'pink' },
  { says: 'pink all through: past it, an upper limit', tint: 'pink' },
];
