import { fail, ok, type Result } from '#base/problem';
import type { Form } from '#matter/data';
import { parseFormula } from './formula.ts';
import { molarMassOfElements } from './molar-mass.ts';

/** A substance that no record holds, as its owner or the label of a shop product describes it. What is null is not known. */
export interface Described {
  readonly name: string;
  readonly formula: string;
  readonly form: Form;
  /** g/mL of the pure liquid, or of the crystal. */
  readonly gPerMl: number | null;
  /** g in 100 g of water at room temperature. */
  readonly gPer100gWater: number | null;
  readonly meltsC: number | null;
  /** In its owner's words. */
  readonly hazards: string;
}

/** Its id says everything that is known of it, so that a bottle or a plan that names it needs no other list. */
export type DescribedId = `own:${string}`;

const BETWEEN = '|';
const LONGEST_NAME = 60;

export function isDescribedId(id: string): id is DescribedId {
  return id.startsWith('own:');
}

export function describedId(of: Described): DescribedId {
  const numbers = [of.gPerMl, of.gPer100gWater, of.meltsC].map((each) => each ?? '');
  return `own:${[of.name, of.formula, of.form, ...numbers, of.hazards].join(BETWEEN)}`;
}

/** What such an id says; refused where it says what cannot be. */
export function describedOf(id: DescribedId): Result<Described> {
  const [name = '', formula = '', form = '', gPerMl = '', gPer100gWater = '', meltsC = '', hazards = ''] = id
    .slice('own:'.length)
    .split(BETWEEN);
  const number = (said: string) => (said === '' ? null : Number(said));
  return checked({
    name,
    formula,
    form: form as Form,
    gPerMl: number(gPerMl),
    gPer100gWater: number(gPer100gWater),
    meltsC: number(meltsC),
    hazards,
  });
}

const LIMITS = [
  { of: 'gPerMl', low: 0.0001, high: 25, says: 'A density is 0.0001 to 25 g/mL.' },
  { of: 'gPer100gWater', low: 0, high: 5000, says: 'A solubility is 0 to 5000 g in 100 g of water.' },
  { of: 'meltsC', low: -260, high: 4000, says: 'A melting point is -260 to 4000 °C.' },
] as const;

const FORMS: readonly Form[] = ['solid', 'liquid', 'dissolved', 'metal', 'gas'];

/** A description that can be: refused with a sentence and the field it is of. */
export function checked(of: Described): Result<Described> {
  const name = of.name.trim().replace(/\s+/g, ' ');
  if (name.length < 2 || name.length > LONGEST_NAME || name.includes(BETWEEN))
    return fail('out-of-range', `A name has 2 to ${LONGEST_NAME} letters and no “|”.`, { field: 'name' });
  const formula = parseFormula(of.formula);
  if (!formula.ok) return { ok: false, problem: { ...formula.problem, field: 'formula' } };
  if (formula.value.charge !== 0)
    return fail('bad-formula', 'A bottle holds no lone ions: write the formula of the whole salt, such as NaCl.', {
      field: 'formula',
    });
  const mass = molarMassOfElements(formula.value.elements);
  if (!mass.ok) return { ok: false, problem: { ...mass.problem, field: 'formula' } };
  if (!FORMS.includes(of.form))
    return fail('out-of-range', `It comes as one of: ${FORMS.join(', ')}.`, { field: 'form' });
  const beyond = LIMITS.find(({ of: value, low, high }) => {
    const said = of[value];
    return said !== null && !(said >= low && said <= high);
  });
  if (beyond) return fail('out-of-range', beyond.says, { field: beyond.of });
  if (of.hazards.length > 100 || of.hazards.includes(BETWEEN))
    return fail('out-of-range', 'Hazards in at most 100 letters, without “|”.', { field: 'hazards' });
  return ok({ ...of, name, formula: of.formula.trim(), hazards: of.hazards.trim() });
}
