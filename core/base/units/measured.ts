import { entryOf } from '#base/lookup';
/** How one independent source of uncertainty moves a value by one standard uncertainty, in the value's own unit, signed. */
export interface Uncertainty {
  readonly name: string;
  readonly effect: number;
}

/**
 * A value with its first-order dependence on named, independent sources of uncertainty. Two values that lean on the same
 * source (one label, one balance) carry the same key, so that its effects add with their signs, and cancel where they should.
 * Method: JCGM 100:2008 (GUM), 5.1-5.2, by central differences instead of written derivatives.
 */
export interface Measured {
  readonly value: number;
  readonly uncertainty: Readonly<Record<string, Uncertainty>>;
}

const NO_UNCERTAINTY: Readonly<Record<string, Uncertainty>> = Object.freeze({});

export function exact(value: number): Measured {
  return { value, uncertainty: NO_UNCERTAINTY };
}

/** A value with one source of uncertainty; `sd` is its standard uncertainty, not negative. */
export function uncertain(value: number, sd: number, source: { id: string; name: string }): Measured {
  if (!(sd >= 0)) throw new RangeError(`standard uncertainty must not be negative: ${sd}`);
  return { value, uncertainty: sd === 0 ? NO_UNCERTAINTY : { [source.id]: { name: source.name, effect: sd } } };
}

/** Root of the sum of squares over the independent sources. */
export function standardUncertainty(measured: Measured): number {
  let sum = 0;
  for (const key in measured.uncertainty) sum += entryOf(measured.uncertainty, key).effect ** 2;
  return Math.sqrt(sum);
}

/**
 * f of several values. Each input's slope is taken by a central difference over a thousandth of its uncertainty:
 * small enough to stay first order, large enough to keep seven digits.
 */
export function combine<K extends string>(
  inputs: Readonly<Record<K, Measured>>,
  f: (values: Readonly<Record<K, number>>) => number,
): Measured {
  const keys = Object.keys(inputs) as K[];
  const values = {} as Record<K, number>;
  for (const key of keys) values[key] = inputs[key].value;
  const value = f(values);
  const uncertainty: Record<string, Uncertainty> = {};
  for (const key of keys) {
    const input = inputs[key];
    const sd = standardUncertainty(input);
    if (sd === 0) continue;
    const steep = slope(f, values, key, sd * 1e-3);
    // What does not move it (the reagent that does not limit) is no uncertainty of it.
    if (steep !== 0) addScaled(uncertainty, input.uncertainty, steep);
  }
  return { value, uncertainty };
}

/** A straight sum keeps its uncertainty exactly, without differences. */
export function add(...terms: readonly Measured[]): Measured {
  const uncertainty: Record<string, Uncertainty> = {};
  let value = 0;
  for (const term of terms) {
    value += term.value;
    addScaled(uncertainty, term.uncertainty, 1);
  }
  return { value, uncertainty };
}

export function scale(measured: Measured, factor: number): Measured {
  const uncertainty: Record<string, Uncertainty> = {};
  addScaled(uncertainty, measured.uncertainty, factor);
  return { value: measured.value * factor, uncertainty };
}

export interface Share {
  readonly id: string;
  readonly name: string;
  /** Part of the variance, 0 to 1. */
  readonly share: number;
}

/** Who is to blame for the uncertainty, largest first; empty for an exact value. */
export function budget(measured: Measured): readonly Share[] {
  const variance = standardUncertainty(measured) ** 2;
  if (variance === 0) return [];
  return Object.entries(measured.uncertainty)
    .map(([id, { name, effect }]) => ({ id, name, share: effect ** 2 / variance }))
    .sort((a, b) => b.share - a.share);
}

/** Adds the effects of a value to a set that is still being put together: the only objects here that change. */
function addScaled(into: Record<string, Growing>, from: Readonly<Record<string, Uncertainty>>, factor: number): void {
  for (const id in from) {
    const { name, effect } = entryOf(from, id);
    const before = into[id];
    if (before === undefined) into[id] = { name, effect: effect * factor };
    else before.effect += effect * factor;
  }
}

type Growing = { -readonly [K in keyof Uncertainty]: Uncertainty[K] };

function slope<K extends string>(f: (v: Record<K, number>) => number, values: Record<K, number>, key: K, h: number) {
  // One scratch object serves all differences; it is put back as it was.
  const x = values[key];
  values[key] = x + h;
  const up = f(values);
  values[key] = x - h;
  const down = f(values);
  values[key] = x;
  if (Number.isFinite(up) && Number.isFinite(down)) return (up - down) / (2 * h);
  // At the edge of what exists (a mass fraction of 1) only one side can be asked.
  return Number.isFinite(up) ? (up - f(values)) / h : (f(values) - down) / h;
}
