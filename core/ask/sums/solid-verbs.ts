import { NUMBER, pointAt, readStuff, readSubstanceName, typedGrams, typedNumber } from '#ask/phrase';
import { datum, type Figure, type Grade, given } from '#base/figure';
import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { parseQuantity, shortest } from '#base/units';
import { admit } from '#matter/guard';
import { formulaText, hydrateWater, molarMass, type Substance } from '#matter/substance';
import { saltOut } from '#model/dish';
import { ceilingOf, hydrateByLoss } from '#model/dry';
import { completeness, saltByName } from '#model/precipitate';
import type { Found } from './found.ts';

const PART = String.raw`(${NUMBER}\s*m?l)\s+(?:of\s+)?(${NUMBER})\s*(?:mol/l|m)`;
const PRECIPITATE = new RegExp(
  String.raw`^(.+?)\s+from\s+${PART}(?:\s+\S+)?\s+(?:and|\+|with)\s+${PART}(?:\s+\S+)?$`,
  'i',
);
const SALT_OUT = new RegExp(
  String.raw`^(${NUMBER}\s*[a-z]+)\s+(?:of\s+)?(?:nacl|salt|sodium chloride)\s+(?:in|from)\s+(${NUMBER}\s*[a-z]+)\s+(?:of\s+)?water\s+with\s+(${NUMBER}\s*[a-z]+)\s+(?:of\s+)?(naoh|lye|hcl)$`,
  'i',
);
const HYDRATE = new RegExp(String.raw`^(.+?)\s+to\s+(${NUMBER}\s*(?:mg|g|kg))$`, 'i');

const KSP = 'CRC Handbook, solubility products at 25 °C; activities by Davies';

/** “precipitate BaSO4 from 100 mL 0.1 mol/L and 50 mL 0.3 mol/L”: what precipitates, the solution of the metal named first. */
export function precipitateVerb(rest: string, line: string): Result<Found> {
  const match = PRECIPITATE.exec(rest.trim());
  if (!match)
    return fail('missing-part', 'Write precipitate BaSO4 from 100 mL 0.1 mol/L and 50 mL 0.3 mol/L.', {
      at: pointAt(line, rest),
    });
  const salt = saltByName(itemAt(match, 1));
  if (!salt)
    return fail(
      'unknown-substance',
      `No solubility product of “${itemAt(match, 1).slice(0, 40)}” is held; there are AgCl, BaSO4, CaCO3, CaSO4, Mg(OH)2 and others.`,
      {
        at: pointAt(line, itemAt(match, 1)),
      },
    );
  const read = [itemAt(match, 2), itemAt(match, 4)].map((each) => litres(each, line));
  const strengths = [itemAt(match, 3), itemAt(match, 5)].map((each) => typedNumber(each, line));
  for (const each of [...read, ...strengths]) if (!each.ok) return each;
  const [v1 = 0, v2 = 0, c1 = 0, c2 = 0] = [...read, ...strengths].map((each) => (each.ok ? each.value : 0));
  if (c1 < 0 || c2 < 0) return fail('out-of-range', 'A strength is 0 or more.', { at: pointAt(line, rest) });
  const at = completeness(salt, { cationMol: c1 * v1, anionMol: c2 * v2, litres: v1 + v2 });
  if (!at.ok) return { ok: false, problem: { ...at.problem, at: pointAt(line, rest) } };
  const { mol, pct, cationLeft, anionLeft } = at.value;
  const rough: Grade = at.value.ionicStrength > 0.5 ? 'C' : salt.grade;
  // What is over is known by what was put in; only what the product of the ions holds back is uncertain.
  const sd = 0.2 * Math.min(cationLeft, anionLeft);
  const figure = (symbol: string, name: string, unit: string, value: number, effect: number): Figure =>
    datum(
      { symbol, name, unit },
      { value, uncertainty: effect > 0 ? { ksp: { name: 'solubility product', effect } } : {} },
      { source: KSP, grade: rough },
    );
  return ok({
    figures: [
      figure('m', `${salt.name} that precipitates`, 'g', mol * molarMass(salt.formula), 0),
      figure('p', 'precipitate of what could', '%', pct, 0),
      figure('c₊', `${ionText(salt.cation)} left`, 'mol/L', cationLeft, sd),
      figure('c₋', `${ionText(salt.anion)} left`, 'mol/L', anionLeft, sd),
    ],
    note:
      mol === 0
        ? 'Too thin: nothing precipitates.'
        : (salt.note ?? 'Ion pairs and the acid of the anion are left out.'),
  });
}

