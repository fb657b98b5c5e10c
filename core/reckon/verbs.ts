import { phOf } from '#core/assay';
import { depositFromCharge, electronsFor, hoursForMass } from '#core/cell';
import { datum, given } from '#core/figure';
import { fail, ok, type Result } from '#core/problem';
import { balance, balancedText } from '#core/reaction';
import { strengthIn } from '#core/solution';
import { molarMassFigure } from '#core/substance';
import { parseNumber } from '#core/units';
import type { Found } from './found.ts';
import { cutPhrase, type Phrase, pointAt, readStuff, readSubstanceName, type Stuff, strengthPct } from './phrase.ts';

export function molarMassVerb(rest: string, line: string): Result<Found> {
  const found = readSubstanceName(rest.trim(), line);
  if (!found.ok) return found;
  try {
    return ok({ figures: [molarMassFigure(found.value.substance.formula)] });
  } catch (error) {
    return fail('no-atomic-weight', (error as Error).message, { at: pointAt(line, rest) });
  }
}

export function balanceVerb(rest: string, line: string): Result<Found> {
  const balanced = balance(rest);
  if (!balanced.ok) return { ok: false, problem: { ...balanced.problem, at: pointAt(line, rest) } };
  const { equation, coefficients, note } = balanced.value;
  const figures = [...equation.left, ...equation.right].map(({ text }, i) =>
    given({ symbol: `ν${i + 1}`, name: text, unit: '' }, coefficients[i]!, 'atoms and charge balanced exactly'),
  );
  return ok({ figures, note: `${balancedText(balanced.value)}${note ? `. ${note}` : ''}` });
}

export function phVerb(rest: string, line: string): Result<Found> {
  const phrase = cutPhrase(rest);
  if (!phrase.ok) return phrase;
  const stuff = readStuff(phrase.value.body, line);
  if (!stuff.ok) return stuff;
  const { substance, strength } = stuff.value;
  if (!strength) return fail('missing-part', 'How strong? Write pH 0.1 mol/L CH3COOH.', { at: pointAt(line, rest) });
  const tempC = phrase.value.tempGiven ? phrase.value.tempC : 25;
  const c = concentration(stuff.value, { ...phrase.value, tempC });
  if (!c.ok) return { ok: false, problem: { ...c.problem, at: pointAt(line, rest) } };
  const answer = phOf(substance.id, c.value, tempC);
  if (!answer.ok) return { ok: false, problem: { ...answer.problem, at: pointAt(line, rest) } };
  const { pH, sources } = answer.value;
  const constants =
    sources.length === 0 ? 'strong: fully split' : sources.map(({ name, pKa }) => `${name} pKa ${pKa}`).join('; ');
  const source = {
    source: `charge balance with Davies activity coefficients; ${constants}; CRC, NIST at 25 °C`,
    grade: 'B' as const,
  };
  const spread = c.value > 0.1 ? 0.08 : 0.03;
  return ok({
    figures: [
      datum(
        { symbol: 'pH', name: 'pH', unit: '' },
        { value: pH, uncertainty: { model: { name: 'activity model', effect: spread } } },
        source,
      ),
    ],
  });
}

/** mol/L of what was typed. Dilute mol/L needs no density table. */
function concentration(stuff: Stuff, phrase: Phrase): Result<number> {
  if (stuff.strength?.unit === 'mol/L')
    return stuff.strength.value >= 0 ? ok(stuff.strength.value) : fail('out-of-range', 'A strength is 0 or more.');
  const w = strengthPct(stuff, phrase);
  if (!w.ok) return w;
  const c = strengthIn(
    given({ symbol: 'w', name: 'strength', unit: '%' }, w.value ?? 0, 'as typed'),
    'mol/L',
    stuff.substance,
    phrase.tempC,
  );
  return c.ok ? ok(c.value.value) : c;
}

const CURRENT = /(?<![\w.,])([-+\u2212]?\d[\d.,]*)\s*(mA|A|amps?|amperes?)(?![\w])/i;
const TIME = /(?<![\w.,])([-+\u2212]?\d[\d.,]*)\s*(s|sec|seconds?|min|minutes?|h|hr|hours?|d|days?)(?![\w])/i;
const EFFICIENCY = /(?<![\w.,])(\d[\d.,]*)\s*%/;
const HOURS: Readonly<Record<string, number>> = { s: 1 / 3600, m: 1 / 60, h: 1, d: 24 };

export function isElectrolysis(line: string): boolean {
  return CURRENT.test(line);
}

/** “2 A 3 h Cu”, “5 g Cu at 2 A 90%”. */
export function electrolysisVerb(line: string): Result<Found> {
  const current = CURRENT.exec(line)!;
  const amperes = parseNumber(current[1]!);
  if (!amperes.ok) return { ok: false, problem: { ...amperes.problem, at: pointAt(line, current[0]) } };
  const I = amperes.value * (current[2]!.toLowerCase() === 'ma' ? 0.001 : 1);
  if (!(I > 0)) return fail('out-of-range', 'A current is more than 0.', { at: pointAt(line, current[0]) });
  let rest = line.replace(current[0], ' ').replace(/\bat\b/i, ' ');
  const share = EFFICIENCY.exec(rest);
  const percent = share ? parseNumber(share[1]!) : ok(100);
  if (!percent.ok) return percent;
  if (!(percent.value > 0 && percent.value <= 100))
    return fail('out-of-range', 'A current efficiency is more than 0 and at most 100 %.', {
      at: pointAt(line, share![0]),
    });
  if (share) rest = rest.replace(share[0], ' ');
  const time = TIME.exec(rest);
  if (time) rest = rest.replace(time[0], ' ');
  const stuff = readStuff(rest.trim(), line);
  if (!stuff.ok) return stuff;
  const { substance, amount } = stuff.value;
  const electrons = electronsFor(substance.formula);
  if (electrons === undefined) {
    return fail(
      'unknown-substance',
      `How many electrons ${substance.formula} takes is not held here; there are Cu, Zn, Ag, Ni, Fe, Sn, H2, O2, Cl2 and a few more.`,
      { at: pointAt(line, rest) },
    );
  }
  const set = {
    amperes: given({ symbol: 'I', name: 'current', unit: 'A' }, I, 'as typed'),
    efficiency: given(
      { symbol: 'η', name: 'current efficiency', unit: '%' },
      percent.value,
      share ? 'as typed' : 'all of it, unless said',
    ),
  };
  if (time) {
    const number = parseNumber(time[1]!);
    if (!number.ok) return { ok: false, problem: { ...number.problem, at: pointAt(line, time[0]) } };
    if (number.value < 0) return fail('out-of-range', 'A time is 0 or more.', { at: pointAt(line, time[0]) });
    const hours = given(
      { symbol: 't', name: 'time', unit: 'h' },
      number.value * HOURS[time[2]![0]!.toLowerCase()]!,
      'as typed',
    );
    const { mass, amount: n } = depositFromCharge(substance.formula, electrons, set, hours);
    return ok({ figures: [mass, n] });
  }
  if (!amount || amount.dimension === 'volume')
    return fail('missing-part', 'How long, or how much? Write 2 A 3 h Cu, or 5 g Cu at 2 A.', {
      at: [line.length, line.length],
    });
  const grams = amount.dimension === 'mass' ? amount.value : amount.value * molarMassFigure(substance.formula).value;
  const mass = given({ symbol: 'm', name: substance.formula, unit: 'g' }, grams, 'as typed');
  return ok({ figures: [hoursForMass(substance.formula, electrons, set, mass)] });
}
