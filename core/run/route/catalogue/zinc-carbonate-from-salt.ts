import type { Route } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { step } from './step.ts';
import {
  sodaFor,
  sodaOver,
  throwDown,
  zincCarbonateIs,
  zincSulfateDown,
  zincSulfateDownMild,
} from './zinc-carbonate-down.ts';

const NEUTRALISE = (
  [
    ['hydrochloric-acid', 2, 'sodium-chloride', 2],
    ['sulfuric-acid', 1, 'sodium-sulfate', 1],
  ] as const
).flatMap(([acid, acids, salt, salts]) => [
  {
    id: `neutralise-${acid}`,
    reactants: [
      { substanceId: acid, n: acids },
      { substanceId: 'sodium-carbonate' as const, n: 1 },
    ],
    products: [
      { substanceId: salt, n: salts },
      { substanceId: 'carbon-dioxide' as const, n: 1 },
      { substanceId: 'water' as const, n: 1 },
    ],
  },
  {
    id: `neutralise-${acid}-bicarbonate`,
    reactants: [
      { substanceId: acid, n: acids },
      { substanceId: 'sodium-hydrogencarbonate' as const, n: 2 },
    ],
    products: [
      { substanceId: salt, n: salts },
      { substanceId: 'carbon-dioxide' as const, n: 2 },
      { substanceId: 'water' as const, n: 2 },
    ],
  },
]);

const DOWN = [
  // Acid left over in a solution made here takes its soda first.
  ...NEUTRALISE.map(({ id }) => id),
  'from-chloride',
  'from-sulfate',
  'from-chloride-bicarbonate',
  'from-sulfate-bicarbonate',
];

export const zincCarbonateFromSalt: Route = {
  id: 'zinc-carbonate-from-salt',
  title: 'a zinc salt + washing soda',
  summary:
    'Zinc chloride or sulfate, as crystals or as a solution made here, is thinned with water; washing soda throws down basic zinc carbonate, which is washed and dried.',
  source:
    'Brauer, Handbook of Preparative Inorganic Chemistry, basic zinc carbonate; composition varies about Zn5(CO3)2(OH)6',
  ...zincCarbonateIs,
  roles: [
    {
      id: 'salt',
      name: 'zinc salt',
      accepts: ['zinc-chloride', 'zinc-sulfate-heptahydrate', 'zinc-sulfate', 'zinc-sulfate-monohydrate'],
      refuses: [],
      tolerates: 'Acid in it takes soda; iron precipitates too and tints it.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 5 },
    },
    plainWater({ by: 'per-gram', role: 'salt', control: 'water' }),
    sodaFor(DOWN),
  ],
  reactions: [
    ...NEUTRALISE,
    {
      id: 'from-chloride',
      reactants: [
        { substanceId: 'zinc-chloride', n: 5 },
        { substanceId: 'sodium-carbonate', n: 5 },
        { substanceId: 'water', n: 3 },
      ],
      products: [
        { substanceId: 'basic-zinc-carbonate', n: 1 },
        { substanceId: 'sodium-chloride', n: 10 },
        { substanceId: 'carbon-dioxide', n: 3 },
      ],
    },
    zincSulfateDown('from-sulfate'),
    {
      id: 'from-chloride-bicarbonate',
      reactants: [
        { substanceId: 'zinc-chloride', n: 5 },
        { substanceId: 'sodium-hydrogencarbonate', n: 10 },
      ],
      products: [
        { substanceId: 'basic-zinc-carbonate', n: 1 },
        { substanceId: 'sodium-chloride', n: 10 },
        { substanceId: 'carbon-dioxide', n: 8 },
        { substanceId: 'water', n: 2 },
      ],
    },
    zincSulfateDownMild('from-sulfate-bicarbonate'),
  ],
  controls: [
    {
      id: 'water',
      name: 'water, by the salt',
      unit: 'g/100 g',
      min: 100,
      max: 1000,
      step: 10,
      start: 400,
      note: 'Thinner stirs and washes better; thicker takes a smaller vessel.',
    },
    sodaOver,
  ],
  steps: [
    step({
      id: 'salt',
      title: 'Weigh {salt.mass} of zinc salt',
      act: 'Weigh {salt.mass} of {salt.name} into {vessel}.',
      expect: 'White crystals, or a heavy clear liquid.',
      why: 'Zinc limits: it fixes the yield.',
      skipCosts: 'Nothing to throw down.',
      op: { do: 'add', role: 'salt' },
      cautions: ['zinc-salt'],
    }),
    step({
      id: 'water',
      title: 'Thin it with {water.volume} of water',
      act: 'Measure {water.volume} of water onto it, stir until clear; a drop of acid clears a haze.',
      expect: 'Water-clear.',
      why: 'Thin, the carbonate precipitates in grains and not as a paste.',
      skipCosts: 'A paste that cannot be stirred.',
      op: { do: 'add', role: 'water' },
    }),
    ...throwDown({
      reactions: DOWN,
      sees: 'White at once, with a gentle fizz; thicker with every portion.',
      why: 'Soda throws all the zinc down as basic carbonate and sets some gas free.',
    }),
  ],
};
