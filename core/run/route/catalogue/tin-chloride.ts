import type { Route } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { makeUp } from './common-steps.ts';
import { step } from './step.ts';

export const tinChloride: Route = {
  id: 'tin-chloride',
  title: 'lead-free tin in hydrochloric acid, for days, kept over a piece of tin',
  summary:
    'Tin or lead-free solder cut small, in acid that is well in excess, warm but not boiling, for days; what does not dissolve is the copper and silver of the alloy. Filtered, made up with acid in it, kept over a piece of tin.',
  source:
    'Brauer, Handbook of Preparative Inorganic Chemistry; Vogel, Textbook of Quantitative Inorganic Analysis, reagents',
  makes: { kind: 'solution', role: 'tin', substanceId: 'tin-chloride-anhydrous' },
  roles: [
    {
      id: 'tin',
      name: 'tin',
      accepts: ['tin'],
      refuses: [
        { substanceId: 'lead', why: 'Lead stays as white chloride and poisons all it touches: lead-free solder only.' },
      ],
      tolerates:
        'Copper and silver of lead-free solder stay undissolved. Melt flux off, rub oxide off, wash with spirit, weigh dry.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 1 },
    },
    {
      id: 'acid',
      name: 'hydrochloric acid',
      accepts: ['hydrochloric-acid'],
      refuses: [{ substanceId: 'sulfuric-acid', why: 'Sulfuric acid hardly touches tin.' }],
      tolerates: 'Iron of stained acid goes along and is reduced: for a blank-free reagent purify the acid first.',
      measure: 'volume',
      dose: { by: 'extent', perExtent: 2, excessControl: 'acid-excess' },
    },
    plainWater({ by: 'dilute-to', role: 'acid', control: 'acid-strength' }),
  ],
  reactions: [
    {
      id: 'dissolve',
      reactants: [
        { substanceId: 'tin', n: 1 },
        { substanceId: 'hydrochloric-acid', n: 2 },
      ],
      products: [
        { substanceId: 'tin-chloride-anhydrous', n: 1 },
        { substanceId: 'hydrogen', n: 1 },
      ],
    },
  ],
  controls: [
    {
      id: 'acid-excess',
      name: 'acid in excess',
      unit: '%',
      min: 50,
      max: 400,
      step: 10,
      start: 150,
      note: 'Tin wants strong acid to the end, and the solution keeps clear only with acid in it.',
    },
    {
      id: 'acid-strength',
      name: 'acid diluted to',
      unit: '%',
      min: 15,
      max: 32,
      step: 1,
      start: 25,
      note: 'Weaker takes weeks; stronger fumes.',
    },
  ],
  handling: null,
  foamShare: 0.05,
  drying: null,
  byProducts: [
    { name: 'dark residue', keep: 'Copper and silver of the solder: rinse, dry, weigh; silver is worth keeping.' },
    { name: 'tin that is left', keep: 'Rinse; a piece of it goes into the bottle.' },
  ],
  identity: [
    { test: 'a drop into mercury-free gold or iodine solution', sight: 'the brown of iodine fades at once' },
    { test: 'a weak current between two carbon rods', sight: 'bright tin needles grow at the cathode' },
  ],
  storage:
    'Glass, full, closed, with a piece of tin in it and acid over: air turns it to tin(IV) in weeks without, it keeps for months with. Corrosive.',
  steps: [
    step({
      id: 'ready',
      title: 'Outdoors, nothing lit',
      act: 'Carry {vessel} outdoors or under a hood, no flame within 3 m. Goggles, nitrile gloves, bicarbonate within reach.',
      expect: 'A tray under the vessel, a watch glass for a lid.',
      why: '{gas.hydrogen} of hydrogen comes off over days, and acid vapour with it.',
      where: 'outdoors',
      cautions: ['hydrogen', 'corrosive', 'law'],
    }),
    step({
      id: 'tin',
      title: 'Weigh {tin.mass} of clean tin, cut small',
      act: 'Roll or hammer it thin and cut it to a few millimetres, or pour it molten into water; then weigh {tin.mass}.',
      expect: 'Bright shavings.',
      why: 'It limits. Ten times the surface is ten times as fast: pieces of 5 mm want a week, shavings two days.',
      skipCosts: 'Weeks of waiting.',
      op: { do: 'add', role: 'tin' },
      handsOnMin: 20,
    }),
    step({
      id: 'water',
      title: 'Water first: {water.volume}',
      act: 'Measure {water.volume} of water into {vessel}. At 0 mL the acid is thin enough as it is.',
      expect: 'Tin under water.',
      why: 'Acid goes into water.',
      op: { do: 'add', role: 'water' },
    }),
    step({
      id: 'acid',
      title: 'Pour in {acid.volume} of acid',
      act: 'Measure {acid.volume} ({acid.mass}) of {acid.name} into it, slowly.',
      expect: 'Hardly anything at first, then small bubbles.',
      why: 'Strong acid dissolves tin; it is well over, for the bottle too.',
      skipCosts: 'Nothing dissolves.',
      op: { do: 'add', role: 'acid' },
      where: 'outdoors',
      cautions: ['corrosive', 'fume'],
    }),
    step({
      id: 'dissolve',
      title: 'Leave it warm for days',
      act: 'At 40 to 60 °C, never boiling: acid would leave. Watch glass on. A drop of copper sulfate starts it. Warm it evenly: a dish on one hot spot spits.',
      until: 'No more bubbles; of an alloy a dark, spongy residue stays that no longer shrinks.',
      expect: 'A slow stream of bubbles for days; a clear colourless liquid, dark specks.',
      trouble:
        'Stopped with bright tin left: the acid is weak. More acid, or warm it. White cloud: too little acid. Warmed from the first day it takes half as long.',
      why: 'Tin is slow. What is left at the end of an alloy is no tin: do not wait for nothing to remain.',
      skipCosts: 'A weak solution.',
      op: { do: 'react', reaction: 'dissolve' },
      adding: { halfLifeMin: 1440, foamPerGas: 0, endpoint: 'no more bubbles, only dark residue left', overshoot: '' },
      timer: { name: 'look at the tin', minutes: 720 },
      leave: { alone: true, lookEveryMin: 720, reason: 'outdoors, covered but not closed, nothing lit' },
      where: 'outdoors',
      cautions: ['hydrogen', 'fume'],
      ceilingC: 60,
      handsOnMin: 15,
      waitH: [24, 168],
    }),
    step({
      id: 'filter',
      title: 'Filter off the residue',
      act: 'Through a hardened paper or glass wool, quickly; rinse with a little of the same acid, never with water. Dry and weigh what is left, and log it.',
      expect: 'Clear, colourless.',
      trouble: 'Cloudy: basic salt or tin(IV). A little acid, a piece of tin, warm it.',
      why: 'The fine metal would go on clouding it.',
      op: { do: 'filter', keep: 'filtrate' },
      cautions: ['corrosive'],
      handsOnMin: 15,
    }),
    makeUp({
      act: 'Boiled water to {made.volume}; a piece of clean tin into the bottle.',
      trouble: 'It clouds: more acid before more water.',
      cautions: ['corrosive'],
    }),
    step({
      id: 'bottle',
      title: 'Into a full bottle, with a piece of tin and a label',
      act: 'Close. Label: tin(II) chloride, {made.strength}, in hydrochloric acid, corrosive, date, batch.',
      expect: 'Clear over bright metal.',
      why: 'Air makes tin(IV) of it; tin in the bottle makes that tin(II) again.',
      cautions: ['label', 'corrosive'],
    }),
  ],
};
