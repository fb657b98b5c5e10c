import type { Route } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { step } from './step.ts';
import { bottleAndLabel, bringToBoil, coolAndBook, cut, cutAt, putTogether } from './still-steps.ts';

/** Nitric acid out of a mixed acid cleaner, up to its azeotrope and no further. */
export const nitricAcid: Route = {
  id: 'nitric-acid',
  title: 'fractionate a nitric and phosphoric cleaner',
  summary:
    'Screened with copper first. Water comes over, then weak acid, then acid that climbs to its azeotrope, 68 %; the phosphoric acid stays. Foam at the first boiling is let pass.',
  source: 'Vogel, Practical Organic Chemistry, reagents; boiling curve of nitric acid, International Critical Tables',
  makes: { kind: 'liquid', role: 'cleaner', substanceId: 'nitric-acid', vessel: 'receiver 3' },
  roles: [
    {
      id: 'cleaner',
      name: 'nitric acid cleaner',
      accepts: ['nitric-acid'],
      refuses: [
        { substanceId: 'hydrochloric-acid', why: 'Chloride with nitric acid gives chlorine and nitrosyl chloride.' },
        { substanceId: 'sulfuric-acid', why: 'Beside sulfuric acid it would come over past its azeotrope.' },
      ],
      tolerates:
        'Phosphoric acid stays in the flask. Soap foams: a flask two and a half times the charge. Where the label names no strength, shelve it as a range (5-40 %); the screening and the still narrow it.',
      measure: 'volume',
      dose: { by: 'extent', perExtent: 1 },
    },
    plainWater({ by: 'dilute-to', role: 'cleaner', control: 'charge-strength' }, 'Distilled.'),
  ],
  reactions: [],
  controls: [
    {
      id: 'charge-strength',
      name: 'charged at most at',
      unit: '%',
      min: 5,
      max: 60,
      step: 1,
      start: 60,
      note: 'What is weaker already stays as it is.',
    },
    cutAt('cut-1', 'water up to', { start: 50, note: 'Hardly any acid comes with the first half of a 20 % cleaner.' }),
    cutAt('cut-2', 'weak acid up to', { start: 79, note: 'Distilled again with the next charge.' }),
    cutAt('cut-3', 'stop at', {
      start: 92,
      max: 93,
      note: 'Phosphoric acid must not boil down: it eats glass and carries over.',
    }),
  ],
  handling: null,
  foamShare: 0.8,
  drying: null,
  byProducts: [
    { name: 'water cut', keep: 'Soda, then the drain.' },
    { name: 'weak acid', keep: 'Into the next charge.' },
    { name: 'phosphoric rest', keep: 'Removes rust; or chalk until no fizz, the paste to the rubbish.' },
  ],
  identity: [
    { test: 'a scrap of copper', sight: 'brown gas and a blue solution: outdoors, a drop' },
    { test: 'silver nitrate', sight: 'stays clear: no chloride' },
  ],
  storage: 'Dark glass, a cap that vents, cool, apart from everything that burns. It yellows in light.',
  steps: [
    step({
      id: 'ready',
      title: 'Outdoors; nothing that burns near',
      act: 'Goggles, apron, heavy gloves; outdoors, the vent led away. No alcohol, oil, paper or rag near: nitric acid lights them. Soda and water in reach.',
      expect: 'A bare table.',
      why: 'Hot nitric acid and anything organic run away.',
      skipCosts: 'A fire that makes its own brown gas.',
      where: 'outdoors',
      cautions: ['corrosive', 'fume', 'oxidiser', 'law'],
    }),
    step({
      id: 'screen',
      title: 'Screen it: 1 g of copper in 20 mL',
      act: 'A weighed coil of bare copper, about 1 g, in 20 mL of the cleaner, outdoors, loosely covered. Weigh the copper again after a day: enter what is left of it as a note.',
      until: 'The copper no longer changes.',
      expect:
        'Blue, with brown gas if there is nitric acid. Every gram of copper lost stands for about 2.6 g of nitric acid.',
      trouble: 'No blue after a day: hardly any nitric acid. It is not worth the gas.',
      why: 'Labels name the acids and seldom how much of each.',
      skipCosts: 'A day at the still for water.',
      leave: { alone: true, lookEveryMin: 720, reason: 'slow, outdoors, loosely covered' },
      where: 'outdoors',
      timer: { name: 'weigh the copper', minutes: 1440 },
      waitH: [12, 30],
      cautions: ['fume'],
    }),
    step({
      id: 'water',
      title: 'Water first, where it is too strong: {water.volume}',
      act: 'Put {water.volume} of water in the flask; nothing where it says 0.',
      expect: 'The flask not more than two fifths full in the end: it foams.',
      why: 'A charge near its azeotrope has nothing to give up but itself.',
      op: { do: 'add', role: 'water' },
    }),
    step({
      id: 'charge',
      title: 'Charge the flask with {cleaner.volume}',
      act: 'Pour in {cleaner.volume} ({cleaner.mass}) of {cleaner.name}; fresh stones.',
      expect: 'At most two fifths of the flask.',
      why: 'The room above is for the foam.',
      skipCosts: 'It foams over into the condenser.',
      op: { do: 'add', role: 'cleaner' },
      where: 'outdoors',
      cautions: ['corrosive', 'foam'],
    }),
    putTogether({
      act: 'Glass joints with acid-proof grease or none, never rubber or cork. Clips, water on, the vent led away. Number and weigh the receivers.',
    }),
    bringToBoil({
      act: 'Half heat until the foam has risen and fallen. If it goes over: heat off, rinse head and condenser with water, put that back, begin again. Silicone oil, one drop, is harmless here; alcohol or cooking oil never.',
      trouble: 'Foam over: enter what was lost as poured off; about 4 % of the charge.',
      where: 'outdoors',
      cautions: ['foam'],
    }),
    cut(
      { volatile: 'nitric-acid', into: 'receiver 1', control: 'cut-1' },
      { id: 'water-cut', title: 'Distil: the water cut, to {distil.head}', where: 'outdoors' },
    ),
    cut(
      { volatile: 'nitric-acid', into: 'receiver 2', control: 'cut-2' },
      { id: 'weak', title: 'Distil: the weak acid, to {distil.head}', where: 'outdoors', cautions: ['fume'] },
    ),
    cut(
      { volatile: 'nitric-acid', into: 'receiver 3', control: 'cut-3' },
      {
        id: 'strong',
        title: 'Distil: acid near its azeotrope, {distil.volume}',
        expect: 'The head climbs towards 120 °C and stands; colourless to faint yellow.',
        trouble: 'Brown gas, yellow drops: too hot or dry; heat off, outdoors.',
        ceilingC: 122,
        where: 'outdoors',
        cautions: ['fume', 'oxidiser', 'boil-dry'],
      },
    ),
    coolAndBook({ where: 'outdoors' }),
    bottleAndLabel({
      title: 'Bottle, titrate every fraction',
      act: 'Dark glass, a vented cap: {made.name}, about {product.pct}, {product.volume}. Titrate a weighed portion of each fraction against soda: the recovery follows.',
    }),
  ],
};
