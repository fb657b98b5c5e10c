import type { SubstanceId } from '#core/substance';
import type { Route } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { step } from './step.ts';
import { bottleAndLabel } from './still-steps.ts';

const metals = ['potassium', 'sodium'] as const;
type Metal = (typeof metals)[number];
type Term = Route['reactions'][number]['reactants'][number];

/** Acids that are in the flask at the end: how many of them give up a whole number of pairs of protons, and as what salt. */
const acids: readonly {
  readonly id: SubstanceId;
  readonly protons: number;
  readonly salts: (metal: Metal, n: number) => readonly Term[];
}[] = [
  { id: 'hydrochloric-acid', protons: 1, salts: (metal, n) => [{ substanceId: `${metal}-chloride`, n }] },
  { id: 'sulfuric-acid', protons: 2, salts: (metal, n) => [{ substanceId: `${metal}-sulfate`, n }] },
  {
    id: 'sodium-hydrogensulfate',
    protons: 1,
    salts: (metal, n) =>
      metal === 'sodium'
        ? [{ substanceId: 'sodium-sulfate', n }]
        : [
            { substanceId: 'sodium-sulfate', n: n / 2 },
            { substanceId: 'potassium-sulfate', n: n / 2 },
          ],
  },
  // The weak one last: base takes the strong ones first.
  { id: 'formic-acid', protons: 1, salts: (metal, n) => [{ substanceId: `${metal}-formate`, n }] },
];

/** What takes each of them up: either carbonate of either metal. */
const neutralised = metals.flatMap((metal) =>
  acids.flatMap(({ id, protons, salts }) =>
    (['hydrogencarbonate', 'carbonate'] as const).map((base) => {
      const n = protons === 2 ? 1 : 2;
      const bases = base === 'carbonate' ? 1 : 2;
      return {
        id: `${metal}-${base}-${id}`,
        reactants: [
          { substanceId: id, n },
          { substanceId: `${metal}-${base}` as const, n: bases },
        ],
        products: [
          ...salts(metal, n),
          { substanceId: 'carbon-dioxide' as const, n: bases },
          { substanceId: 'water' as const, n: bases },
        ],
      };
    }),
  ),
);
const takesAcid = neutralised.map(({ id }) => id);

