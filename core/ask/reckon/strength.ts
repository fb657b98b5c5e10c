import { type Phrase, pointAt, type Stuff, wantedStrength } from '#ask/phrase';
import { derive, type Figure, given } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { densityFigure, massFractionFigure, type StrengthUnit, strengthIn } from '#matter/solution';
import { basicityOf } from './basicity.ts';

const FITTING = 'mol/L, %, % w/v, g/L, mol/kg, N, SG, Bé, Tw, g/mL';

/** A strength in another unit, or the density it has. */
export function convertStrength(stuff: Stuff, phrase: Phrase): Result<Figure> {
  const { strength, substance } = stuff;
  if (!strength)
    return fail('missing-part', 'How strong? Put a strength before the substance, such as 28 %.', {
      at: pointAt(phrase.text, phrase.body),
    });
  const at = phrase.wantedAt ? { at: phrase.wantedAt } : {};
  const wanted = wantedStrength(phrase.wanted ?? 'mol/L');
  if (!wanted)
    return fail('unknown-unit', `“${phrase.wanted}” is not a unit of strength known here; ask in ${FITTING}.`, at);
  const label = given(
    { symbol: 'c', name: 'strength', unit: strength.unit === 'w/w' ? '%' : strength.unit },
    strength.value,
    'as typed',
  );
  const w = massFractionFigure(label, strength.unit, substance, phrase.tempC, phrase.tempGiven);
  if (!w.ok) return { ok: false, problem: { ...w.problem, at: pointAt(phrase.text, phrase.body) } };
  if (wanted === 'density') return densityFigure(substance, w.value, phrase.tempC);
  if (wanted === 'N') return normality(w.value, stuff, phrase);
  if (wanted === 'Cl %') return availableChlorine(w.value, stuff);
  const answer = strengthIn(w.value, wanted as StrengthUnit, substance, phrase.tempC);
  return answer.ok ? answer : { ok: false, problem: { ...answer.problem, ...at } };
}

function normality(w: Figure, { substance }: Stuff, phrase: Phrase): Result<Figure> {
  const z = basicityOf(substance.formula)?.protons;
  if (z === undefined) {
    return fail(
      'unit-does-not-fit',
      `Normality needs a reaction; for ${substance.name} none is taken for granted. Ask in mol/L.`,
      phrase.wantedAt ? { at: phrase.wantedAt } : {},
    );
  }
  const c = strengthIn(w, 'mol/L', substance, phrase.tempC);
  if (!c.ok) return c;
  const count = given(
    { symbol: 'z', name: 'protons or charge given or taken by one', unit: '' },
    z,
    'full neutralisation',
  );
  return ok(
    derive(
      { symbol: 'N', name: 'normality, for full neutralisation', unit: 'N' },
      'c × z',
      { c: c.value, z: count },
      (x) => x.c * x.z,
    ),
  );
}

/** Cl2 that sets free as much iodine as the hypochlorite does, as % of the mass of the solution. */
function availableChlorine(w: Figure, { substance }: Stuff): Result<Figure> {
  if (substance.id !== 'sodium-hypochlorite')
    return fail('unit-does-not-fit', `Available chlorine counts hypochlorite, not ${substance.name}.`);
  return ok(
    derive(
      { symbol: 'Cl', name: 'available chlorine', unit: '%' },
      'w × 70.90 ÷ 74.44',
      { w },
      (x) => (x.w * 70.9) / 74.439,
    ),
  );
}
