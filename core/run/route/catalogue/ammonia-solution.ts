import type { Route } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { step } from './step.ts';
import { bringToBoil, coolAndBook, cut, cutAt, putTogether } from './still-steps.ts';

/** Household ammonia stripped into cold water: strong, and without its soap. */
export const ammoniaSolution: Route = {
  id: 'ammonia-solution',
  title: 'strip household ammonia into cold water',
  summary:
    'The first fifth that boils off carries nearly all the ammonia. Its vapour is led over cold water, a funnel just touching it, so that nothing is sucked back; soap and dye stay behind.',
  source: 'Patek and Klomfar, Int. J. Refrig. 18 (1995) 228; Brauer, Handbook of Preparative Inorganic Chemistry',
  makes: { kind: 'liquid', role: 'ammonia', substanceId: 'ammonia', vessel: 'absorber' },
  roles: [
    {
      id: 'ammonia',
      name: 'ammonia solution',
      accepts: ['ammonia'],
      refuses: [],
      tolerates: 'Plain, or with soap (it foams). Never one with bleach or amines.',
      measure: 'volume',
      dose: { by: 'extent', perExtent: 1 },
    },
    plainWater({ by: 'per-gram', role: 'ammonia', control: 'cold-water' }, 'Distilled, iced.'),
  ],
  reactions: [],
  controls: [
    {
      id: 'cold-water',
      name: 'cold water for 100 g of solution',
      unit: 'g',
      min: 2,
      max: 60,
      step: 1,
      start: 14,
      note: 'Less gives a stronger solution that fumes; more takes everything up.',
    },
    cutAt('cut-1', 'stop at', { start: 18, max: 60, note: 'After a fifth of it only water comes.' }),
  ],
  handling: null,
  foamShare: 0.2,
  drying: null,
  byProducts: [{ name: 'rest in the flask', keep: 'Cleaning water.' }],
  identity: [{ test: 'copper sulfate solution', sight: 'deep blue' }],
  storage: 'Cool, closed, full; opened outdoors. Never beside acids, bleach or iodine.',
  steps: [
    step({
      id: 'ready',
      title: 'Outdoors, or under a hood',
      act: 'Goggles, gloves. Outdoors. No bleach, no iodine, no acid near.',
      expect: 'Wind from behind.',
      why: 'Ammonia takes the breath before it is seen.',
      skipCosts: 'Streaming eyes, and a still left alone.',
      where: 'outdoors',
      cautions: ['ammonia-gas', 'caustic', 'law'],
    }),
    step({
      id: 'ammonia',
      title: 'Charge the flask with {ammonia.volume}',
      act: 'Pour in {ammonia.volume} ({ammonia.mass}) of {ammonia.name}, cold; stones.',
      expect: 'At most two thirds full, half if it foams.',
      why: 'The charge.',
      skipCosts: 'Nothing to strip.',
      op: { do: 'add', role: 'ammonia' },
      where: 'outdoors',
      cautions: ['ammonia-gas'],
    }),
    step({
      id: 'water',
      title: 'Ice-cold water into the absorber: {water.volume}',
      act: 'Put {water.volume} of ice-cold water into the absorber, in an ice bath. The funnel mouth just touches it.',
      expect: 'Cold, the funnel dipping a millimetre.',
      why: 'Ammonia is greedily taken up: a tube under water would suck it back into the hot flask.',
      skipCosts: 'Ammonia in the air, or water in the flask.',
      op: { do: 'add', role: 'water', in: 'absorber' },
    }),
    putTogether({ where: 'outdoors' }),
    bringToBoil({ where: 'outdoors', act: 'Warm slowly: gas comes long before it boils.', cautions: ['ammonia-gas'] }),
    cut(
      { volatile: 'ammonia', into: 'absorber', control: 'cut-1', over: 'absorber' },
      {
        id: 'strip',
        title: 'Strip it over, until the head is at {distil.head}',
        act: 'Keep bubbles just rising. Lift the funnel before the heat goes off.',
        until: 'The head is at {distil.head}.',
        expect: 'The absorber warms and rises.',
        trouble: 'Water climbs in the tube: let air in at once, then more heat.',
        where: 'outdoors',
        cautions: ['ammonia-gas'],
      },
    ),
    coolAndBook({ where: 'outdoors' }),
    step({
      id: 'bottle',
      title: 'Bottle, label: {made.name}, about {product.pct}',
      act: 'Cold, into a bottle that it nearly fills. Label: {made.name}, about {product.pct}, date. Titrate against acid.',
      expect: '{product.all} of it.',
      why: 'What escaped on the way is not known until it is titrated.',
      skipCosts: 'A strength nobody knows.',
      cautions: ['label', 'ammonia-gas'],
    }),
  ],
};
