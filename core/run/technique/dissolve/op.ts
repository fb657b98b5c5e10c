import { optional, text } from '#base/shape';
import { where } from '../where.ts';

/** Warmed and stirred until what can dissolve has; `control` is the temperature, else the one that its water was dosed for. */
export const fields = { ...where, control: optional(text(40)) };
