import { ok, type Result } from '#base/problem';
import { fields, note, nullable, number, one, text } from '#base/shape';
import { admitThing } from '#matter/guard';
import { checkedDescription, describedId, learnName, molarMassFigure } from '#matter/substance';
import { verb } from '../verb.ts';

const input = fields({
  name: text(60),
  formula: text(120),
  form: one('solid', 'liquid', 'dissolved', 'metal'),
  gPerMl: nullable(number()),
  gPer100gWater: nullable(number()),
  meltsC: nullable(number()),
  hazards: note(100),
});

/** A substance that no record holds, by what its owner knows of it: its id, and its molar mass. */
export const describe = verb({
  name: 'describe',
  input,
  run: (said) => {
    const checked = checkedDescription(said);
    if (!checked.ok) return checked as Result<never>;
    const allowed = admitThing(checked.value);
    if (!allowed.ok) return allowed as Result<never>;
    const id = describedId(checked.value);
    learnName(id);
    return ok({ id, molarMass: molarMassFigure(checked.value.formula) });
  },
  example: {
    name: 'potassium sorbate',
    formula: 'C6H7KO2',
    form: 'solid',
    gPerMl: null,
    gPer100gWater: 58,
    meltsC: 270,
    hazards: 'irritates eyes',
  },
});
