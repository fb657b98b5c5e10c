import { type Problem, problem } from '#core/problem';
import { type Strength, type StrengthUnit, strengthUnits } from '#core/solution';
import { formatPlain, parseNumber } from '#core/units';
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
  [new RegExp(String.raw`(?:s\.?g\.?|sp\.? ?gr\.?|specific gravity)\s*:?\s*(${NUMBER})()`, 'giu'), 'SG'],
  [new RegExp(String.raw`${RANGE}\s*°?\s*(?:bé|baum[eé]|be)(?![a-z])`, 'giu'), 'Bé'],
  [new RegExp(String.raw`${RANGE}\s*°?\s*(?:tw|twaddell?)(?![a-z])`, 'giu'), 'Tw'],
  [new RegExp(String.raw`${RANGE}\s*°?\s*proof`, 'giu'), 'proof'],
  [new RegExp(String.raw`${RANGE}\s*ppm(?![a-z])`, 'giu'), 'ppm'],
];

export interface ReadStrength extends Strength {
  readonly band: number | null;
  readonly at: readonly [number, number];
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
    const value = high?.ok ? (low.value + high.value) / 2 : low.value;
    const band = high?.ok ? (high.value - low.value) / 2 : null;
    claims.claim(
      'strength',
      match,
      `${formatPlain(value, 4)}${band ? ` ± ${formatPlain(band, 4)}` : ''} ${strengthUnits[unit]}`,
    );
    return { value, unit, band, at };
  }
  return undefined;
}

/** “1.” at the end of a sentence is 1. */
function trimPoint(digits: string): string {
  return digits.replace(/[.,]$/, '');
}
