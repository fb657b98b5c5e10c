import { where } from '../where.ts';

/** What was caught goes back into solution, in the water that is entered at the step. Only ever inserted at the bench. */
export const fields = { ...where };
