import { text } from '#base/shape';
import { where } from '../where.ts';

/** Chilled to `control` °C, so that chloride falls out of strong hydrochloric acid. */
export const fields = { ...where, control: text(40) };
