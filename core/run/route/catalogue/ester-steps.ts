import type { SubstanceId } from '#matter/substance';
import type { Role } from '#run/technique';
import type { Route, StepTemplate } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { step } from './step.ts';

// Roles and steps that every ester has from the cold flask to the dry liquid, with their usual words; a route says what is different.

type Over = Partial<StepTemplate>;

/** An acid and an alcohol come to an ester and water. */
export const esterifies = (
  acid: SubstanceId,
  alcohol: SubstanceId,
  ester: SubstanceId,
): Route['reactions'][number] => ({
  id: 'esterify',
  reactants: [
    { substanceId: acid, n: 1 },
    { substanceId: alcohol, n: 1 },
  ],
  products: [
    { substanceId: ester, n: 1 },
    { substanceId: 'water', n: 1 },
  ],
});

/** Water, carbonate, brine and drying salt, measured by `per`, the role that is charged first. */
export const workUpRoles = ({
  waterPer,
  brinePer,
  base,
  agent,
}: {
  readonly waterPer: string;
  readonly brinePer: string;
  readonly base: Pick<Role, 'accepts' | 'refuses' | 'tolerates'> & { readonly reactions: readonly string[] };
  readonly agent: Pick<Role, 'accepts' | 'refuses' | 'tolerates'>;
}): readonly Role[] => [
  plainWater({ by: 'per-gram', role: waterPer, control: 'first-water' }, 'Ice-cold.'),
  {
    id: 'base',
    name: 'carbonate',
    accepts: base.accepts,
    refuses: base.refuses,
    tolerates: base.tolerates,
    measure: 'mass',
    dose: { by: 'contents', reactions: base.reactions, excessControl: 'base-excess' },
  },
  {
    ...plainWater({ by: 'per-gram', role: brinePer, control: 'brine' }, 'Ice-cold.'),
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
  { id: 'agent', name: 'drying salt', measure: 'mass', dose: { by: 'to-dry', spare: 'spare' }, ...agent },
];

/** Cooled before anything else. */
export const coolFirst = (over: Over = {}): StepTemplate =>
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
    ...over,
  });

/** Carbonate in portions, the funnel open as long as gas comes. */
export const neutralise = (
  reactions: readonly string[],
  over: Over & { readonly overshoot?: string } = {},
): StepTemplate => {
  const { overshoot = 'In excess it splits an ester within hours: part it at once.', ...rest } = over;
  return step({
    id: 'base',
    title: 'Neutralise, open: {base.mass} of {base.name} in portions',
    act: 'Portion by portion into the open jar or funnel, stopper off, swirling until each is quiet. Paper in the water layer. Only when a swirl brings no bubble may it be stoppered, and then vented after each turn.',
    until: 'Paper in the water layer at pH 7 to 8, quiet when swirled.',
    expect: 'Much gas; it stays cold.',
    trouble:
      'Grains that stay: a little more cold water. Foam: wait. No line, a milky band: an emulsion; a spoon of salt, no shaking, an hour, or through cotton.',
    why: 'Acid left turns the ester back as it stands.',
    skipCosts: 'A sharp smell, and an ester that spoils.',
    op: { do: 'add', role: 'base', reacts: reactions },
    adding: {
      halfLifeMin: 1,
      foamPerGas: 0.3,
      endpoint: 'paper in the water layer at pH 7 to 8, quiet when swirled',
      pH: { at: 7.5, goes: 'up' },
      overshoot,
    },
    where: 'ventilated',
    cautions: ['foam', 'flammable'],
    ceilingC: 15,
    handsOnMin: 20,
    ...rest,
  });
};

/** Parted, washed with brine, parted again: the ester’s layer is kept. */
export const partAndWash = (
  liquid: SubstanceId,
  { side, part = {}, brine = {} }: { side: 'above' | 'either'; part?: Over; brine?: Over },
): readonly StepTemplate[] => [
  step({
    id: 'part',
    title: side === 'above' ? 'Let it part, run the water off below' : 'Let it part, keep the ester’s layer',
    act: `A few minutes; ${side === 'above' ? 'the ester is above' : 'which layer is the ester goes by the salt in the water: the funnel below says it, a drop of water proves it'}. Part it slowly at the end. Throw nothing away before it is weighed.`,
    until: 'The line between stands in the tap.',
    expect: '[{layer.volume} of ester; the water takes {layer.lost} of it along.]',
    trouble: 'No line: a spoon of salt. A drop of water into either layer tells which is which.',
    why: 'Salt and acid leave with the water.',
    skipCosts: 'Everything in one jar.',
    op: { do: 'separate', liquid },
    handsOnMin: 10,
    ...part,
  }),
  step({
    id: 'brine-water',
    title: 'Wash: {brine-water.volume} of ice-cold water …',
    act: 'Onto the ester.',
    expect: 'Two layers.',
    why: 'The last acid and some alcohol go with it.',
    skipCosts: 'A sharp smell.',
    op: { do: 'add', role: 'brine-water' },
    ...brine,
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
    title: side === 'above' ? 'Run the brine off' : 'Part the ester from the brine',
    act: 'At once: left standing, water splits an ester.',
    until: 'The line between stands in the tap.',
    expect: '[{layer.mass} of ester.]',
    why: 'What is run off need not be dried.',
    skipCosts: 'More drying salt, less ester.',
    op: { do: 'separate', liquid },
  }),
];

/** Onto its drying salt, and off it. */
export const dryOverSalt = (liquid: SubstanceId, into: 'jar', over: Over = {}): readonly StepTemplate[] => [
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
    op: { do: 'dry-over', role: 'agent', liquid, into },
    timer: { name: 'drying', minutes: 30 },
    leave: { alone: true, lookEveryMin: 60, reason: 'stoppered and cool' },
    cautions: ['flammable'],
    waitH: [0.5, 1],
    ...over,
  }),
];
