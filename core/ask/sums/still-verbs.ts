import { NUMBER, pointAt, readStuff, readSubstanceName, type Stuff, typedNumber } from '#ask/phrase';
import { datum, type Figure, given } from '#base/figure';
import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { USUAL_STILL } from '#matter/gear';
import { density, massFraction } from '#matter/solution';
import type { SubstanceId } from '#matter/substance';
import {
  admitCharge,
  azeotropeOf,
  chargeOf,
  distil,
  type Mixture,
  massPct,
  mixtureOf,
  moleFraction,
  planCut,
  SEA_LEVEL_HPA,
} from '#model/still';
import { boilOffVerb } from './boil-off.ts';
import type { Found } from './found.ts';

const AT_PRESSURE = new RegExp(String.raw`\s+at\s+(${NUMBER})\s*(?:hPa|mbar)$`, 'i');
const AWAY = /\bto\b/i;
const BOIL = 'Write boil 40% v/v ethanol, or boil 350 mL to 90 mL.';
const AZEOTROPE = 'Write azeotrope HNO3 water.';
const CUT = 'Write cut 90% v/v ethanol 500 mL at 92%.';

interface Cropped {
  readonly body: string;
  readonly pressureHPa: number;
}

/** A line without the pressure at its end; sea level where none is said. */
function cropped(rest: string, line: string): Result<Cropped> {
  const match = AT_PRESSURE.exec(rest);
  if (!match) return ok({ body: rest.trim(), pressureHPa: SEA_LEVEL_HPA });
  const read = typedNumber(itemAt(match, 1), line);
  if (!read.ok) return read;
  if (!(read.value >= 20 && read.value <= 1100))
    return fail('out-of-range', 'Pressure lies between 20 and 1100 hPa.', { at: pointAt(line, itemAt(match, 1)) });
  return ok({ body: rest.slice(0, match.index).trim(), pressureHPa: read.value });
}

const source = ({ source: from, grade }: Mixture) => ({ source: from, grade });

interface Shown {
  readonly symbol: string;
  readonly name: string;
  readonly unit: string;
  readonly value: number;
  readonly sd: number;
}

const shown = (mixture: Mixture, { value, sd, ...naming }: Shown): Figure =>
  datum(naming, { value, uncertainty: { table: { name: 'boiling curve', effect: sd } } }, source(mixture));

/** “boil 40% v/v ethanol”: where it boils, what its vapour holds. “boil 350 mL to 90 mL” goes on as evaporating does. */
export function boilVerb(rest: string, line: string): Result<Found> {
  if (AWAY.test(rest)) return boilOffVerb(rest, line);
  const crop = cropped(rest, line);
  if (!crop.ok) return crop;
  const { body, pressureHPa } = crop.value;
  const stuff = readStuff(body, line);
  if (!stuff.ok) return stuff;
  const at = pointAt(line, body);
  const found = watery(stuff.value, pressureHPa, { at, write: BOIL });
  if (!found.ok) return found;
  const { mixture, pct } = found.value;
  const x = moleFraction(mixture, pct);
  if (x > mixture.ends + 1e-9)
    return fail(
      'impossible-strength',
      `What ${mixture.first.name} boils at is held up to ${formatNumber(massPct(mixture, mixture.ends), 3)} %.`,
      { at },
    );
  const y = massPct(mixture, mixture.vapour(x));
  const azeotrope = azeotropeOf(mixture);
  return ok({
    figures: [
      shown(mixture, { symbol: 'T', name: 'boils at', unit: '°C', value: mixture.boilsAt(x), sd: 0.3 }),
      shown(mixture, {
        symbol: 'w',
        name: `${mixture.first.name} in its vapour, by mass`,
        unit: '%',
        value: y,
        sd: Math.max(0.3, 0.01 * y),
      }),
    ],
    note: `${formatNumber(pct, 3)} % by mass, at ${formatNumber(pressureHPa, 4)} hPa.${azeotrope ? ` ${limitSays(azeotrope.pct, azeotrope.tempC)}` : ''}`,
  });
}

