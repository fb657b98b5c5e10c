import { refusedElements } from '#matter/data';
import { type Atoms, atomsIn, has, isMetal, metalsOf, near, of, only, restOf, VALENCE } from './atoms.ts';
import { refusedKinds } from './refused-kinds.ts';

/** What is told of a thing by its formula alone, where no record holds it. */
export interface FormulaHazards {
  /** What it counts as where it meets something. */
  readonly classes: readonly string[];
  /** Codes of its hazard statements, with blanks between; empty where none are told by a formula. */
  readonly statements: string;
}

/** Salts of metals or ammonium by the atoms of their anion, and what they count as. */
const SALTS: readonly (readonly [classes: readonly string[], is: (atoms: Atoms) => boolean])[] = [
  [['carbonate'], (a) => isSaltOf(a, { C: 1, O: 3 }, 2)],
  [['nitrate'], (a) => isSaltOf(a, { N: 1, O: 3 }, 1)],
  [['nitrite'], (a) => isSaltOf(a, { N: 1, O: 2 }, 1)],
  [['hypochlorite'], (a) => isSaltOf(a, { Cl: 1, O: 1 }, 1)],
  [['sulfite'], (a) => isSaltOf(a, { S: 1, O: 3 }, 2)],
  [['sulfite', 'metabisulfite'], (a) => isSaltOf(a, { S: 2, O: 5 }, 2)],
  [['thiosulfate'], (a) => isSaltOf(a, { S: 2, O: 3 }, 2)],
  [['sulfite', 'dithionite'], (a) => isSaltOf(a, { S: 2, O: 4 }, 2)],
  [['persulfate'], (a) => isSaltOf(a, { S: 2, O: 8 }, 2)],
  [['halate'], (a) => isSaltOf(a, { I: 1, O: 3 }, 1)],
  [['thiocyanate'], (a) => isSaltOf(a, { C: 1, N: 1, S: 1 }, 1)],
  [['iodide'], (a) => isSaltOf(a, { I: 1 }, 1)],
  [['bromide'], (a) => isSaltOf(a, { Br: 1 }, 1)],
  [['permanganate'], (a) => has(a, 'Mn') && near(of(a, 'O'), 4 * of(a, 'Mn')) && metalsOf(a).length === 2],
  [['alkali_strong'], (a) => ALKALI.some((metal) => has(a, metal) && only(a, metal, 'O', 'H') && has(a, 'O', 'H'))],
  [['metal_active'], (a) => Object.keys(a).length === 1 && ACTIVE.some((metal) => has(a, metal))],
];
const ALKALI = ['Li', 'Na', 'K', 'Rb', 'Cs', 'Ba'];
const ACTIVE = ['Mg', 'Al', 'Zn', 'Mn', 'Sn'];

/** Ammonium, which lye sets free as ammonia. */
const isAmmonium = (atoms: Atoms) => has(atoms, 'N', 'H') && of(atoms, 'H') >= 4 && !has(atoms, 'C');

/** By groups of atoms: what no group tells is not known, and not harmless. */
export function hazardsOfFormula(formula: string): FormulaHazards {
  const atoms = atomsIn(formula);
  if (!atoms) return { classes: [], statements: '' };
  const kind = refusedKinds.find(({ is }) => is(atoms));
  if (kind) return kind;
  const element = Object.entries(refusedElements).find(([symbol]) => has(atoms, symbol));
  if (element) return element[1];
  const salts = SALTS.flatMap(([classes, is]) => (is(atoms) ? classes : []));
  return { classes: isAmmonium(atoms) ? [...salts, 'ammonia'] : salts, statements: '' };
}

/** Whether all that is not metal, ammonium or hydrogen is there in the share of an anion, and the charges come out. */
function isSaltOf(atoms: Atoms, anion: Atoms, charge: number): boolean {
  const symbols = Object.keys(anion);
  const [first = ''] = symbols;
  const n = of(atoms, first) / of(anion, first);
  // Nitrogen beside that of the anion is ammonium’s, hydrogen beside that an acid salt’s.
  const ammonium = of(atoms, 'N') - n * of(anion, 'N');
  const metals = metalsOf(atoms);
  if (!(n > 0) || ammonium < -0.01 || (metals.length === 0 && ammonium < 0.01)) return false;
  if (restOf(atoms, ...symbols, 'N', 'H').some((each) => !isMetal(each))) return false;
  if (!symbols.every((symbol) => symbol === 'N' || near(of(atoms, symbol), n * of(anion, symbol)))) return false;
  if (metals.some((metal) => !FIXED.includes(metal))) return true;
  const hydrogen = of(atoms, 'H') - 4 * ammonium;
  const cations = metals.reduce((sum, metal) => sum + (VALENCE[metal] ?? 0) * of(atoms, metal), ammonium + hydrogen);
  return near(cations, n * charge);
}

/** Metals that have one charge in their salts. */
const FIXED = ['Li', 'Na', 'K', 'Rb', 'Cs', 'Mg', 'Ca', 'Sr', 'Ba', 'Zn', 'Al'];
