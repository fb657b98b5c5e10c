import { flag, list, text } from '#base/shape';
import { substance } from '#matter/substance';
import { where } from '../where.ts';

/**
 * Of four salts of two cations and two anions (in the order AX, AY, BX, BY) one crystallises at a temperature: it is filtered
 * off, or is the crop.
 */
export const fields = { ...where, salts: list(substance(), 4, 4), control: text(40), drops: substance(), crop: flag() };
