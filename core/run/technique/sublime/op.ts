import { text } from '#base/shape';
import { substance } from '#matter/substance';
import { where } from '../where.ts';

/** Sublimed from a dish at `pot` °C onto a cover at `cover` °C; `dish` is its area, cm². Each names a control. */
export const fields = { ...where, substanceId: substance(), pot: text(40), cover: text(40), dish: text(40) };
