import { NUMBER, pointAt, readStuff, readSubstanceName, type Stuff, typedNumber } from '#ask/phrase';
import { datum } from '#base/figure';
import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { spiritByVolume } from '#matter/label';
import { density, massFraction } from '#matter/solution';
import type { Substance } from '#matter/substance';
import { agentOver, desiccantDoses, liquidClassOf } from '#model/dry';
import type { Found } from './found.ts';
import { ceilingAnswer } from './solid-verbs.ts';

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

const OVER = new RegExp(String.raw`^(.+?)\s+over\s+(${NUMBER})\s*g\s+(?:of\s+)?(.+)$`, 'i');

/** “dry 80 mL 93% ethanol over 10 g CuSO4”: what so much of an agent takes up, and how wet the liquid stays. */
function overVerb(match: RegExpExecArray, line: string): Result<Found> {
  const [, liquidText = '', gramsText = '', agentText = ''] = match;
  const stuff = readStuff(liquidText, line);
  if (!stuff.ok) return stuff;
  const agent = readSubstanceName(agentText.trim(), line);
  if (!agent.ok) return agent;
  const grams = typedNumber(gramsText, line);
  if (!grams.ok) return grams;
  const liquid = liquidClassOf(stuff.value.substance.id);
  const { name, species } = agent.value.substance;
  const over = liquid && agentOver(species, liquid);
  if (!over)
    return fail('no-data', `${name} does not dry ${stuff.value.substance.name}, or nothing is held of it.`, {
      at: pointAt(line, agentText),
    });
  const wet = strengthWet(stuff.value, line);
  if (!wet.ok) return wet.problem.at ? wet : { ok: false, problem: { ...wet.problem, at: pointAt(line, liquidText) } };
  const { grams: all, water } = wet.value;
  const there = (all * water) / 100;
  const most = Math.max(0, there - (all * over.leavesPct) / 100);
  const takes = Math.min(most, over.capacity * grams.value);
  const left = (100 * (there - takes)) / (all - takes);
  const source = { source: 'Perrin and Armarego, capacity in practice', grade: 'C' } as const;
  return ok({
    figures: [
      datum(
        { symbol: 'W', name: 'water taken up', unit: 'g' },
        { value: takes, uncertainty: { capacity: { name: 'capacity in practice', effect: 0.2 * takes } } },
        source,
      ),
      datum(
        { symbol: 'w', name: 'water that stays', unit: '%' },
        { value: left, uncertainty: { capacity: { name: 'capacity in practice', effect: 0.2 * left } } },
        source,
      ),
    ],
    note: `${hoursText(over.hours)}. ${takes < most ? `It is spent: ${formatNumber(most / over.capacity, 2)} g would take all it can.` : 'Enough: some of it stays dry.'} You see: ${over.shows}.`,
  });
}

/** “dry 500 g ethanol with 5% water”: which salts dry it, how much of each, what each leaves. */
export function dryVerb(rest: string, line: string): Result<Found> {
  const over = OVER.exec(rest.trim());
  if (over) return overVerb(over, line);
  const solid = solidIn(rest.trim(), line);
  if (solid) {
    const said = AT.exec(rest.trim());
    const wanted = said && typedNumber(itemAt(said, 1), line);
    return wanted?.ok === false ? wanted : ceilingAnswer(solid, pointAt(line, rest), wanted?.value);
  }
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
  const wet = match ? saidWet(stuff.value, itemAt(match, 2), line) : strengthWet(stuff.value, line);
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

const AT = new RegExp(String.raw`\s+at\s+(${NUMBER})\s*°?\s*C$`, 'i');

/** “dry 30 g copper sulfate at 60 C”: a solid, whose question is how warm. Undefined for a liquid, which is dried over something. */
function solidIn(rest: string, line: string): Substance | undefined {
  const stuff = readStuff(rest.replace(AT, ''), line);
  return stuff.ok && stuff.value.known && stuff.value.substance.form === 'solid' ? stuff.value.substance : undefined;
}

/** “24 to 72 h”. */
function hoursText(hours: readonly [number, number] | null): string {
  if (!hours) return 'about a day';
  const [from, to] = hours;
  return from === to ? `${formatNumber(to, 2)} h` : `${formatNumber(from, 2)} to ${formatNumber(to, 2)} h`;
}
