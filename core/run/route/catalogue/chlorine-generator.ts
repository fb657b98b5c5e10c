import type { Route, StepTemplate } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { step } from './step.ts';

// Chlorine made in place and led into lye: what goes in, what can be set, and the steps from the bench to the end of the gas.

/** Pool chlorines that acid frees, each with its own ratio: hydrochloric acid for the chlorine that it gives. */
export const freed = [
  {
    id: 'trichlor',
    reactants: [
      { substanceId: 'trichloroisocyanuric-acid', n: 1 },
      { substanceId: 'hydrochloric-acid', n: 3 },
    ],
    products: [
      { substanceId: 'cyanuric-acid', n: 1 },
      { substanceId: 'chlorine', n: 3 },
    ],
  },
  {
    id: 'dichlor',
    reactants: [
      { substanceId: 'sodium-dichloroisocyanurate-anhydrous', n: 1 },
      { substanceId: 'hydrochloric-acid', n: 3 },
    ],
    products: [
      { substanceId: 'cyanuric-acid', n: 1 },
      { substanceId: 'sodium-chloride', n: 1 },
      { substanceId: 'chlorine', n: 2 },
    ],
  },
  {
    id: 'calcium',
    reactants: [
      { substanceId: 'calcium-hypochlorite', n: 1 },
      { substanceId: 'hydrochloric-acid', n: 4 },
    ],
    products: [
      { substanceId: 'calcium-chloride', n: 1 },
      { substanceId: 'chlorine', n: 2 },
      { substanceId: 'water', n: 2 },
    ],
  },
] as const satisfies Route['reactions'];

export const roles: Route['roles'] = [
  {
    id: 'lye',
    name: 'lye',
    accepts: ['sodium-hydroxide'],
    refuses: [{ substanceId: 'potassium-hydroxide', why: 'This way makes the sodium salt.' }],
    tolerates: 'Carbonate in old lye takes no part: weigh for what is hydroxide.',
    measure: 'mass',
    dose: { by: 'extent', perExtent: 2 },
  },
  plainWater(
    { by: 'per-gram', role: 'lye', control: 'thin' },
    'Distilled: iron and copper make hypochlorite fall apart.',
  ),
  {
    id: 'source',
    name: 'pool chlorine',
    accepts: [
      'trichloroisocyanuric-acid',
      'sodium-dichloroisocyanurate',
      'sodium-dichloroisocyanurate-anhydrous',
      'calcium-hypochlorite',
    ],
    refuses: [
      {
        substanceId: 'sodium-hypochlorite',
        why: 'Bleach brings so much water that the acid freed drowns: and it is what is made.',
      },
      { substanceId: 'potassium-peroxymonosulfate', why: 'Non-chlorine shock gives no chlorine.' },
    ],
    tolerates: 'Whole lumps, never powder: powder gives it all at once. No copper, no clarifier in it.',
    measure: 'mass',
    dose: {
      by: 'extent',
      perExtent: 1 / 3,
      others: [
        { substanceId: 'sodium-dichloroisocyanurate', perExtent: 0.5 },
        { substanceId: 'sodium-dichloroisocyanurate-anhydrous', perExtent: 0.5 },
        { substanceId: 'calcium-hypochlorite', perExtent: 0.5 },
      ],
      excessControl: 'source-excess',
    },
  },
  {
    id: 'acid',
    name: 'acid',
    accepts: ['hydrochloric-acid'],
    refuses: [
      { substanceId: 'sulfuric-acid', why: 'Sulfuric acid frees hypochlorous acid, not chlorine, and heats it.' },
      { substanceId: 'nitric-acid', why: 'Nitric acid brings its own fume along.' },
    ],
    tolerates: '10 to 20 % drips well; stronger fumes over into the lye.',
    measure: 'volume',
    dose: { by: 'contents', reactions: freed.map(({ id }) => id), excessControl: 'acid-excess', of: 'pot' },
  },
];

export const generatorControls = (thin: {
  start: number;
  min: number;
  max: number;
  note: string;
}): Route['controls'] => [
  {
    id: 'source-excess',
    name: 'pool chlorine to spare',
    unit: '%',
    min: 0,
    max: 60,
    step: 5,
    start: 25,
    note: 'A part of the gas never arrives: with some to spare the lye says when to stop, not the source.',
  },
  {
    id: 'acid-excess',
    name: 'acid to spare',
    unit: '%',
    min: 0,
    max: 50,
    step: 5,
    start: 10,
    note: 'For the last of a lump. What is not dripped stays in its funnel.',
  },
  { id: 'thin', name: 'water for the lye', unit: 'g/100 g', step: 10, ...thin },
  {
    id: 'arrives',
    name: 'of the gas that arrives',
    unit: '%',
    min: 20,
    max: 100,
    step: 5,
    start: 85,
    note: 'What stays in flask and tubes never arrives: go by the balance, not by the source.',
  },
  {
    id: 'along',
    name: 'acid that comes along',
    unit: 'mol/100 mol',
    min: 0,
    max: 20,
    step: 1,
    start: 3,
    note: 'Acid fume takes lye as the gas does, and weighs little: strong acid and fast drops bring more of it.',
  },
  {
    id: 'pace',
    name: 'gas in a minute',
    unit: 'mL/min',
    min: 5,
    max: 200,
    step: 5,
    start: 40,
    note: 'Slow enough that no bubble reaches the top, and that ice keeps up.',
  },
  {
    id: 'ceiling',
    name: 'lye kept under',
    unit: '°C',
    min: 5,
    max: 25,
    step: 1,
    start: 15,
    note: 'Warm it turns into chlorate: twice as fast for every 5 to 6 °C.',
  },
];

