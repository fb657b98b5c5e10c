import type { Route } from '../route.ts';
import { excessOf, keptWarm, washedAndDried } from './ester-controls.ts';
import { coolFirst, dryOverSalt, esterifies, neutralise, partAndWash, workUpRoles } from './ester-steps.ts';
import { neutralised } from './neutralised.ts';
import { step } from './step.ts';
import { bottleAndLabel } from './still-steps.ts';

const takenUp = neutralised('formic');
const takesAcid = takenUp.map(({ id }) => id);

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
    ...workUpRoles({
      waterPer: 'acid',
      brinePer: 'alcohol',
      base: {
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
        reactions: takesAcid,
      },
      agent: {
        accepts: ['magnesium-sulfate', 'sodium-sulfate', 'calcium-chloride'],
        refuses: [],
        tolerates: 'Dried in the oven just before. Calcium chloride binds alcohol too.',
      },
    }),
  ],
  reactions: [esterifies('formic-acid', 'isoamyl-alcohol', 'isoamyl-formate'), ...takenUp],
  controls: [
    excessOf({
      name: 'formic acid in excess',
      note: 'More acid, more ester; each gram of it is neutralised afterwards, with its gas.',
    }),
    ...keptWarm({}),
    ...washedAndDried(),
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
    coolFirst(),
    neutralise(takesAcid, { overshoot: 'In excess it splits a formate within hours: part it at once.' }),
    ...partAndWash('isoamyl-formate', { side: 'above' }),
    ...dryOverSalt('isoamyl-formate', 'jar'),
    bottleAndLabel({
      title: 'Bottle, label: not for food',
      act: 'Into glass: {made.name}, about {product.pct}, {product.volume}, date, burns, not for food. The rest is alcohol.',
      cautions: ['label', 'flammable'],
    }),
  ],
};
