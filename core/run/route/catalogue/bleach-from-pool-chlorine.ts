import type { Route } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { step } from './step.ts';
import { bottleAndLabel } from './still-steps.ts';

/** Bleach made strong again, or fresh, with calcium hypochlorite and washing soda: no gas at all. */
export const bleachFromPoolChlorine: Route = {
  id: 'bleach-from-pool-chlorine',
  title: 'calcium hypochlorite and washing soda, chalk filtered off',
  summary:
    'Washing soda takes the calcium out of dissolved pool shock as chalk, and hypochlorite stays. Old bleach in place of the water is made strong again by it. No chlorine is freed.',
  source: 'metathesis; solubility of the hypochlorite by producers’ data, ageing after Lister and Baker',
  makes: { kind: 'liquid', role: 'shock', substanceId: 'sodium-hypochlorite', vessel: 'pot' },
  roles: [
    {
      id: 'shock',
      name: 'pool shock',
      accepts: ['calcium-hypochlorite'],
      refuses: [
        {
          substanceId: 'trichloroisocyanuric-acid',
          why: 'Trichlor with soda gives nitrogen trichloride, which explodes.',
        },
        { substanceId: 'sodium-dichloroisocyanurate', why: 'Dichlor leaves its cyanurate in the bleach.' },
      ],
      tolerates: '65 to 75 %, without copper or stabiliser. Its chalk and salt go with the filter.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 0.5 },
    },
    plainWater(
      { by: 'per-gram', role: 'shock', control: 'thin' },
      'Distilled and cold. Old bleach serves in its place: enter it as what it is.',
    ),
    {
      id: 'soda',
      name: 'washing soda',
      accepts: ['sodium-carbonate', 'sodium-carbonate-monohydrate', 'sodium-carbonate-decahydrate'],
      refuses: [
        {
          substanceId: 'sodium-hydrogencarbonate',
          why: 'Bicarbonate is too little alkaline: hypochlorous acid comes of it.',
        },
      ],
      tolerates: 'Plain, no perfume, no bleach.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 0.5, excessControl: 'soda-excess' },
    },
  ],
  reactions: [
    {
      id: 'exchange',
      reactants: [
        { substanceId: 'calcium-hypochlorite', n: 1 },
        { substanceId: 'sodium-carbonate', n: 1 },
      ],
      products: [
        { substanceId: 'sodium-hypochlorite', n: 2 },
        { substanceId: 'calcium-carbonate', n: 1 },
      ],
    },
  ],
  controls: [
    {
      id: 'thin',
      name: 'water',
      unit: 'g/100 g',
      min: 500,
      max: 3000,
      step: 50,
      start: 800,
      note: 'Less makes it stronger; the chalk then keeps a larger part of it.',
    },
    {
      id: 'soda-excess',
      name: 'soda in excess',
      unit: '%',
      min: 0,
      max: 50,
      step: 5,
      start: 10,
      note: 'Keeps it alkaline, and it keeps longer for it.',
    },
  ],
  handling: null,
  foamShare: 0,
  drying: null,
  byProducts: [{ name: 'chalk', keep: 'Rinse it; it smells of bleach for a day. Bin, away from acid.' }],
  identity: [
    { test: 'a drop on iodide and starch', sight: 'deep blue' },
    { test: 'a drop of soda', sight: 'no cloud: the calcium is out' },
  ],
  storage: 'Dark, cold, HDPE with a vented cap, away from acid. Half of 10 % is gone in seven months at 25 °C.',
  steps: [
    step({
      id: 'water',
      title: 'Measure {water.volume} of cold water',
      act: '{water.volume}, below 15 °C.',
      expect: 'Cold water.',
      why: 'Cold it loses nothing.',
      op: { do: 'add', role: 'water' },
      where: 'ventilated',
    }),
    step({
      id: 'shock',
      title: 'Stir in {shock.mass} of {shock.name}',
      act: 'Into the water, never water onto it. Nothing that was near acid, oil or another pool product.',
      until: 'No more dissolves.',
      expect: 'Milky.',
      why: 'It limits.',
      skipCosts: 'No hypochlorite.',
      op: { do: 'add', role: 'shock' },
      where: 'ventilated',
      cautions: ['oxidiser'],
      handsOnMin: 10,
    }),
    step({
      id: 'soda',
      title: 'Stir in {soda.mass} of {soda.name}',
      act: 'A spoon at a time, ten minutes of stirring.',
      until: 'A drop of the clear gives no cloud with soda.',
      expect: 'Thick and white.',
      trouble: 'Still clouds: a little more soda.',
      why: 'Calcium falls as chalk.',
      skipCosts: 'Calcium in the bleach, which clogs and scales.',
      op: { do: 'add', role: 'soda', reacts: ['exchange'] },
      handsOnMin: 15,
    }),
    step({
      id: 'filter',
      title: 'Let it settle cold, pour off through glass wool',
      act: 'An hour in the cold, pour the clear off through glass wool or polyester; rinse the chalk once with a little cold water.',
      until: 'Clear.',
      expect: 'Clear, pale green-yellow.',
      why: 'Chalk holds its own weight of liquor.',
      skipCosts: 'A cloudy bottle.',
      op: { do: 'filter', keep: 'filtrate', holds: 1.1 },
      timer: { name: 'settling', minutes: 60 },
      leave: { alone: true, lookEveryMin: null, reason: 'cold and covered' },
      waitH: [1, 3],
      handsOnMin: 15,
    }),
    bottleAndLabel({
      act: 'HDPE, vented cap: hypochlorite, about {product.pct}, {product.volume}, date, keep from acid. Titrate a portion: pool shock is never quite as strong as its label.',
    }),
  ],
};
