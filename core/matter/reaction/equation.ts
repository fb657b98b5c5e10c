import { fail, ok, type Result } from '#base/problem';
import { type Formula, parseFormula } from '#matter/substance';

export interface Species {
  /** As typed, without a leading count. */
  readonly text: string;
  readonly formula: Formula;
}

export interface Equation {
  readonly left: readonly Species[];
  readonly right: readonly Species[];
}

const ARROW = /\s*(?:<=>|<->|⇌|->|→|⟶|=)\s*/;
const STATE = /\((?:aq|s|l|g)\)$/i;
const ELECTRON: Formula = { elements: {}, charge: -1, water: 0 };
/** More species than any bench reaction has; the arithmetic is exact and would only get slow. */
const MOST_SPECIES = 24;

/** Reads “KMnO4 + H2O2 -> MnSO4 + O2”: sides separated by =, -> or →, species by +, counts and states passed over. */
export function parseEquation(text: string): Result<Equation> {
  const sides = text.trim().split(ARROW);
  if (sides.length !== 2 || sides.some((side) => side.trim() === '')) {
    return fail('bad-formula', 'An equation has two sides separated by -> or =, such as H2 + O2 -> H2O.');
  }
  const [left, right] = sides.map((side) => parseSide(side));
  if (!left?.ok) return left ?? fail('bad-formula', 'The left side is empty.');
  if (!right?.ok) return right ?? fail('bad-formula', 'The right side is empty.');
  if (left.value.length + right.value.length > MOST_SPECIES) {
    return fail('too-large', `More than ${MOST_SPECIES} species are not balanced here.`);
  }
  return ok({ left: left.value, right: right.value });
}

function parseSide(side: string): Result<readonly Species[]> {
  const species: Species[] = [];
  for (const part of splitSpecies(side)) {
    const bare = part.replace(STATE, '').trim();
    const text = bare.replace(/^\d+\s*(?=[A-Za-z([{])/, '').trim();
    if (text === '' || text.startsWith('+'))
      return fail('bad-formula', `“${side.trim()}” has an empty place; put one formula between two plus signs.`);
    if (/^e(?:\^?[-⁻−])$/.test(text)) {
      species.push({ text: 'e-', formula: ELECTRON });
      continue;
    }
    const formula = parseFormula(text);
    if (!formula.ok) return formula;
    species.push({ text, formula: formula.value });
  }
  return ok(species);
}

/** Parts at “ + ”, and at a + without spaces where a new formula begins behind it (Fe3++Cl2 is Fe3+ and Cl2). */
function splitSpecies(side: string): string[] {
  return side.split(/\s+\+\s+/).flatMap((part) => part.trim().split(/\+(?=[A-Z([{\d])/));
}
