// Time: hours in words, and stretches of a clock with what they have in common.
export { durationText, hoursSaid, hoursSpan, hoursText } from './hours.ts';
export { both, joined, lengthOf, meets, type Stretch, without } from './stretches.ts';
