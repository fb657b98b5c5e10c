import { allSubstances, parseFormula, type SubstanceId, substanceById } from '#matter/substance';
import type { ReactionTerm } from './reaction.ts';
import { chargeOfAnion } from './salt.ts';

type Ions = readonly (readonly [ion: string, count: number, charge: number])[];
/** Cations by their name, mol for each mol. */
type Cations = readonly (readonly [ion: string, count: number])[];

/** What gives H+ away, with what it leaves: an anion, and cations that were its own. */
export interface Acid {
  readonly id: SubstanceId;
  /** mol of H+ that it gives up to about pH 8. */
  readonly protons: number;
  readonly anion: string;
  readonly cations: Cations;
  /** What it is besides without its H+: the ammonia of an ammonium. */
  readonly gives: readonly ReactionTerm[];
}

/** What takes H+ up, with its cations and what it becomes. */
export interface Base {
  readonly id: SubstanceId;
  readonly takes: number;
  readonly cations: Cations;
  readonly gives: readonly ReactionTerm[];
}

/** Acids that the record holds as molecules, stronger ones first, with the anion they come to at about pH 8. */
const MOLECULES: readonly (readonly [id: SubstanceId, anion: string])[] = [
  ['sulfamic-acid', 'NH2SO3-'],
  ['phosphoric-acid', 'HPO4 2-'],
  ['oxalic-acid', 'C2O4 2-'],
  ['citric-acid', 'Cit 3-'],
  ['tartaric-acid', 'Tar 2-'],
  ['malic-acid', 'Mal 2-'],
  ['salicylic-acid', 'HSal-'],
  ['formic-acid', 'HCOO-'],
  ['glycolic-acid', 'Glyc-'],
  ['lactic-acid', 'Lac-'],
  ['gluconic-acid', 'Gluc-'],
  ['ascorbic-acid', 'HAsc-'],
  ['benzoic-acid', 'C6H5COO-'],
  ['adipic-acid', 'Adip 2-'],
  ['acetic-acid', 'CH3COO-'],
];

/** Bases that the record holds by formula: cation, its charge, how many, and mol of carbon dioxide. */
const BY_FORMULA: readonly (readonly [
  id: SubstanceId,
  cation: string,
  charge: number,
  count: number,
  carbonates: number,
])[] = [
  ['calcium-oxide', 'Ca2+', 2, 1, 0],
  ['magnesium-oxide', 'Mg2+', 2, 1, 0],
  ['basic-zinc-carbonate', 'Zn2+', 2, 5, 2],
  ['zinc-oxide', 'Zn2+', 2, 1, 0],
  ['basic-magnesium-carbonate', 'Mg2+', 2, 5, 4],
  ['copper-carbonate', 'Cu2+', 2, 2, 1],
  ['copper-oxide', 'Cu2+', 2, 1, 0],
];

/** H+ that an ion takes up, with the water and the carbon dioxide it becomes. */
const TAKES: Readonly<Record<string, { readonly protons: number; readonly water: number; readonly gas: number }>> = {
  'OH-': { protons: 1, water: 1, gas: 0 },
  'CO3 2-': { protons: 2, water: 1, gas: 1 },
  'HCO3-': { protons: 1, water: 1, gas: 1 },
};

/** Salts of the record that are no hydrates. */
const salts = () =>
  allSubstances.flatMap(({ id, species, ions }) => (id === species && ions ? [{ id, ions: ions as Ions }] : []));

const saltsOf = (ion: string) => salts().filter(({ ions }) => ions.some(([each]) => each === ion));

export const strongAcids = (): readonly Acid[] =>
  (['sulfuric-acid', 'hydrochloric-acid', 'nitric-acid'] as const).flatMap((id) => {
    const ions: Ions = substanceById(id)?.ions ?? [];
    const protons = ions.find(([ion]) => ion === 'H+')?.[1] ?? 0;
    return ions.flatMap(([anion, , charge]) => (charge < 0 ? [{ id, protons, anion, cations: [], gives: [] }] : []));
  });

export const weakAcids = (): readonly Acid[] =>
  MOLECULES.map(([id, anion]) => ({ id, protons: chargeOfAnion(anion), anion, cations: [], gives: [] }));

