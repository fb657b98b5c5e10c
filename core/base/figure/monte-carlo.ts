import { doubleAt } from '#base/lookup';
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

/** An independent source of uncertainty, with what was drawn of it for this sample. */
interface Source {
  readonly id: string;
  readonly rectangular: boolean;
  drawn: number;
}

interface Node {
  readonly value: number;
  readonly compute: ((x: Record<string, number>) => number) | undefined;
  readonly inputs: readonly (readonly [string, Node])[];
  /** Sources of uncertainty that enter here, with their effect. */
  readonly own: readonly (readonly [Source, number])[];
  /** What it is in this sample. */
  sampled: number;
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
  const { nodes, sources, top } = lay(figure);
  const random = seeded(seed);
  const results = new Float64Array(samples);
  for (let i = 0; i < samples; i++) {
    for (const source of sources)
      source.drawn = source.rectangular ? Math.sqrt(3) * (2 * random() - 1) : normal(random);
    for (const node of nodes) node.sampled = sample(node);
    results[i] = top.sampled;
    if ((i + 1) % CHUNK === 0) yield i + 1;
  }
  // Where a draw lies beyond a table there is no answer: what can be said is of those that have one.
  return summary(results.filter(Number.isFinite));
}

function sample({ value, compute, inputs, own, x }: Node): number {
  let result = value;
  if (compute) {
    for (const [symbol, input] of inputs) x[symbol] = input.sampled;
    result = compute(x);
  }
  for (const [source, effect] of own) result += effect * source.drawn;
  return result;
}

/** The figures below one, causes first, with the sources of uncertainty and where each enters. */
function lay(figure: Figure): { nodes: readonly Node[]; sources: readonly Source[]; top: Node } {
  const known = new Map<Figure, Node>();
  const sources: Source[] = [];
  const sourceOf = (id: string): Source => {
    const had = sources.find((each) => each.id === id);
    if (had) return had;
    const source = { id, rectangular: RECTANGULAR.test(id), drawn: 0 };
    sources.push(source);
    return source;
  };
  const visit = (each: Figure): Node => {
    const had = known.get(each);
    if (had) return had;
    const compute = computeOf(each);
    const under = compute && each.origin.by === 'formula' ? Object.entries(each.origin.inputs) : [];
    const inputs = under.map(([symbol, input]) => [symbol, visit(input)] as const);
    const inherited = new Set(under.flatMap(([, input]) => Object.keys(input.uncertainty)));
    const own = Object.entries(each.uncertainty)
      .filter(([id]) => !inherited.has(id))
      .map(([id, { effect }]) => [sourceOf(id), effect] as const);
    const node: Node = { value: each.value, compute, inputs, own, sampled: each.value, x: {} };
    known.set(each, node);
    return node;
  };
  const top = visit(figure);
  // Entered once what is below them was: causes come first.
  return { nodes: [...known.values()], sources, top };
}

function summary(results: Float64Array): Spread {
  const n = results.length;
  let sum = 0;
  for (const value of results) sum += value;
  const mean = sum / n;
  let squares = 0;
  for (const value of results) squares += (value - mean) ** 2;
  results.sort();
  const at = (share: number) => doubleAt(results, Math.min(n - 1, Math.floor(share * n)));
  return { samples: n, mean, sd: Math.sqrt(squares / n), low: at(0.025), median: at(0.5), high: at(0.975) };
}