/** An ester out of 85 % formic acid in excess, kept warm, washed cold and dried. */
export const isoamylFormate: Route = {
  id: 'isoamyl-formate',
  title: 'formic acid in excess, kept warm, neutralised, parted, dried',
  summary:
    'Formic acid in excess and isoamyl alcohol with a little strong acid come to their equilibrium in some hours. Cooled, the acid left is taken up by carbonate, the layers are parted, the ester is washed with brine and dried. It is fruity, it burns, and it is no food.',
  source: "rates after Smith, Rolfe and Hinshelwood; work-up after Vogel's Practical Organic Chemistry",
  makes: { kind: 'liquid', role: 'alcohol', substanceId: 'isoamyl-formate', vessel: 'jar' },
  roles: [
    {
      id: 'alcohol',
      name: 'isoamyl alcohol',
      accepts: ['isoamyl-alcohol'],
      refuses: [],
      tolerates: 'Fusel oil holds other alcohols too: the ester is as mixed.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 1 },
    },
    {
      id: 'acid',
      name: 'formic acid',
      accepts: ['formic-acid'],
      refuses: [],
      tolerates: 'Its water counts: with 60 % acid much less ester comes.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 1, excessControl: 'acid-excess' },
    },
    {
      id: 'catalyst',
      name: 'catalyst',
      accepts: ['sodium-hydrogensulfate', 'sulfuric-acid', 'hydrochloric-acid'],
      refuses: [
        { substanceId: 'nitric-acid', why: 'Nitric acid burns alcohols, with brown fume.' },
        { substanceId: 'citric-acid', why: 'Too weak: formic acid runs as fast by itself.' },
      ],
      tolerates:
        'Dry hydrogensulfate, or battery acid at most: strong sulfuric acid makes carbon monoxide of formic acid.',
      measure: 'mass',
      dose: {
        by: 'extent',
        perExtent: 0.08,
        others: [
          { substanceId: 'sulfuric-acid', perExtent: 0.02 },
          { substanceId: 'hydrochloric-acid', perExtent: 0.02 },
        ],
      },
    },
    plainWater({ by: 'per-gram', role: 'acid', control: 'first-water' }, 'Ice-cold.'),
    {
      id: 'base',
      name: 'carbonate',
      accepts: [
        'potassium-carbonate',
        'potassium-hydrogencarbonate',
        'sodium-hydrogencarbonate',
        'sodium-carbonate',
        'sodium-carbonate-decahydrate',
        'sodium-carbonate-monohydrate',
      ],
      refuses: [{ substanceId: 'sodium-hydroxide', why: 'Lye splits a formate within the minute.' }],
      tolerates:
        'Potassium formate stays dissolved in next to no water; sodium formate needs as much again as its own weight.',
      measure: 'mass',
      dose: { by: 'contents', reactions: takesAcid, excessControl: 'base-excess' },
    },
    {
      ...plainWater({ by: 'per-gram', role: 'alcohol', control: 'brine' }, 'Ice-cold.'),
      id: 'brine-water',
      name: 'water for the brine',
    },
    {
      id: 'salt',
      name: 'table salt',
      accepts: ['sodium-chloride'],
      refuses: [],
      tolerates: 'Any.',
      measure: 'mass',
      dose: { by: 'per-gram', role: 'brine-water', control: 'brine-strength' },
    },
    {
      id: 'agent',
      name: 'drying salt',
      accepts: ['magnesium-sulfate', 'sodium-sulfate', 'calcium-chloride'],
      refuses: [],
      tolerates: 'Dried in the oven just before. Calcium chloride binds alcohol too.',
      measure: 'mass',
      dose: { by: 'to-dry', spare: 'spare' },
    },
  ],
  reactions: [
    {
      id: 'esterify',
      reactants: [
        { substanceId: 'formic-acid', n: 1 },
        { substanceId: 'isoamyl-alcohol', n: 1 },
      ],
      products: [
        { substanceId: 'isoamyl-formate', n: 1 },
        { substanceId: 'water', n: 1 },
      ],
    },
    ...neutralised,
  ],
  controls: [
    {
      id: 'acid-excess',
      name: 'formic acid in excess',
      unit: '%',
      min: 0,
      max: 400,
      step: 10,
      start: 80,
      note: 'More acid, more ester; each gram of it is neutralised afterwards, with its gas.',
    },
    {
      id: 'temp',
      name: 'kept at',
      unit: '°C',
      min: 15,
      max: 90,
      step: 1,
      start: 60,
      note: 'Ten degrees warmer is about twice as fast; above 90 °C it boils.',
    },
    {
      id: 'hours',
      name: 'for',
      unit: 'h',
      min: 0.25,
      max: 72,
      step: 0.25,
      start: 3,
      note: 'At its end more hours bring nothing.',
    },
    {
      id: 'first-water',
      name: 'water before the carbonate',
      unit: 'g/100 g',
      min: 20,
      max: 300,
      step: 10,
      start: 80,
      note: 'As little as keeps the salt dissolved: water takes ester along, and splits it.',
    },
    {
      id: 'base-excess',
      name: 'carbonate to spare',
      unit: '%',
      min: 0,
      max: 50,
      step: 5,
      start: 5,
      note: 'Paper at pH 7 to 8 is enough.',
    },
    {
      id: 'brine',
      name: 'brine: water',
      unit: 'g/100 g',
      min: 10,
      max: 200,
      step: 5,
      start: 40,
      note: 'Cold and brief.',
    },
    {
      id: 'brine-strength',
      name: 'brine: salt',
      unit: 'g/100 g',
      min: 0,
      max: 35,
      step: 1,
      start: 30,
      note: 'Salt keeps the ester out of the water and opens the gap between the layers.',
    },
    {
      id: 'spare',
      name: 'drying salt to spare',
      unit: '%',
      min: 0,
      max: 300,
      step: 10,
      start: 100,
      note: 'Some grains must stay loose. Each gram keeps 0.7 g of ester.',
    },
  ],
  handling: null,
  foamShare: 0.4,
  drying: null,
  byProducts: [
    { name: 'formate liquor and brine', keep: 'Smell of the ester. Outdoors until it is gone, then the drain.' },
  ],
  identity: [
    { test: 'smell', sight: 'plums; sharp means acid is left' },
    { test: 'a drop on wet indicator paper', sight: 'stays neutral for a minute' },
  ],
  storage: 'Glass, dry, dark, cool, away from flame. Water splits it: it turns sharp within months. No food.',
  steps: [
    step({
      id: 'ready',
      title: 'No flame; ice ready',
      act: 'Outdoors or by an open window, nothing lit. A bowl of ice for later, a jar that can stand open. Funnel tap greased and tight.',
      expect: 'All in reach.',
      why: 'Alcohol and ester burn; carbonate foams.',
      skipCosts: 'A search with foam rising.',
      where: 'ventilated',
      cautions: ['flammable'],
    }),
    step({
      id: 'alcohol',
      title: 'Weigh {alcohol.mass} of {alcohol.name} into the flask',
      act: 'Weigh {alcohol.mass} in, a stone with it.',
      expect: 'Clear, it makes one cough.',
      why: 'It limits.',
      skipCosts: 'No ester.',
      op: { do: 'add', role: 'alcohol' },
      where: 'ventilated',
      cautions: ['flammable'],
    }),
    step({
      id: 'acid',
      title: 'Add {acid.mass} of {acid.name}',
      act: 'Pour {acid.mass} onto it, gloves and goggles on.',
      expect: 'One liquid.',
      why: 'The excess draws the alcohol over.',
      skipCosts: 'Half the ester.',
      op: { do: 'add', role: 'acid' },
      where: 'ventilated',
      cautions: ['corrosive', 'fume'],
    }),
    step({
      id: 'catalyst',
      title: 'Stir in {catalyst.mass} of {catalyst.name}',
      act: 'A little at a time, swirling. Never strong sulfuric acid: it makes carbon monoxide of formic acid.',
      expect: 'Hydrogensulfate stays at the bottom; it works all the same.',
      why: 'Two in a hundred of a strong acid make hours of days.',
      skipCosts: 'A day instead of hours: formic acid runs slowly by itself.',
      op: { do: 'add', role: 'catalyst' },
      where: 'ventilated',
      cautions: ['corrosive'],
    }),
    step({
      id: 'warm',
      title: 'Keep at {set.temp} for {set.hours}, lid loose',
      act: 'Water bath at {set.temp}, under a condenser or a funnel as lid, {set.hours}. Never closed.',
      until: 'The hours are over; it smells of plums.',
      expect: '[About {ester.conversion} of the alcohol turns: {ester.mass}.]',
      trouble: 'Forgot it for a night: no harm, it stands at its end. Cold bath: more hours.',
      why: 'It comes to its end and stays there.',
      skipCosts: 'Alcohol instead of ester.',
      op: { do: 'esterify', reaction: 'esterify', temp: 'temp', hours: 'hours' },
      leave: { alone: false, lookEveryMin: 30, reason: 'vapour that burns over a warm bath' },
      where: 'ventilated',
      cautions: ['flammable', 'hot-liquid'],
      ceilingC: 90,
      handsOnMin: 15,
      waitH: [1, 6],
    }),
    step({
      id: 'water',
      title: 'Cool in ice, then {water.volume} of ice-cold water',
      act: 'Into ice until it is below 10 °C. Then {water.volume} of ice-cold water, swirl.',
      until: 'Below 10 °C.',
      expect: 'Two layers begin.',
      trouble: 'Still warm: wait. Warm, it foams over and base splits the ester.',
      why: 'Cold, the carbonate foams gently and the ester is not split.',
      skipCosts: 'Foam on the bench.',
      op: { do: 'add', role: 'water' },
    }),
    step({
      id: 'base',
      title: 'Neutralise, open: {base.mass} of {base.name} in portions',
      act: 'Portion by portion into the open jar or funnel, stopper off, swirling until each is quiet. Paper in the water layer. Only when a swirl brings no bubble may it be stoppered, and then vented after each turn.',
      until: 'Paper in the water layer at pH 7 to 8, quiet when swirled.',
      expect: 'Much gas; it stays cold.',
      trouble: 'Grains that stay: a little more cold water. Foam: wait.',
      why: 'Acid left turns the ester back as it stands.',
      skipCosts: 'A sharp smell, and an ester that spoils.',
      op: { do: 'add', role: 'base', reacts: takesAcid },
      adding: {
        halfLifeMin: 1,
        foamPerGas: 0.3,
        endpoint: 'paper in the water layer at pH 7 to 8, quiet when swirled',
        pH: { at: 7.5, goes: 'up' },
        overshoot: 'In excess it splits a formate within hours: part it at once.',
      },
      where: 'ventilated',
      cautions: ['foam', 'flammable'],
      ceilingC: 15,
      handsOnMin: 20,
    }),
    step({
      id: 'part',
      title: 'Let it part, run the water off below',
      act: 'A few minutes; the ester is above. Run the water off into a jar, slowly at the end. Throw nothing away before it is weighed.',
      until: 'The line between stands in the tap.',
      expect: '[{layer.volume} above; the water takes {layer.lost} of ester along.]',
      trouble: 'No line: a spoon of salt. A drop of water into either layer tells which is which.',
      why: 'Salt and acid leave with the water.',
      skipCosts: 'Everything in one jar.',
      op: { do: 'separate', liquid: 'isoamyl-formate' },
      handsOnMin: 10,
    }),
    step({
      id: 'brine-water',
      title: 'Wash: {brine-water.volume} of ice-cold water …',
      act: 'Onto the ester.',
      expect: 'Two layers.',
      why: 'The last acid and some alcohol go with it.',
      skipCosts: 'A sharp smell.',
      op: { do: 'add', role: 'brine-water' },
    }),
    step({
      id: 'salt',
      title: '… with {salt.mass} of salt in it',
      act: 'Dissolve {salt.mass} in the water first, cold. Shake for half a minute, vent.',
      expect: 'A sharp line.',
      why: 'Salt dries the ester and keeps it out of the water.',
      skipCosts: 'Ester in the drain, water in the ester.',
      op: { do: 'add', role: 'salt' },
    }),
    step({
      id: 'part-brine',
      title: 'Run the brine off',
      act: 'At once: left standing, water splits a formate.',
      until: 'The line between stands in the tap.',
      expect: '[{layer.mass} of ester above.]',
      why: 'What is run off need not be dried.',
      skipCosts: 'More drying salt, less ester.',
      op: { do: 'separate', liquid: 'isoamyl-formate' },
    }),
    step({
      id: 'agent',
      title: 'Onto {agent.mass} of {agent.name}',
      act: 'Swirl with {agent.mass} until it is clear and some of the salt runs loose.',
      until: 'Haze gone, some grains loose. Clear does not mean dry: it means no drops.',
      expect: 'Clumps at first.',
      why: 'Water splits it in the bottle.',
      skipCosts: 'A bottle that turns sharp.',
      op: { do: 'add', role: 'agent' },
    }),
    step({
      id: 'dry',
      title: 'Half an hour, then filter into a weighed jar',
      act: 'Stopper, half an hour, swirl now and then; through cotton into a weighed jar.',
      until: 'Clear as glass.',
      expect: '[{dried.water} of water stay in the salt; about {product.all}.]',
      why: 'The salt holds the water.',
      skipCosts: 'Wet ester.',
      op: { do: 'dry-over', role: 'agent', liquid: 'isoamyl-formate', into: 'jar' },
      timer: { name: 'drying', minutes: 30 },
      leave: { alone: true, lookEveryMin: 60, reason: 'stoppered and cool' },
      cautions: ['flammable'],
      waitH: [0.5, 1],
    }),
    bottleAndLabel({
      title: 'Bottle, label: not for food',
      act: 'Into glass: {made.name}, about {product.pct}, {product.volume}, date, burns, not for food. The rest is alcohol.',
      cautions: ['label', 'flammable'],
    }),
  ],
};
