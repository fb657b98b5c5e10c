import { text } from '#base/shape';
import { where } from '../where.ts';

/** Solids melted together: a part of them reacts, as far as a control says or what is weighed back at a step tells. */
export const fields = { ...where, reaction: text(60), control: text(40), weighedAt: text(60) };
