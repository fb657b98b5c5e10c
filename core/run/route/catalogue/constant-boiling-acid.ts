import type { Route } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { step } from './step.ts';
import { bottleAndLabel, bringToBoil, coolAndBook, cut, cutAt, putTogether } from './still-steps.ts';

/** Constant-boiling hydrochloric acid out of stained technical acid: a standard, by the pressure of the day. */
export const constantBoilingAcid: Route = {
  id: 'constant-boiling-acid',
  title: 'distil patio acid to the constant-boiling cut',
  summary:
    'Diluted below its azeotrope first, or a quarter would leave as gas; water comes over, then weak acid, then acid of one strength that the pressure alone decides. Iron stays behind.',
  source: 'Foulk and Hollingsworth, J. Am. Chem. Soc. 45 (1923) 1220; Vogel, Quantitative Chemical Analysis',
  makes: { kind: 'liquid', role: 'acid', substanceId: 'hydrochloric-acid', vessel: 'receiver 3' },
  roles: [
    {
      id: 'acid',
      name: 'hydrochloric acid',
      accepts: ['hydrochloric-acid'],
      refuses: [{ substanceId: 'sulfuric-acid', why: 'Sulfuric acid does not distil here.' }],
      tolerates: 'Iron stays in the flask. Acid with a detergent in it foams over: choose a plain one.',
      measure: 'volume',
      dose: { by: 'extent', perExtent: 1 },
    },
    plainWater(
      { by: 'dilute-to', role: 'acid', control: 'charge-strength' },
      'Distilled: chloride of tap water stays behind.',
    ),
  ],
  reactions: [],
  controls: [
    {
      id: 'charge-strength',
      name: 'acid diluted to',
      unit: '%',
      min: 8,
      max: 24,
      step: 0.5,
      start: 18,
      note: 'Above 20 % the excess leaves as gas first; much weaker is a long way of boiling water.',
    },
    cutAt('cut-1', 'fore-run up to', {
      start: 10,
      note: 'Water with little acid: to the drain with soda, or to dilute the next charge.',
    }),
    cutAt('cut-2', 'weak acid up to', {
      start: 34,
      note: 'The later the change, the nearer receiver 3 comes to the constant strength, and the less there is of it.',
    }),
    cutAt('cut-3', 'stop at', {
      start: 80,
      max: 90,
      note: 'The iron bakes on and the flask may crack when less than a tenth is left.',
    }),
  ],
  handling: null,
  foamShare: 0,
  drying: null,
  byProducts: [
    { name: 'fore-run', keep: 'A few per cent acid: soda, then the drain.' },
    { name: 'weak acid', keep: 'Bottled: it dilutes the next charge.' },
    { name: 'yellow rest in the flask', keep: 'Iron in acid: neutralise with soda, the sludge to the metal waste.' },
  ],
  identity: [
    { test: 'a drop on silver nitrate', sight: 'white curd' },
    { test: 'a drop of thiocyanate', sight: 'stays colourless: no iron came over' },
  ],
  storage: 'Glass, closed. Its strength keeps for years: a standard once its pressure is written on the label.',
  steps: [
    step({
      id: 'ready',
      title: 'Outdoors, vent led away',
      act: 'Goggles, gloves, apron; outdoors or by an open door, the vent of the still led away from people and iron. Note the pressure: it decides the strength.',
      expect: 'Soda within reach, a bucket of water, nothing of iron near.',
      why: 'Hydrogen chloride fumes and rusts all around it.',
      skipCosts: 'Rusty tools and a sore throat.',
      where: 'outdoors',
      cautions: ['corrosive', 'fume', 'law'],
    }),
    step({
      id: 'water',
      title: 'Put {water.volume} of water in the flask',
      act: 'Measure {water.volume} of water into the flask.',
      expect: 'Water, at about {bench.temp}.',
      why: 'Acid into water. Below 20 % nothing leaves as gas.',
      skipCosts: 'Litres of hydrogen chloride come first, and do not condense.',
      op: { do: 'add', role: 'water' },
      cautions: ['acid-into-water'],
    }),
    step({
      id: 'acid',
      title: 'Pour in {acid.volume} of acid, stirring',
      act: 'Pour {acid.volume} ({acid.mass}) of {acid.name} into the water. Two boiling stones.',
      expect: 'It warms by about {heat.rise}; yellow with iron.',
      why: 'The charge: what comes over is what goes in here.',
      skipCosts: 'Nothing to distil.',
      op: { do: 'add', role: 'acid' },
      where: 'outdoors',
      cautions: ['acid-into-water', 'fume', 'corrosive', 'heat'],
    }),
    putTogether(),
    bringToBoil({ where: 'outdoors' }),
    cut(
      { volatile: 'hydrochloric-acid', into: 'receiver 1', control: 'cut-1' },
      { id: 'fore-run', title: 'Distil: the fore-run, to {distil.head}', where: 'outdoors', cautions: ['fume'] },
    ),
    cut(
      { volatile: 'hydrochloric-acid', into: 'receiver 2', control: 'cut-2' },
      { id: 'weak', title: 'Distil: the second cut, to {distil.head}', where: 'outdoors', cautions: ['fume'] },
    ),
    cut(
      { volatile: 'hydrochloric-acid', into: 'receiver 3', control: 'cut-3' },
      {
        id: 'constant',
        title: 'Distil: constant-boiling acid, {distil.volume}',
        act: 'Collect {distil.volume} while the head stands still at about {distil.head}. Cap the receiver before you carry it: it fumes.',
        until: 'About {still.left} are left in the flask.',
        expect: 'Colourless; the head moves no more than a tenth of a degree.',
        why: 'At its azeotrope vapour and liquid are the same: the strength follows from the pressure.',
        where: 'outdoors',
        cautions: ['fume', 'boil-dry'],
      },
    ),
    coolAndBook({ where: 'outdoors' }),
    bottleAndLabel({ title: 'Bottle it with its pressure, and titrate' }),
  ],
};
