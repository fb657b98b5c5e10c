import { numberAt } from '#core/lookup';
import { computeOf, type Figure } from './figure.ts';
import { normal, seeded } from './random.ts';

export interface Spread {
  readonly samples: number;
  readonly mean: number;
  readonly sd: number;
  /** 2.5, 50 and 97.5 % of the samples lie below. */
  readonly low: number;
  readonly median: number;
  readonly high: number;
}

interface Node {
  readonly value: number;
  /** Where it stands among the values of a sample. */
  readonly index: number;
  readonly compute: ((x: Record<string, number>) => number) | undefined;
  readonly inputs: readonly (readonly [string, number])[];
  /** [source, effect] of the uncertainty that enter here. */
  readonly own: readonly (readonly [number, number])[];
  /** Filled again for every sample; one object a node keeps ten thousand samples from making garbage. */
  readonly x: Record<string, number>;
}

/** Samples between two breaths: at each the caller may stop, or let others have a turn. */
const CHUNK = 100;
/** Labels and purities are taken as rectangles, everything else as normal. */
const RECTANGULAR = /^(?:label|purity|weight|band):/;

/**
 * Monte Carlo over a figure's own working (JCGM 101:2008): every independent source of uncertainty is drawn once a sample and
 * carried through the very functions that made the figure. Yields after each hundred samples, so that a caller can drop
 * it; returns the spread at the end. For figures made in this thread. `seed` makes it repeatable.
 */
export function* spreadOf(figure: Figure, samples: number, seed: number): Generator<number, Spread> {
  const { nodes, sources } = lay(figure);
  const random = seeded(seed);
  const draws = new Float64Array(sources.length);
  const values = new Float64Array(nodes.length);
  const results = new Float64Array(samples);
  for (let i = 0; i < samples; i++) {
    for (let s = 0; s < sources.length; s++) draws[s] = sources[s] ? Math.sqrt(3) * (2 * random() - 1) : normal(random);
    for (const node of nodes) values[node.index] = sample(node, values, draws);
    results[i] = numberAt(values, nodes.length - 1);
    if ((i + 1) % CHUNK === 0) yield i + 1;
  }
  // Where a draw lies beyond a table there is no answer: what can be said is of those that have one.
  return summary(results.filter(Number.isFinite));
}

function sample({ value, compute, inputs, own, x }: Node, values: Float64Array, draws: Float64Array): number {
  let result = value;
  if (compute) {
    for (const [symbol, at] of inputs) x[symbol] = numberAt(values, at);
    result = compute(x);
  }
  for (const [source, effect] of own) result += effect * numberAt(draws, source);
  return result;
}

/** The figures below one, causes first, with the sources of uncertainty and where each enters. */
function lay(figure: Figure): { nodes: Node[]; sources: boolean[] } {
  const nodes: Node[] = [];
  const indexes = new Map<Figure, number>();
  const sourceIds: string[] = [];
  const sourceOf = (id: string) => {
    const at = sourceIds.indexOf(id);
    return at >= 0 ? at : sourceIds.push(id) - 1;
  };
  const visit = (each: Figure): number => {
    const known = indexes.get(each);
    if (known !== undefined) return known;
    const compute = computeOf(each);
    const under = compute && each.origin.by === 'formula' ? Object.entries(each.origin.inputs) : [];
    const inputs = under.map(([symbol, input]) => [symbol, visit(input)] as const);
    const inherited = new Set(under.flatMap(([, input]) => Object.keys(input.uncertainty)));
    const own = Object.entries(each.uncertainty)
      .filter(([id]) => !inherited.has(id))
      .map(([id, { effect }]) => [sourceOf(id), effect] as const);
    const index = nodes.length;
    nodes.push({ value: each.value, index, compute, inputs, own, x: {} });
    indexes.set(each, index);
    return index;
  };
  visit(figure);
  return { nodes, sources: sourceIds.map((id) => RECTANGULAR.test(id)) };
}

function summary(results: Float64Array): Spread {
  const n = results.length;
  let sum = 0;
  for (const value of results) sum += value;
  const mean = sum / n;
  let squares = 0;
  for (const value of results) squares += (value - mean) ** 2;
  results.sort();
  const at = (share: number) => numberAt(results, Math.min(n - 1, Math.floor(share * n)));
  return { samples: n, mean, sd: Math.sqrt(squares / n), low: at(0.025), median: at(0.5), high: at(0.975) };
}
