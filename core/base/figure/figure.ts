import { add, combine, exact, type Measured, standardUncertainty } from '#base/units';

/** A established to the last figure shown, B handbooks differ somewhat, C single or estimated: shown as “about”. */
export type Grade = 'A' | 'B' | 'C';

export type Origin =
  | { readonly by: 'given'; readonly how: string }
  | { readonly by: 'datum'; readonly source: string; readonly grade: Grade }
  | {
      readonly by: 'formula';
      /** As a person would write it; every key of `inputs` stands in it as its symbol. */
      readonly formula: string;
      readonly inputs: Readonly<Record<string, Figure>>;
      /** The law it rests on and how far it holds, where that is not plain arithmetic. */
      readonly law?: { readonly source: string; readonly grade: Grade };
    };

/** A number with its unit, its uncertainty and how it came about. */
export interface Figure extends Measured {
  readonly kind: 'figure';
  readonly symbol: string;
  readonly name: string;
  readonly unit: string;
  readonly origin: Origin;
}

interface Naming {
  readonly symbol: string;
  readonly name: string;
  readonly unit: string;
}

/** A number that somebody or something states: a label, a person's target, a reading. */
export function given(naming: Naming, value: number | Measured, how: string): Figure {
  const { value: number, uncertainty } = typeof value === 'number' ? exact(value) : value;
  return { kind: 'figure', ...naming, value: number, uncertainty, origin: { by: 'given', how } };
}

/** A number from a table, with where it stands and how good it is. */
export function datum(naming: Naming, value: number | Measured, from: { source: string; grade: Grade }): Figure {
  const { value: number, uncertainty } = typeof value === 'number' ? exact(value) : value;
  return {
    kind: 'figure',
    ...naming,
    value: number,
    uncertainty,
    origin: { by: 'datum', source: from.source, grade: from.grade },
  };
}

/**
 * A number worked out from others. `formula` is shown, `compute` is done; the keys of `inputs` are the symbols in both.
 * Uncertainty is carried through `compute` to first order.
 */
export function derive<K extends string>(
  naming: Naming,
  formula: string,
  inputs: Readonly<Record<K, Figure>>,
  compute: (values: Readonly<Record<K, number>>) => number,
  law?: { source: string; grade: Grade },
): Figure {
  const { value, uncertainty } = combine(inputs, compute);
  const origin: Computed = law
    ? { by: 'formula', formula, inputs, law, [COMPUTE]: compute as Compute }
    : { by: 'formula', formula, inputs, [COMPUTE]: compute as Compute };
  return { kind: 'figure', ...naming, value, uncertainty, origin };
}

/** The sum of figures, shown as such: its uncertainty is exact, and a thousand of them cost a thousand steps, not a million. */
export function sumOf(naming: Naming, inputs: Readonly<Record<string, Figure>>): Figure {
  const { value, uncertainty } = add(...Object.values(inputs));
  const compute: Compute = (values) => Object.values(values).reduce((a, b) => a + b, 0);
  const origin: Computed = { by: 'formula', formula: Object.keys(inputs).join(' + '), inputs, [COMPUTE]: compute };
  return { kind: 'figure', ...naming, value, uncertainty, origin };
}

type Compute = (values: Readonly<Record<string, number>>) => number;

// What a formula does stands under a symbol: figures cross to other threads and into JSON as plain data, without it.
const COMPUTE = Symbol('compute');
type Computed = Extract<Origin, { by: 'formula' }> & { readonly [COMPUTE]?: Compute };

/** The function behind a derived figure; undefined for others, and for figures that came from another thread. */
export function computeOf(figure: Figure): Compute | undefined {
  return figure.origin.by === 'formula' ? (figure.origin as Computed)[COMPUTE] : undefined;
}

/** The same number under another name or symbol. */
export function relabel(figure: Figure, naming: Partial<Naming>): Figure {
  return { ...figure, ...naming };
}

export function sdOf(figure: Figure): number {
  return standardUncertainty(figure);
}

/** True when anything it rests on is grade C: the interface then says “about”. */
export function isAbout(figure: Figure, seen = new Set<Figure>()): boolean {
  if (seen.has(figure)) return false;
  seen.add(figure);
  const { origin } = figure;
  if (origin.by === 'datum') return origin.grade === 'C';
  if (origin.by === 'given') return false;
  if (origin.law?.grade === 'C') return true;
  return Object.values(origin.inputs).some((input) => isAbout(input, seen));
}
