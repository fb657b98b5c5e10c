import { type Clash, materialClashes, type Present } from '#core/guard';
import { molarMass, substanceById } from '#core/substance';
import type { Contents, OwnVessel } from '#core/vessel';
import type { Context } from './context.ts';
import { contentsMass } from './walk-keep.ts';
import type { Walk } from './walker.ts';

/** What is in a vessel as the guard takes it: every substance at its strength in the whole. */
export function presentIn(contents: Contents): readonly Present[] {
  const mass = Math.max(1e-9, contentsMass(contents));
  return Object.entries(contents.amounts).flatMap(([substanceId, n]) => {
    const grams = n.value * molarMass(substanceById(substanceId)?.formula ?? 'H2O');
    return grams > 1e-6 ? [{ substanceId, pct: (100 * grams) / mass }] : [];
  });
}

/** Says what a vessel would suffer or give, with all that this run puts into it, as warm as it may get; worst first. */
export function vesselJudge({ plan }: Context, so: Walk): (vessel: OwnVessel) => readonly Clash[] {
  const warmest = Math.min(100, plan.bench.tempC + Math.max(0, ...so.heats.map(({ rise }) => rise.value)));
  const all = new Map<string, Present>();
  for (const contents of new Set(so.after.values()))
    for (const each of presentIn(contents))
      if (each.pct > (all.get(each.substanceId)?.pct ?? 0)) all.set(each.substanceId, each);
  const contents = [...all.values()];
  const byMaterial = new Map<string, readonly Clash[]>();
  return ({ material = 'glass', sacrificial = false }) => {
    if (sacrificial) return [];
    const known = byMaterial.get(material) ?? materialClashes(material, contents, warmest);
    byMaterial.set(material, known);
    return known;
  };
}

/** Whether nothing that the run puts in would eat a vessel. */
export function suits(clashes: readonly Clash[]): boolean {
  return clashes.every(({ severity }) => severity === 'caution');
}
