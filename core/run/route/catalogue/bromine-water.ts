import type { Route } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { step } from './step.ts';
import { bottleAndLabel } from './still-steps.ts';

const metals = ['sodium', 'potassium'] as const;

/** 2 bromide + peroxide + acid: with either bromide and any of three acids. */
const freed = metals.flatMap((metal) => [
  {
    id: `${metal}-sulfuric`,
    reactants: [
      { substanceId: `${metal}-bromide`, n: 2 },
      { substanceId: 'hydrogen-peroxide', n: 1 },
      { substanceId: 'sulfuric-acid', n: 1 },
    ],
    products: [
      { substanceId: 'bromine', n: 1 },
      { substanceId: `${metal}-sulfate`, n: 1 },
      { substanceId: 'water', n: 2 },
    ],
  } as const,
  {
    id: `${metal}-hydrogensulfate`,
    reactants: [
      { substanceId: `${metal}-bromide`, n: 2 },
      { substanceId: 'hydrogen-peroxide', n: 1 },
      { substanceId: 'sodium-hydrogensulfate', n: 2 },
    ],
    products: [
      { substanceId: 'bromine', n: 1 },
      { substanceId: `${metal}-sulfate`, n: 1 },
      { substanceId: 'sodium-sulfate', n: 1 },
      { substanceId: 'water', n: 2 },
    ],
  } as const,
  {
    id: `${metal}-hydrochloric`,
    reactants: [
      { substanceId: `${metal}-bromide`, n: 2 },
      { substanceId: 'hydrogen-peroxide', n: 1 },
      { substanceId: 'hydrochloric-acid', n: 2 },
    ],
    products: [
      { substanceId: 'bromine', n: 1 },
      { substanceId: `${metal}-chloride`, n: 2 },
      { substanceId: 'water', n: 2 },
    ],
  } as const,
]);
const reactions = freed.map(({ id }) => id);

