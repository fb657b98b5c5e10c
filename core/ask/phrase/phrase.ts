import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { findUnit, parseNumber } from '#base/units';
import { Claims, readStrength } from '#matter/label';
import { massFraction, type Strength, type StrengthUnit, strengthUnits } from '#matter/solution';
import {
  bareSubstance,
  findSubstance,
  nearestNames,
  parseFormula,
  refusedIn,
  refusedSentence,
  refusedSlip,
  type Substance,
} from '#matter/substance';
import { gasByName } from './gases.ts';

/** A typed line cut into what it is about and how it is wanted. */
export interface Phrase {
  readonly text: string;
  readonly tempC: number;
  readonly tempGiven: boolean;
  readonly pressureHPa: number;
  /** What stands after the last “in”, as typed. */
  readonly wanted: string | undefined;
  /** Where the wanted unit stands in the whole line. */
  readonly wantedAt: readonly [number, number] | undefined;
  /** The rest: amount, strength, substance. */
  readonly body: string;
}

/** Laboratory temperature, unless the line says “at T C”. */
const USUAL_C = 20;
const AT_TEMP = /\s+(?:at|@)\s+([-+\u2212]?[\d.,]+)\s*(?:°\s*C|C|deg(?:rees)?\s*C|celsius)(?![A-Za-z])/i;
const AT_PRESSURE = /\s+(?:at|@|and)?\s*([\d.,]+)\s*(hPa|mbar|kPa|mmHg)(?![A-Za-z])/i;

export function cutPhrase(text: string): Result<Phrase> {
  let body = text;
  let tempC = USUAL_C;
  const temp = AT_TEMP.exec(body);
  if (temp) {
    const number = parseNumber(itemAt(temp, 1));
    if (!number.ok) return number;
    if (number.value < -273.15)
      return fail('out-of-range', 'Nothing is colder than −273.15 °C.', {
        at: [temp.index, temp.index + temp[0].length],
      });
    tempC = number.value;
    body = body.replace(temp[0], ' ');
  }
  let pressureHPa = 1013.25;
  const pressure = AT_PRESSURE.exec(body);
  if (pressure) {
    const number = parseNumber(itemAt(pressure, 1));
    if (!number.ok) return number;
    pressureHPa = number.value * (findUnit(itemAt(pressure, 2))?.factor ?? 1);
    if (!(pressureHPa > 0)) return fail('out-of-range', 'A pressure is more than 0.');
    body = body.replace(pressure[0], ' ');
  }
  const tail = /^(.*?)\s+(?:in|to|as)\s+([^\s].*?)\s*$/i.exec(body);
  const wanted = tail?.[2];
  const from = wanted === undefined ? -1 : text.lastIndexOf(wanted);
  return ok({
    text,
    tempC,
    tempGiven: temp !== null,
    pressureHPa,
    wanted,
    wantedAt: wanted === undefined ? undefined : [from, from + wanted.length],
    body: (tail?.[1] ?? body).trim(),
  });
}

/** What a body says: an amount (in its own unit's dimension), a strength, and a substance. */
export interface Stuff {
  readonly amount: { readonly value: number; readonly dimension: 'mass' | 'volume' | 'amount' } | undefined;
  readonly strength: Strength | undefined;
  readonly substance: Substance;
  /** True when the substance is one of the list, with its tables; false for a formula alone. */
  readonly known: boolean;
}

const AMOUNT =
  /(?<![\w.,])([-+\u2212]?\d[\d.,]*(?:e[-+]?\d+)?)\s*(kilograms?|kilos?|kgs?|grams?|milligrams?|mg|g|tonnes?|lbs?|pounds?|ounces?|oz|fl\.? ?oz|millilit(?:re|er)s?|ml|cl|dl|lit(?:re|er)s?|l|µl|ul|us gal(?:lon)?|imp gal(?:lon)?|gal(?:lon)?s?|pints?|mmol|millimoles?|moles?|mol)(?![\w/])/i;

/** Reads “343 mL 28% HCl”, “12.5 g CuSO4.5H2O”, “SG 1.142 HCl”; `line` is the whole line, for pointing. */
export function readStuff(body: string, line: string): Result<Stuff> {
  const claims = new Claims(body);
  const problems: Parameters<typeof readStrength>[1] = [];
  const strength = readStrength(claims, problems);
  if (problems[0]) return { ok: false, problem: { ...problems[0], at: pointAt(line, body) } };
  let rest = claims.leftOver();
  const amount = readAmount(rest, line);
  if (!amount.ok) return amount;
  if (amount.value) rest = rest.replace(amount.value.text, ' ');
  const name = rest
    .replace(/\s+/g, ' ')
    .replace(/^(?:of|the)\s+|\s+of\s+/gi, ' ')
    .trim();
  const substance = readSubstanceName(name, line);
  if (!substance.ok) return substance;
  return ok({
    amount: amount.value && { value: amount.value.value, dimension: amount.value.dimension },
    strength: strength && { value: strength.value, unit: strength.unit },
    ...substance.value,
  });
}

function readAmount(
  text: string,
  line: string,
): Result<{ value: number; dimension: 'mass' | 'volume' | 'amount'; text: string } | undefined> {
  const match = AMOUNT.exec(text);
  if (!match) return ok(undefined);
  const number = parseNumber(itemAt(match, 1));
  const at = pointAt(line, match[0]);
  if (!number.ok) return { ok: false, problem: { ...number.problem, at } };
  if (number.value < 0)
    return fail('out-of-range', `${match[0].trim()} is below zero; an amount is 0 or more.`, { at });
  const unit = findUnit(
    itemAt(match, 2)
      .replace(/^gal(?:lon)?s$/i, 'gal')
      .replace(/^fl\.? ?oz$/i, 'fl oz'),
  );
  if (!unit) return fail('unknown-unit', `“${match[2]}” is not a unit known here.`, { at });
  return ok({ value: number.value * unit.factor, dimension: unit.dimension as 'mass', text: match[0] });
}