function limitSays(pct: number, tempC: number): string {
  return `Its azeotrope: ${formatNumber(pct, 3)} % at ${formatNumber(tempC, 4)} °C; no still gets past that.`;
}

/** A watery mixture of what was read, with its mass %. */
function watery(
  { substance, strength }: Stuff,
  pressureHPa: number,
  { at, write }: { at: readonly [number, number]; write: string },
): Result<{ mixture: Mixture; pct: number }> {
  if (!strength) return fail('missing-part', `How strong is the ${substance.name}? ${write}`, { at });
  const mixture = mixtureOf(substance.id, 'water', pressureHPa);
  if (!mixture.ok) return { ok: false, problem: { ...mixture.problem, at } };
  const pct = massFraction(strength, substance, 20);
  if (!pct.ok) return { ok: false, problem: { ...pct.problem, at } };
  return ok({ mixture: mixture.value, pct: pct.value });
}

/** “azeotrope HNO3 water”, “azeotrope ethyl acetate ethanol at 900 hPa”. */
export function azeotropeVerb(rest: string, line: string): Result<Found> {
  const crop = cropped(rest, line);
  if (!crop.ok) return crop;
  const { body, pressureHPa } = crop.value;
  const pair = pairOf(body, line);
  if (!pair.ok) return pair;
  const mixture = mixtureOf(pair.value[0], pair.value[1], pressureHPa);
  if (!mixture.ok) return { ok: false, problem: { ...mixture.problem, at: pointAt(line, body) } };
  const found = azeotropeOf(mixture.value);
  const { first, second } = mixture.value;
  if (!found)
    return fail(
      'out-of-range',
      `${first.name} and ${second.name} have no azeotrope at this pressure: a column can part them.`,
      {
        at: pointAt(line, body),
      },
    );
  return ok({
    figures: [
      shown(mixture.value, {
        symbol: 'w',
        name: `${first.name} in it, by mass`,
        unit: '%',
        value: found.pct,
        sd: 0.25,
      }),
      shown(mixture.value, { symbol: 'T', name: 'boils at', unit: '°C', value: found.tempC, sd: 0.15 }),
    ],
    note:
      found.kind === 'maximum'
        ? `It boils hotter than either: weaker gives ${second.name} first, stronger ${first.name}.`
        : 'It boils cooler than either: it comes over first, from both sides.',
  });
}

/** Two substances, wherever the line can be cut so that both are known. */
function pairOf(body: string, line: string): Result<readonly [SubstanceId, SubstanceId]> {
  const words = body.split(/\s*(?:\+|,|\band\b|\bwith\b)\s*|\s+/i).filter((word) => word !== '');
  if (words.length < 2) return fail('missing-part', AZEOTROPE, { at: pointAt(line, body) });
  let last: Result<never> = fail('missing-part', AZEOTROPE, { at: pointAt(line, body) });
  for (let i = words.length - 1; i >= 1; i--) {
    const a = readSubstanceName(words.slice(0, i).join(' '), line);
    const b = readSubstanceName(words.slice(i).join(' '), line);
    if (a.ok && b.ok) return ok([a.value.substance.id, b.value.substance.id]);
    if (!a.ok) last = a;
    else if (!b.ok) last = b;
  }
  return last;
}

const CUT_LINE = new RegExp(
  String.raw`^(.+?)\s+(${NUMBER}\s*(?:mL|L|cL|g|kg))\s+(?:at|to)\s+(${NUMBER})\s*%(\s*v/v)?$`,
  'i',
);

