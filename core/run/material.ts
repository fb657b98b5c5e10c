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

/** What a vessel would suffer or give, with all that this run puts into it, as warm as it may get. */
export function vesselClashes({ plan }: Context, so: Walk, vessel: OwnVessel): readonly Clash[] {
  if (vessel.sacrificial) return [];
  const warmest = plan.bench.tempC + Math.max(0, ...so.heats.map(({ rise }) => rise.value));
  const all = new Map<string, Present>();
  for (const contents of so.after.values())
    for (const each of presentIn(contents))
      if (each.pct > (all.get(each.substanceId)?.pct ?? 0)) all.set(each.substanceId, each);
  return materialClashes(vessel.material ?? 'glass', [...all.values()], Math.min(100, warmest));
}

/** Whether nothing that the run puts in would eat a vessel. */
export function suitsContents(context: Context, so: Walk): (vessel: OwnVessel) => boolean {
  return (vessel) => vesselClashes(context, so, vessel).every(({ severity }) => severity === 'caution');
}
