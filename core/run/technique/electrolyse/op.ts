import { list, number, one, optional, text } from '#base/shape';
import { anodeMaterials, cathodeMaterials, dividerKinds } from '#matter/gear';
import { substance } from '#matter/substance';
import { vesselNames } from '#matter/vessel';

/**
 * A current is led through it. `anodeIn` and `cathodeIn` hold the two sides; without `cathodeIn` nothing divides them. `reaction` is
 * what the whole cell does, with so many electrons for each; `makes` is what is wanted of it, on the side of the step’s own
 * vessel. It runs until `finish` % of what its reagents allow is made, at `current` A. Where several anodes or dividers would do,
 * a control chooses among them by number.
 */
export const fields = {
  in: optional(one(...vesselNames)),
  anodeIn: one(...vesselNames),
  cathodeIn: optional(one(...vesselNames)),
  reaction: text(60),
  /** Instead, where what it starts from is not there: another feed. */
  orElse: optional(text(60)),
  electrons: number({ min: 1, max: 20, whole: true }),
  makes: substance(),
  anodes: list(one(...anodeMaterials), 10, 1),
  anodeControl: optional(text(40)),
  cathode: one(...cathodeMaterials),
  dividers: list(one(...dividerKinds), 10, 1),
  dividerControl: optional(text(40)),
  current: text(40),
  finish: text(40),
  /** By how much more of what limits it goes in than is wanted: the control that says so. */
  spare: optional(text(40)),
};
