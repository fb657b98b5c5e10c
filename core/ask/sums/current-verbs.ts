import { NUMBER, pointAt, readStuff, typedNumber } from '#ask/phrase';
import { datum, derive, type Figure, given } from '#base/figure';
import { entryOf, itemAt, must } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { capOfAmount } from '#matter/guard';
import { molarMassFigure } from '#matter/substance';
import { chargeOf, depositFromCharge, electronsFor, FARADAY, hoursForMass } from '#model/cell';
import type { Found } from './found.ts';

const ELECTRONS = new RegExp(
  String.raw`^(${NUMBER})\s*mol\s*(?:of\s+)?(?:e-|e−|electrons?)\s+(?:at\s+)?(${NUMBER})\s*(mA|A)$`,
  'i',
);
const CHARGE = new RegExp(String.raw`(?<![\w.,])(${NUMBER})\s*(mA|A)\s*[·*]?\s*h(?![\w])`, 'i');
const CURRENT = new RegExp(String.raw`(?<![\w.,])(${NUMBER})\s*(mA|A|amps?|amperes?)(?![\w·*])`, 'i');
const TIME = new RegExp(
  String.raw`(?<![\w.,])(${NUMBER})\s*(s|sec|seconds?|min|minutes?|h|hr|hours?|d|days?)(?![\w])`,
  'i',
);
const EFFICIENCY = new RegExp(String.raw`(?<![\w.,])(${NUMBER})\s*%`);
const HOURS: Readonly<Record<string, number>> = { s: 1 / 3600, m: 1 / 60, h: 1, d: 24 };

const inAmps = (value: number, unit: string): number => value * (unit.toLowerCase() === 'ma' ? 0.001 : 1);

/** “0.2 mol e- at 1.5 A”: charge and hours; undefined for any other line. */
export function electronsVerb(line: string): Result<Found> | undefined {
  const match = ELECTRONS.exec(line.trim());
  if (!match) return undefined;
  const [, molText = '', ampsText = '', unit = 'A'] = match;
  const mol = typedNumber(molText, line);
  if (!mol.ok) return mol;
  const amps = typedNumber(ampsText, line);
  if (!amps.ok) return amps;
  if (!(mol.value >= 0)) return fail('out-of-range', 'An amount is 0 or more.', { at: pointAt(line, molText) });
  const I = inAmps(amps.value, unit);
  if (!(I > 0)) return fail('out-of-range', 'A current is more than 0.', { at: pointAt(line, ampsText) });
  const n = given({ symbol: 'n', name: 'electrons', unit: 'mol' }, mol.value, 'as typed');
  const F = datum({ symbol: 'F', name: 'Faraday constant', unit: 'C/mol' }, FARADAY, {
    source: 'CODATA 2018, exact',
    grade: 'A',
  });
  const Q = derive({ symbol: 'Q', name: 'charge', unit: 'A·h' }, 'n × F ÷ 3600', { n, F }, (x) => (x.n * x.F) / 3600);
  const current = given({ symbol: 'I', name: 'current', unit: 'A' }, I, 'as typed');
  return ok({
    figures: [derive({ symbol: 't', name: 'time', unit: 'h' }, 'Q ÷ I', { Q, I: current }, (x) => x.Q / x.I), Q],
  });
}

/** What a line says of a current, and what is left of it. */
interface Said {
  readonly amperes: Figure | null;
  readonly charge: Figure | null;
  readonly efficiency: Figure;
  readonly rest: string;
}

