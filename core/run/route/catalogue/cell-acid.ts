import type { Route } from '../route.ts';
import { choice, currentControl, finishControl, hangElectrodes, runCell } from './cell-steps.ts';
import { plainWater } from './common-roles.ts';
import { makeUp } from './common-steps.ts';
import { step } from './step.ts';

/** Copper out of copper sulfate: what stays is acid, mole for mole. */
export const acidByCell: Route = {
  id: 'acid-by-cell',
  title: 'copper sulfate electrolysed with an anode that survives',
  summary:
    'Copper plates out at the cathode, oxygen leaves at the anode, and dilute sulfuric acid stays: one mole for each mole of copper sulfate. Finished when the blue is gone.',
  source: 'Pletcher and Walsh, Industrial Electrochemistry (electrowinning of copper); Faraday’s law',
  makes: { kind: 'solution', role: 'copper', substanceId: 'sulfuric-acid' },
  roles: [
    {
      id: 'copper',
      name: 'copper sulfate',
      accepts: ['copper-sulfate-pentahydrate', 'copper-sulfate'],
      refuses: [],
      tolerates: 'Iron stays in the acid and spends current to and fro; chloride gives a little chlorine.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 1.01 },
    },
    plainWater({ by: 'share-of-water', control: 'first-water' }),
  ],
  reactions: [
    {
      id: 'cell',
      reactants: [
        { substanceId: 'copper-sulfate', n: 2 },
        { substanceId: 'water', n: 2 },
      ],
      products: [
        { substanceId: 'copper', n: 2 },
        { substanceId: 'oxygen', n: 1 },
        { substanceId: 'sulfuric-acid', n: 2 },
      ],
    },
  ],
  controls: [
    choice(
      'anode',
      'Carbon sheds soot, which filters off, and wears about 20 mg for each A·h. Lead dioxide hardly wears and leaves lead in the acid. Platinised titanium leaves nothing and costs most.',
      ['carbon rod', 'lead dioxide', 'platinised titanium'],
    ),
    currentControl(
      0.6,
      'Less gives a firm deposit and less heat; more is sooner done and crumbles. About 15 mA for each cm² of cathode.',
    ),
    finishControl({
      name: 'copper taken out',
      max: 99.9,
      start: 99,
      note: 'The last per cent takes as long as the ten before it: the current makes hydrogen then.',
    }),
    {
      id: 'first-water',
      name: 'water first',
      unit: '%',
      min: 40,
      max: 97,
      step: 1,
      start: 90,
      note: 'The rest rinses cathode and vessel, and makes up the mark.',
    },
  ],
  handling: null,
  foamShare: 0.05,
  drying: null,
  byProducts: [
    { name: 'copper', keep: 'Rinse, dry, keep: it is pure copper, good for a salt or as an anode.' },
    { name: 'soot or grey sludge', keep: 'Of a carbon anode: bin. Of lead dioxide: hazardous waste.' },
  ],
  identity: [
    { test: 'a pinch of bicarbonate', sight: 'fizzes: it is acid; that it is sulfuric this does not show' },
    { test: 'a drop with barium chloride', sight: 'white, stays in acid: sulfate' },
    { test: 'a drop with ammonia', sight: 'stays colourless: less than 20 mg of copper in a litre' },
    {
      test: 'two carbon leads and a 9 V battery, one minute',
      sight: 'the minus lead stays black and bubbles: no copper left to plate',
    },
  ],
  storage: 'Glass or polyethylene, labelled with how it was made: with a lead dioxide anode, “holds lead”.',
  steps: [
    step({
      id: 'copper',
      title: 'Weigh {copper.mass} of copper sulfate',
      act: 'Weigh {copper.mass} of {copper.name} into {vessel}: glass, or plastic that bears 50 °C.',
      expect: 'Blue crystals.',
      why: 'Every mole of it becomes a mole of acid: the weighing is the strength.',
      skipCosts: 'An acid of no known strength.',
      op: { do: 'add', role: 'copper' },
      cautions: ['copper-salt'],
    }),
    step({
      id: 'water',
      title: 'Dissolve it in {water.volume} of water',
      act: 'Distilled water: chloride of the tap becomes chlorine. Stir until clear.',
      expect: 'Clear deep blue.',
      why: 'The acid comes out about as strong as it is to be.',
      op: { do: 'add', role: 'water' },
    }),
    hangElectrodes({
      act: 'Copper sheet or wire as the cathode, on minus; the anode on plus, both clips dry. Check the leads against the current. A carbon anode in a cloth bag keeps its soot.',
    }),
    runCell(
      {
        anodeIn: 'pot',
        reaction: 'cell',
        electrons: 4,
        makes: 'sulfuric-acid',
        anodes: ['carbon', 'lead dioxide', 'platinum'],
        anodeControl: 'anode',
        cathode: 'copper',
        dividers: ['none'],
        current: 'current',
        finish: 'finish',
      },
      {
        id: 'run',
        title: 'Run it, {cell.charge}, about {cell.hours}',
        until: 'The blue is gone against white paper, the cathode bubbles, {cell.charge} have passed.',
        expect:
          'It starts with few amps and climbs as acid forms: turn the voltage down then. Copper on the cathode, {cell.metal} in the end; loose and black for the last of it.',
        trouble: 'Warm above 45 °C: less current. The copper grows across: knock it off.',
        skipCosts: 'Copper in the acid.',
      },
    ),
    step({
      id: 'lift',
      title: 'Current off, lift the cathode out at once',
      act: 'Supply off, then lift; rinse the copper into the cell, dry it, weigh it.',
      expect: 'About {cell.metal} of copper.',
      why: 'Left in, loose copper goes back into the acid with the air.',
      skipCosts: 'Blue again by morning.',
      cautions: ['cell-supply', 'corrosive'],
    }),
    step({
      id: 'clear',
      title: 'Let it settle, filter off copper and soot',
      act: 'Soot settles in a night: decant, then the rest through glass wool or a fine paper in glass; a spoon of charcoal takes what still tints it.',
      until: 'Clear and colourless.',
      expect: 'Water-clear acid.',
      trouble: 'Brown tint of a carbon anode: charcoal, filter again.',
      why: 'Soot reduces hot acid, copper spoils what is made with it.',
      op: { do: 'filter', keep: 'filtrate', holds: 0.05 },
      handsOnMin: 15,
      waitH: [1, 12],
      cautions: ['corrosive'],
    }),
    makeUp({ act: 'Rinse cathode and vessel with water into it, then water to {made.volume} ({made.mass} in all).' }),
    step({
      id: 'bottle',
      title: 'Titrate it, then into a bottle with a label',
      act: 'Titrate 5 mL against a known base, or weigh a measured volume. Label: sulfuric acid, {made.strength}, date, which anode.',
      expect: 'Within a few per cent of {made.strength}.',
      why: 'Splashes, copper left and water gone are in the titre, and in no sum.',
      cautions: ['label', 'corrosive', 'law'],
    }),
  ],
};
