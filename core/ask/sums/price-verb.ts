import { pointAt } from '#ask/phrase';
import type { Figure } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { parseLabel } from '#matter/label';
import { contentOf } from '#matter/stock';
import type { Found } from './found.ts';

const WRITE = 'Write price washing soda crystals 1 kg 2.10 or soda ash 500 g 3.40.';
const OR = /\s+(?:or|vs\.?|against)\s+/i;
/** Labels are read on this day: a price does not age. */
const DAY = '2026-01-01';
const TEMP_C = 20;

/** “price washing soda crystals 1 kg 2.10 or soda ash 500 g 3.40”: what a mole of each costs, and which is the better buy. */
export function priceVerb(rest: string, line: string): Result<Found> {
  const labels = rest.trim().split(OR);
  if (rest.trim() === '') return fail('missing-part', WRITE, { at: pointAt(line, rest) });
  const prices: { label: string; perMol: Figure; species: string }[] = [];
  for (const label of labels) {
    const at = pointAt(line, label);
    const { card, problems } = parseLabel(label, DAY, TEMP_C);
    if (problems[0] || !card) return { ok: false, problem: { ...(problems[0] ?? missing()), at } };
    if (card.price === null) return fail('missing-part', `What does ${card.name} cost? ${WRITE}`, { at });
    const content = contentOf({ id: label, card, usedG: 0 }, TEMP_C);
    if (!content.ok) return { ok: false, problem: { ...content.problem, at } };
    const { pricePerMol, substance } = content.value;
    if (!pricePerMol) return fail('missing-part', `How much of ${card.name} is it? ${WRITE}`, { at });
    prices.push({ label, perMol: { ...pricePerMol, name: `${card.name}, a mole` }, species: substance.species });
  }
  return ok({ figures: prices.map(({ perMol }) => perMol), note: verdict(prices) });
}

function verdict(prices: readonly { label: string; perMol: Figure; species: string }[]): string {
  const [best, next] = [...prices].sort((a, b) => a.perMol.value - b.perMol.value);
  if (!best || !next) return 'Counted by what is in it; time, losses and what is left over are not.';
  const times = next.perMol.value / Math.max(best.perMol.value, 1e-12);
  const same = prices.every(({ species }) => species === best.species);
  const other = same ? '' : ' They are not the same substance: mind what each brings along.';
  return `${best.label} is the cheaper by the mole, ${formatNumber(times, 2)} times.${other} Time and losses are not counted.`;
}

function missing() {
  return { code: 'unknown-substance' as const, message: WRITE };
}
