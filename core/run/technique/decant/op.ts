import { number } from '#base/shape';
import { where } from '../where.ts';

/** The clear liquor is poured off what has settled. `leavesPct`: of the liquor, what stays on the solid. */
export const fields = { ...where, leavesPct: number({ min: 0, max: 100 }) };
