import type { Route } from '../route.ts';
import { step } from './step.ts';
import {
  sodaFor,
  sodaOver,
  throwDown,
  zincCarbonateIs,
  zincSulfateDown,
  zincSulfateDownMild,
} from './zinc-carbonate-down.ts';
import { batteryAcid, dilutingWater, zincDissolves, zincInAcid } from './zinc-in-acid.ts';

const DOWN = ['neutralise', 'neutralise-bicarbonate', 'precipitate', 'precipitate-bicarbonate'];

export const zincCarbonate: Route = {
  id: 'zinc-carbonate',
  title: 'zinc + acid in excess, then washing soda',
  summary:
    'Zinc dissolves in an excess of diluted sulfuric acid; washing soda first takes the acid left over, then throws down basic zinc carbonate, which is washed and dried.',
  source:
    'Brauer, Handbook of Preparative Inorganic Chemistry, basic zinc carbonate; composition varies about Zn5(CO3)2(OH)6',
  roles: [
    {
      id: 'zinc',
      name: 'zinc',
      accepts: ['zinc'],
      refuses: [],
      tolerates: 'Lead and copper stay behind as dark specks; iron would precipitate with the carbonate and tint it.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 1 },
    },
    batteryAcid,
    dilutingWater,
    sodaFor(DOWN),
  ],
  reactions: [
    zincDissolves,
    {
      id: 'neutralise',
      reactants: [
        { substanceId: 'sulfuric-acid', n: 1 },
        { substanceId: 'sodium-carbonate', n: 1 },
      ],
      products: [
        { substanceId: 'sodium-sulfate', n: 1 },
        { substanceId: 'carbon-dioxide', n: 1 },
        { substanceId: 'water', n: 1 },
      ],
    },
    {
      id: 'neutralise-bicarbonate',
      reactants: [
        { substanceId: 'sulfuric-acid', n: 1 },
        { substanceId: 'sodium-hydrogencarbonate', n: 2 },
      ],
      products: [
        { substanceId: 'sodium-sulfate', n: 1 },
        { substanceId: 'carbon-dioxide', n: 2 },
        { substanceId: 'water', n: 2 },
      ],
    },
    zincSulfateDown('precipitate'),
    zincSulfateDownMild('precipitate-bicarbonate'),
  ],
  controls: [
    {
      id: 'acid-excess',
      name: 'acid in excess',
      unit: '%',
      min: 0,
      max: 60,
      step: 1,
      start: 20,
      note: 'More acid dissolves the zinc sooner and to the end; every bit over costs washing soda, foam and washing later.',
    },
    {
      id: 'acid-strength',
      name: 'acid diluted to',
      unit: '%',
      min: 5,
      max: 30,
      step: 1,
      start: 15,
      note: 'Weaker is slower and cooler; stronger heats and mists.',
    },
    sodaOver,
  ],
  ...zincCarbonateIs,
  steps: [
    ...zincInAcid({
      gives: '1.7 g of basic carbonate',
      acidOver: 'Acid in excess takes the last of the zinc in hours, not days.',
      withoutIt: 'Zinc is left undissolved.',
    }),
    step({
      id: 'dissolve',
      title: 'Add the zinc in thirds and let it dissolve',
      act: 'A third of the zinc; when the fizzing has calmed, the next. Cover with a watch glass, not a lid.',
      until: 'The fizzing has stopped, and the liquid is still acid to indicator paper.',
      expect: 'Steady small bubbles for hours, dark specks left at the end.',
      trouble:
        'Stalled with zinc left: the acid is weaker than labelled. Weigh the zinc left and log it; too lively: a tray of water.',
      why: 'Slowly, the heat and the {gas.hydrogen} of hydrogen have time to leave.',
      skipCosts: 'All at once it could warm by {heat.rise}.',
      op: { do: 'react', reaction: 'dissolve' },
      adding: {
        halfLifeMin: 60,
        foamPerGas: 0,
        endpoint: 'no more fizzing, no metal left',
        overshoot: '',
      },
      timer: { name: 'look at the zinc', minutes: 60 },
      leave: {
        alone: true,
        lookEveryMin: 60,
        reason: 'outdoors, open, nothing lit; look hourly until the first two thirds have calmed',
      },
      where: 'outdoors',
      cautions: ['hydrogen', 'heat'],
      handsOnMin: 20,
      waitH: [4, 24],
      after: ['zinc', 'acid'],
    }),
    step({
      id: 'filter',
      title: 'Filter off the specks',
      act: 'Through a double paper; rinse with a spoon of water.',
      expect: 'Water-clear.',
      why: 'Lead and copper must not reach the carbonate.',
      skipCosts: 'Grey carbonate with lead in it.',
      op: { do: 'filter', keep: 'filtrate' },
      cautions: ['zinc-salt'],
      handsOnMin: 15,
    }),
    ...throwDown({
      reactions: DOWN,
      sees: 'Fizzing and clear at first, while acid is left; then white and thick.',
      why: 'The first of it only takes the acid left over; the rest throws the zinc down.',
    }),
  ],
};
