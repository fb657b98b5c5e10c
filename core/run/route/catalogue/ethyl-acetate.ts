import type { Route } from '../route.ts';
import { excessOf, keptWarm, washedAndDried } from './ester-controls.ts';
import { coolFirst, dryOverSalt, esterifies, neutralise, partAndWash, workUpRoles } from './ester-steps.ts';
import { neutralised } from './neutralised.ts';
import { step } from './step.ts';
import { bottleAndLabel, bringToBoil, coolAndBook, cut, cutAt, putTogether } from './still-steps.ts';

const takenUp = neutralised('acetic');
const takesAcid = takenUp.map(({ id }) => id);

/** A solvent out of strong acetic acid and ethanol: to its equilibrium, washed, dried, distilled. */
export const ethylAcetate: Route = {
  id: 'ethyl-acetate',
  title: 'acetic acid, ethanol in excess, kept warm, washed, dried, distilled',
  summary:
    'Strong acetic acid and ethanol come to four parts in five of ester with a little strong acid. Carbonate takes the acid left, brine the ethanol, a drying salt the water; the still parts it from the rest of the ethanol, which boils with it at first.',
  source: "K by Berthelot and Péan de Saint-Gilles; work-up after Vogel's Practical Organic Chemistry",
  makes: { kind: 'liquid', role: 'acid', substanceId: 'ethyl-acetate', vessel: 'receiver 2' },
  roles: [
    {
      id: 'acid',
      name: 'acetic acid',
      accepts: ['acetic-acid'],
      refuses: [],
      tolerates: 'Essence of 80 % serves; vinegar does not: its water turns the ester back.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 1 },
    },
    {
      id: 'alcohol',
      name: 'ethanol',
      accepts: ['ethanol'],
      refuses: [
        { substanceId: 'methanol', why: 'It makes methyl acetate, which is another solvent.' },
        { substanceId: 'isopropanol', why: 'It makes another ester, slowly.' },
      ],
      tolerates: 'Denatured ethanol brings what it was denatured with. Strong: water costs ester.',
      measure: 'volume',
      dose: { by: 'extent', perExtent: 1, excessControl: 'acid-excess' },
    },
    {
      id: 'catalyst',
      name: 'catalyst',
      accepts: ['sodium-hydrogensulfate', 'sulfuric-acid'],
      refuses: [{ substanceId: 'nitric-acid', why: 'Nitric acid burns alcohols, with brown fume.' }],
      tolerates: 'Dry pool granules work at the bottom; battery acid brings its water.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 0.1, others: [{ substanceId: 'sulfuric-acid', perExtent: 0.03 }] },
    },
    ...workUpRoles({
      waterPer: 'acid',
      brinePer: 'acid',
      base: {
        accepts: [
          'sodium-hydrogencarbonate',
          'sodium-carbonate',
          'sodium-carbonate-decahydrate',
          'sodium-carbonate-monohydrate',
          'potassium-carbonate',
          'potassium-hydrogencarbonate',
        ],
        refuses: [{ substanceId: 'sodium-hydroxide', why: 'Lye splits it within minutes.' }],
        tolerates: 'Sodium acetate stays dissolved in twice its weight of water.',
        reactions: takesAcid,
      },
      agent: {
        accepts: ['magnesium-sulfate', 'sodium-sulfate'],
        refuses: [{ substanceId: 'calcium-chloride', why: 'It clings to ethyl acetate and keeps much of it.' }],
        tolerates: 'Dried in the oven just before.',
      },
    }),
  ],
  reactions: [esterifies('acetic-acid', 'ethanol', 'ethyl-acetate'), ...takenUp],
  controls: [
    excessOf({
      name: 'ethanol in excess',
      start: 60,
      note: 'More ethanol, less acid left to neutralise; what is left of it boils with the ester.',
    }),
    ...keptWarm({ max: 78, start: 70, note: 'Under a condenser: it boils from 71 °C on.' }, { start: 8 }),
    ...washedAndDried({
      firstWater: {
        start: 60,
        note: 'As little as keeps the acetate dissolved: each 100 g of water take 8 g of ester.',
      },
      brine: { start: 60, note: 'Brine takes the ethanol; twice is better than once.' },
    }),
    cutAt('cut-1', 'fore-run up to', {
      start: 12,
      note: 'Ethanol and ester boil together at 71.8 °C: that comes first.',
    }),
    cutAt('cut-2', 'stop at', { start: 94, max: 94, note: 'Leave the last: acid and dirt.' }),
  ],
  handling: null,
  foamShare: 0.4,
  drying: null,
  byProducts: [
    { name: 'fore-run', keep: 'Ethanol with ester: into the next batch as ethanol.' },
    { name: 'acetate liquor and brine', keep: 'Open outdoors until it smells of nothing, then the drain.' },
  ],
  identity: [
    { test: 'its boiling point', sight: '77 °C, steady' },
    { test: 'a drop on wet indicator paper', sight: 'stays neutral for a minute' },
  ],
  storage: 'Glass or HDPE, closed, dry, away from flame. Water turns it sour within a year.',
  steps: [
    step({
      id: 'ready',
      title: 'No flame; condenser and ice ready',
      act: 'Outdoors or by an open window, nothing lit, nothing that sparks. Water bath heated elsewhere, condenser running, ice ready.',
      expect: 'All in reach.',
      why: 'Its vapour takes fire at −4 °C and creeps.',
      skipCosts: 'A flash fire.',
      where: 'ventilated',
      cautions: ['flammable', 'permit'],
    }),
    step({
      id: 'acid',
      title: 'Weigh {acid.mass} of {acid.name} into the flask',
      act: 'Weigh {acid.mass} in, gloves and goggles on, stones with it.',
      expect: 'Clear, sharp.',
      why: 'It limits.',
      skipCosts: 'No ester.',
      op: { do: 'add', role: 'acid' },
      where: 'ventilated',
      cautions: ['corrosive', 'fume'],
    }),
    step({
      id: 'alcohol',
      title: 'Add {alcohol.volume} of {alcohol.name}',
      act: 'Pour {alcohol.volume} onto it.',
      expect: 'One liquid.',
      why: 'The excess draws the acid over.',
      skipCosts: 'No ester.',
      op: { do: 'add', role: 'alcohol' },
      where: 'ventilated',
      cautions: ['flammable'],
    }),
    step({
      id: 'catalyst',
      title: 'Stir in {catalyst.mass} of {catalyst.name}',
      act: 'A little at a time, swirling, cool.',
      expect: 'Hydrogensulfate stays at the bottom; it works all the same.',
      why: 'Without it years.',
      skipCosts: 'Nothing happens.',
      op: { do: 'add', role: 'catalyst' },
      cautions: ['corrosive', 'heat'],
    }),
    step({
      id: 'warm',
      title: 'Under the condenser at {set.temp} for {set.hours}',
      act: 'Water bath at {set.temp}, condenser on top, open at its end, {set.hours}. The ring of wet glass stays in the lower third.',
      until: 'The hours are over; it smells of pear drops.',
      expect: '[About {ester.conversion} of the acid turns: {ester.mass}.]',
      trouble: 'The ring climbs: less heat. Stopped overnight: no harm.',
      why: 'It comes to its end and stays there.',
      skipCosts: 'Vinegar and ethanol.',
      op: { do: 'esterify', reaction: 'esterify', temp: 'temp', hours: 'hours' },
      leave: { alone: false, lookEveryMin: 20, reason: 'vapour that burns over a warm bath' },
      where: 'ventilated',
      cautions: ['flammable', 'hot-liquid'],
      ceilingC: 80,
      handsOnMin: 20,
      waitH: [2, 8],
    }),
    coolFirst(),
    neutralise(takesAcid),
    ...partAndWash('ethyl-acetate', { side: 'above' }),
    ...dryOverSalt('ethyl-acetate', 'jar', {
      title: 'Half an hour, then filter into the dry still',
      act: 'Stopper, half an hour, swirl now and then; through cotton into the dry flask of the still.',
      expect: '[{dried.water} of water stay in the salt.]',
    }),
    putTogether({
      act: 'Over a water bath, never a flame. Cold water in the condenser, the vent led away, receivers in ice, numbered and weighed.',
      cautions: ['flammable'],
    }),
    bringToBoil({ cautions: ['flammable'], expect: 'A cloudy first drop is water. Head about {distil.from}.' }),
    cut(
      { in: 'jar', volatile: 'ethyl-acetate', besides: 'ethanol', into: 'receiver 1', control: 'cut-1' },
      { id: 'fore-run', title: 'Distil: the fore-run, {distil.volume}', cautions: ['flammable'] },
    ),
    cut(
      { in: 'jar', volatile: 'ethyl-acetate', besides: 'ethanol', into: 'receiver 2', control: 'cut-2' },
      { id: 'heart', title: 'Distil: the ester, until {distil.volume} are over', cautions: ['flammable'] },
    ),
    coolAndBook({}),
    bottleAndLabel({
      title: 'Bottle, label: burns',
      act: 'Into glass: {made.name}, about {product.pct}, {product.volume}, date, burns. The rest is ethanol.',
      cautions: ['label', 'flammable'],
    }),
  ],
};
