import type { Figure } from './figure.ts';

/** A result as JSON: every figure stands once in `figures`; elsewhere `{ "$figure": n }` points at it. */
export interface Packed {
  readonly result: unknown;
  readonly figures: readonly unknown[];
}

export function pack(result: unknown): Packed {
  const figures: unknown[] = [];
  const numbers = new Map<object, number>();
  const walk = (node: unknown): unknown => {
    if (typeof node !== 'object' || node === null) return node;
    if (Array.isArray(node)) return node.map(walk);
    if (!isFigure(node)) return mapValues(node, walk);
    let number = numbers.get(node);
    if (number === undefined) {
      const plain = mapValues(node, walk);
      number = figures.push(plain) - 1;
      numbers.set(node, number);
    }
    return { $figure: number };
  };
  return { result: walk(result), figures };
}

/** The inverse of {@link pack}; shared figures are shared again. */
export function unpack(packed: Packed): unknown {
  const built: unknown[] = [];
  const walk = (node: unknown): unknown => {
    if (typeof node !== 'object' || node === null) return node;
    if (Array.isArray(node)) return node.map(walk);
    if ('$figure' in node && typeof node.$figure === 'number') return figure(node.$figure);
    return mapValues(node, walk);
  };
  // A figure's causes always have smaller numbers, since pack() numbers them first.
  const figure = (n: number): unknown => {
    if (built[n] === undefined) built[n] = mapValues(packed.figures[n] as object, walk);
    return built[n];
  };
  return walk(packed.result);
}

function isFigure(node: object): node is Figure {
  return 'kind' in node && node.kind === 'figure';
}

function mapValues(node: object, f: (value: unknown) => unknown): Record<string, unknown> {
  // fromEntries keeps a key such as __proto__ as a plain key.
  return Object.fromEntries(Object.entries(node).map(([key, value]) => [key, f(value)]));
}