/** Letters that a slip of the pen has wrong at most: where a name is so near, those further off were not meant. */
const A_SLIP = 2;

/** A substance by any of its names, or any formula. */
export function readSubstanceName(name: string, line: string): Result<{ substance: Substance; known: boolean }> {
  if (name === '')
    return fail('missing-part', 'Of what? Name a substance, such as HCl or washing soda.', {
      at: [line.length, line.length],
    });
  const at = pointAt(line, name);
  const known = findSubstance(name);
  if (known) return ok({ substance: known, known: true });
  // What is known and not planned has no harmless twin that could have been meant.
  const refused = refusedIn(name);
  if (refused && !parseFormula(name).ok) return fail('beyond-scope', refusedSentence(refused), { at });
  const gas = gasByName(name);
  const formula = parseFormula(gas ?? name);
  if (formula.ok) {
    const text = gas ?? name;
    return ok({
      substance: bareSubstance(text, gas ? name : text),
      known: false,
    });
  }
  const slip = refusedSlip(name);
  if (slip) return fail('beyond-scope', refusedSentence(slip), { at });
  const close = nearestNames(name, 2, A_SLIP);
  const near = close.length > 0 ? close : nearestNames(name);
  const meant = near.length > 0 ? ` Did you mean ${near.map((each) => `“${each}”`).join(' or ')}?` : '';
  // Capitals and digits without a word in them are meant as a formula.
  if (/^[A-Z([]/.test(name) && !/[a-z]{3}|\s/.test(name)) {
    return { ok: false, problem: { ...formula.problem, message: `${formula.problem.message}${meant}`, at } };
  }
  const hint = meant || ' Use a formula, or its chemical or common name.';
  return fail('unknown-substance', `“${name.slice(0, 60)}” is no substance known here.${hint}`, { at });
}

type Wanted = StrengthUnit | 'density' | 'N' | 'Cl %';

/** Names a strength can be asked in. */
const WANTED = new Map<string, Wanted>(
  Object.entries<Wanted>({
    '%': 'w/w',
    'wt%': 'w/w',
    '% w/w': 'w/w',
    '%w/w': 'w/w',
    percent: 'w/w',
    '% by mass': 'w/w',
    'w/w': 'w/w',
    '% w/v': 'w/v',
    '%w/v': 'w/v',
    'w/v': 'w/v',
    'g/100ml': 'w/v',
    'g/100 ml': 'w/v',
    '% v/v': 'v/v',
    '%v/v': 'v/v',
    '% vol': 'v/v',
    'v/v': 'v/v',
    abv: 'v/v',
    '% abv': 'v/v',
    'mol/l': 'mol/L',
    m: 'mol/L',
    'mol/dm3': 'mol/L',
    molar: 'mol/L',
    'mol/kg': 'mol/kg',
    molal: 'mol/kg',
    n: 'N',
    normal: 'N',
    normality: 'N',
    'eq/l': 'N',
    'g/l': 'g/L',
    'g/dm3': 'g/L',
    'kg/m3 solute': 'g/L',
    'g/100g': 'g/100g',
    'g/100 g': 'g/100g',
    'g/100g water': 'g/100g',
    'g per 100 g water': 'g/100g',
    sg: 'SG',
    'specific gravity': 'SG',
    'sp gr': 'SG',
    bé: 'Bé',
    be: 'Bé',
    '°bé': 'Bé',
    baume: 'Bé',
    baumé: 'Bé',
    'degrees baume': 'Bé',
    '°be': 'Bé',
    tw: 'Tw',
    '°tw': 'Tw',
    twaddell: 'Tw',
    twaddle: 'Tw',
    vol: 'vol',
    vols: 'vol',
    volumes: 'vol',
    'g/l chlorine': 'Cl g/L',
    'g/l available chlorine': 'Cl g/L',
    'g/l cl2': 'Cl g/L',
    '% chlorine': 'Cl %',
    '% available chlorine': 'Cl %',
    '% cl2': 'Cl %',
    proof: 'proof',
    ppm: 'ppm',
    'mg/kg': 'ppm',
    'g/ml': 'density',
    'g/cm3': 'density',
    'kg/l': 'density',
    density: 'density',
  }),
);

export function wantedStrength(wanted: string): Wanted | undefined {
  return WANTED.get(wanted.trim().toLowerCase().replace(/\s+/g, ' '));
}

/** The strength as mass % at a temperature; a hydrometer's reading counts at the temperature it was taken. */
export function strengthPct(
  stuff: Stuff,
  phrase: Pick<Phrase, 'text' | 'tempC' | 'tempGiven'>,
): Result<number | undefined> {
  if (!stuff.strength) return ok(undefined);
  const w = massFraction(stuff.strength, stuff.substance, phrase.tempC, phrase.tempGiven);
  if (w.ok) return w;
  const said = strengthUnits[stuff.strength.unit];
  return { ok: false, problem: { ...w.problem, at: pointAt(phrase.text, String(stuff.strength.value)), field: said } };
}

export function unitSentence(wanted: string, fitting: readonly string[]): string {
  return `“${wanted}” does not fit here; ask in ${fitting.join(', ')}.`;
}

/** Where a word stands in the line, [from, to); the whole line when it is not found as typed. */
export function pointAt(line: string, word: string): readonly [number, number] {
  const trimmed = word.trim();
  // Nothing was typed there: what is missing comes at the end.
  if (trimmed === '') return [line.length, line.length];
  const from = line.indexOf(trimmed);
  return from < 0 ? [0, line.length] : [from, from + trimmed.length];
}