/** “2 A 3 h Cu”, “4 A h Cu 90%”, “5 g Cu at 2 A 90%”; undefined for a line without a current. */
export function currentVerb(line: string): Result<Found> | undefined {
  if (!CHARGE.test(line) && !CURRENT.test(line)) return undefined;
  const said = readCurrent(line);
  if (!said.ok) return said;
  const { amperes, charge, efficiency, rest } = said.value;
  const stuff = readStuff(rest, line);
  if (!stuff.ok) return stuff;
  const { substance, amount } = stuff.value;
  const { formula } = substance;
  const at = pointAt(line, rest);
  const electrons = electronsFor(formula);
  if (electrons === undefined)
    return fail(
      'unknown-substance',
      `How many electrons ${formula} takes is not held here; there are Cu, Zn, Ag, Ni, Fe, Sn, H2, O2, Cl2 and a few more.`,
      { at },
    );
  if (charge) {
    const { mass, amount: n } = depositFromCharge(formula, electrons, { charge, efficiency });
    const over = capOfAmount(formula, n.value);
    return over ? { ok: false, problem: { ...over, at } } : ok({ figures: [mass, n] });
  }
  if (!amperes || !amount || amount.dimension === 'volume')
    return fail('missing-part', 'How long, or how much? Write 2 A 3 h Cu, or 5 g Cu at 2 A.', {
      at: [line.length, line.length],
    });
  const M = molarMassFigure(formula).value;
  const grams = amount.dimension === 'mass' ? amount.value : amount.value * M;
  const over = capOfAmount(formula, grams / M);
  if (over) return { ok: false, problem: { ...over, at } };
  const mass = given({ symbol: 'm', name: formula, unit: 'g' }, grams, 'as typed');
  return ok({ figures: [hoursForMass(formula, electrons, { amperes, efficiency }, mass)] });
}

function readCurrent(line: string): Result<Said> {
  const left = { text: line.replace(/\bat\b/i, ' ') };
  const take = (pattern: RegExp): RegExpExecArray | null => {
    const found = pattern.exec(left.text);
    if (found) left.text = left.text.replace(found[0], ' ');
    return found;
  };
  const whole = take(CHARGE);
  const current = take(CURRENT);
  const share = take(EFFICIENCY);
  const time = take(TIME);
  if (whole && time)
    return fail('invalid-input', 'Amp-hours and a time beside them are one too many: write 4 A h, or 2 A 2 h.', {
      at: pointAt(line, time[0]),
    });
  const read = (found: RegExpExecArray | null, otherwise: number): Result<number> =>
    found ? typedNumber(itemAt(found, 1), line) : ok(otherwise);
  const percent = read(share, 100);
  if (!percent.ok) return percent;
  if (!(percent.value > 0 && percent.value <= 100))
    return fail('out-of-range', 'A current efficiency is more than 0 and at most 100 %.', {
      at: pointAt(line, must(share, 'share')[0]),
    });
  const amps = read(current, 1);
  if (!amps.ok) return amps;
  if (!(amps.value > 0))
    return fail('out-of-range', 'A current is more than 0.', { at: pointAt(line, must(current, 'current')[0]) });
  const span = read(time ?? whole, 0);
  if (!span.ok) return span;
  if (span.value < 0)
    return fail('out-of-range', `A ${whole ? 'charge' : 'time'} is 0 or more.`, {
      at: pointAt(line, must(time ?? whole, 'time')[0]),
    });
  const amperes =
    current && given({ symbol: 'I', name: 'current', unit: 'A' }, inAmps(amps.value, itemAt(current, 2)), 'as typed');
  const efficiency = given(
    { symbol: 'η', name: 'current efficiency', unit: '%' },
    percent.value,
    share ? 'as typed' : 'all of it, unless said',
  );
  const hours = () =>
    given(
      { symbol: 't', name: 'time', unit: 'h' },
      span.value * entryOf(HOURS, itemAt(itemAt(must(time, 'time'), 2), 0).toLowerCase()),
      'as typed',
    );
  const charge = whole
    ? given({ symbol: 'Q', name: 'charge', unit: 'A·h' }, inAmps(span.value, itemAt(whole, 2)), 'as typed')
    : amperes && time && chargeOf(amperes, hours());
  return ok({ amperes, charge: charge ?? null, efficiency, rest: left.text.trim() });
}
