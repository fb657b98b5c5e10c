import { text } from '#base/shape';
import { where } from '../where.ts';

/** Kept at `temp` °C for `hours` h, both controls; `reaction` makes an ester of an acid and an alcohol. */
export const fields = { ...where, reaction: text(60), temp: text(40), hours: text(40) };
