import { cutPhrase, pointAt, readStuff } from '#ask/phrase';
import { datum } from '#base/figure';
import { itemAt, lastOf } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { molarMass, substanceOf } from '#matter/substance';
import { asPair, type EsterInput, ester, HOURS_FACTOR, usualCatalyst } from '#model/ester';
import type { Found } from './found.ts';
import { type Weighed, weighedOf } from './weighed.ts';

const EXAMPLE = 'Write ester 0.6 mol formic acid + 0.5 mol isoamyl alcohol.';
/** Warm enough to be quick, and under the boil of most. */
const USUAL_C = 60;
const STRONG_PCT = 96;

/** “ester 0.6 mol formic acid + 0.5 mol isoamyl alcohol at 60 C”, a catalyst as a third. */
export function esterVerb(rest: string, line: string): Result<Found> {
  const phrase = cutPhrase(rest);
  if (!phrase.ok) return phrase;
  const parts = phrase.value.body.split(/\s\+\s/).map((each) => each.trim());
  if (parts.length < 2 || parts.length > 3)
    return fail('missing-part', `An acid, an alcohol, and if you like what makes it run. ${EXAMPLE}`, {
      at: pointAt(line, rest),
    });
  const read: Weighed[] = [];
  for (const part of parts) {
    const stuff = readStuff(part, line);
    if (!stuff.ok) return stuff;
    const weighed = weighedOf(stuff.value, part, line);
    if (!weighed.ok) return weighed;
    read.push(weighed.value);
  }
  const [first, second, third] = [itemAt(read, 0), itemAt(read, 1), read[2]];
  const pair = asPair(first.substanceId, second.substanceId);
  if (!pair)
    return fail(
      'no-data',
      `No equilibrium is held of these two; there are acetic, formic, salicylic, benzoic and lactic acid with ethanol, methanol, and some with isoamyl alcohol or propan-2-ol. ${EXAMPLE}`,
      { at: pointAt(line, itemAt(parts, 1)) },
    );
  const [acid, alcohol] = pair.acid === first.substanceId ? [first, second] : [second, first];
  const tempC = phrase.value.tempGiven ? phrase.value.tempC : USUAL_C;
  const answer = ester({ acid, alcohol, catalyst: third ?? usual(acid), tempC, hours: null, waterOffG: 0 });
  return answer.ok
    ? ok(laid(answer.value, { tempC, catalyst: third }))
    : { ok: false, problem: { ...answer.problem, at: pointAt(line, lastOf(parts)) } };
}

/** The usual charge of sulfuric acid. */
function usual(acid: Weighed): EsterInput['catalyst'] {
  const mol = (acid.grams * acid.pct) / 100 / molarMass(substanceOf(acid.substanceId).formula);
  const grams = (usualCatalyst(acid.substanceId, mol) * molarMass('H2SO4') * 100) / STRONG_PCT;
  return { substanceId: 'sulfuric-acid', grams, pct: STRONG_PCT };
}

type Answer = Extract<ReturnType<typeof ester>, { ok: true }>['value'];

function laid(answer: Answer, { tempC, catalyst }: { tempC: number; catalyst: Weighed | undefined }): Found {
  const { mass, conversion, hours, limiting, ratio, excess, why, bicarbonateG, gasL } = answer;
  const twice = excess.find((each) => each.more !== limiting && each.ratio === 3);
  const with2 = catalyst ? '' : ', with the usual sulfuric acid';
  const time = hours
    ? [
        datum(
          { symbol: 't', name: `to 95 % of that at ${formatNumber(tempC, 3)} °C${with2}`, unit: 'h' },
          { value: hours[1], uncertainty: { rate: { name: 'rate law, to a factor of two', effect: hours[1] / 3 } } },
          { source: `rate of ester hydrolysis and K; a factor of ${HOURS_FACTOR}`, grade: 'C' },
        ),
      ]
    : [];
  const said = [
    ratio > 1.0005 ? `The ${limiting} limits; the other is there ${formatNumber(ratio, 3)} times.` : 'Mole for mole.',
    twice && ratio < 3 ? `With three times: ${formatNumber(twice.conversionPct, 3)} %.` : '',
    `Afterwards ${formatNumber(bicarbonateG, 2)} g of bicarbonate, ${formatNumber(gasL, 2)} L of gas.`,
    why,
    'It burns: no flame.',
  ];
  return { figures: [mass, conversion, ...time], note: said.filter((each) => each !== '').join(' ') };
}
