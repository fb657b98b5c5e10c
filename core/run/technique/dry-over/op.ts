import { one, text } from '#base/shape';
import { substance } from '#matter/substance';
import { vesselNames } from '#matter/vessel';
import { where } from '../where.ts';

/** A liquid stands over the drying agent of a role, then runs through a filter into another vessel. */
export const fields = { ...where, role: text(40), liquid: substance(), into: one(...vesselNames) };
