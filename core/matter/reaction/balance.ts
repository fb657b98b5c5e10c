import { itemAt, numberAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { type Equation, parseEquation, type Species } from './equation.ts';

export interface Balanced {
  readonly equation: Equation;
  /** Smallest whole coefficients, positive on both sides, in the order written. */
  readonly coefficients: readonly number[];
  /** Said when a rule beyond atoms and charge was needed. */
  readonly note: string | null;
}

/**
 * Balances an equation exactly, in whole numbers, atoms and charge. Where several independent reactions fit, peroxide
 * giving oxygen is settled by where that oxygen comes from (the peroxide; Cahill and Taube, J. Am. Chem. Soc. 74, 2312,
 * 1952, with labelled oxygen); any others are reported, not guessed.
 */
export function balance(text: string): Result<Balanced> {
  const parsed = parseEquation(text);
  if (!parsed.ok) return parsed;
  const equation = parsed.value;
  const species = [...equation.left, ...equation.right];
  const signs = species.map((_, i) => (i < equation.left.length ? 1 : -1));
  const rows = conservation(species, signs);
  const basis = nullSpace(rows, species.length);
  if (basis.length === 0) return fail('bad-formula', cannot(species, signs));
  if (basis.length === 1) return settle(equation, itemAt(basis, 0), null);
  const origin = peroxideRow(equation);
  const narrowed = origin ? nullSpace([...rows, origin], species.length) : [];
  if (narrowed.length === 1) {
    return settle(
      equation,
      itemAt(narrowed, 0),
      'Atoms and charge alone leave a choice, since peroxide can also decay by itself; the oxygen is taken to come from the peroxide.',
    );
  }
  const told = basis.map((vector) => describe(equation, whole(vector))).join('; ');
  return fail(
    'several-reactions',
    `${basis.length} independent reactions fit, so the mixture decides: ${told}. Balance them one by one.`,
  );
}

function settle(equation: Equation, vector: readonly bigint[], note: string | null): Result<Balanced> {
  const coefficients = whole(vector);
  const wrong = coefficients.findIndex((c) => c <= 0);
  if (wrong < 0) return ok({ equation, coefficients, note });
  const { text } = itemAt([...equation.left, ...equation.right], wrong);
  const why = coefficients[wrong] === 0 ? 'takes no part in it' : 'would have to stand on the other side';
  return fail('bad-formula', `As written it does not balance with every species: ${text} ${why}.`);
}

/** One row for each element and one for charge; the right side counts negative. */
function conservation(species: readonly Species[], signs: readonly number[]): bigint[][] {
  const elements = [...new Set(species.flatMap(({ formula }) => Object.keys(formula.elements)))];
  const count = (get: (each: Species) => number) => species.map((each, i) => get(each) * numberAt(signs, i));
  const rows = elements.map((element) => count(({ formula }) => formula.elements[element] ?? 0));
  rows.push(count(({ formula }) => formula.charge));
  return rows.map(integers);
}

/** A row in whole numbers: half molecules of water are doubled away. */
function integers(row: readonly number[]): bigint[] {
  const factor =
    [1, 2, 3, 4, 5, 6, 10, 12, 20, 60, 100].find((f) => row.every((x) => Math.abs(x * f - Math.round(x * f)) < 1e-9)) ??
    1000;
  return row.map((x) => BigInt(Math.round(x * factor)));
}

/** Peroxide on the left and oxygen on the right, with an oxidant beside them: as many O2 as H2O2. */
function peroxideRow({ left, right }: Equation): bigint[] | undefined {
  const is = (species: Species, elements: Record<string, number>) =>
    Object.keys(species.formula.elements).length === Object.keys(elements).length &&
    Object.entries(elements).every(([symbol, n]) => species.formula.elements[symbol] === n);
  const peroxide = left.findIndex((each) => is(each, { H: 2, O: 2 }));
  const oxygen = right.findIndex((each) => is(each, { O: 2 }));
  if (peroxide < 0 || oxygen < 0 || left.length < 2) return undefined;
  const row = Array.from({ length: left.length + right.length }, () => 0n);
  row[peroxide] = 1n;
  row[left.length + oxygen] = -1n;
  return row;
}

/**
 * Whole-number basis of the null space, by fraction-free elimination (Bareiss-like, exact in BigInt).
 * Each vector is scaled to whole numbers without a common factor.
 */
export function nullSpace(rows: readonly (readonly bigint[])[], width: number): bigint[][] {
  const m = rows.map((row) => [...row]);
  const pivots: number[] = [];
  let rank = 0;
  for (let column = 0; column < width && rank < m.length; column++) {
    const at = m.findIndex((row, i) => i >= rank && row[column] !== 0n);
    if (at < 0) continue;
    [m[rank], m[at]] = [itemAt(m, at), itemAt(m, rank)];
    const pivotRow = itemAt(m, rank);
    const pivot = itemAt(pivotRow, column);
    for (const [i, row] of m.entries()) {
      const factor = itemAt(row, column);
      if (i === rank || factor === 0n) continue;
      for (let k = 0; k < width; k++) row[k] = itemAt(row, k) * pivot - factor * itemAt(pivotRow, k);
      reduce(row);
    }
    pivots.push(column);
    rank += 1;
  }
  const free = Array.from({ length: width }, (_, i) => i).filter((i) => !pivots.includes(i));
  return free.map((column) => {
    // Every pivot divides the free variable's value, so that all come out whole.
    const scale = pivots.reduce(
      (product, p, i) =>
        lcm(
          product,
          itemAt(itemAt(m, i), p) /
            gcd(
              itemAt(itemAt(m, i), p),
              itemAt(itemAt(m, i), column) === 0n ? itemAt(itemAt(m, i), p) : itemAt(itemAt(m, i), column),
            ),
        ),
      1n,
    );
    const vector = Array.from({ length: width }, () => 0n);
    vector[column] = scale;
    for (const [i, p] of pivots.entries())
      vector[p] = (-itemAt(itemAt(m, i), column) * scale) / itemAt(itemAt(m, i), p);
    reduce(vector);
    return vector;
  });
}

function reduce(row: bigint[]): void {
  const divisor = row.reduce((g, x) => gcd(g, x), 0n);
  if (divisor > 1n) for (const [i, x] of row.entries()) row[i] = x / divisor;
}

function gcd(a: bigint, b: bigint): bigint {
  let x = a < 0n ? -a : a;
  let y = b < 0n ? -b : b;
  while (y !== 0n) [x, y] = [y, x % y];
  return x;
}

function lcm(a: bigint, b: bigint): bigint {
  const g = gcd(a, b);
  const product = g === 0n ? 0n : (a / g) * b;
  return product < 0n ? -product : product;
}

/** Turned so that the first coefficient that is not 0 is positive. */
function whole(vector: readonly bigint[]): number[] {
  const sign = (vector.find((x) => x !== 0n) ?? 1n) < 0n ? -1n : 1n;
  return vector.map((x) => Number(x * sign));
}

function cannot(species: readonly Species[], signs: readonly number[]): string {
  const elements = [...new Set(species.flatMap(({ formula }) => Object.keys(formula.elements)))];
  const lonely = elements.find((element) => {
    const sides = new Set(species.flatMap(({ formula }, i) => (formula.elements[element] ? [signs[i]] : [])));
    return sides.size === 1;
  });
  return lonely
    ? `${lonely} stands on one side only, so nothing balances it.`
    : 'No set of whole numbers balances its atoms and charge; a species is missing or mistyped.';
}

/** A basis vector as a reaction: what counts positive on the left stands left. */
function describe({ left, right }: Equation, vector: readonly number[]): string {
  const terms = [...left, ...right].map((species, i) => ({
    text: species.text,
    n: i < left.length ? numberAt(vector, i) : -numberAt(vector, i),
  }));
  const side = (sign: number) =>
    terms
      .filter(({ n }) => n * sign > 0)
      .map(({ n, text }) => `${Math.abs(n) === 1 ? '' : `${Math.abs(n)} `}${text}`)
      .join(' + ');
  return `${side(1)} → ${side(-1)}`;
}

/** “2 KMnO4 + 5 H2O2 + … → …”. */
export function balancedText({ equation, coefficients }: Balanced): string {
  const { left, right } = equation;
  const side = (list: readonly Species[], from: number) =>
    list.map(({ text }, i) => `${coefficients[from + i] === 1 ? '' : `${coefficients[from + i]} `}${text}`).join(' + ');
  return `${side(left, 0)} → ${side(right, left.length)}`;
}
