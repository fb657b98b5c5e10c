import { type Formula, parseFormula } from './formula.ts';

// What a formula is, told by its atoms and never by the order they are written in: water of crystallisation is left out, and the
// oxidation state of the atom that decides is the same with it and without.

export type Atoms = Readonly<Record<string, number>>;

/** Highest charge that a metal brings to a salt. */
export const VALENCE: Readonly<Record<string, number>> = {
  ...each(1, 'Li Na K Rb Cs Ag'),
  ...each(2, 'Be Mg Ca Sr Ba Zn Cd Cu Hg Pb Ni Co'),
  ...each(3, 'Al Fe Cr Mn Au Ga In Tl Bi Sb La Ce Y Sc'),
  ...each(4, 'Sn Ti Zr Th'),
  ...each(6, 'U V W Mo'),
};
export const HALOGENS = ['F', 'Cl', 'Br', 'I'];

function each(charge: number, symbols: string): Record<string, number> {
  return Object.fromEntries(symbols.split(' ').map((symbol) => [symbol, charge]));
}

/** Its atoms, without its crystal water; undefined where it is no formula. A lone ion is judged as its sodium salt or its chloride. */
export function atomsIn(formula: string): Atoms | undefined {
  const read = parseFormula(formula);
  return read.ok ? neutral(dry(read.value), read.value.charge) : undefined;
}

function neutral(atoms: Atoms, charge: number): Atoms {
  if (charge === 0) return atoms;
  const partner = charge < 0 ? 'Na' : 'Cl';
  return { ...atoms, [partner]: of(atoms, partner) + Math.abs(charge) };
}

/** Its atoms without the water after the dot. */
function dry({ elements, water }: Formula): Atoms {
  const without: Record<string, number> = { ...elements };
  without.H = (without.H ?? 0) - 2 * water;
  without.O = (without.O ?? 0) - water;
  return Object.fromEntries(Object.entries(without).filter(([, n]) => n > 1e-9));
}

export function keyOfAtoms(atoms: Atoms): string {
  const least = Math.min(...Object.values(atoms).filter((n) => n > 0));
  const whole = Number.isInteger(least) ? 1 : 1 / least;
  return Object.entries(atoms)
    .map(([symbol, n]) => `${symbol}${Math.round(n * whole * 1000) / 1000}`)
    .sort()
    .join(' ');
}

export function of(atoms: Atoms, symbol: string): number {
  return atoms[symbol] ?? 0;
}

export function has(atoms: Atoms, ...symbols: readonly string[]): boolean {
  return symbols.every((symbol) => of(atoms, symbol) > 0);
}

export function only(atoms: Atoms, ...symbols: readonly string[]): boolean {
  return restOf(atoms, ...symbols).length === 0;
}

export function restOf(atoms: Atoms, ...without: readonly string[]): readonly string[] {
  return Object.keys(atoms).filter((symbol) => !without.includes(symbol));
}

export function isMetal(symbol: string): boolean {
  return VALENCE[symbol] !== undefined;
}

export function metalsOf(atoms: Atoms): readonly string[] {
  return Object.keys(atoms).filter(isMetal);
}

export function near(a: number, b: number): boolean {
  return Math.abs(a - b) < 0.01;
}

/** Mean oxidation state of an element whose neighbours have their usual ones; nitrogen counts as ammonium where there is hydrogen for it. */
export function stateOf(symbol: string, atoms: Atoms): number {
  let charge = 2 * of(atoms, 'O') - of(atoms, 'H');
  for (const metal of metalsOf(atoms)) if (metal !== symbol) charge -= (VALENCE[metal] ?? 0) * of(atoms, metal);
  if (symbol !== 'N' && has(atoms, 'N')) charge += (of(atoms, 'H') >= 3 * of(atoms, 'N') ? 3 : -5) * of(atoms, 'N');
  for (const halogen of HALOGENS) if (halogen !== symbol) charge += of(atoms, halogen);
  if (symbol !== 'S') charge -= 6 * of(atoms, 'S');
  if (symbol !== 'P') charge -= 5 * of(atoms, 'P');
  return charge / of(atoms, symbol);
}
