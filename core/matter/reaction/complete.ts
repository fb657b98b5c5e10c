import { itemAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { listed } from '#base/units';
import { findSubstance, parseFormula } from '#matter/substance';
import { type Balanced, balance } from './balance.ts';

/** What comes of nearly everything in water. */
const COMMON = ['H2O', 'CO2'];
/** Elements come only of what holds them ready, peroxide or metal: not where the others do. Nitric acid is reduced before its hydrogen is. */
const elementsFrom = (left: readonly string[]) => [
  ...(left.some(givesHydrogen) && !left.includes('HNO3') ? ['H2'] : []),
  'O2',
];
/** Three that nobody wrote are the most that are found again without a guess. */
const MOST_ADDED = 3;
/** More candidates would take longer than one waits for a line. */
const MOST_CANDIDATES = 12;

/**
 * Balances an equation of which only the products of interest are written: water, gases and the salts that the ions left
 * over make are found, as few of them as balance it. Refused where no such set balances.
 */
export function complete(left: readonly string[], right: readonly string[]): Result<Balanced> {
  const plain = balance(`${left.join(' + ')} -> ${right.join(' + ')}`);
  if (plain.ok) return plain;
  const lacks = missing(right, elementsOf(left));
  if (lacks.length > 0) return fail('bad-formula', `${listed(lacks)} on the right comes of nothing on the left.`);
  const there = new Set([...left, ...right]);
  const passes = [
    [...COMMON, ...saltsOf(left)],
    [...COMMON, ...elementsFrom(left), ...saltsOf(left)],
    // Chalk and hydroxides precipitate where nothing else fits.
    [...saltsOf(left, WITH_BASES), ...COMMON],
  ];
  for (const pass of passes) {
    const candidates = pass.filter((each) => !there.has(each)).slice(0, MOST_CANDIDATES);
    for (let size = 1; size <= MOST_ADDED; size++)
      for (const added of choose(candidates, size)) {
        // What is on the left must be somewhere on the right.
        if (missing(left, elementsOf([...right, ...added])).length > 0) continue;
        const tried = balance(`${left.join(' + ')} -> ${[...right, ...added].join(' + ')}`);
        if (tried.ok) return ok(tried.value);
      }
  }
  const asks =
    left.includes('HNO3') && left.some(isMetal)
      ? 'Write which gas comes off: NO2 of strong nitric acid, NO of thin.'
      : 'Write what else comes of it.';
  return fail('bad-formula', `${plain.problem.message} ${asks}`);
}

function elementsOf(formulas: readonly string[]): ReadonlySet<string> {
  return new Set(
    formulas.flatMap((formula) => {
      const read = parseFormula(formula);
      return read.ok ? Object.keys(read.value.elements) : [];
    }),
  );
}

/** Elements of some formulas that are not among others. */
function missing(of: readonly string[], among: ReadonlySet<string>): readonly string[] {
  return [...elementsOf(of)].filter((element) => !among.has(element));
}

function* choose(from: readonly string[], size: number): Generator<readonly string[]> {
  if (size === 0) {
    yield [];
    return;
  }
  for (const [i, first] of from.entries())
    for (const rest of choose(from.slice(i + 1), size - 1)) yield [first, ...rest];
}

/** Metals that no acid takes hydrogen from: they stand below it in the series of potentials. */
const NOBLE: ReadonlySet<string> = new Set(['Cu', 'Ag', 'Au', 'Pt', 'Pd', 'Hg', 'Bi', 'Sb', 'As']);
/** Hydrogen comes of a metal, and never of salts, acids and bases among themselves. */
const givesHydrogen = (formula: string) => isMetal(formula) && !NOBLE.has(formula);

function isMetal(formula: string): boolean {
  const read = parseFormula(formula);
  const kinds = read.ok ? Object.keys(read.value.elements) : [];
  return kinds.length === 1 && !NON_METALS.has(itemAt(kinds, 0));
}

const NON_METALS: ReadonlySet<string> = new Set(['H', 'C', 'N', 'O', 'P', 'S', 'F', 'Cl', 'Br', 'I', 'He', 'Ne', 'Ar']);

interface Ion {
  readonly text: string;
  readonly charge: number;
}

/** Anions that leave as water and gas. */
const NO_SALT = ['O', 'OH', 'CO3', 'HCO3'];
const WITH_BASES = ['O', 'HCO3'];

/** Salts of every cation with every anion on the left. */
function saltsOf(left: readonly string[], without: readonly string[] = NO_SALT): readonly string[] {
  const ions = left.flatMap((formula) => ionsOf(formula));
  const cations = ions.filter(({ charge, text }) => charge > 0 && text !== 'H');
  const anions = ions.filter(({ charge, text }) => charge < 0 && !without.includes(text));
  return [...new Set(cations.flatMap((cation) => anions.map((anion) => saltOf(cation, anion))))];
}

/** Acids whose formula does not show what stays when their protons are gone. */
const ACIDS: Readonly<Record<string, readonly [text: string, charge: number]>> = {
  CH3COOH: ['CH3COO', -1],
  HCOOH: ['HCOO', -1],
  C3H6O3: ['C3H5O3', -1],
  C4H6O6: ['C4H4O6', -2],
  C6H8O7: ['C6H5O7', -3],
};

function ionsOf(formula: string): readonly Ion[] {
  const organic = ACIDS[itemAt(formula.split('.'), 0)];
  if (organic) return [{ text: organic[0], charge: organic[1] }];
  const substance = findSubstance(formula);
  const acid = /^H(\d?)([A-Z].*)$/.exec(formula);
  if (!substance?.ions && acid) return [{ text: itemAt(acid, 2), charge: -Number(acid[1] || 1) }];
  return (substance?.ions ?? []).map(([ion, , charge]) => ({ text: withoutCharge(ion, charge), charge }));
}

/** “SO4 2-” is SO4, “HCO3-” is HCO3, “Cu2+” is Cu. */
function withoutCharge(ion: string, charge: number): string {
  const size = Math.abs(charge);
  return ion.replace(size === 1 ? / ?[+-]$/ : new RegExp(` ?${size}[+-]$`), '');
}

function saltOf(cation: Ion, anion: Ion): string {
  const [a, b] = [-anion.charge, cation.charge];
  const divisor = gcd(a, b);
  return `${counted(cation.text, a / divisor)}${counted(anion.text, b / divisor)}`;
}

function counted(ion: string, n: number): string {
  if (n === 1) return ion;
  return /^[A-Z][a-z]?$/.test(ion) ? `${ion}${n}` : `(${ion})${n}`;
}

function gcd(a: number, b: number): number {
  return b === 0 ? a : gcd(b, a % b);
}
