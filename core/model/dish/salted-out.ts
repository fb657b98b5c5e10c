import { ok, type Result } from '#base/problem';
import { fields, number, type Of, one } from '#base/shape';
import { saltOut } from './salting-out.ts';

/** A brine to which strong alkali or acid is added. Masses g. */
export const saltedOutShape = fields({
  added: one('NaOH', 'HCl'),
  saltG: number({ min: 0, max: 100_000 }),
  waterG: number({ moreThan: 0, max: 100_000 }),
  addedG: number({ min: 0, max: 100_000 }),
});

export interface SaltOutAnswer {
  readonly downG: number;
  readonly staysG: number;
  readonly gPer100gWater: number;
  readonly grade: string;
  readonly source: string;
}

/** Sodium chloride that strong alkali or acid drives out, at room temperature. */
export function saltedOut({ added, ...of }: Of<typeof saltedOutShape>): Result<SaltOutAnswer> {
  const out = saltOut(added, of);
  if (!out.ok) return out;
  const { downG, staysG, beside } = out.value;
  return ok({ downG, staysG, ...beside });
}
