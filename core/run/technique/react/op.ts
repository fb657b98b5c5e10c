import { text } from '#base/shape';
import { where } from '../where.ts';

/** A reaction goes on with what is in the vessel. */
export const fields = { ...where, reaction: text(60) };
