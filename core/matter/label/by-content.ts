import { type Problem, problem } from '#base/problem';
import { parseNumber } from '#base/units';
import { molarMass, parseFormula, type Substance, type SubstanceId } from '#matter/substance';
import type { Claims } from './claims.ts';
import type { ReadStrength } from './read-strength.ts';

/** A strength said by what can be had from it: “15.5 % N” of a fertiliser, “65 % available chlorine” of a pool chemical. */
export interface ContentSaid {
  readonly of: 'nitrogen' | 'available chlorine';
  readonly pct: number;
  readonly unit: 'w/w' | 'w/v';
}

const NUMBER = String.raw`\d[\d.,]*`;
const PER = String.raw`\(?(w\s*/\s*w|w\s*/\s*v|m\s*/\s*v|by (?:mass|weight))?\)?`;
const NITROGEN = new RegExp(String.raw`(${NUMBER})\s*%\s*()N(?![\p{L}\p{N}])`, 'gu');
const CHLORINE = new RegExp(
  String.raw`(${NUMBER})\s*%\s*${PER}\s*(?:of )?(?:available|active|avail\.?)\s+chlorine`,
  'giu',
);
const CHLORINE_FIRST = new RegExp(
  String.raw`(?:available|active|avail\.?)\s+chlorine:?\s*(${NUMBER})\s*%\s*${PER}`,
  'giu',
);

/** Cl2 that sets free as much iodine as one formula unit does. */
const CHLORINE_OF: Readonly<Partial<Record<SubstanceId, number>>> = {
  'sodium-hypochlorite': 1,
  'calcium-hypochlorite': 2,
  'sodium-dichloroisocyanurate': 2,
  'sodium-dichloroisocyanurate-anhydrous': 2,
  'trichloroisocyanuric-acid': 3,
};

/** A content written on the label, claimed where it stands. */
export function readContent(claims: Claims): ContentSaid | undefined {
  for (const [pattern, of] of [
    [CHLORINE, 'available chlorine'],
    [CHLORINE_FIRST, 'available chlorine'],
    [NITROGEN, 'nitrogen'],
  ] as const) {
    const match = claims.free(pattern)[0];
    const number = match && parseNumber(match[1] ?? '');
    if (!match || !number?.ok) continue;
    const unit = /v/i.test(match[2] ?? '') ? 'w/v' : 'w/w';
    claims.claim('strength', match, `${number.value} % ${unit === 'w/v' ? 'w/v ' : ''}of ${of}`);
    return { of, pct: number.value, unit };
  }
  return undefined;
}

/** The strength that a content stands for; more of it than the substance holds means another substance. */
export function strengthByContent(
  substance: Substance,
  { of, pct, unit }: ContentSaid,
  problems: Problem[],
): ReadStrength | undefined {
  const most = of === 'nitrogen' ? nitrogenIn(substance) : chlorineIn(substance);
  const refuse = (sentence: string) => {
    problems.push(problem('impossible-strength', sentence, { field: 'strength' }));
    return undefined;
  };
  const name = substance.name.charAt(0).toUpperCase() + substance.name.slice(1);
  if (most === 0) {
    return of === 'nitrogen'
      ? refuse(`${name} holds no nitrogen: what is the “% N” of?`)
      : refuse(`${name} is no source of available chlorine here: what is the “% available chlorine” of?`);
  }
  if (pct > most * 1.03) {
    return of === 'nitrogen'
      ? refuse(
          `${name} holds ${most.toFixed(1)} % of nitrogen; ${pct} % is another fertiliser. At 26 to 27 % it is ammonium nitrate with limestone, which is not used here.`,
        )
      : refuse(`${name} has ${most.toFixed(1)} % of available chlorine when pure; ${pct} % is another product.`);
  }
  const value = Number(Math.min(100, (100 * pct) / most).toPrecision(3));
  const assumed =
    of === 'nitrogen' ? null : `${pct} % of available chlorine is ${value} % of ${substance.name}, when it was packed.`;
  return { value, unit, band: null, at: [0, 0], assumed };
}

/** Whether a content can be had from a substance at all. */
export function carries(substance: Substance, of: ContentSaid['of']): boolean {
  return (of === 'nitrogen' ? nitrogenIn(substance) : chlorineIn(substance)) > 0;
}

/** % by mass of the pure substance. */
function nitrogenIn({ formula }: Substance): number {
  const read = parseFormula(formula);
  const n = read.ok ? (read.value.elements.N ?? 0) : 0;
  return (100 * n * molarMass('N')) / molarMass(formula);
}

function chlorineIn({ id, formula }: Substance): number {
  return (100 * (CHLORINE_OF[id] ?? 0) * molarMass('Cl2')) / molarMass(formula);
}
