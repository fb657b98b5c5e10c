import { NUMBER, pointAt, readStuff, typedNumber } from '#ask/phrase';
import { datum, type Figure, given } from '#base/figure';
import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { strengthIn } from '#matter/solution';
import { molarMass, type Substance, substanceOf } from '#matter/substance';
import { concentrations, conductivity, ionsOf, isMeasured, litreOf, lossWPerK, type SpeciesName } from '#model/cell';
import { solubilityOf } from '#model/dish';
import type { Found } from './found.ts';

const HEAT = new RegExp(
  String.raw`^(?:heat\s+)?(${NUMBER})\s*A\s+(${NUMBER})\s*V\s+(${NUMBER})\s*(mL|L)(?:\s+heat)?$`,
  'i',
);

/** J/(g K) of thin solutions, g/mL. */
const PER_ML = 4;
const AIR_C = 20;
/** V that go into the products of a cell that splits water; the rest is heat. */
const WATER_V = 1.481;
/** Below so many V no water is split: what flows dissolves and plates, and all of it is heat. */
const SPLITS_V = 1.229;

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
  const splits = volts >= SPLITS_V;
  const watts = splits ? Math.max(0, (volts - WATER_V) * amps) : volts * amps;
  const end = AIR_C + watts / lossWPerK(ml);
  return ok({
    figures: [
      rough({ symbol: 'r', name: 'warms at first, in an hour', unit: 'K' }, (3600 * watts) / (PER_ML * ml), 0.1),
      rough({ symbol: 'T', name: `comes to, in air of ${AIR_C} °C`, unit: '°C' }, Math.min(100, end), 0.2),
      given({ symbol: 'P', name: 'from the supply', unit: 'W' }, volts * amps, 'volts times amps'),
    ],
    note: `About: ${splits ? `${formatNumber(WATER_V, 4)} V of it split water, the rest is heat; where copper dissolves and plates all of it is.` : 'too few volts to split water: taken as copper that dissolves and plates, all of it heat.'} ${end > 100 ? 'It would boil: fewer volts. ' : ''}${end > 50 ? 'Plastic softens, gels melt: fewer volts, or a larger vessel.' : ''}`,
  });
}

const AT_C = new RegExp(String.raw`\s+at\s+(${NUMBER})\s*(?:°?\s*C)$`, 'i');
const CONDUCTIVITY = 'Write conductivity 1 mol/L NaOH.';

/** “conductivity 1 mol/L NaOH”, “conductivity 10% NaCl at 18 C”. */
export function conductivityVerb(rest: string, line: string): Result<Found> {
  const warm = AT_C.exec(rest);
  const typed = warm ? typedNumber(itemAt(warm, 1), line) : ok(25);
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
  if (!(c.value > 0 && c.value <= 12))
    return fail(
      'out-of-range',
      'Held from a little above 0 to about 12 mol/L; pure water has 0.00006 mS/cm, tap water 0.2 to 1.',
      {
        at,
      },
    );
  const most = saturated(substance, tempC);
  if (most !== null && c.value > most * OVER)
    return fail(
      'out-of-range',
      `${itemAt(species.name, 0).toUpperCase()}${species.name.slice(1)} dissolves to about ${formatNumber(most, 2)} mol/L at ${formatNumber(tempC, 3)} °C.`,
      { at },
    );
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
      : 'About: no series of this salt is held that reaches so far; its own end, or a salt of the same charges, lends the course.',
  });
}

/** Tables of solubility and of density are apart by so much. */
const OVER = 1.06;

/** mol/L at most, where both a solubility and densities are held. */
function saturated(substance: Substance, tempC: number): number | null {
  const found = solubilityOf(substanceOf(substance.species), tempC);
  if (!found.ok) return null;
  const { gPer100gWater: s } = found.value;
  const most = molar((100 * s) / (100 + s), 'w/w', { substance: substanceOf(substance.species), at: [0, 0] });
  return most.ok ? most.value : null;
}

function molar(
  value: number,
  unit: string,
  { substance, at }: { substance: Substance; at: readonly [number, number] },
): Result<number> {
  if (unit === 'mol/L') return ok(value);
  if (unit !== 'w/w') return fail('unit-does-not-fit', 'Give the strength in mol/L or mass %.', { at });
  // Tables of densities hold the salt without its crystal water.
  const bare = substanceOf(substance.species);
  const share = molarMass(bare.formula) / molarMass(substance.formula);
  const found = strengthIn(
    given({ symbol: 'w', name: 'strength', unit: '%' }, share * value, 'as typed'),
    'mol/L',
    bare,
    25,
  );
  return found.ok ? ok(found.value.value) : { ok: false, problem: { ...found.problem, at } };
}
