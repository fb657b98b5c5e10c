import { itemAt } from '#base/lookup';
import { type Problem, problem } from '#base/problem';
import { formatPlain, parseNumber } from '#base/units';
import { type Strength, type StrengthUnit, strengthUnits } from '#matter/solution';
import type { Claims } from './claims.ts';

const NUMBER = String.raw`\d[\d.,]*`;
// A minus counts as a sign only after a space: in “10-15 %” it parts a range.
const RANGE = String.raw`((?:(?<=^|\s)[-\u2212])?${NUMBER})(?:\s*(?:-|–|to)\s*(${NUMBER}))?`;

/** Strength as labels write it; the first pattern that fits a place claims it. */
const STRENGTHS: readonly (readonly [RegExp, StrengthUnit])[] = [
  [new RegExp(String.raw`${RANGE}\s*%\s*\(?(?:w\s*/\s*v|m\s*/\s*v|g\s*/\s*100\s*ml)\)?`, 'giu'), 'w/v'],
  [new RegExp(String.raw`${RANGE}\s*%\s*\(?(?:v\s*/\s*v|vol\.?|abv|by volume)(?![a-z])\)?`, 'giu'), 'v/v'],
  [
    new RegExp(String.raw`${RANGE}\s*(?:%|per ?cent)\s*(?:\(?(?:w\s*/\s*w|m\s*/\s*m|by mass|by weight)\)?)?`, 'giu'),
    'w/w',
  ],
  [new RegExp(String.raw`${RANGE}\s*(?:mol\s*/\s*l|mol/dm3|mol\s*l-1)(?![a-z])`, 'giu'), 'mol/L'],
  [new RegExp(String.raw`${RANGE}\s*M(?![A-Za-z])`, 'gu'), 'mol/L'],
  [new RegExp(String.raw`${RANGE}\s*mol\s*/\s*kg(?![a-z])`, 'giu'), 'mol/kg'],
  [new RegExp(String.raw`${RANGE}\s*g\s*/\s*l\s*(?:available|active|avail\.?)\s*chlorine`, 'giu'), 'Cl g/L'],
  [new RegExp(String.raw`${RANGE}\s*g\s*/\s*(?:l|dm3)(?![a-z])`, 'giu'), 'g/L'],
  [new RegExp(String.raw`${RANGE}\s*(?:vols?|volumes?)(?![a-z])`, 'giu'), 'vol'],
  // Hair peroxide is called by its volumes alone.
  [/(?<![\d.,])([1-4]0)()(?=\s+(?:cream )?developer)/giu, 'vol'],
  [new RegExp(String.raw`(?<!\p{L})(?:s\.?g\.?|sp\.? ?gr\.?|specific gravity)\s*:?\s*(${NUMBER})()`, 'giu'), 'SG'],
  [new RegExp(String.raw`${RANGE}\s*°?\s*(?:bé|baum[eé]|be)(?![a-z])`, 'giu'), 'Bé'],
  [new RegExp(String.raw`${RANGE}\s*°?\s*(?:tw|twaddell?)(?![a-z])`, 'giu'), 'Tw'],
  [new RegExp(String.raw`${RANGE}\s*°?\s*proof`, 'giu'), 'proof'],
  [new RegExp(String.raw`${RANGE}\s*ppm(?![a-z])`, 'giu'), 'ppm'],
];

export interface ReadStrength extends Strength {
  readonly band: number | null;
  readonly at: readonly [number, number];
  /** What “min.”, “approx.” or “up to” was taken for; null for a plain number. */
  readonly assumed: string | null;
}

/** Every strength written in the text, in the order they stand. */
export function readStrengths(claims: Claims, problems: Problem[]): readonly ReadStrength[] {
  const found: ReadStrength[] = [];
  for (;;) {
    const next = readStrength(claims, problems);
    if (!next) return found.sort((a, b) => a.at[0] - b.at[0]);
    found.push(next);
  }
}

/** The first strength written in the text, claimed where it stands; a refused one is a problem and claimed all the same. */
export function readStrength(claims: Claims, problems: Problem[]): ReadStrength | undefined {
  for (const [pattern, unit] of STRENGTHS) {
    const match = claims.free(pattern)[0];
    if (!match) continue;
    const at = [match.index, match.index + match[0].length] as const;
    const low = parseNumber(trimPoint(match[1] ?? ''));
    const high = match[2] ? parseNumber(trimPoint(match[2])) : undefined;
    if (!low.ok || (high && !high.ok)) {
      const refused = low.ok ? high : low;
      if (refused && !refused.ok) problems.push({ ...refused.problem, field: 'strength', at });
      claims.claim('strength', match, 'not understood');
      return undefined;
    }
    if (high?.ok && high.value <= low.value) {
      problems.push(
        problem('out-of-range', `A range runs from less to more; ${low.value} to ${high.value} does not.`, {
          field: 'strength',
          at,
        }),
      );
      claims.claim('strength', match, 'not understood');
      return undefined;
    }
    const word = claims.wordBefore(match.index, QUALIFIER);
    const plain = high?.ok
      ? { value: (low.value + high.value) / 2, band: (high.value - low.value) / 2, assumed: null }
      : { value: low.value, band: null, assumed: null };
    const { value, band, assumed } = word && !high?.ok ? qualified(itemAt(word, 1), low.value, unit) : plain;
    claims.claim('strength', widened(match, word), strengthReading({ value, band, unit }));
    return { value, unit, band, at, assumed };
  }
  return undefined;
}

/** What a strength is read as, shown under it. */
export function strengthReading({ value, band, unit }: Pick<ReadStrength, 'value' | 'band' | 'unit'>): string {
  return `${formatPlain(value, 4)}${band ? ` ± ${formatPlain(band, 4)}` : ''} ${strengthUnits[unit]}`;
}

const QUALIFIER =
  /(?:^|\s)(min(?:imum|\.)?|at least|not less than|≥|>=?|approx(?:imately|\.)?|about|circa|ca\.?|~|max(?:imum|\.)?|up to|less than|≤|<=?)\s*$/i;

/** What a word before a strength makes of it: a range, and the sentence that says so. */
function qualified(word: string, value: number, unit: StrengthUnit): { value: number; band: number; assumed: string } {
  const shown = `${formatPlain(value, 4)} ${strengthUnits[unit]}`;
  if (/^(?:min|at least|not less|≥|>)/i.test(word)) {
    const top = unit === 'w/w' && value > 90 ? 100 : value * 1.08;
    return {
      value: (value + top) / 2,
      band: Math.max((top - value) / 2, 1e-6),
      assumed: `“${word} ${shown}” is taken as ${formatPlain(value, 4)} to ${formatPlain(top, 4)}.`,
    };
  }
  if (/^(?:max|up to|less|≤|<)/i.test(word)) {
    return {
      value: value / 2,
      band: Math.max(value / 2, 1e-6),
      assumed: `“${word} ${shown}” is taken as anything from 0 to ${formatPlain(value, 4)}.`,
    };
  }
  return { value, band: Math.max(value * 0.1, 1e-6), assumed: `“${word} ${shown}” is taken as good to a tenth.` };
}

/** The match with the word before it, so that the word is not left over as part of the name. */
function widened(match: RegExpExecArray, word: RegExpExecArray | null): { index: number; 0: string } {
  return word ? { index: word.index, 0: `${word[0]}${match[0]}` } : match;
}

/** “1.” at the end of a sentence is 1. */
function trimPoint(digits: string): string {
  return digits.replace(/[.,]$/, '');
}
