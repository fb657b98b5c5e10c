import { must } from '#base/lookup';
import { refusedElements, refusedOnes } from '#matter/data';
import { atomsIn, has, keyOfAtoms } from './atoms.ts';
import { refusedKinds } from './refused-kinds.ts';

/** Something that is known and not planned here, with the one reason. */
export interface Refused {
  readonly name: string;
  readonly why: string;
  /** What kind of danger it is: “energetic”, “too toxic”. */
  readonly category: string;
}

const ONE_BY_ATOMS = new Map(
  refusedOnes.flatMap(([formulas, name, category, why]) =>
    formulas
      .split(' ')
      .map((formula): [string, Refused] => [keyOfAtoms(must(atomsIn(formula), 'formula')), { name, category, why }]),
  ),
);

const KNOWN = new Map<string, Refused | null>();

/**
 * Whether a formula is of something that is known and not planned: by its atoms, in any order, as a hydrate or not. A judgement
 * by groups: isomers that only their structure tells apart count as the dangerous one where that one is the usual.
 */
export function refusedFormula(formula: string): Refused | undefined {
  const known = KNOWN.get(formula);
  if (known !== undefined) return known ?? undefined;
  const found = judged(formula);
  if (KNOWN.size > 5000) KNOWN.clear();
  KNOWN.set(formula, found ?? null);
  return found;
}

function judged(formula: string): Refused | undefined {
  const atoms = atomsIn(formula);
  if (!atoms) return undefined;
  const one = ONE_BY_ATOMS.get(keyOfAtoms(atoms));
  if (one) return one;
  const kind = refusedKinds.find(({ is }) => is(atoms));
  if (kind) return { name: kind.name, category: kind.category, why: kind.why };
  for (const [symbol, { name, category, why }] of Object.entries(refusedElements))
    if (has(atoms, symbol)) return { name, category, why };
  return undefined;
}
