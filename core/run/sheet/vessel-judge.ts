import type { OwnVessel } from '#matter/gear';
import { type Clash, materialClashes, type Present, presentIn } from '#matter/guard';
import { at } from '#matter/vessel';
import type { PlanFacts } from '#run/plan';
import type { Walk } from './walk.ts';

/** Says what a vessel would suffer or give, with all that this run puts into it, as warm as it may get; worst first. */
export function vesselJudge(
  { bench, steps }: PlanFacts,
  { outcomes, heats }: Walk,
): (vessel: Pick<OwnVessel, 'material' | 'sacrificial'>) => readonly Clash[] {
  const simmers = steps.some(({ op, cautions }) => op.do === 'boil-down' || cautions.includes('hot-liquid'));
  const warmest = simmers ? 98 : Math.min(100, bench.tempC + Math.max(0, ...heats.map(({ rise }) => rise.value)));
  const all = new Map<string, Present>();
  for (const contents of new Set([...outcomes.values()].map(({ vessels }) => at(vessels, 'pot'))))
    for (const each of presentIn(contents))
      if (each.pct > (all.get(each.substanceId)?.pct ?? 0)) all.set(each.substanceId, each);
  const present = [...all.values()];
  const byMaterial = new Map<string, readonly Clash[]>();
  return ({ material = 'glass', sacrificial = false }) => {
    if (sacrificial) return [];
    const known = byMaterial.get(material) ?? materialClashes(material, present, warmest);
    byMaterial.set(material, known);
    return known;
  };
}

/** Whether nothing that the run puts in would eat a vessel. */
export function suits(clashes: readonly Clash[]): boolean {
  return clashes.every(({ severity }) => severity === 'caution');
}
