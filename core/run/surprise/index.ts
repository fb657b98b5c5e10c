// Surprise: a seen observation, and what is in the vessel, to ranked causes with the check that decides and the next move.
// Dangerous causes that fit come first, with what to do at once. The pairs of observation and cause are data, with sources;
// their equations are checked for balance.

export { type Cause, type Observation, observations } from './cause.ts';
export { causes } from './causes/index.ts';
export { causesOf, type LookedInto, type Ranked, type Scene } from './rank.ts';