/** The generator run until the lye is all but spent. */
export const leadIn = (words: Pick<StepTemplate, 'expect'>): StepTemplate =>
  step({
    id: 'gas',
    title: 'Drip the acid in, lead the chlorine into the lye',
    act: 'A drop, wait for the bubbles, the next: as the panel says. Tube end under the lye, swirl it in its ice. Weigh the bottle often, and note the mL that are in. Near the window every two minutes: tap shut, wait, weigh; then a test portion: a drop of it in a mL of peroxide until it no longer fizzes, then phenolphthalein: pink means lye is left.',
    until: 'The lye has gained what the window says, or a test portion is only pale pink: whichever comes first.',
    trouble:
      'It sucks back: open the tap of the funnel. No more gas: stir the lump, it crusts over. Bubbles reach the top: slower. Warm: stop, ice.',
    why: 'A little lye must be left: without alkali hypochlorite falls apart, with too much of it no crystals come and nothing filters.',
    skipCosts: 'No product.',
    op: {
      do: 'absorb',
      reaction: 'trichlor',
      also: ['dichlor', 'calcium'],
      gas: 'chlorine',
      as: 'sodium-hypochlorite',
      into: 'absorber',
      arrives: 'arrives',
      ceiling: 'ceiling',
      takes: 'take-up',
      drips: 'funnel',
      pace: 'pace',
      along: 'along',
    },
    leave: { alone: false, lookEveryMin: 1, reason: 'it sucks back within a minute, and the lye is spent unseen' },
    where: 'outdoors',
    cautions: ['chlorine', 'caustic'],
    ceilingC: 25,
    handsOnMin: 60,
    waitH: [0.5, 1.5],
    ...words,
  });

export const upToTheGas: readonly StepTemplate[] = [
  step({
    id: 'ready',
    title: 'Outdoors, upwind: generator, trap, lye, second bottle',
    act: 'Outdoors only, wind from behind, nobody and no window downwind. In a row: flask with dropping funnel, empty trap, the weighed bottle of lye in ice, a second bottle with as much lye again that takes all of it, open at its end. Thiosulfate or bicarbonate beside it to end it.',
    expect: 'Water drawn through by a breath at the end bubbles in every bottle.',
    why: 'The second bottle takes all of the chlorine if the first fails; a leak is found now or breathed later.',
    skipCosts: 'Lungs that burn for days.',
    where: 'outdoors',
    cautions: ['chlorine'],
    handsOnMin: 30,
  }),
  step({
    id: 'water',
    title: 'Ice and water, {water.volume}, into the absorber',
    act: '{water.volume} in all, half of it ice made of distilled water, into a bottle that the balance bears.',
    expect: 'Ice water.',
    why: 'Lye heats as it dissolves, and chlorine heats it again.',
    op: { do: 'add', role: 'water', in: 'absorber' },
  }),
  step({
    id: 'lye',
    title: 'Dissolve {lye.mass} of {lye.name} in it',
    act: 'A spoon at a time. Cool it below 5 °C, wipe it dry, weigh it: what it gains is the gas.',
    until: 'Clear, below 5 °C.',
    expect: 'A clear lye[; {heat.ice} of ice in place of water take its heat].',
    ceilingC: 25,
    why: 'It limits: two for each chlorine.',
    skipCosts: 'Nothing that takes the gas.',
    op: { do: 'add', role: 'lye', in: 'absorber' },
    cautions: ['caustic', 'heat'],
    handsOnMin: 15,
  }),
  step({
    id: 'source',
    title: 'Lay {source.mass} of {source.name} into the dry flask',
    act: 'Lumps of a pea to a hazelnut. Never near ammonia, oil, or any other pool product.',
    expect: 'Dry lumps.',
    why: 'Lumps give the gas slowly; powder all at once.',
    skipCosts: 'No gas.',
    op: { do: 'add', role: 'source' },
    where: 'outdoors',
    cautions: ['oxidiser'],
  }),
  step({
    id: 'acid',
    title: '{acid.volume} of {acid.name} into the dropping funnel, tap shut',
    act: 'Tap shut, look twice, then pour {acid.volume} in.',
    expect: 'Not a drop falls.',
    trouble: 'It drips: hold a beaker under it, away from the flask.',
    why: 'Only what is let in frees gas: a shut tap stops it.',
    skipCosts: 'Gas all at once.',
    op: { do: 'add', role: 'acid', in: 'funnel' },
    where: 'outdoors',
    cautions: ['chlorine', 'corrosive'],
  }),
];

export const off = step({
  id: 'off',
  title: 'Tap shut, tube out, weigh; then end the generator',
  act: 'Tap shut, tube out of the lye, weigh it a last time. Then drown the flask in much water with sodium sulfite or thiosulfate, outdoors, until it smells of nothing. The acid that is left goes back into no bottle: neutralise it.',
  until: 'The flask smells of nothing.',
  expect: 'A few more bubbles.',
  why: 'Pool chlorine that is left goes on giving gas for an hour.',
  skipCosts: 'Gas in the shed overnight.',
  where: 'outdoors',
  cautions: ['chlorine'],
  handsOnMin: 20,
});
