import { fail, ok, type Result } from '#base/problem';
import { fields, note, nullable, number, type Of, text } from '#base/shape';
import { admit, classesOf } from '#matter/guard';
import { substanceById } from '#matter/substance';
import type { Ceiling } from './ceiling.ts';
import { type DryingMethod, dryingMethods } from './methods.ts';

/** A solid to be dried. Masses g, temperatures °C. */
export const dryingShape = fields({
  substanceId: text(80),
  waterG: number({ min: 0, max: 100_000 }),
  areaCm2: number({ moreThan: 0, max: 100_000 }),
  roomC: number({ min: 0, max: 45 }),
  humidityPct: number({ min: 0, max: 100 }),
  pressureHPa: number({ min: 600, max: 1100 }),
  /** The route's own ceiling, with its reason; null for the published one alone. */
  ceiling: nullable(fields({ tempC: number({ min: -20, max: 1000 }), why: note(300) })),
});

export interface DryAnswer {
  readonly ceiling: Ceiling | null;
  readonly methods: readonly DryingMethod[];
}

/** How a solid is dried: the ceiling that holds, and what each method takes. */
export function drying(input: Of<typeof dryingShape>): Result<DryAnswer> {
  const substance = substanceById(input.substanceId);
  if (!substance)
    return fail('unknown-substance', `“${input.substanceId}” is not a substance known here.`, { field: 'substanceId' });
  const allowed = admit(input, 'dry');
  if (!allowed.ok) return allowed;
  const { ceiling, methods } = dryingMethods({
    ...input,
    substance,
    routeCeiling: input.ceiling ? { ...input.ceiling, grade: 'B' } : undefined,
    classes: classesOf(substance.id, 100),
  });
  return ok({ ceiling: ceiling ?? null, methods });
}