/** “cut 90% v/v ethanol 500 mL at 92%”: how much comes over at that strength, until which temperature, of a bare still. */
export function cutVerb(rest: string, line: string): Result<Found> {
  const crop = cropped(rest, line);
  if (!crop.ok) return crop;
  const { body, pressureHPa } = crop.value;
  const match = CUT_LINE.exec(body);
  if (!match) return fail('missing-part', CUT, { at: pointAt(line, rest) });
  const [, what = '', amountText = '', wantedText = '', byVolume] = match;
  const stuff = readStuff(`${amountText} ${what}`, line);
  if (!stuff.ok) return stuff;
  const at = pointAt(line, what);
  const found = watery(stuff.value, pressureHPa, { at, write: CUT });
  if (!found.ok) return found;
  const { mixture, pct } = found.value;
  const typed = typedNumber(wantedText, line);
  if (!typed.ok) return typed;
  const wantedAt = pointAt(line, wantedText);
  const { substance, amount } = stuff.value;
  // Of spirit that is named by volume, what is wanted is meant so too.
  const unit = byVolume || stuff.value.strength?.unit === 'v/v' ? 'v/v' : 'w/w';
  const wanted = massFraction({ value: typed.value, unit }, substance, 20);
  if (!wanted.ok) return { ok: false, problem: { ...wanted.problem, at: wantedAt } };
  const grams = gramsOf(amount, { substance, pct });
  if (!grams.ok) return { ok: false, problem: { ...grams.problem, at: pointAt(line, amountText) } };
  const charge = chargeOf(mixture, grams.value, pct);
  const admitted = admitCharge(mixture, charge);
  if (!admitted.ok) return { ok: false, problem: { ...admitted.problem, at } };
  const run = distil({ mixture, charge, apparatus: stillFor(grams.value), airC: 20 });
  const plan = planCut(run, { by: 'strength', pct: wanted.value });
  if (!plan.best) {
    const most = plan.strongest ? ` The strongest cut of a bare head is ${formatNumber(plan.strongest.pct, 3)} %.` : '';
    const azeotrope = azeotropeOf(mixture);
    const past = azeotrope && azeotrope.kind === 'minimum' && wanted.value > azeotrope.pct;
    return fail(
      'too-weak',
      past
        ? limitSays(azeotrope.pct, azeotrope.tempC)
        : `That strength does not come over from it.${most} A column of a few plates gets further.`,
      { at: wantedAt },
    );
  }
  const { best } = plan;
  const plain = (symbol: string, name: string, quantity: readonly [number, string]) => {
    const [value, unit] = quantity;
    const uncertainty = { still: { name: 'plates of the still', effect: 0.05 * Math.abs(value) } };
    return given({ symbol, name, unit }, { value, uncertainty }, `Rayleigh’s equation; ${mixture.source}`);
  };
  return ok({
    figures: [
      plain('V', 'of the charge in the cut', [best.toMl - best.fromMl, 'mL']),
      shown(mixture, { symbol: 'T', name: 'head when it ends', unit: '°C', value: best.toHeadC, sd: 0.3 }),
      plain('Y', `${mixture.first.name} recovered`, [best.recoveryPct, '%']),
    ],
    note: `${formatNumber(typed.value, 3)} % by ${unit === 'v/v' ? 'volume' : 'mass'}: from ${formatNumber(best.fromMl, 3)} to ${formatNumber(best.toMl, 3)} mL over, about, by a bare head of ${USUAL_STILL.plates} plates; ${formatNumber(best.pct, 3)} % by mass in all.`,
  });
}

/** A bare head on a flask that takes the charge, heated in proportion. */
function stillFor(grams: number): typeof USUAL_STILL {
  const times = Math.max(1, grams / 650);
  return { ...USUAL_STILL, flaskMl: USUAL_STILL.flaskMl * times, heaterW: USUAL_STILL.heaterW * times };
}

function gramsOf(
  amount: Stuff['amount'],
  { substance, pct }: { substance: Stuff['substance']; pct: number },
): Result<number> {
  if (!amount || amount.dimension === 'amount') return fail('missing-part', `How much of it? ${CUT}`);
  if (!(amount.value > 0)) return fail('out-of-range', 'A charge is more than 0.');
  if (amount.dimension === 'mass') return ok(amount.value);
  const rho = density(substance, pct, 20);
  return rho.ok ? ok(amount.value * rho.value.gPerMl) : rho;
}
