/** From and until, minutes of a week or of any clock. */
export type Stretch = readonly [from: number, to: number];

/** Stretches that are in both. */
export function both(a: readonly Stretch[], b: readonly Stretch[]): readonly Stretch[] {
  return a.flatMap(([from, to]) =>
    b.flatMap(([f, t]): readonly Stretch[] => {
      const [lo, hi] = [Math.max(from, f), Math.min(to, t)];
      return hi > lo ? [[lo, hi]] : [];
    }),
  );
}

/** What of the first is not in the second. */
export function without(a: readonly Stretch[], b: readonly Stretch[]): readonly Stretch[] {
  return b.reduce<readonly Stretch[]>(
    (left, [f, t]) =>
      left.flatMap(([from, to]): readonly Stretch[] =>
        t <= from || f >= to
          ? [[from, to]]
          : [[from, Math.min(to, f)] as const, [Math.max(from, t), to] as const].filter(([lo, hi]) => hi > lo),
      ),
    a,
  );
}

/** Stretches in order, those that touch made one. */
export function joined(all: readonly Stretch[], gapMin = 0): readonly Stretch[] {
  const out: [number, number][] = [];
  for (const [from, to] of [...all].sort((a, b) => a[0] - b[0])) {
    const last = out.at(-1);
    if (last && from <= last[1] + gapMin) last[1] = Math.max(last[1], to);
    else out.push([from, to]);
  }
  return out;
}

export const lengthOf = (all: readonly Stretch[]): number => all.reduce((sum, [from, to]) => sum + to - from, 0);

/** Whether two stretches share more than an instant. */
export const meets = ([f, t]: Stretch, [from, to]: Stretch): boolean => f < to - 1e-9 && t > from + 1e-9;
