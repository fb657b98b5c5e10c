import { pointAt, readStuff, type Stuff } from '#ask/phrase';
import { datum, type Figure, given } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { titrate } from '#matter/equilibrium';
import { massFraction, strengthIn } from '#matter/solution';
import type { Found } from './found.ts';

const LINE = /^(.*?)\s+(?:with|by|against)\s+(.*)$/i;
const WRITE = 'Write titrate 25 mL 0.1 mol/L CH3COOH with 0.1 mol/L NaOH.';
const TEMP_C = 20;
const POINTS = 60;

/** “titrate 25 mL 0.1 mol/L CH3COOH with 0.1 mol/L NaOH”: the titre, the pH on the way, the indicator that ends it best. */
export function titrateVerb(rest: string, line: string): Result<Found> {
  const match = LINE.exec(rest.trim());
  const [sampleText, titrantText] = [match?.[1], match?.[2]];
  if (!sampleText || !titrantText) return fail('missing-part', WRITE, { at: pointAt(line, rest) });
  const sample = readStuff(sampleText, line);
  if (!sample.ok) return sample;
  const titrant = readStuff(titrantText, line);
  if (!titrant.ok) return titrant;
  const { amount } = sample.value;
  if (amount?.dimension !== 'volume')
    return fail('missing-part', `How much is titrated? ${WRITE}`, { at: pointAt(line, sampleText) });
  const c = molPerL(sample.value, line, sampleText);
  if (!c.ok) return c;
  const t = molPerL(titrant.value, line, titrantText);
  if (!t.ok) return t;
  const asked = {
    sample: [{ substanceId: sample.value.substance.id, molPerL: c.value }],
    sampleMl: amount.value,
    titrant: { substanceId: titrant.value.substance.id, molPerL: t.value },
    tempC: TEMP_C,
    points: POINTS,
  };
  const found = titrate(asked);
  if (!found.ok) return { ok: false, problem: { ...found.problem, at: pointAt(line, rest) } };
  const { curve, ends, indicators } = found.value;
  const pH = (name: string, value: number): Figure =>
    datum(
      { symbol: 'pH', name, unit: '' },
      { value, uncertainty: { model: { name: 'activity model', effect: 0.03 } } },
      SOURCE,
    );
  const last = ends.at(-1);
  const titres = ends.map(({ titreMl }, i) =>
    given(
      { symbol: 'V', name: ends.length === 1 ? 'titre' : `titre, end ${i + 1}`, unit: 'mL' },
      titreMl,
      'amounts of protons are equal',
    ),
  );
  const [best] = indicators;
  const error = best?.relative ?? 0;
  return ok({
    figures: [...titres, pH('pH at the start', curve[0]?.pH ?? 7), pH('pH at the end', last?.pH ?? 7)],
    note: best
      ? `${best.indicator.name}, ${best.indicator.low} to ${best.indicator.high}: ${endsText(100 * error)}.`
      : 'No colour ends this: follow it with a probe.',
  });
}

/** How far off a colour ends it, %: what no burette shows is not told apart. */
function endsText(pct: number): string {
  const size = Math.abs(pct);
  if (size < LEAST_PCT) return `ends it to ${LEAST_PCT} %`;
  return `ends ${formatNumber(size, size < 1 ? 1 : 2)} % too ${pct < 0 ? 'soon' : 'late'}, about`;
}

const LEAST_PCT = 0.01;

const SOURCE = { source: 'charge balance with Davies activity coefficients; CRC, NIST constants', grade: 'B' } as const;

/** mol/L of what is typed; a refusal points at it. */
export function molPerL({ strength, substance }: Stuff, line: string, text: string): Result<number> {
  const at = pointAt(line, text);
  if (!strength) return fail('missing-part', `How strong is the ${substance.name}? Such as 0.1 mol/L.`, { at });
  if (strength.unit === 'mol/L')
    return strength.value >= 0 ? ok(strength.value) : fail('out-of-range', 'A strength is 0 or more.', { at });
  const w = massFraction(strength, substance, TEMP_C);
  if (!w.ok) return { ok: false, problem: { ...w.problem, at } };
  const c = strengthIn(given({ symbol: 'w', name: 'w', unit: '%' }, w.value, 'as typed'), 'mol/L', substance, TEMP_C);
  return c.ok ? ok(c.value.value) : { ok: false, problem: { ...c.problem, at } };
}
