import { fail, ok, type Result } from '#base/problem';
import { fields, number, type Of, text } from '#base/shape';
import { completeness, saltByName } from './completeness.ts';

/** Two solutions that give a sparing salt. Amounts mol, volume L, salts beside it mol/L of ionic strength. */
export const precipitationShape = fields({
  solid: text(80),
  cationMol: number({ min: 0, max: 1000 }),
  anionMol: number({ min: 0, max: 1000 }),
  litres: number({ moreThan: 0, max: 1000 }),
  beside: number({ min: 0, max: 20 }),
});

export interface PrecipitateAnswer {
  readonly formula: string;
  readonly name: string;
  readonly mol: number;
  readonly pct: number;
  readonly cationLeft: number;
  readonly anionLeft: number;
  readonly saturation: number;
  readonly note: string;
}

/** How far a sparing salt precipitates from two solutions. */
export function precipitation({ solid, ...of }: Of<typeof precipitationShape>): Result<PrecipitateAnswer> {
  const salt = saltByName(solid);
  if (!salt)
    return fail('unknown-substance', `No solubility product of “${solid.slice(0, 60)}” is held here.`, {
      field: 'solid',
    });
  const at = completeness(salt, of, of.beside);
  if (!at.ok) return at;
  const { mol, pct, cationLeft, anionLeft, saturation } = at.value;
  return ok({
    formula: salt.formula,
    name: salt.name,
    mol,
    pct,
    cationLeft,
    anionLeft,
    saturation,
    note: salt.note ?? '',
  });
}