/** Hydrogensulfates or hydrogencarbonates of sodium and potassium, which become the salt `to`. */
export function acidSalts(from: string, to: string): readonly Acid[] {
  return saltsOf(from).flatMap(({ id, ions }) => {
    const others = ions.filter(([ion]) => ion !== from);
    // An ammonium beside it would be freed too: such a salt is left to its recipe.
    if (others.some(([ion]) => ion !== 'Na+' && ion !== 'K+')) return [];
    return [{ id, protons: 1, anion: to, cations: others.map(([ion, n]) => [ion, n] as const), gives: [] }];
  });
}

/** An ammonium salt gives its H+ to lye, and is ammonia. */
export const ammoniums = (): readonly Acid[] =>
  saltsOf('NH4+').flatMap(({ id, ions }) => {
    const count = ions.find(([ion]) => ion === 'NH4+')?.[1] ?? 0;
    const [other, ...more] = ions.filter(([ion]) => ion !== 'NH4+');
    if (!other || more.length > 0 || TAKES[other[0]]) return [];
    return [{ id, protons: count, anion: other[0], cations: [], gives: [{ substanceId: 'ammonia', n: count }] }];
  });

const LYES: readonly SubstanceId[] = ['sodium-hydroxide', 'potassium-hydroxide', 'calcium-hydroxide'];

export const lyes = (): readonly Base[] => LYES.flatMap(ofIons);

/** Every base, what is dissolved before what lies on the bottom. */
export function bases(): readonly Base[] {
  const rest = salts()
    .filter(({ id }) => !LYES.includes(id))
    .flatMap(({ id }) => ofIons(id));
  const lies = ({ id }: Base) => Number(substanceById(id)?.water === 'insoluble');
  const ammonia: Base = { id: 'ammonia', takes: 1, cations: [['NH4+', 1]], gives: [] };
  return [...lyes(), ammonia, ...[...rest].sort((a, b) => lies(a) - lies(b)), ...BY_FORMULA.map(byFormula)];
}

/** Salts of weak acids, which take the H+ of a strong one and become the weak acid. */
export const saltsOfWeakAcids = (): readonly Base[] =>
  MOLECULES.flatMap(([acid, anion]) =>
    saltsOf(anion).flatMap(({ id, ions }): readonly Base[] => {
      const count = ions.find(([ion]) => ion === anion)?.[1] ?? 0;
      const cations = ions.flatMap(([ion, n, charge]) => (charge > 0 ? [[ion, n] as const] : []));
      if (cations.length !== ions.length - 1 || cations.some(([ion]) => ion === 'H+')) return [];
      return [{ id, takes: count * chargeOfAnion(anion), cations, gives: [{ substanceId: acid, n: count }] }];
    }),
  );

function ofIons(id: SubstanceId): readonly Base[] {
  const ions: Ions = substanceById(id)?.ions ?? [];
  const anions = ions.filter(([, , charge]) => charge < 0);
  if (anions.length === 0 || anions.some(([ion]) => !TAKES[ion])) return [];
  const sum = (of: 'protons' | 'water' | 'gas') =>
    anions.reduce((all, [ion, n]) => all + n * (TAKES[ion]?.[of] ?? 0), 0);
  const cations = ions.flatMap(([ion, n, charge]) => (charge > 0 ? [[ion, n] as const] : []));
  return [{ id, takes: sum('protons'), cations, gives: [...gas(sum('gas')), ...water(sum('water'))] }];
}

function byFormula([id, cation, charge, count, carbonates]: (typeof BY_FORMULA)[number]): Base {
  const takes = count * charge;
  const read = parseFormula(substanceById(id)?.formula ?? '');
  const hydrogen = read.ok ? (read.value.elements.H ?? 0) : 0;
  return {
    id,
    takes,
    cations: [[cation, count]],
    gives: [...gas(carbonates), ...water((hydrogen + takes) / 2)],
  };
}

const water = (n: number): readonly ReactionTerm[] => (n > 0 ? [{ substanceId: 'water', n }] : []);
const gas = (n: number): readonly ReactionTerm[] => (n > 0 ? [{ substanceId: 'carbon-dioxide', n }] : []);
