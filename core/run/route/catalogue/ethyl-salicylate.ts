import type { Route } from '../route.ts';
import { excessOf, keptWarm, washedAndDried } from './ester-controls.ts';
import { coolFirst, dryOverSalt, esterifies, neutralise, partAndWash, workUpRoles } from './ester-steps.ts';
import { neutralised } from './neutralised.ts';
import { step } from './step.ts';
import { bottleAndLabel, bringToBoil, coolAndBook, cut, cutAt, putTogether } from './still-steps.ts';

// Of the salicylates only the sodium salt is held.
const takenUp = neutralised('salicylic', ['sodium']);
const takesAcid = takenUp.map(({ id }) => id);

/** A scented ester that boils high: much ethanol, much acid, the water held fast, hours under reflux. */
export const ethylSalicylate: Route = {
  id: 'ethyl-salicylate',
  title: 'salicylic acid in much ethanol and strong acid, refluxed, washed, distilled high',
  summary:
    'Salicylic acid is slow and holds back: much ethanol, much strong acid and a salt that keeps the water fast bring most of it over in a night of reflux. The ethanol is boiled off, the ester washed, dried and distilled above 220 °C. It smells of wintergreen for days.',
  source: "rates after the textbooks of physical organic chemistry; work-up after Vogel's Practical Organic Chemistry",
  makes: { kind: 'liquid', role: 'acid', substanceId: 'ethyl-salicylate', vessel: 'receiver 3' },
  roles: [
    {
      id: 'acid',
      name: 'salicylic acid',
      accepts: ['salicylic-acid'],
      refuses: [{ substanceId: 'acetylsalicylic-acid', why: 'Aspirin is split into salicylic acid first.' }],
      tolerates: 'Pharmacy grade.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 1 },
    },
    {
      id: 'alcohol',
      name: 'ethanol',
      accepts: ['ethanol'],
      refuses: [{ substanceId: 'methanol', why: 'It makes the methyl ester.' }],
      tolerates: 'As strong as it is sold: 95 % or more.',
      measure: 'volume',
      dose: { by: 'extent', perExtent: 1, excessControl: 'acid-excess' },
    },
    {
      id: 'catalyst',
      name: 'strong acid',
      accepts: ['sulfuric-acid', 'sodium-hydrogensulfate'],
      refuses: [{ substanceId: 'nitric-acid', why: 'Nitric acid burns alcohols, with brown fume.' }],
      tolerates: 'Much of it: the proton is shared with all that water. Hydrogensulfate is slower.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 0.4, others: [{ substanceId: 'sodium-hydrogensulfate', perExtent: 0.6 }] },
    },
    {
      id: 'binder',
      name: 'salt that holds the water',
      accepts: ['magnesium-sulfate'],
      refuses: [
        { substanceId: 'calcium-chloride', why: 'It binds salicylates and gives hydrogen chloride with strong acid.' },
        { substanceId: 'potassium-carbonate', why: 'It is spent on the acid.' },
      ],
      tolerates: 'Dried at 250 °C: with its crystal water it holds nothing.',
      measure: 'mass',
      dose: { by: 'per-gram', role: 'acid', control: 'binder' },
    },
    ...workUpRoles({
      waterPer: 'acid',
      brinePer: 'acid',
      base: {
        accepts: ['sodium-hydrogencarbonate'],
        refuses: [
          { substanceId: 'sodium-hydroxide', why: 'Lye takes the ester itself: it is a phenol.' },
          { substanceId: 'sodium-carbonate', why: 'Soda is alkaline enough to take some of the phenol.' },
        ],
        tolerates: 'Baking soda: mild enough for a phenol.',
        reactions: takesAcid,
      },
      agent: {
        accepts: ['magnesium-sulfate', 'sodium-sulfate'],
        refuses: [
          { substanceId: 'calcium-chloride', why: 'It binds salicylates.' },
          { substanceId: 'potassium-carbonate', why: 'It turns to a syrup with a phenol.' },
        ],
        tolerates: 'Dried in the oven just before.',
      },
    }),
  ],
  reactions: [esterifies('salicylic-acid', 'ethanol', 'ethyl-salicylate'), ...takenUp],
  controls: [
    excessOf({
      name: 'ethanol in excess',
      max: 1000,
      start: 500,
      note: 'It dissolves the acid and draws it over; only the first hundredth part of all this is consumed, the rest is solvent.',
    }),
    {
      id: 'binder',
      name: 'salt that holds the water',
      unit: 'g/100 g',
      min: 0,
      max: 100,
      step: 5,
      start: 30,
      note: 'A gram holds about half a gram of water: 100 g of salicylic acid make 13 g, and ethanol brings its own.',
    },
    ...keptWarm(
      { max: 82, start: 80, note: 'It boils at about 80 °C; hotter as ethanol is held above it.' },
      { max: 96, start: 16, note: 'Slow: a night. Half as long brings two thirds.' },
    ),
    cutAt('strip', 'ethanol boiled off up to', {
      start: 55,
      note: 'Until little comes: what stays goes with the wash.',
    }),
    ...washedAndDried({
      firstWater: { start: 150, max: 600, note: 'It dissolves acid and magnesium salt, and hardly any ester.' },
    }),
    cutAt('cut-1', 'fore-run up to', { start: 6, note: 'Cloudy: water and ethanol. It clears when they are over.' }),
    cutAt('cut-2', 'stop at', {
      start: 90,
      max: 94,
      note: 'Leave the dark rest: it spoils the colour and cracks flasks.',
    }),
  ],
  handling: null,
  foamShare: 0.4,
  drying: null,
  byProducts: [
    { name: 'ethanol boiled off', keep: 'For the next batch: it smells of the ester.' },
    { name: 'wash water', keep: 'Salicylate: acidify with acid and salicylic acid falls; then the drain.' },
  ],
  identity: [
    { test: 'a drop in ethanol with iron(III) chloride', sight: 'violet' },
    { test: 'smell, far away', sight: 'wintergreen' },
  ],
  storage: 'Glass, closed, in a second jar: its smell goes through plastic. No food, no medicine.',
  steps: [
    step({
      id: 'ready',
      title: 'No flame; condenser wide enough; a thermometer to 250 °C',
      act: 'By an open window or outdoors: its smell stays in a house for a week. Flask twice as large as its charge, condenser of 30 cm or more. A thermometer that reads to 250 °C for the end; take a 110 °C one out before.',
      expect: 'All in reach.',
      why: 'The condenser must take what a water bath can send up: 100 W is 7 mL of ethanol a minute.',
      skipCosts: 'Ethanol vapour in the room.',
      where: 'ventilated',
      cautions: ['flammable', 'permit'],
    }),
    step({
      id: 'acid',
      title: 'Weigh {acid.mass} of {acid.name} into the flask',
      act: 'Weigh it in, stones with it. Its dust makes one cough.',
      expect: 'White needles.',
      why: 'It limits.',
      skipCosts: 'No ester.',
      op: { do: 'add', role: 'acid' },
    }),
    step({
      id: 'alcohol',
      title: 'Pour {alcohol.volume} of {alcohol.name} onto it',
      act: 'Swirl until most is dissolved.',
      expect: 'Clear when warm.',
      why: 'Solvent and reagent in one.',
      skipCosts: 'No ester.',
      op: { do: 'add', role: 'alcohol' },
      where: 'ventilated',
      cautions: ['flammable'],
    }),
    step({
      id: 'catalyst',
      title: 'Add {catalyst.mass} of {catalyst.name}, in ice',
      act: 'Flask in ice, acid into the ethanol in a thin stream, swirling: never ethanol onto acid.',
      until: 'All in, below 40 °C.',
      expect: 'It warms.',
      trouble: 'Brown: it was too fast. No harm if it stops there.',
      why: 'Without much of it a week of reflux.',
      skipCosts: 'Salicylic acid.',
      op: { do: 'add', role: 'catalyst' },
      cautions: ['corrosive', 'heat'],
      ceilingC: 40,
      handsOnMin: 15,
    }),
    step({
      id: 'binder',
      title: 'Stir in {binder.mass} of {binder.name}',
      act: 'Dry, a spoon at a time; it clumps.',
      expect: 'A cloudy liquid, salt at the bottom.',
      why: 'Water held fast cannot turn the ester back.',
      skipCosts: 'A tenth of the ester.',
      op: { do: 'add', role: 'binder' },
    }),
    step({
      id: 'warm',
      title: 'Reflux at {set.temp} for {set.hours}',
      act: 'Bath so hot that one drop a second falls back. The pot runs hotter as ethanol hangs above it; if it stops boiling, let it cool before a fresh stone goes in: all of it returns at once.',
      until: 'The hours are over.',
      expect: '[About {ester.conversion} of the acid turns: {ester.mass}.]',
      trouble: 'The wet ring climbs above the middle: less heat.',
      why: 'It is slow: its ring stands in the way.',
      skipCosts: 'Half the ester.',
      op: { do: 'esterify', reaction: 'esterify', temp: 'temp', hours: 'hours' },
      leave: { alone: false, lookEveryMin: 30, reason: 'boiling ethanol under a condenser: water can fail' },
      where: 'ventilated',
      cautions: ['flammable', 'hot-liquid'],
      ceilingC: 90,
      handsOnMin: 30,
      waitH: [8, 24],
    }),
    cut(
      { volatile: 'ethyl-salicylate', besides: 'ethanol', into: 'receiver 1', control: 'strip' },
      {
        id: 'strip',
        title: 'Turn the condenser down: boil {distil.volume} of ethanol off',
        act: 'Distil from the water bath until {distil.volume} are over or little comes any more.',
        until: 'Little comes from a boiling bath.',
        expect: 'Ethanol, smelling of wintergreen.',
        why: 'Ethanol left keeps the ester in the water.',
        skipCosts: 'No layers.',
        cautions: ['flammable'],
      },
    ),
    coolFirst({ expect: 'An oil parts from it.' }),
    neutralise(takesAcid, {
      until: 'Paper in the water layer at pH 7 to 8: no further, it is a phenol.',
      overshoot: 'Bicarbonate does no harm; soda or lye would dissolve the ester.',
    }),
    ...partAndWash('ethyl-salicylate', {
      side: 'either',
      part: {
        trouble:
          'It floats: salt makes the water heavier than the ester. More water. A drop of water into either layer tells which is which.',
      },
    }),
    ...dryOverSalt('ethyl-salicylate', 'jar', {
      title: 'An hour, then filter into the dry still',
      act: 'Stopper, an hour; through cotton into the small dry flask of the still.',
      expect: '[{dried.water} of water stay in the salt.]',
    }),
    putTogether({
      act: 'Small flask, an air condenser (no water: hot glass would crack), a thermometer to 250 °C, a plate or sand bath. Receivers weighed.',
      cautions: ['flammable', 'hot-liquid'],
    }),
    bringToBoil({ expect: 'Cloudy drops first: water. Head about {distil.from}.' }),
    cut(
      { in: 'jar', volatile: 'ethyl-salicylate', besides: 'ethanol', into: 'receiver 2', control: 'cut-1' },
      { id: 'fore-run', title: 'Distil: the cloudy fore-run, {distil.volume}', cautions: ['hot-liquid'] },
    ),
    cut(
      { in: 'jar', volatile: 'ethyl-salicylate', besides: 'ethanol', into: 'receiver 3', control: 'cut-2' },
      {
        id: 'heart',
        title: 'Distil: the ester, until {distil.volume} are over',
        until: 'Most is over, or the flask darkens, or it stands at 240 °C.',
        trouble: 'It darkens or fumes: stop, it is the rest.',
        ceilingC: 240,
        cautions: ['hot-liquid'],
      },
    ),
    coolAndBook({}),
    bottleAndLabel({
      title: 'Bottle, label: no food, no medicine',
      act: 'Into glass, in a second jar: {made.name}, {product.volume}, date, no food, no medicine.',
    }),
  ],
};
