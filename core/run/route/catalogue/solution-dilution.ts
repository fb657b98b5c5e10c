import type { Route } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { makeUp } from './common-steps.ts';
import { step } from './step.ts';

/** A bought solution that is no acid made weaker: peroxide, ammonia, bleach. */
export const solutionDilution: Route = {
  id: 'solution-dilution',
  title: 'dilute a stronger solution',
  summary:
    'Measured solution into most of the water, then water to the mark. It stays as good as the bottle it came from.',
  source: "Vogel's Textbook of Quantitative Chemical Analysis, 6th ed., preparation of approximate solutions",
  makes: { kind: 'solution', role: 'stock' },
  roles: [
    {
      id: 'stock',
      name: 'stronger solution',
      accepts: ['hydrogen-peroxide', 'ammonia', 'sodium-hypochlorite'],
      refuses: [],
      tolerates:
        'Soap, scent and stabiliser stay in. What was strong a year ago may be weak: assay it where the strength matters.',
      measure: 'volume',
      dose: { by: 'extent', perExtent: 1 },
    },
    plainWater(
      { by: 'share-of-water', control: 'first-water' },
      'Distilled: iron and dust make peroxide and bleach fall apart.',
    ),
  ],
  reactions: [],
  controls: [
    {
      id: 'first-water',
      name: 'water first',
      unit: '%',
      min: 30,
      max: 90,
      step: 5,
      start: 60,
      note: 'The rest rinses the cylinder and makes up the mark.',
    },
  ],
  handling: null,
  foamShare: 0,
  drying: null,
  byProducts: [],
  identity: [{ test: 'the label of the bottle it came from', sight: 'the same name, and nothing else was in reach' }],
  storage:
    'Cool and dark, in a bottle with a vented cap for peroxide and bleach. Nothing that was poured out goes back.',
  steps: [
    step({
      id: 'ready',
      title: 'Set out and protect',
      act: 'Goggles and nitrile gloves on, a window open. Set out a clean vessel of at least {vessel}, the cylinder and the storage bottle. No acid within reach.',
      expect: 'A clear bench, the label written before anything is poured.',
      why: 'These solutions look like water.',
      skipCosts: 'An unlabelled bottle of clear liquid is the commonest accident of all.',
      where: 'ventilated',
      cautions: ['corrosive'],
    }),
    step({
      id: 'first-water',
      title: 'Put {water.volume} of water in the vessel',
      act: 'Measure {water.volume} of water into the vessel. Note its temperature.',
      expect: 'Water at about {bench.temp}.',
      why: 'Poured into water it splashes weaker.',
      skipCosts: 'Drops of the strong solution on skin and sleeves.',
      op: { do: 'add', role: 'water' },
    }),
    step({
      id: 'stock',
      title: 'Pour in {stock.volume} of {stock.name}',
      act: 'Measure {stock.volume} ({stock.mass}) of {stock.name}. Pour it into the water, stirring.',
      until: 'All of it is in and the cylinder is rinsed into the vessel.',
      expect: 'Clear; hardly warmer.',
      trouble: 'It fizzes: the vessel was not clean. Start again in a clean one.',
      why: 'How much goes in fixes how much solution of the wanted strength there can be.',
      skipCosts: 'Without it there is no solution.',
      op: { do: 'add', role: 'stock' },
      where: 'ventilated',
      cautions: ['corrosive'],
    }),
    makeUp({ why: 'The strength is what went in over the volume it ends up in.' }),
    step({
      id: 'bottle',
      title: 'Bottle and label',
      act: 'Into the storage bottle. Label: {made.name}, {made.strength}, date.',
      expect: 'A labelled bottle, the vessel and cylinder rinsed.',
      why: 'A strength is only as good as its label.',
      skipCosts: 'It becomes waste within a month.',
      cautions: ['label'],
    }),
  ],
};
