import type { Route } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { step } from './step.ts';
import { sodaFor, sodaOver, throwDown, zincCarbonateIs, zincSulfateDown } from './zinc-carbonate-down.ts';

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
    sodaFor(['from-chloride', 'from-sulfate']),
  ],
  reactions: [
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
      reactions: ['from-chloride', 'from-sulfate'],
      sees: 'White at once, with a gentle fizz; thicker with every portion.',
      why: 'Soda throws all the zinc down as basic carbonate and sets some gas free.',
    }),
  ],
};