/** “salt out 30 g NaCl in 100 g water with 40 g NaOH”: what the shared ion drives out. */
export function saltOutVerb(rest: string, line: string): Result<Found> {
  const match = SALT_OUT.exec(rest.trim());
  if (!match)
    return fail('missing-part', 'Write salt out 30 g NaCl in 100 g water with 40 g NaOH (or HCl).', {
      at: pointAt(line, rest),
    });
  const salt = typedGrams(itemAt(match, 1), line, 'The salt');
  const water = typedGrams(itemAt(match, 2), line);
  const added = typedGrams(itemAt(match, 3), line, 'What is added');
  for (const each of [salt, water, added]) if (!each.ok) return each;
  if (!salt.ok || !water.ok || !added.ok) return fail('out-of-range', 'Three amounts are wanted.');
  const what = /hcl/i.test(itemAt(match, 4)) ? 'HCl' : 'NaOH';
  const out = saltOut(what, { saltG: salt.value, waterG: water.value, addedG: added.value });
  if (!out.ok) return { ok: false, problem: { ...out.problem, at: pointAt(line, itemAt(match, 3)) } };
  const { downG, staysG, beside } = out.value;
  const sd = staysG * (beside.grade === 'C' ? 0.12 : 0.03);
  const figure = (name: string, value: number): Figure =>
    datum(
      { symbol: 'm', name, unit: 'g' },
      { value, uncertainty: { mixed: { name: 'solubility beside it', effect: downG > 0 ? sd : 0 } } },
      { source: beside.source, grade: beside.grade },
    );
  return ok({
    figures: [figure('sodium chloride that drops out', downG), figure('sodium chloride that stays', staysG)],
    note: `${beside.gPer100gWater.toPrecision(3)} g stay in 100 g of water beside it, at room temperature.`,
  });
}

/** “hydrate 2.5 g CuSO4.5H2O to 1.6 g”: the crystal water of a sample that was heated to constant mass. */
export function hydrateVerb(rest: string, line: string): Result<Found> {
  const match = HYDRATE.exec(rest.trim());
  if (!match) return fail('missing-part', 'Write hydrate 2.5 g CuSO4.5H2O to 1.6 g.', { at: pointAt(line, rest) });
  const stuff = readStuff(itemAt(match, 1), line);
  if (!stuff.ok) return stuff;
  const { substance, amount } = stuff.value;
  if (amount?.dimension !== 'mass')
    return fail('missing-part', 'How many grams before? Write hydrate 2.5 g CuSO4.5H2O to 1.6 g.', {
      at: pointAt(line, itemAt(match, 1)),
    });
  const after = typedGrams(itemAt(match, 2), line, 'What is left');
  if (!after.ok) return after;
  if (after.value > amount.value)
    return fail('out-of-range', 'Heated, it weighs less than before: what is left comes second.', {
      at: pointAt(line, itemAt(match, 2)),
    });
  const found = hydrateByLoss(substance.formula, amount.value, after.value, 0);
  if (!found) return fail('out-of-range', 'Two masses above 0 are wanted.', { at: pointAt(line, rest) });
  const expected = hydrateWater(substance.formula);
  const how = '(m₀ − m) ÷ M(H₂O) ÷ (m ÷ M(dry)), only water leaving it';
  return ok({
    figures: [given({ symbol: 'x', name: 'water for each formula unit', unit: 'H2O' }, found.water, how)],
    note: expected > 0 ? `The formula has ${expected}.` : 'The formula has no crystal water: give the hydrate.',
  });
}

/** “ceiling ZnSO4.7H2O”: how warm it may be dried. */
export function ceilingVerb(rest: string, line: string): Result<Found> {
  const name = readSubstanceName(rest.trim(), line);
  return name.ok ? ceilingAnswer(name.value.substance, pointAt(line, rest)) : name;
}

/** How warm a solid may be dried, and whether it may be dried at all, or so warm; `at` is where it stands in the line. */
export function ceilingAnswer(substance: Substance, at: readonly [number, number], wantedC?: number): Result<Found> {
  const allowed = admit({ substanceId: substance.id }, 'dry');
  if (!allowed.ok) return { ok: false, problem: { ...allowed.problem, at } };
  const ceiling = ceilingOf(substance);
  if (!ceiling)
    return fail('no-density', `No ceiling of ${substance.name} is held; a hydrate is named with its water.`, { at });
  return ok({
    figures: [
      datum({ symbol: 'T', name: 'dry it below', unit: '°C' }, ceiling.tempC, {
        source: 'drying in practice; CRC Handbook, Lange’s Handbook',
        grade: ceiling.grade,
      }),
    ],
    note: `${tooWarm(wantedC, ceiling.tempC)}Because ${ceiling.why}.`,
  });
}

function tooWarm(wantedC: number | undefined, mostC: number): string {
  if (wantedC === undefined) return '';
  return wantedC > mostC ? `${shortest(wantedC, 4)} °C is too warm. ` : `${shortest(wantedC, 4)} °C is cool enough. `;
}

/** “SO₄²⁻”. */
function ionText({ ion, z }: { readonly ion: string; readonly z: number }): string {
  const times = Math.abs(z) > 1 ? String(Math.abs(z)) : '';
  const body = ion.replace(new RegExp(` ?${times}[+-]$`), '');
  return `${formulaText(body)}${times.replace(/\d/g, (d) => itemAt('⁰¹²³', Number(d)))}${z > 0 ? '⁺' : '⁻'}`;
}

function litres(text: string, line: string): Result<number> {
  const read = parseQuantity(text, ['volume']);
  if (!read.ok) return { ok: false, problem: { ...read.problem, at: pointAt(line, text) } };
  return read.value.value > 0
    ? ok(read.value.value / 1000)
    : fail('out-of-range', 'A volume is more than 0.', { at: pointAt(line, text) });
}
