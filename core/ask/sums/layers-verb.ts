import { pointAt, readStuff } from '#ask/phrase';
import { datum, type Figure } from '#base/figure';
import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { substanceOf } from '#matter/substance';
import { type LayersAnswer, type LayersInput, layers, mutualOf, saltingOf } from '#model/layers';
import type { Found } from './found.ts';
import { type Weighed, weighedOf } from './weighed.ts';

const EXAMPLE = 'Write layers 20 g ethyl acetate + 50 g brine, or layers 100 g 70% isopropanol + 40 g salt.';
const BRINE = /^(.*?)\b(half )?(?:saturated )?brine$/i;
/** Mass % of salt in saturated and in half saturated brine at 20 °C. */
const BRINE_PCT = { full: 26.4, half: 15 };

/** “layers 20 g ethyl acetate + 50 g brine + 2 g acetic acid”: a liquid, a liquor, and what else is dissolved. */
export function layersVerb(rest: string, line: string): Result<Found> {
  const parts = rest
    .trim()
    .split(/\s\+\s/)
    .map((each) => each.trim())
    .filter((each) => each !== '');
  if (parts.length < 2)
    return fail('missing-part', `A liquid, and what it stands over. ${EXAMPLE}`, { at: pointAt(line, rest.trim()) });
  const read: Weighed[] = [];
  for (const part of parts) {
    const weighed = readPart(part, line);
    if (!weighed.ok) return weighed;
    read.push(weighed.value);
  }
  const first = read.find(({ substanceId }) => isLiquid(substanceId));
  if (!first)
    return fail('no-data', `Neither is a liquid whose layers are held. ${EXAMPLE}`, {
      at: pointAt(line, itemAt(parts, 0)),
    });
  const input = asked(
    first,
    read.filter((each) => each !== first),
  );
  const answer = layers(input);
  return answer.ok
    ? ok(laid(answer.value, input))
    : { ok: false, problem: { ...answer.problem, at: pointAt(line, itemAt(parts, read.indexOf(first))) } };
}

const SALTS = ['sodium-chloride', 'potassium-carbonate', 'ammonium-sulfate'];
const isLiquid = (id: string) => mutualOf(id) !== undefined || SALTS.some((salt) => saltingOf(id, salt) !== undefined);

function readPart(part: string, line: string): Result<Weighed> {
  const brine = BRINE.exec(part);
  if (!brine) {
    const stuff = readStuff(part, line);
    return stuff.ok ? weighedOf(stuff.value, part, line) : stuff;
  }
  const water = readStuff(`${brine[1]} water`, line);
  if (!water.ok) return { ok: false, problem: { ...water.problem, at: pointAt(line, part) } };
  const { amount } = water.value;
  if (!amount || amount.dimension === 'amount' || !(amount.value > 0))
    return fail('missing-part', 'How much brine? Write 50 g or 50 mL of it.', { at: pointAt(line, part) });
  const pct = brine[2] ? BRINE_PCT.half : BRINE_PCT.full;
  const grams = amount.value * (amount.dimension === 'volume' ? 1 + (0.76 * pct) / 100 : 1);
  return ok({ substanceId: 'sodium-chloride', grams, pct });
}

/** The rest: salts and water are the liquor, all else is dissolved in it. */
function asked(first: Weighed, rest: readonly Weighed[]): LayersInput {
  let waterG = first.grams * (1 - first.pct / 100);
  let salt: LayersInput['liquor']['salt'] = null;
  let saltG = 0;
  const solutes: { substanceId: Weighed['substanceId']; grams: number }[] = [];
  for (const each of rest) {
    const pure = (each.grams * each.pct) / 100;
    const { form, ions } = substanceOf(each.substanceId);
    waterG += each.grams - pure;
    if (each.substanceId === 'water') waterG += pure;
    else if (form === 'solid' && ions && salt === null) [salt, saltG] = [each.substanceId, pure];
    else solutes.push({ substanceId: each.substanceId, grams: pure });
  }
  return {
    liquid: first.substanceId,
    liquidG: (first.grams * first.pct) / 100,
    liquor: { waterG, salt, saltG },
    solutes,
    pH: null,
    washes: [],
  };
}

function laid(answer: LayersAnswer, { liquid }: LayersInput): Found {
  const { organic, aqueous, above, gap, about, says, shared, notKnown, bases, saltG } = answer;
  const grade = about ? 'C' : 'B';
  const figure = (
    symbol: string,
    name: string,
    { value, unit, share }: { value: number; unit?: string; share: number },
  ): Figure =>
    datum(
      { symbol, name, unit: unit ?? 'g' },
      { value, uncertainty: { [symbol]: { name: 'how liquids mix, as published', effect: Math.abs(value) * share } } },
      { source: 'IUPAC Solubility Data Series; salting by Long and McDevit', grade },
    );
  const { name } = substanceOf(liquid);
  const where = (up: boolean) => (up ? 'above' : 'below');
  const figures = [
    ...(organic
      ? [
          figure('m', `${name} in its layer, ${where(above === 'organic')}`, {
            value: organic.liquidG,
            share: about ? 0.03 : 0.01,
          }),
          figure('V', 'that layer', { value: organic.ml, unit: 'mL', share: 0.02 }),
        ]
      : []),
    ...(aqueous
      ? [
          figure('m(aq)', `${name} in the water`, { value: aqueous.liquidG, share: about ? 0.3 : 0.05 }),
          figure('V(aq)', 'the water layer', { value: aqueous.ml, unit: 'mL', share: 0.02 }),
        ]
      : []),
    ...(organic && aqueous ? [figure('Δρ', 'between their densities', { value: gap, unit: 'g/mL', share: 0.05 })] : []),
    ...shared.map(({ substanceId, organicG }) =>
      figure(`m(${substanceId})`, `${substanceOf(substanceId).name} in the organic layer`, {
        value: organicG,
        share: 0.2,
      }),
    ),
  ];
  const base = bases[0];
  const said = [
    says,
    organic && organic.waterG > 0 ? `${formatNumber(organic.waterG, 2)} g of water in the ${name}.` : '',
    saltG === null ? '' : `It takes ${formatNumber(saltG, 2)} g of salt until some stays undissolved.`,
    base
      ? `For the acid: ${formatNumber(base.grams, 2)} g of ${substanceOf(base.base).name}, ${formatNumber(base.gasL, 2)} L of gas; stopper off.`
      : '',
    ...notKnown,
  ];
  return { figures, note: said.filter((each) => each !== '').join(' ') };
}
