import { itemAt, numberAt } from '#base/lookup';
import { type Problem, problem } from '#base/problem';
import { findSubstance, type Substance } from '#matter/substance';
import type { Claims } from './claims.ts';
import type { ReadStrength } from './read-strength.ts';

/** An alloy by its code, or by two numbers beside the names of its metals. */
export interface Alloy {
  readonly refused?: Problem;
  readonly substances: readonly Substance[];
  readonly strengths: readonly ReadStrength[];
}

const NUMBER = String.raw`\d{1,2}(?:[.,]\d{1,2})?`;
const CODE = new RegExp(
  String.raw`(?<![\p{L}\d])(?:(?:Sn|Pb|Cu|Ag|Sb|Bi|Zn|Ni|In|Cd)${NUMBER}){2,5}(?![\p{L}\d])`,
  'u',
);
const PART = new RegExp(`(Sn|Pb|Cu|Ag|Sb|Bi|Zn|Ni|In|Cd)(${NUMBER})`, 'gu');
const METALS = 'tin|lead|copper|silver|zinc|antimony|bismuth|nickel|cadmium';
const METAL = new RegExp(String.raw`(?<!\p{L})(${METALS})(?!\p{L}|[ -]?free)`, 'giu');
const PAIR = new RegExp(String.raw`(?<![\d./])(${NUMBER})\s?[/:-]\s?(${NUMBER})(?![\d./-])`, 'u');
/** What of a metal's name or symbol cannot be used here, and why. */
const REFUSED: Readonly<Record<string, string>> = {
  Pb: 'lead, which is never dissolved here',
  lead: 'lead, which is never dissolved here',
  Sb: 'antimony, which gives a deadly gas with acid and zinc',
  antimony: 'antimony, which gives a deadly gas with acid and zinc',
  Cd: 'cadmium, which is not used here',
  cadmium: 'cadmium, which is not used here',
};
/** A code adds up to 100 within what rounding does. */
const SLACK = 1.5;

/** The metals of an alloy with the share of each; a metal that is not used here refuses the whole, whatever its share. */
export function alloyIn(claims: Claims): Alloy | undefined {
  const { typed } = claims;
  const code = CODE.exec(typed);
  if (code) {
    const parts = [...code[0].matchAll(PART)].map(([, symbol = '', pct = '']) => [symbol, value(pct)] as const);
    claims.claim('substance', code, parts.map(([symbol, pct]) => `${symbol} ${pct} %`).join(', '));
    return made(parts);
  }
  const metals = [...typed.matchAll(METAL)];
  const names = [...new Set(metals.map(([name]) => name.toLowerCase()))];
  if (names.length > 1 && names.some((name) => name in REFUSED)) return made(names.map((name) => [name, 0]));
  const pair = PAIR.exec(typed);
  if (names.length !== 2 || !pair) return undefined;
  const shares = [value(itemAt(pair, 1)), value(itemAt(pair, 2))];
  if (Math.abs(numberAt(shares, 0) + numberAt(shares, 1) - 100) > SLACK) return undefined;
  claims.claim('strength', pair, names.map((name, i) => `${name} ${shares[i]} %`).join(', '));
  for (const match of metals) claims.claim('substance', match, match[0]);
  return made(names.map((name, i) => [name, numberAt(shares, i)] as const));
}

function made(parts: readonly (readonly [metal: string, pct: number])[]): Alloy {
  const refused = parts.find(([metal]) => metal in REFUSED);
  if (refused)
    return {
      ...NONE,
      refused: problem('beyond-scope', `It holds ${REFUSED[refused[0]]}. Keep it apart from everything else.`, {
        field: 'substance',
      }),
    };
  const known = parts.flatMap(([metal, pct]) => {
    const substance = findSubstance(metal);
    return substance ? [{ substance, pct }] : [];
  });
  const unknown = parts.find(([metal]) => !findSubstance(metal));
  if (unknown)
    return {
      ...NONE,
      refused: problem('unknown-substance', `Nothing is held of ${unknown[0]}, which this alloy names.`, {
        field: 'substance',
      }),
    };
  // The largest share is what doses count.
  const sorted = known.sort((a, b) => b.pct - a.pct);
  return {
    substances: sorted.map(({ substance }) => substance),
    strengths: sorted.map(({ pct }) => ({ value: pct, unit: 'w/w', band: null, at: [0, 0], assumed: null })),
  };
}

const NONE: Alloy = { substances: [], strengths: [] };

function value(said: string): number {
  return Number(said.replace(',', '.'));
}