/** A little bromine, dissolved and never by itself. */
export const bromineWater: Route = {
  id: 'bromine-water',
  title: 'bromide in strong acid, peroxide, left cold and dark',
  summary:
    'Peroxide frees bromine from a bromide, slowly, and only where acid and bromide are strong: thin mixtures stand for days and come to nothing, as peroxide takes the bromine back. A few grams of it at most, in water, under 3 %.',
  source: 'Mohammad and Liebhafsky 1934; Bray and Livingston 1923',
  makes: { kind: 'liquid', role: 'bromide', substanceId: 'bromine', vessel: 'pot' },
  roles: [
    {
      id: 'bromide',
      name: 'bromide',
      accepts: ['sodium-bromide', 'potassium-bromide'],
      refuses: [
        {
          substanceId: 'sodium-chloride',
          why: 'Salt gives no bromine, and with peroxide and strong acid a little chlorine.',
        },
        { substanceId: 'potassium-iodide', why: 'Iodide gives iodine first, all of it.' },
      ],
      tolerates: 'Bromide for spas is often as good as pure, or a solution: read the label for its per cent.',
      measure: 'mass',
      dose: { by: 'extent', perExtent: 2 },
    },
    plainWater({ by: 'per-gram', role: 'bromide', control: 'thin' }, 'Distilled: tap water takes some of the bromine.'),
    {
      id: 'acid',
      name: 'acid',
      accepts: ['sulfuric-acid', 'sodium-hydrogensulfate', 'hydrochloric-acid'],
      refuses: [
        { substanceId: 'nitric-acid', why: 'Nitric acid frees it by itself, with brown fume of its own.' },
        { substanceId: 'acetic-acid', why: 'Too weak: nothing comes, and what comes it binds.' },
      ],
      tolerates: 'Battery acid is quickest. Hydrogensulfate gives little free acid, and takes days.',
      measure: 'mass',
      dose: {
        by: 'extent',
        perExtent: 1,
        others: [
          { substanceId: 'sodium-hydrogensulfate', perExtent: 2 },
          { substanceId: 'hydrochloric-acid', perExtent: 2 },
        ],
        excessControl: 'acid-excess',
      },
    },
    {
      id: 'peroxide',
      name: 'peroxide',
      accepts: ['hydrogen-peroxide'],
      refuses: [],
      tolerates: 'An old bottle is weaker: test it first.',
      measure: 'volume',
      dose: { by: 'contents', reactions, excessControl: 'peroxide-excess' },
    },
  ],
  reactions: freed,
  controls: [
    {
      id: 'thin',
      name: 'water for the bromide',
      unit: 'g/100 g',
      min: 500,
      max: 3000,
      step: 50,
      start: 700,
      note: 'Twice as thin is about eight times as slow, and less comes at all; under 3.5 % it stays dissolved.',
    },
    {
      id: 'acid-excess',
      name: 'acid in excess',
      unit: '%',
      min: 0,
      max: 600,
      step: 20,
      start: 300,
      note: 'Acid drives it and keeps what was made: by far the cheapest way to speed.',
    },
    {
      id: 'peroxide-excess',
      name: 'peroxide in excess',
      unit: '%',
      min: -50,
      max: 100,
      step: 5,
      start: 0,
      note: 'More of it makes bromine and takes it back alike.',
    },
    {
      id: 'temp',
      name: 'left at',
      unit: '°C',
      min: 5,
      max: 30,
      step: 1,
      start: 18,
      note: 'Ten degrees warmer is about three times as fast, and fumes twice as much.',
    },
    {
      id: 'hours',
      name: 'for',
      unit: 'h',
      min: 0.5,
      max: 168,
      step: 0.5,
      start: 5,
      note: 'After its most it fades: peroxide takes bromine back.',
    },
  ],
  handling: null,
  foamShare: 0.1,
  drying: null,
  byProducts: [
    { name: 'spent mixture', keep: 'Thiosulfate until colourless, soda until it no longer fizzes, then the drain.' },
  ],
  identity: [
    { test: 'shaken with a little heptane', sight: 'orange-brown above' },
    { test: 'a drop of thiosulfate', sight: 'colourless at once' },
  ],
  storage:
    'Brown glass, ground or PTFE stopper, cold, in a second jar with some thiosulfate. Weaker every week: titrate before use.',
  steps: [
    step({
      id: 'ready',
      title: 'Outdoors: thiosulfate at hand, goggles, gloves',
      act: 'Outdoors or under a hood. A beaker with 20 g of thiosulfate in water stands open beside it. Bottle with a loose stopper, never closed: oxygen comes off.',
      expect: 'All of it in reach.',
      why: 'Bromine burns skin within the minute; thiosulfate ends it.',
      skipCosts: 'A burn.',
      where: 'outdoors',
      cautions: ['bromine'],
    }),
    step({
      id: 'water',
      title: 'Measure {water.volume} of water',
      act: '{water.volume} into a brown bottle.',
      expect: 'Water.',
      why: 'Acid goes into water.',
      op: { do: 'add', role: 'water' },
    }),
    step({
      id: 'bromide',
      title: 'Dissolve {bromide.mass} of {bromide.name} in it',
      act: 'Weigh it in, swirl.',
      until: 'Clear.',
      expect: 'Colourless.',
      why: 'It limits.',
      skipCosts: 'Nothing to free.',
      op: { do: 'add', role: 'bromide' },
    }),
    step({
      id: 'acid',
      title: 'Add {acid.mass} of {acid.name}, cooling',
      act: 'Slowly, swirling, in cold water; let it come back below 20 °C.',
      until: 'Below 20 °C.',
      expect: 'Colourless, or pale yellow.',
      why: 'Rate and yield both go with the acid: before the peroxide.',
      skipCosts: 'A mixture that never starts.',
      op: { do: 'add', role: 'acid' },
      cautions: ['acid-into-water', 'corrosive', 'heat'],
    }),
    step({
      id: 'peroxide',
      title: 'Add {peroxide.volume} of {peroxide.name}, in three portions',
      act: 'A third, ten minutes, the next. It can begin late and then warm itself: never all at once.',
      until: 'All of it is in and it stays cool.',
      expect: 'Yellow within the hour.',
      trouble: 'Warms by itself: into ice, no more peroxide. Brown fume: lid on, away, thiosulfate.',
      why: 'The oxidiser last and slowly.',
      skipCosts: 'No bromine.',
      op: { do: 'add', role: 'peroxide' },
      where: 'outdoors',
      cautions: ['peroxide', 'bromine'],
      ceilingC: 30,
      handsOnMin: 25,
    }),
    step({
      id: 'stand',
      title: 'Leave it at {set.temp} for {set.hours}, stopper loose',
      act: 'Dark, outdoors or under a hood, stopper laid on. Look at it and note the colour; a photograph beside a grey card serves.',
      until: 'The colour is no deeper than at the look before.',
      expect:
        '[Orange: {freed.mass} of bromine, about {freed.conversion} of the bromide; {freed.oxygen} of oxygen go off.]',
      trouble: 'Hardly yellow after a day: it is too thin. More acid, not more peroxide.',
      why: 'Its pace goes with acid, bromide and peroxide, each.',
      skipCosts: 'Peroxide and bromide instead of bromine.',
      op: { do: 'oxidise', reactions, halogen: 'bromine', temp: 'temp', hours: 'hours' },
      leave: { alone: true, lookEveryMin: 60, reason: 'cool and with its stopper loose, out of reach' },
      where: 'outdoors',
      cautions: ['bromine'],
      ceilingC: 30,
      waitH: [4, 24],
    }),
    bottleAndLabel({
      title: 'Close, label, titrate before use',
      act: 'Into its brown bottle, cold: bromine water, about {product.pct}, {product.volume}, acid, date. Titrate a portion with thiosulfate through iodide.',
      expect: '{product.all} of it with {product.mass} of bromine; salts, acid and peroxide stand beside it.',
      cautions: ['label', 'bromine'],
      where: 'outdoors',
    }),
  ],
};
