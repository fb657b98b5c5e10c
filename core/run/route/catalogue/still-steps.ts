import type { Control } from '#run/technique';
import type { StepTemplate } from '../route.ts';
import { step } from './step.ts';

// Steps that every distillation has, with their usual words; a route says only what is different for it.

type Over = Partial<StepTemplate>;
type CutOp = Extract<StepTemplate['op'], { do: 'distil' }>;

/** The still put together. */
export const putTogether = (over: Over = {}): StepTemplate =>
  step({
    id: 'still',
    title: 'Put the still together, water on',
    act: 'Grease and clip the joints, water in at the bottom of the condenser, the vent open. Stones in cold liquid only. Number the receivers and weigh them empty.',
    until: 'Water runs, nothing is stoppered, the thermometer bulb sits just below the side arm.',
    expect: 'The flask at most two thirds full.',
    trouble: 'A joint that weeps: take it apart cold and grease it again.',
    why: 'A closed still bursts; a bulb set too high reads too low.',
    skipCosts: 'Vapour in the room, and cuts at the wrong temperature.',
    cautions: ['boil-dry'],
    handsOnMin: 20,
    ...over,
  });

/** Heated to the first drop. */
export const bringToBoil = (over: Over = {}): StepTemplate =>
  step({
    id: 'boil',
    title: 'Bring to the boil',
    act: 'Warm slowly until vapour climbs, then set the heat for two drops a second. Note the time of the first drop.',
    until: 'The first drop falls.',
    expect: 'Head temperature at the first drop about {distil.from}.',
    trouble: 'Surging: heat off, let it cool, fresh stones, begin again.',
    why: 'Fast heating carries liquid over.',
    skipCosts: 'A bump that spoils the first cut.',
    leave: { alone: false, lookEveryMin: 5, reason: 'it comes to the boil at once' },
    handsOnMin: 5,
    waitH: [0.3, 0.7],
    ...over,
  });

/** One receiver. */
export const cut = (
  op: Omit<CutOp, 'do'>,
  over: Over & { readonly id: string; readonly title: string },
): StepTemplate =>
  step({
    act: 'Collect until the head stands at {distil.head}, {distil.volume} in this receiver. Then change it without letting a drop fall beside.',
    until: 'The head stands at {distil.head}, or {distil.volume} are over.',
    expect: 'Clear drops; the flask at about {distil.pot}.',
    trouble: 'Coloured drops: it splashes over; less heat. The head falls: the flask runs out of heat.',
    why: 'What comes before the change is another strength than what comes after.',
    skipCosts: 'One mixture instead of two fractions.',
    op: { do: 'distil', ...op },
    leave: { alone: false, lookEveryMin: 10, reason: 'a receiver fills and a flask goes dry unseen' },
    handsOnMin: 5,
    ...over,
  });

/** Heat off, everything weighed. */
export const coolAndBook = (over: Over = {}): StepTemplate =>
  step({
    id: 'stop',
    title: 'Heat off; cool, weigh, book every receiver',
    act: 'Heat off while {still.left} are left in the flask. Let it stop dripping, then weigh each receiver and what is left. Water off last.',
    until: 'The flask is below 50 °C.',
    expect: 'Receivers and flask together weigh what was charged, less a gram or two.',
    trouble: 'More than 3 % missing: a joint leaked, or it went off as gas.',
    why: 'What is not weighed now is guessed for ever.',
    skipCosts: 'No recovery, no check of the balance.',
    leave: { alone: true, lookEveryMin: 30, reason: 'it only cools' },
    waitH: [0.5, 1],
    handsOnMin: 15,
    ...over,
  });

/** The kept fraction on the shelf. */
export const bottleAndLabel = (over: Over = {}): StepTemplate =>
  step({
    id: 'bottle',
    title: 'Bottle, label, and measure its strength',
    act: 'Into its bottle: {made.name}, about {product.pct}, {product.volume}, date, hazard. Weigh a measured volume for its density, or titrate it at the assay station.',
    expect: '{product.all} of it, {product.mass} of {made.name}.',
    why: 'Until it is measured, its strength is the still’s word.',
    skipCosts: 'A bottle whose strength nobody knows.',
    cautions: ['label'],
    ...over,
  });

/** Where a receiver is changed: % of the charge that is over by then. */
export const cutAt = (id: string, name: string, over: { start: number; max?: number; note: string }): Control => ({
  id,
  name,
  unit: '% over',
  min: 1,
  max: 94,
  step: 0.5,
  ...over,
});
