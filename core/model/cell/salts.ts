import { allSubstances, type Substance, type SubstanceId, substanceOf } from '#matter/substance';
import { type Amounts, copyOf, nothing } from './liquid.ts';
import { anions, at, cations, charges, formulaOf, isA, masses, type SpeciesName, speciesNames } from './species.ts';

// Between what stands in a vessel by name and what a cell knows by ions: there and back without losing an atom.

type Parts = readonly (readonly [SpeciesName, number])[];

/** Ions that the cell counts as two. */
const IN_TWO: Readonly<Record<string, Parts>> = {
  'HSO4-': [
    ['H+', 1],
    ['SO4 2-', 1],
  ],
};

const isSpecies = (name: string): name is SpeciesName => Object.hasOwn(at, name);

/** The ions of one mol of a dissolved substance; null for what a cell does not know. */
export function ionsOf({ ions }: Substance): Parts | null {
  if (!ions) return null;
  const parts: (readonly [SpeciesName, number])[] = [];
  for (const [name, n] of ions) {
    const two = IN_TWO[name];
    if (two) parts.push(...two.map(([each, k]) => [each, k * n] as const));
    else if (isSpecies(name)) parts.push([name, n]);
    else return null;
  }
  return parts;
}

/** A solid, metal or gas of the cell’s list; null for every other. */
export function solidOf({ formula }: Substance): SpeciesName | null {
  return isSpecies(formula) && !isA(formula, 'ion') ? formula : null;
}

/** Adds so many mol of something dissolved to a liquid; false where the cell does not know its ions. */
export function dissolveInto(n: Amounts, substance: Substance, mol: number): boolean {
  const parts = ionsOf(substance);
  if (!parts) return false;
  for (const [name, k] of parts) n[at[name]] += k * mol;
  return true;
}

/** A salt of one cation and one anion. */
interface Salt {
  readonly id: SubstanceId;
  readonly cation: number;
  readonly anion: number;
  readonly cations: number;
  readonly anions: number;
}

let salts: ReadonlyMap<number, Salt> | undefined;

/** The salt of a cation and an anion, by their places; the first that the substances name. */
function saltOf(cation: number, anion: number): Salt | undefined {
  salts ??= new Map(
    saltsKnown()
      .toReversed()
      .map((each) => [pairOf(each.cation, each.anion), each] as const),
  );
  return salts.get(pairOf(cation, anion));
}

const pairOf = (cation: number, anion: number): number => cation * speciesNames.length + anion;

function saltsKnown(): readonly Salt[] {
  return allSubstances.flatMap((substance): readonly Salt[] => {
    if (substance.species !== substance.id || substance.water === 'insoluble' || substance.water === 'gas') return [];
    const parts = ionsOf(substance);
    if (parts?.length !== 2) return [];
    const [cation] = parts.filter(([name]) => charges[at[name]] > 0);
    const [anion] = parts.filter(([name]) => charges[at[name]] < 0);
    if (!cation || !anion) return [];
    return [{ id: substance.id, cation: at[cation[0]], anion: at[anion[0]], cations: cation[1], anions: anion[1] }];
  });
}

/** What a liquid holds, as salts, acids and bases by name, with solids and metals; water apart, g. */
export interface Named {
  readonly dissolved: readonly (readonly [SubstanceId, number])[];
  readonly solid: readonly (readonly [SubstanceId, number])[];
  readonly waterMol: number;
}

/**
 * A liquid by name: heavy cations take the strong anions first, and what is left is acid or base. Which salt a mixture “is” is a
 * way of writing it; atoms and charge are kept. Null where a pair of ions has no name here.
 */
export function namedOf(n: Amounts): Named | null {
  const left = copyOf(n);
  const dissolved = new Map<SubstanceId, number>();
  let waterMol = n[at.H2O];
  for (const cation of ORDER) {
    for (const anion of anions) {
      const [i, j] = [at[cation], at[anion]];
      if (left[i] < TRACE || left[j] < TRACE) continue;
      if (cation === 'H+' && anion === 'OH-') {
        const x = Math.min(left[i], left[j]);
        left[i] -= x;
        left[j] -= x;
        waterMol += x;
        continue;
      }
      const salt = saltOf(i, j);
      if (!salt) continue;
      const x = Math.min(left[i] / salt.cations, left[j] / salt.anions);
      left[i] -= x * salt.cations;
      left[j] -= x * salt.anions;
      dissolved.set(salt.id, (dissolved.get(salt.id) ?? 0) + x);
    }
  }
  for (const name of [...cations, ...anions]) if (left[at[name]] > 1e-6) return null;
  const solid: (readonly [SubstanceId, number])[] = [];
  for (const name of speciesNames) {
    if (isA(name, 'ion') || isA(name, 'gas') || name === 'H2O' || !(n[at[name]] > TRACE)) continue;
    const found = substanceNamed(formulaOf(name));
    if (!found) return null;
    solid.push([found, n[at[name]]]);
  }
  return { dissolved: [...dissolved], solid, waterMol };
}

const TRACE = 1e-9;
/** Cations in the order in which they take their anions. */
const ORDER: readonly SpeciesName[] = ['Cu2+', 'Zn2+', 'Fe2+', 'Mg2+', 'Na+', 'K+', 'H+'];

const byFormula = new Map<string, SubstanceId | undefined>();

/** The pure substance of a formula. */
export function substanceNamed(formula: string): SubstanceId | undefined {
  if (!byFormula.has(formula))
    byFormula.set(formula, allSubstances.find((each) => each.formula === formula && each.form !== 'dissolved')?.id);
  return byFormula.get(formula);
}

/** A liquid of water and what is dissolved in it, with what a cell does not know. */
export function liquidOf(
  waterG: number,
  parts: readonly (readonly [SubstanceId, number])[],
): { readonly n: Amounts; readonly unknown: readonly SubstanceId[] } {
  const n = nothing();
  n[at.H2O] = waterG / masses[at.H2O];
  const unknown: SubstanceId[] = [];
  for (const [id, mol] of parts) {
    const substance = substanceOf(id);
    const species = substanceOf(substance.species);
    if (dissolveInto(n, species, mol)) continue;
    const solid = solidOf(substance);
    if (solid) n[at[solid]] += mol;
    else unknown.push(id);
  }
  return { n, unknown };
}
