import type { Route } from '../route.ts';
import { step } from './step.ts';
import { bottleAndLabel, bringToBoil, coolAndBook, cut, cutAt, putTogether } from './still-steps.ts';

/** Denatured spirit brought to its azeotrope, then past it with a drying agent. The denaturant stays in: for laboratory use only. */
export const driedEthanol: Route = {
  id: 'dried-ethanol',
  title: 'distil denatured spirit, then dry it over a salt',
  summary:
    'A water bath, a column if there is one; the fore-run and the tail are left out. The still ends at the azeotrope, 95.6 %; white copper sulfate takes most of the rest and shows it by its colour. The denaturant is never taken out.',
  source: "Vogel's Practical Organic Chemistry, drying of ethanol; Burfield and Smithers, solvent desiccation",
  makes: { kind: 'liquid', role: 'spirit', substanceId: 'ethanol', vessel: 'jar' },
  roles: [
    {
      id: 'spirit',
      name: 'denatured spirit',
      accepts: ['ethanol'],
      refuses: [{ substanceId: 'isopropanol', why: 'That rubbing alcohol is propan-2-ol: it has its own route.' }],
      tolerates:
        'The denaturant comes along and stays in. Taking it out is an offence and a poisoning risk: nothing here is for drinking.',
      measure: 'volume',
      dose: { by: 'extent', perExtent: 1 },
    },
    {
      id: 'agent',
      name: 'drying agent',
      accepts: ['copper-sulfate', 'potassium-carbonate', 'calcium-oxide', 'magnesium-sulfate'],
      refuses: [
        { substanceId: 'calcium-chloride', why: 'It forms a compound with alcohols.' },
        { substanceId: 'sodium-sulfate', why: 'It does not dry an azeotrope.' },
      ],
      tolerates: 'Freshly baked, still warm: blue copper sulfate takes up nothing.',
      measure: 'mass',
      dose: { by: 'to-dry', spare: 'spare' },
    },
  ],
  reactions: [],
  controls: [
    cutAt('cut-1', 'fore-run up to', { start: 4, note: 'What smells of the denaturant most comes first.' }),
    cutAt('cut-2', 'the heart up to', { start: 75, max: 92, note: 'The further, the more of it and the weaker.' }),
    {
      id: 'spare',
      name: 'drying agent to spare',
      unit: '%',
      min: 0,
      max: 200,
      step: 10,
      start: 50,
      note: 'Half as much again dries in a day and still stays loose.',
    },
  ],
  handling: null,
  foamShare: 0,
  drying: null,
  byProducts: [
    { name: 'fore-run and tail', keep: 'Lamp spirit.' },
    { name: 'blue copper sulfate', keep: 'Dry it in air, bake it white again below 230 °C.' },
  ],
  identity: [{ test: 'a pinch of white copper sulfate', sight: 'stays white: less than about 1 % of water' }],
  storage: 'Glass, tightly closed, away from flames. It draws water from air. Label: denatured, not for drinking.',
  steps: [
    step({
      id: 'permit',
      title: 'Before anything: permit, fire, and what it is not',
      act: 'In many places distilling ethanol at all needs a permit, denatured or not: ask your local authority first. No flame in the room or beside it. What comes is denatured, poisonous, and never drunk.',
      expect: 'A permit, or the word that none is wanted; an extinguisher in reach.',
      why: 'The law looks at the still, not at the purpose.',
      skipCosts: 'A fine, or a fire.',
      cautions: ['permit', 'flammable', 'law'],
    }),
    step({
      id: 'charge',
      title: 'Charge the flask with {spirit.volume}',
      act: 'Pour {spirit.volume} ({spirit.mass}) of {spirit.name} into the cold flask; stones.',
      expect: 'At most two thirds full.',
      why: 'The charge: what comes over is what goes in.',
      skipCosts: 'Nothing to distil.',
      op: { do: 'add', role: 'spirit' },
      cautions: ['flammable'],
    }),
    putTogether({
      act: 'Over a water bath, never a flame or an open coil. Column on, joints clipped, cold water in the condenser, the receiver’s vent led away. Number and weigh the receivers.',
      cautions: ['flammable'],
    }),
    bringToBoil({
      act: 'Water bath 10 to 15 °C above {distil.from}. One drop a second: slower is stronger.',
      cautions: ['flammable'],
    }),
    cut(
      { volatile: 'ethanol', into: 'receiver 1', control: 'cut-1' },
      { id: 'fore-run', title: 'Distil: the fore-run, {distil.volume}', cautions: ['flammable'] },
    ),
    cut(
      { volatile: 'ethanol', into: 'receiver 2', control: 'cut-2' },
      {
        id: 'heart',
        title: 'Distil: the heart, until the head is at {distil.head}',
        expect: 'The head stands near 78 °C for long, then begins to climb.',
        why: 'While the head stands, near the azeotrope comes over; when it climbs, water comes.',
        cautions: ['flammable'],
      },
    ),
    coolAndBook({}),
    step({
      id: 'agent',
      title: 'Add {agent.mass} of {agent.name} to the heart',
      act: 'Tip {agent.mass} of freshly baked, cooled {agent.name} into receiver 2; stopper, shake.',
      expect: 'Copper sulfate turns blue where it finds water; some must stay white.',
      trouble: 'All blue: it is spent. Decant onto fresh.',
      why: 'The still ends at the azeotrope: the rest of the water is bound.',
      skipCosts: '5 % of water for ever.',
      op: { do: 'add', role: 'agent', in: 'receiver 2' },
    }),
    step({
      id: 'dry',
      title: 'Let it stand {dried.hours}, then filter off',
      act: 'Stoppered, shaken now and then, {dried.hours} at most; stirred all the time, a third of that. Decant through a fluted paper into a dry jar, covered.',
      until: 'Some of the agent is still loose, and copper sulfate still white.',
      expect: 'About {dried.water} of water taken up; {product.volume} left, {product.pct}.',
      why: 'Binding water in a liquid is slow.',
      skipCosts: 'As wet as before, with salt in it.',
      op: { do: 'dry-over', in: 'receiver 2', role: 'agent', liquid: 'ethanol', into: 'jar' },
      leave: { alone: true, lookEveryMin: 720, reason: 'stoppered, away from heat' },
      handsOnMin: 10,
      cautions: ['flammable'],
    }),
    bottleAndLabel({ title: 'Bottle, label: denatured, not for drinking', cautions: ['label', 'flammable'] }),
  ],
};
