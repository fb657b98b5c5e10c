// Week: the steps of several batches in the hours of one person. placeWeek() says where each stands and why not sooner, what is late,
// what has no room, what a step put somewhere by hand breaks; reliefs() what would let one come sooner; rehearse() how a week goes when
// nothing takes as long as it should. Minutes; pure, without a clock.
export type { Broken } from './breaks.ts';
export { choicesShape, NO_CHOICES, type WeekChoices } from './choices.ts';
export type { Late } from './cost.ts';
export { fits } from './fits.ts';
export { type InWeek, placeWeek, type Week } from './place.ts';
export { type Rehearsed, rehearse } from './rehearse.ts';
export { type Relief, reliefs } from './relief.ts';
export { type Reason, reasons } from './soonest.ts';
export { type StandTogether, standTogether } from './stand-together.ts';

export { type Aim, aims, type Task, type WeekInput, weekShape } from './task.ts';
