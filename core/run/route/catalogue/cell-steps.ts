import type { Control } from '#run/technique';
import type { StepTemplate } from '../route.ts';
import { step } from './step.ts';

// Steps and controls that every cell has, with their usual words; a route says only what is different for it.

type Over = Partial<StepTemplate>;
type CellOp = Omit<Extract<StepTemplate['op'], { do: 'electrolyse' }>, 'do'>;

/** Everything put together, before the current. */
export const hangElectrodes = (over: Over): StepTemplate =>
  step({
    id: 'hang',
    title: 'Hang the electrodes, clips in the dry',
    act: 'Plus to the anode, minus to the cathode, a clip on each that stays out of the liquid: iron, zinc and nickel of a clip would go into it. Mark both levels.',
    expect: 'No clip wet, nothing touches.',
    trouble: 'A wet clip: hang the electrode deeper or the clip higher, rinse it first.',
    why: 'A clip in the liquid dissolves before the anode does, and colours the product.',
    skipCosts: 'Iron or nickel in the product, and a contact that fails in the night.',
    cautions: ['cell-supply'],
    handsOnMin: 10,
    ...over,
  });

/** The current on. */
export const runCell = (op: CellOp, over: Over & { readonly id: string; readonly title: string }): StepTemplate =>
  step({
    act: 'Current on at {cell.current}. Note volts, amps and temperature now, after ten minutes, then at every look; enter them here.',
    until: '{cell.charge} have passed, and it looks as it should.',
    expect: '{cell.made} by then, in about {cell.hours}; warmest {cell.warm}.',
    trouble:
      'No current: a clip, a dry divider, salt short. It falls: see what the panel asks for. It climbs: turn the voltage down.',
    why: 'The charge tells how much is made; the eye tells whether it was.',
    skipCosts: 'Half the product, or a cell that ran dry.',
    op: { do: 'electrolyse', ...op },
    leave: { alone: true, lookEveryMin: 180, reason: 'current held, level marked, open to the air' },
    where: 'ventilated',
    cautions: ['cell-gas', 'cell-supply'],
    ceilingC: 50,
    handsOnMin: 30,
    waitH: [4, 24],
    ...over,
  });

export const currentControl = (start: number, note: string): Control => ({
  id: 'current',
  name: 'current',
  unit: 'A',
  min: 0.02,
  max: 10,
  step: 0.01,
  start,
  note,
});

export const finishControl = (over: Pick<Control, 'name' | 'max' | 'start' | 'note'>): Control => ({
  id: 'finish',
  unit: '%',
  min: 5,
  step: 0.5,
  ...over,
});

/** Which of several: whole numbers from 0. */
export const choice = (id: 'anode' | 'divider', note: string, choices: readonly string[]): Control => ({
  id,
  name: id,
  unit: '',
  min: 0,
  max: choices.length - 1,
  step: 1,
  start: 0,
  note,
  choices,
});
