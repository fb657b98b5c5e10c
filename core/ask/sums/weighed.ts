import { pointAt, type Stuff } from '#ask/phrase';
import { must } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { volatiles } from '#matter/data';
import { spiritByVolume } from '#matter/label';
import { density, massFraction } from '#matter/solution';
import { molarMass, type SubstanceId } from '#matter/substance';

/** So many g of it, of which a mass % is the substance and the rest water. */
export interface Weighed {
  readonly substanceId: SubstanceId;
  readonly grams: number;
  readonly pct: number;
}

const ROOM_C = 20;

/** What a line says of an amount, as if weighed; pure where no strength is said. `text` is where it stands in the line. */
export function weighedOf(stuff: Stuff, text: string, line: string): Result<Weighed> {
  const { amount, strength, substance } = stuff;
  const at = pointAt(line, text);
  if (!stuff.known)
    return fail('unknown-substance', `${substance.formula} is a formula only: name the substance.`, { at });
  if (!amount) return fail('missing-part', `How much ${substance.name}? Write 20 g, 25 mL or 0.5 mol of it.`, { at });
  if (!(amount.value > 0)) return fail('out-of-range', 'An amount is more than 0.', { at });
  const pct = strength
    ? massFraction(
        spiritByVolume({ ...strength, band: null, at, assumed: null }, substance, line).value,
        substance,
        ROOM_C,
      )
    : ok(100);
  if (!pct.ok) return { ok: false, problem: { ...pct.problem, at } };
  if (!(pct.value > 0 && pct.value <= 100))
    return fail('out-of-range', 'A strength is more than 0 and at most 100 %.', { at });
  const grams = gramsOf(stuff, pct.value);
  return grams.ok
    ? ok({ substanceId: substance.id, grams: grams.value, pct: pct.value })
    : { ok: false, problem: { ...grams.problem, at } };
}

function gramsOf({ amount, substance }: Stuff, pct: number): Result<number> {
  const { value, dimension } = must(amount, 'amount');
  if (dimension === 'mass') return ok(value);
  if (dimension === 'amount') return ok((value * molarMass(substance.formula) * 100) / pct);
  const rho = density(substance, pct, ROOM_C);
  if (rho.ok) return ok(value * rho.value.gPerMl);
  const pure = pct === 100 ? volatiles.find(({ id }) => id === substance.id)?.gPerMl : undefined;
  return pure === undefined
    ? fail('no-data', `No density is held of ${substance.name}: write it in g.`)
    : ok(value * pure);
}
