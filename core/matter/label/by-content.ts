import { type Problem, problem } from '#base/problem';
import { parseNumber } from '#base/units';
import { allSubstances, molarMass, parseFormula, type Substance, type SubstanceId } from '#matter/substance';
import type { Claims } from './claims.ts';
import type { ReadStrength } from './read-strength.ts';
import { namesIn } from './read-substance.ts';

/** A strength said by what can be had from it: “15.5 % N” of a fertiliser, “65 % available chlorine” of a pool chemical. */
export interface ContentSaid {
  /** Or the formula of an element or oxide of which the label gives the per cent. */
  readonly of: 'nitrogen' | 'available chlorine' | Part;
  readonly pct: number;
  readonly unit: 'w/w' | 'w/v';
}

/** Elements and oxides by which trace salts and fertilisers are labelled. */
const PARTS = [
  'Fe',
  'Zn',
  'Mn',
  'Cu',
  'B',
  'Mg',
  'Ca',
  'K',
  'S',
  'Mo',
  'Co',
  'P',
  'MgO',
  'CaO',
  'K2O',
  'P2O5',
  'SO3',
  'B2O3',
] as const;
type Part = (typeof PARTS)[number];

const NUMBER = String.raw`\d[\d.,]*`;
const PER = String.raw`\(?(w\s*/\s*w|w\s*/\s*v|m\s*/\s*v|by (?:mass|weight))?\)?`;
const NITROGEN = new RegExp(String.raw`(${NUMBER})\s*%\s*()N(?![\p{L}\p{N}])`, 'gu');
const OF_PART = new RegExp(String.raw`(${NUMBER})\s*%\s*()(?:of )?(${PARTS.join('|')})(?![\p{L}\p{N}])`, 'gu');
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
  return partSaid(claims);
}

/** “20 % Fe” of a salt that is named besides; of a label that names nothing else it is the strength of that itself. */
function partSaid(claims: Claims): ContentSaid | undefined {
  for (const match of claims.free(OF_PART)) {
    const number = parseNumber(match[1] ?? '');
    const of = PARTS.find((each) => each === match[3]);
    const end = match.index + match[0].length;
    const named = namesIn(claims).filter((each) => each.index >= end || each.index + each[0].length <= match.index);
    if (!number.ok || of === undefined || !named.some(({ substance }) => sharePct(substance, of) > 0)) continue;
    claims.claim('strength', match, `${number.value} % of ${of}`);
    return { of, pct: number.value, unit: 'w/w' };
  }
  return undefined;
}

/** The hydrate of a salt whose content is nearest above what the label gives; the salt itself where none is. */
export function hydrateByContent(substance: Substance, { of, pct }: ContentSaid): Substance {
  if (of === 'nitrogen' || of === 'available chlorine' || substance.species !== substance.id) return substance;
  const fits = allSubstances
    .filter((each) => each.species === substance.species && sharePct(each, of) * OVER >= pct)
    .sort((a, b) => sharePct(a, of) - sharePct(b, of));
  return fits[0] ?? substance;
}

/** What a label may round up. */
const OVER = 1.03;

/** % by mass of an element, or of it counted as an oxide, in the pure substance. */
function sharePct({ formula }: Substance, part: Part): number {
  const [salt, counted] = [parseFormula(formula), parseFormula(part)];
  if (!salt.ok || !counted.ok) return 0;
  const element = Object.keys(counted.value.elements).find((symbol) => symbol !== 'O') ?? '';
  const n = (salt.value.elements[element] ?? 0) / (counted.value.elements[element] ?? 1);
  return (100 * n * molarMass(part)) / molarMass(formula);
}

/** The strength that a content stands for; more of it than the substance holds means another substance. */
export function strengthByContent(
  substance: Substance,
  { of, pct, unit }: ContentSaid,
  problems: Problem[],
): ReadStrength | undefined {
  const most = contentOf(substance, of);
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
  if (of !== 'nitrogen' && of !== 'available chlorine') {
    if (pct > most * OVER)
      return refuse(`${name} holds ${most.toFixed(1)} % of ${of}; ${pct} % is another salt, or another hydrate of it.`);
    const value = Number(Math.min(100, (100 * pct) / most).toPrecision(3));
    return { value, unit, band: null, at: [0, 0], assumed: `${pct} % of ${of} is ${value} % of ${substance.name}.` };
  }
  if (pct > most * OVER) {
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
  return contentOf(substance, of) > 0;
}

function contentOf(substance: Substance, of: ContentSaid['of']): number {
  if (of === 'nitrogen') return nitrogenIn(substance);
  return of === 'available chlorine' ? chlorineIn(substance) : sharePct(substance, of);
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
