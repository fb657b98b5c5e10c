import { pointAt, readStuff } from '#ask/phrase';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { type CameOf, moistureOf } from '#matter/account';
import type { Found } from './found.ts';

const EXAMPLE = 'Write moisture 30 g HON(SO3K)2 gave 17.4 g K2SO4 + 8 g NH3OHHSO4.';

/** “moisture 30 g HON(SO3K)2 gave 17.4 g K2SO4”: how much of a wet intermediate was water, mol for mol. */
export function moistureVerb(rest: string, line: string): Result<Found> {
  const [wetText = '', cameText] = rest.split(/\s+gave\s+/i);
  if (!cameText) return fail('missing-part', `What did it give? ${EXAMPLE}`, { at: [line.length, line.length] });
  const wet = gramsIn(wetText, line);
  if (!wet.ok) return wet;
  const came: CameOf[] = [];
  for (const part of cameText.split(/\s\+\s/)) {
    const each = gramsIn(part.trim(), line);
    if (!each.ok) return each;
    came.push(each.value);
  }
  const found = moistureOf(wet.value.grams, wet.value.formula, came);
  if (!found.ok) return { ok: false, problem: { ...found.problem, at: pointAt(line, cameText) } };
  const { dry, water, waterPct, by } = found.value;
  return ok({
    figures: [water, dry],
    note: `At most ${formatNumber(waterPct, 3)} % of it was water, by the ${by}, mol for mol; what was lost after the weighing counts with it.`,
  });
}

function gramsIn(text: string, line: string): Result<CameOf> {
  const stuff = readStuff(text, line);
  if (!stuff.ok) return stuff;
  const { amount, substance } = stuff.value;
  if (amount?.dimension !== 'mass')
    return fail('missing-part', `How many g of ${substance.name}? ${EXAMPLE}`, { at: pointAt(line, text) });
  return ok({ name: substance.name, formula: substance.formula, grams: amount.value });
}
