import { one, optional } from '#base/shape';
import { type VesselName, vesselNames } from '#matter/vessel';

/** The vessel that a step works in; the pot, when it is not said. */
export const where = { in: optional(one(...vesselNames)) };

export const placeOf = (op: { readonly in?: VesselName | undefined }): VesselName => op.in ?? 'pot';
