import type { Control } from '#run/technique';

// Controls that every ester has: how it is kept, and how it is washed and dried. A route says only what is different for it.

type Over = Partial<Control>;

export const excessOf = (over: Pick<Control, 'name' | 'note'> & Over): Control => ({
  id: 'acid-excess',
  unit: '%',
  min: 0,
  max: 400,
  step: 10,
  start: 80,
  ...over,
});

/** How warm, and how long. */
export const keptWarm = (temp: Over, hours: Over = {}): readonly Control[] => [
  {
    id: 'temp',
    name: 'kept at',
    unit: '°C',
    min: 15,
    max: 90,
    step: 1,
    start: 60,
    note: 'Ten degrees warmer is about twice as fast; above 90 °C it boils.',
    ...temp,
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
    ...hours,
  },
];

/** Neutralised in little water, washed with brine, dried over a salt. */
export const washedAndDried = (
  over: { readonly firstWater?: Over; readonly brine?: Over; readonly strength?: Over; readonly spare?: Over } = {},
): readonly Control[] => [
  {
    id: 'first-water',
    name: 'water before the carbonate',
    unit: 'g/100 g',
    min: 20,
    max: 300,
    step: 10,
    start: 80,
    note: 'As little as keeps the salt dissolved: water takes ester along, and splits it.',
    ...over.firstWater,
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
    ...over.brine,
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
    ...over.strength,
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
    ...over.spare,
  },
];
