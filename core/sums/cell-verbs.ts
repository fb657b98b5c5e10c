import {
  concentrations,
  conductivity,
  FARADAY,
  ionsOf,
  isMeasured,
  litreOf,
  lossWPerK,
  type SpeciesName,
} from '#core/cell';
import { datum, derive, type Figure, given } from '#core/figure';
import { NUMBER, pointAt, readStuff, typedNumber } from '#core/phrase';
import { fail, ok, type Result } from '#core/problem';
import { strengthIn } from '#core/solution';
import { substanceOf } from '#core/substance';
import { formatNumber } from '#core/units';
import type { Found } from './found.ts';

const ELECTRONS = new RegExp(
  String.raw`^(${NUMBER})\s*mol\s*(?:of\s+)?(?:e-|e−|electrons?)\s+(?:at\s+)?(${NUMBER})\s*(mA|A)$`,
  'i',
);
const HEAT = new RegExp(
  String.raw`^(?:heat\s+)?(${NUMBER})\s*A\s+(${NUMBER})\s*V\s+(${NUMBER})\s*(mL|L)(?:\s+heat)?$`,
  'i',
);

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
  const I = amps.value * (unit.toLowerCase() === 'ma' ? 0.001 : 1);
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

/** J/(g K) of thin solutions, g/mL. */
const PER_ML = 4;
const AIR_C = 20;
/** V that go into the products of a cell that splits water; the rest is heat. */
const WATER_V = 1.481;

/** “2.1 A 12 V 250 mL heat”: K in an hour at first, and where it ends; undefined for any other line. */
export function cellHeatVerb(line: string): Result<Found> | undefined {
  const match = HEAT.exec(line.trim());
  if (!match) return undefined;
  const [, ampsText = '', voltsText = '', mlText = '', unit = 'mL'] = match;
  const read = [ampsText, voltsText, mlText].map((each) => typedNumber(each, line));
  const wrong = read.find((each) => !each.ok);
  if (wrong && !wrong.ok) return wrong;
  const [amps = 0, volts = 0, amount = 0] = read.map((each) => (each.ok ? each.value : 0));
  const ml = amount * (unit.toLowerCase() === 'l' ? 1000 : 1);
  if (!(amps > 0 && volts > 0 && ml > 0))
    return fail('out-of-range', 'Current, voltage and volume are more than 0.', { at: [0, line.length] });
  const rough = (naming: { symbol: string; name: string; unit: string }, value: number, share: number): Figure =>
    datum(
      naming,
      {
        value,
        uncertainty: { [`heat:${naming.symbol}`]: { name: 'heat of a small cell', effect: share * Math.abs(value) } },
      },
      { source: 'heat made less heat lost; losses of beakers and tubs as found, about', grade: 'C' },
    );
  const watts = Math.max(0, (volts - WATER_V) * amps);
  const end = AIR_C + watts / lossWPerK(ml);
  return ok({
    figures: [
      rough({ symbol: 'r', name: 'warms at first, in an hour', unit: 'K' }, (3600 * watts) / (PER_ML * ml), 0.1),
      rough({ symbol: 'T', name: `comes to, in air of ${AIR_C} °C`, unit: '°C' }, Math.min(100, end), 0.2),
      given({ symbol: 'P', name: 'from the supply', unit: 'W' }, volts * amps, 'volts times amps'),
    ],
    note: `About: ${formatNumber(WATER_V, 4)} V of it split water, the rest is heat; where copper dissolves and plates all of it is. ${end > 100 ? 'It would boil: fewer volts. ' : ''}${end > 50 ? 'Plastic softens, gels melt: fewer volts, or a larger vessel.' : ''}`,
  });
}

const AT_C = new RegExp(String.raw`\s+at\s+(${NUMBER})\s*(?:°?\s*C)$`, 'i');
const CONDUCTIVITY = 'Write conductivity 1 mol/L NaOH.';

/** “conductivity 1 mol/L NaOH”, “conductivity 10% NaCl at 18 C”. */
export function conductivityVerb(rest: string, line: string): Result<Found> {
  const warm = AT_C.exec(rest);
  const typed = warm ? typedNumber(warm[1]!, line) : ok(25);
  if (!typed.ok) return typed;
  const tempC = typed.value;
  if (!(tempC >= 0 && tempC <= 80))
    return fail('out-of-range', 'Conductivities are held from 0 to 80 °C.', { at: pointAt(line, warm?.[1] ?? rest) });
  const body = (warm ? rest.slice(0, warm.index) : rest).trim();
  const stuff = readStuff(body, line);
  if (!stuff.ok) return stuff;
  const { substance, strength } = stuff.value;
  const at = pointAt(line, body);
  if (!strength) return fail('missing-part', `How strong is it? ${CONDUCTIVITY}`, { at });
  const species = substanceOf(substance.species);
  const ions = ionsOf(species);
  if (!ions)
    return fail(
      'no-data',
      `How ${species.name} conducts is not held: there are strong acids, hydroxides, chlorides, sulfates, nitrates, carbonates and acetates of common metals.`,
      { at },
    );
  const c = molar(strength.value, strength.unit, { substance, at });
  if (!c.ok) return c;
  if (!(c.value >= 0 && c.value <= 12)) return fail('out-of-range', 'Held from 0 to about 12 mol/L.', { at });
  const n = litreOf(
    Object.fromEntries(ions.map(([name, k]) => [name, k * c.value])) as Partial<Record<SpeciesName, number>>,
  );
  const value = conductivity(n, tempC);
  const measured = isMeasured(concentrations(n));
  const share = measured ? 0.015 : 0.1;
  return ok({
    figures: [
      datum(
        { symbol: 'κ', name: `conductivity at ${formatNumber(tempC, 3)} °C`, unit: 'mS/cm' },
        { value, uncertainty: { table: { name: 'conductivities as published', effect: share * value } } },
        { source: 'CRC Handbook; Kohlrausch and Holborn; Harned and Owen', grade: measured ? 'B' : 'C' },
      ),
    ],
    note: measured
      ? `${formatNumber(c.value, 3)} mol/L.`
      : 'About: no series of this salt is held; a salt of the same charges lends its course.',
  });
}

function molar(
  value: number,
  unit: string,
  { substance, at }: { substance: Parameters<typeof strengthIn>[2]; at: readonly [number, number] },
): Result<number> {
  if (unit === 'mol/L') return ok(value);
  if (unit !== 'w/w') return fail('unit-does-not-fit', 'Give the strength in mol/L or mass %.', { at });
  const found = strengthIn(
    given({ symbol: 'w', name: 'strength', unit: '%' }, value, 'as typed'),
    'mol/L',
    substance,
    25,
  );
  return found.ok ? ok(found.value.value) : { ok: false, problem: { ...found.problem, at } };
}
