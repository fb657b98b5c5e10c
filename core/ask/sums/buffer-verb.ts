import { NUMBER, pointAt, readStuff, typedNumber } from '#ask/phrase';
import { datum, given } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { bufferRecipe } from '#matter/equilibrium';
import { molarMassFigure, substanceById } from '#matter/substance';
import type { Found } from './found.ts';

const LINE = new RegExp(String.raw`^pH\s*(${NUMBER})\s+(?:of\s+)?(.+)$`, 'i');
const WRITE = 'Write buffer pH 10 NH3 0.5 mol/L 250 mL.';
const TEMP_C = 25;

/** “buffer pH 10 NH3 0.5 mol/L 250 mL”: what goes into it, and how well it holds. */
export function bufferVerb(rest: string, line: string): Result<Found> {
  const match = LINE.exec(rest.trim());
  const [pHText, stuffText] = [match?.[1], match?.[2]];
  if (!pHText || !stuffText) return fail('missing-part', WRITE, { at: pointAt(line, rest) });
  const pH = typedNumber(pHText, line);
  if (!pH.ok) return pH;
  const stuff = readStuff(stuffText, line);
  if (!stuff.ok) return stuff;
  const { amount, strength, substance } = stuff.value;
  if (strength?.unit !== 'mol/L' || amount?.dimension !== 'volume')
    return fail('missing-part', `Its strength and its volume? ${WRITE}`, { at: pointAt(line, stuffText) });
  const made = bufferRecipe(
    { substanceId: substance.id, pH: pH.value, molPerL: strength.value, tempC: TEMP_C },
    amount.value,
  );
  if (!made.ok) return { ok: false, problem: { ...made.problem, at: pointAt(line, rest) } };
  const { parts, capacity, ionicStrength } = made.value;
  const figures = parts.map(({ substanceId, mol }) => {
    const part = substanceById(substanceId);
    const grams = mol * (part ? molarMassFigure(part.formula).value : Number.NaN);
    return datum(
      { symbol: 'm', name: `${part?.name ?? substanceId}, pure`, unit: 'g' },
      { value: grams, uncertainty: { model: { name: 'activity model', effect: 0.02 * grams } } },
      SOURCE,
    );
  });
  const beta = given({ symbol: 'β', name: 'capacity', unit: 'mol/L a unit of pH' }, capacity, 'Van Slyke 1922');
  return ok({
    figures: [...figures, beta],
    note: `Filled up to ${formatNumber(amount.value, 3)} mL. Ionic strength ${formatNumber(ionicStrength, 2)} mol/L; check it with a probe, it may be 0.05 off.`,
  });
}

const SOURCE = {
  source: 'charge balance with Davies activity coefficients; CRC, NIST constants at 25 °C',
  grade: 'B',
} as const;
