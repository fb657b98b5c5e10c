import { pointAt, readStuff } from '#ask/phrase';
import { given } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { clashesOf, keepAwayId, keepAwayIn, type Present } from '#matter/guard';
import { productsIn } from '#matter/label';
import { massFraction } from '#matter/solution';
import { findSubstance, keyOf } from '#matter/substance';
import type { Found } from './found.ts';

const WRITE = 'Write clash bleach + vinegar.';
const BETWEEN = /\s+(?:\+|and|with)\s+|\s*,\s*/i;
/** What an acid or the like is taken as where nothing says how strong it is. */
const STRONG_PCT = 20;

/** “clash bleach + vinegar”: what the table of what must not meet holds of each pair. */
export function clashVerb(rest: string, line: string): Result<Found> {
  const names = rest
    .trim()
    .split(BETWEEN)
    .filter((each) => each !== '');
  if (names.length < 2) return fail('missing-part', `Two things at least. ${WRITE}`, { at: pointAt(line, rest) });
  const groups: { name: string; present: readonly Present[] }[] = [];
  for (const name of names) {
    const present = meant(name, line);
    if (!present.ok) return present;
    groups.push({ name, present: present.value });
  }
  const said = new Set<string>();
  for (const [i, a] of groups.entries())
    for (const b of groups.slice(i + 1))
      for (const each of b.present)
        for (const { severity, sentence } of clashesOf(a.present, each)) said.add(`${WORD[severity]}: ${sentence}`);
  const note =
    said.size > 0
      ? [...said].slice(0, 4).join(' ')
      : 'No clash of these is held here, at these strengths. That is no promise: try a drop with a drop, outdoors.';
  const N = given({ symbol: 'N', name: 'clashes of these that are held', unit: '' }, said.size, 'what must not meet');
  return ok({ figures: [N], note });
}

const WORD = { refuse: 'Never together', danger: 'Dangerous', caution: 'Mind' } as const;

/** What a name may stand for: a substance with its strength, or everything that is sold under it. */
function meant(name: string, line: string): Result<readonly Present[]> {
  const products = productsIn(keyOf(name)).find(({ key }) => key === keyOf(name))?.value ?? [];
  const parts = products.flatMap((product) =>
    product.parts.flatMap(({ substance, high }) => (substance ? [{ substanceId: substance.id, pct: high }] : [])),
  );
  if (parts.length > 0 && !findSubstance(name)) return ok(parts);
  const stuff = readStuff(name, line);
  if (!stuff.ok) {
    const away = keepAwayIn(name);
    if (away) return ok([...parts, { substanceId: keepAwayId(away.id), pct: 100 }]);
    return parts.length > 0 ? ok(parts) : stuff;
  }
  const { substance, strength } = stuff.value;
  const w = strength ? massFraction(strength, substance, 20) : undefined;
  const usual = substance.form === 'dissolved' ? STRONG_PCT : 100;
  const pct = w?.ok ? w.value : usual;
  return ok([{ substanceId: substance.id, pct }, ...parts]);
}
