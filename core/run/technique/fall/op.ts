import { optional, text } from '#base/shape';
import { substance } from '#matter/substance';
import { where } from '../where.ts';

/**
 * A salt falls out of its liquor, driven out by another or by the cold. Where its solubility is held, `cold` names the control with the
 * temperature that it falls to; else `share` the control with the per cent of it that usually falls, and that is said.
 */
export const fields = { ...where, substanceId: substance(), cold: optional(text(40)), share: optional(text(40)) };
