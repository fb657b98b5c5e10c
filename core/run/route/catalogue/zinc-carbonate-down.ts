import type { Reaction } from '#matter/reaction';
import type { Control, Role } from '#run/technique';
import type { Route, StepTemplate } from '../route.ts';
import { washingSoda } from './common-roles.ts';
import { dry, settle, washThrice } from './common-steps.ts';
import { step } from './step.ts';

// What the routes to basic zinc carbonate share: washing soda throws it down from any zinc salt in water.

/** What is so of the product, however it was made. */
export const zincCarbonateIs: Pick<
  Route,
  'makes' | 'handling' | 'foamShare' | 'drying' | 'byProducts' | 'identity' | 'storage'
> = {
  makes: {
    kind: 'solid',
    substanceId: 'basic-zinc-carbonate',
    anhydrousId: 'basic-zinc-carbonate',
    also: ['zinc-carbonate'],
  },
  handling: { lossPct: 3, sdPct: 1.5, holdG: 0.7 },
  foamShare: 0.4,
  drying: {
    ceilingC: 100,
    short: 'begins to lose carbon dioxide above about 140',
    why: 'the basic carbonate goes over into oxide from about 140 °C',
  },
  byProducts: [
    {
      name: 'sodium sulfate filtrate',
      keep: 'Test for zinc with a pinch of soda; even clear it holds about a milligram a litre: ask your local rules before it goes down a drain.',
    },
    { name: 'dark residue', keep: 'Lead and copper specks: filter off, collect for heavy-metal waste.' },
  ],
  identity: [
    { test: 'a drop of acid', sight: 'fizzes and dissolves wholly' },
    { test: 'heated on a spoon', sight: 'yellow while hot, white when cold' },
  ],
  storage: 'Closed jar, dry. Harmful to water life: nothing of it to a drain.',
};

/** Zinc sulfate and soda. */
export const zincSulfateDown = (id: string): Reaction => ({
  id,
  reactants: [
    { substanceId: 'zinc-sulfate', n: 5 },
    { substanceId: 'sodium-carbonate', n: 5 },
    { substanceId: 'water', n: 3 },
  ],
  products: [
    { substanceId: 'basic-zinc-carbonate', n: 1 },
    { substanceId: 'sodium-sulfate', n: 5 },
    { substanceId: 'carbon-dioxide', n: 3 },
  ],
});

/** Zinc sulfate and bicarbonate: more gas for the same. */
export const zincSulfateDownMild = (id: string): Reaction => ({
  id,
  reactants: [
    { substanceId: 'zinc-sulfate', n: 5 },
    { substanceId: 'sodium-hydrogencarbonate', n: 10 },
  ],
  products: [
    { substanceId: 'basic-zinc-carbonate', n: 1 },
    { substanceId: 'sodium-sulfate', n: 5 },
    { substanceId: 'carbon-dioxide', n: 8 },
    { substanceId: 'water', n: 2 },
  ],
});

export const sodaFor = (reactions: readonly string[]): Role => ({
  ...washingSoda({
    refuses: [
      {
        substanceId: 'sodium-hydroxide',
        why: 'Hydroxide throws down zinc hydroxide and dissolves it again when over.',
      },
    ],
    tolerates: 'Salt and sulfate in the soda wash out.',
    dose: { by: 'contents', reactions, excessControl: 'soda-excess' },
  }),
  accepts: [
    'sodium-carbonate-decahydrate',
    'sodium-carbonate',
    'sodium-carbonate-monohydrate',
    'sodium-hydrogencarbonate',
  ],
});

export const sodaOver: Control = {
  id: 'soda-excess',
  name: 'soda in excess',
  unit: '%',
  min: 0,
  max: 30,
  step: 1,
  start: 5,
  note: 'A little over leaves no zinc in the filtrate; more only has to be washed out.',
};

/** From the zinc in solution to the labelled jar. `reactions` happen as the soda goes in, in this order. */
export function throwDown({
  reactions,
  sees,
  why,
}: {
  reactions: readonly string[];
  sees: string;
  why: string;
}): readonly StepTemplate[] {
  return [
    step({
      id: 'soda',
      title: 'Add {soda.mass} of {soda.name} in portions',
      act: 'Stirring well, portion by portion into {vessel}; let the foam fall before the next.',
      until: 'A portion no longer fizzes and the paper turns from red to green-blue (pH 7 to 8).',
      expect: sees,
      trouble: 'Foam climbing: stop adding, stir, a few drops of ethanol. Too thick to stir: a little water.',
      why,
      skipCosts: 'No product.',
      op: { do: 'add', role: 'soda', reacts: reactions },
      adding: {
        halfLifeMin: 0.5,
        foamPerGas: 0.25,
        endpoint: 'a portion no longer fizzes, paper at pH 7 to 8',
        pH: { at: 7, goes: 'up' },
        overshoot:
          'Soda in excess stays in the filtrate as sodium carbonate and is washed out: one washing more for every 10 % of excess.',
      },
      where: 'ventilated',
      cautions: ['foam', 'zinc-salt'],
      handsOnMin: 25,
    }),
    settle({ ceilingC: 80, cautions: ['hot-liquid'], handsOnMin: 10 }),
    step({
      id: 'collect',
      title: 'Filter off the carbonate',
      act: 'Pour off the clear, bring the white on the paper.',
      expect: 'A white cake; the filtrate clear.',
      trouble:
        'Cloudy filtrate: pour it through again. A pinch of soda clouds it: zinc left, add the rest of the soda.',
      why: 'The sodium sulfate leaves with the filtrate.',
      skipCosts: 'A salt, not a carbonate.',
      op: { do: 'filter', keep: 'solid' },
      cautions: ['zinc-salt'],
      handsOnMin: 20,
      waitH: [0.3, 2],
    }),
    washThrice({ until: 'A drop of the washings leaves no rim on glass, or barium chloride no longer clouds it.' }),
    dry({
      title: 'Dry below {dry.ceiling} to constant mass',
      act: 'Spread thinly, warm and airy. Weigh, wait four hours, weigh again.',
      trouble: 'Lumps that stay cool are wet inside: crush them.',
      why: 'The cake holds twice its weight of water.',
      skipCosts: 'A yield over 100 % and a weak reagent.',
      leave: { alone: true, lookEveryMin: 720, reason: 'drying needs nobody' },
      ceilingC: 100,
      handsOnMin: 10,
    }),
    step({
      id: 'jar',
      title: 'Into a jar, with a label',
      act: 'Close. Label: basic zinc carbonate, date, batch, harmful to water life.',
      expect: 'A light white powder.',
      why: 'Without a label it is any white powder.',
      cautions: ['label', 'zinc-salt'],
    }),
  ];
}
