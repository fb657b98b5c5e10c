import type { Reaction } from '#matter/reaction';
import type { Role } from '#run/technique';
import type { StepTemplate } from '../route.ts';
import { plainWater } from './common-roles.ts';
import { step } from './step.ts';

// What every route that begins with zinc in diluted acid has in common.

export const batteryAcid: Role = {
  id: 'acid',
  name: 'battery acid',
  accepts: ['sulfuric-acid'],
  refuses: [
    { substanceId: 'hydrochloric-acid', why: 'Hydrochloric acid gives zinc chloride, not the sulfate.' },
    { substanceId: 'nitric-acid', why: 'Nitric acid gives brown fume with zinc.' },
  ],
  tolerates: 'Battery-grade acid is clean enough.',
  measure: 'volume',
  dose: { by: 'extent', perExtent: 1, excessControl: 'acid-excess' },
};

export const dilutingWater: Role = plainWater({ by: 'dilute-to', role: 'acid', control: 'acid-strength' });

export const zincDissolves: Reaction = {
  id: 'dissolve',
  reactants: [
    { substanceId: 'zinc', n: 1 },
    { substanceId: 'sulfuric-acid', n: 1 },
  ],
  products: [
    { substanceId: 'zinc-sulfate', n: 1 },
    { substanceId: 'hydrogen', n: 1 },
  ],
};

/** The steps up to zinc and acid lying ready: `gives` is what a gram of zinc comes to, the rest why there is acid, or zinc, over. */
export function zincInAcid({
  gives,
  acidOver,
  withoutIt,
  limits,
}: {
  gives: string;
  acidOver: string;
  withoutIt: string;
  /** What stands instead when zinc does not limit. */
  limits?: string;
}): readonly StepTemplate[] {
  return [
    step({
      id: 'ready',
      title: 'Outdoors, nothing lit',
      act: 'Carry {vessel} outdoors or under a hood, no flame or spark within 3 m. Goggles, nitrile gloves, bicarbonate within reach.',
      expect: 'A tray under the vessel, the lid off.',
      why: '{gas.hydrogen} of hydrogen will come off over some hours.',
      skipCosts: 'Hydrogen gathers under any roof and burns from 4 %.',
      where: 'outdoors',
      cautions: ['hydrogen', 'corrosive', 'law'],
    }),
    step({
      id: 'zinc',
      title: 'Weigh {zinc.mass} of zinc',
      act: 'Cut it small, wash off grease, dry, weigh {zinc.mass} of {zinc.name}. Keep it aside.',
      expect: 'Bright grey cuttings, about 5 mm.',
      why: limits ?? `Zinc limits: every gram gives ${gives} at best.`,
      skipCosts: 'Greasy zinc starts hours late.',
      op: { do: 'add', role: 'zinc' },
      handsOnMin: 15,
    }),
    step({
      id: 'water',
      title: 'Put {water.volume} of water in the vessel',
      act: 'Measure {water.volume} of water into the vessel.',
      expect: 'Water at about {bench.temp}.',
      why: 'Diluted acid is fast enough, cool enough, and does not mist.',
      skipCosts: 'Undiluted acid heats, mists and slows itself with a crust.',
      op: { do: 'add', role: 'water' },
      cautions: ['acid-into-water'],
      after: ['ready'],
    }),
    step({
      id: 'acid',
      title: 'Pour {acid.volume} of acid into the water',
      act: 'Measure {acid.volume} ({acid.mass}) of {acid.name}. Thin stream into the water, stirring.',
      expect: 'It warms a little.',
      trouble: 'Spitting: too fast, or the order was wrong. Stop, step back, let it cool.',
      why: acidOver,
      skipCosts: withoutIt,
      op: { do: 'add', role: 'acid' },
      where: 'outdoors',
      cautions: ['acid-into-water', 'corrosive', 'heat'],
    }),
  ];
}
