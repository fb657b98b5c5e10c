import { desiccantDoses, liquidClassOf } from '#core/dry';
import { datum } from '#core/figure';
import { NUMBER, pointAt, readStuff, type Stuff, typedNumber } from '#core/phrase';
import { fail, ok, type Result } from '#core/problem';
import { density, massFraction } from '#core/solution';
import { spiritByVolume } from '#core/stock';
import { formatNumber } from '#core/units';
import type { Found } from './found.ts';

const DRY = new RegExp(String.raw`^(.+?)\s+with\s+(${NUMBER})\s*%\s*(?:of\s+)?water$`, 'i');

interface Wet {
  readonly grams: number;
  /** mass %. */
  readonly water: number;
}

const DRY_EXAMPLE = 'Write dry 80 mL 93% ethanol, or dry 500 g ethanol with 5% water.';

/** “500 g ethanol with 5% water”. */
function saidWet({ amount }: Stuff, water: string, line: string): Result<Wet> {
  if (amount?.dimension !== 'mass') return fail('missing-part', `How many grams of it? ${DRY_EXAMPLE}`);
  const pct = typedNumber(water, line);
  if (!pct.ok) return pct;
  return pct.value >= 0 && pct.value <= 100
    ? ok({ grams: amount.value, water: pct.value })
    : fail('out-of-range', 'Water is 0 to 100 % of it.', { at: pointAt(line, water) });
}

/** “80 mL 93% ethanol”: what is not spirit is water; its per cent is by volume, as it is sold. */
function strengthWet(stuff: Stuff, line: string): Result<Wet> {
  const { amount, strength, substance } = stuff;
  if (!amount || !strength || amount.dimension === 'amount') return fail('missing-part', DRY_EXAMPLE);
  const at = strength.unit === 'w/w' ? line.search(/\d[\d.,]*\s*%/) : 0;
  const sold = spiritByVolume({ ...strength, band: null, at: [at, line.length], assumed: null }, substance, line).value;
  const w = massFraction(sold, substance, 20);
  if (!w.ok) return w;
  if (amount.dimension === 'mass') return ok({ grams: amount.value, water: 100 - w.value });
  const rho = density(substance, w.value, 20);
  return rho.ok ? ok({ grams: amount.value * rho.value.gPerMl, water: 100 - w.value }) : rho;
}

function shownWater(grams: number, water: number): string {
  return `${formatNumber(grams, 3)} g with ${formatNumber((grams * water) / 100, 2)} g of water.`;
}

/** “dry 500 g ethanol with 5% water”: which salts dry it, how much of each, what each leaves. */
export function dryVerb(rest: string, line: string): Result<Found> {
  const match = DRY.exec(rest.trim());
  const stuff = readStuff(match?.[1] ?? rest.trim(), line);
  if (!stuff.ok) return stuff;
  const { substance } = stuff.value;
  const kind = liquidClassOf(substance.id);
  if (!kind)
    return fail(
      'unit-does-not-fit',
      `What dries ${substance.name} is not held; there are ethanol, propan-2-ol, acetone, ethyl acetate and a few more.`,
      { at: pointAt(line, match?.[1] ?? rest) },
    );
  const wet = match ? saidWet(stuff.value, match[2]!, line) : strengthWet(stuff.value, line);
  if (!wet.ok)
    return wet.problem.at ? wet : { ok: false, problem: { ...wet.problem, at: pointAt(line, match?.[1] ?? rest) } };
  const { grams, water } = wet.value;
  const doses = desiccantDoses(kind, { grams, waterPct: water, tempC: 20 });
  const forbidden = doses
    .filter((each) => each.forbidden !== '')
    .map((each) => `${each.desiccant.name}: ${each.forbidden}`);
  return ok({
    figures: doses
      .filter((each) => each.forbidden === '' && each.leftPct < water)
      .map(({ desiccant, grams, leftPct, hours, row }) =>
        datum(
          {
            symbol: 'm',
            name: `${desiccant.name}, ${hoursText(hours)}, leaves ${formatNumber(leftPct, 2)} %`,
            unit: 'g',
          },
          { value: grams, uncertainty: { desiccant: { name: 'capacity in practice', effect: 0.2 * grams } } },
          { source: row.source, grade: 'C' },
        ),
      ),
    note: `${shownWater(grams, water)}${forbidden.length > 0 ? ` Not ${forbidden.join('; not ')}.` : ''}`,
  });
}

/** “24 to 72 h”. */
function hoursText(hours: readonly [number, number] | null): string {
  if (!hours) return 'about a day';
  const [from, to] = hours;
  return from === to ? `${formatNumber(to, 2)} h` : `${formatNumber(from, 2)} to ${formatNumber(to, 2)} h`;
}
