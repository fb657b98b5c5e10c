import type { Shape } from '#base/shape';
import type { SubstanceId } from './substance.ts';

/** The id of a substance that is held. */
export const substance = (): Shape<SubstanceId> => ({ is: 'substance' });
