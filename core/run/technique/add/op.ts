import { list, optional, text } from '#base/shape';
import { where } from '../where.ts';

/** A role goes in; `reacts`: what happens as it does, in this order. */
export const fields = { ...where, role: text(40), reacts: optional(list(text(60), 20)) };
