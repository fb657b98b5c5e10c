import type { Material, OwnVessel } from '#matter/gear';
import { type Clash, materialClashes, type Present, presentIn } from '#matter/guard';
import { at } from '#matter/vessel';
import type { PlanFacts } from '#run/plan';
import type { Walk } from './walk.ts';

/** °C of what boils down, and of what is poured, filtered or stirred hot. */
const AT_THE_BOIL_C = 98;
const HOT_C = 85;

/** Says what a vessel would suffer or give at any step of this run, with what is in it then and as warm as it is then; worst first. */
export function vesselJudge(
  { bench, steps }: PlanFacts,
  { outcomes, before, heats }: Walk,
): (vessel: Pick<OwnVessel, 'material' | 'sacrificial'>) => readonly Clash[] {
  const stages = steps.flatMap(({ id, op, cautions }) => {
    const rise = Math.max(0, ...heats.filter(({ step }) => step === id).map((each) => each.rise.value));
    const warmed = Math.min(100, bench.tempC + rise);
    const set = cautions.includes('hot-liquid') ? HOT_C : bench.tempC;
    const tempC = op.do === 'boil-down' ? AT_THE_BOIL_C : Math.max(set, warmed);
    const all = [before.get(id), outcomes.get(id)?.vessels];
    return all.flatMap((vessels) => (vessels ? [{ tempC, present: presentIn(at(vessels, 'pot')) }] : []));
  });
  const byMaterial = new Map<string, readonly Clash[]>();
  return ({ material = 'glass', sacrificial = false }) => {
    if (sacrificial) return [];
    const known = byMaterial.get(material) ?? clashesAt(material, stages);
    byMaterial.set(material, known);
    return known;
  };
}

function clashesAt(
  material: Material,
  stages: readonly { readonly tempC: number; readonly present: readonly Present[] }[],
): readonly Clash[] {
  const said = new Map<string, Clash>();
  for (const { tempC, present } of stages)
    for (const clash of materialClashes(material, present, tempC)) said.set(clash.sentence, clash);
  return [...said.values()].sort((a, b) => RANK[a.severity] - RANK[b.severity]);
}

const RANK = { refuse: 0, danger: 1, caution: 2 } as const;

/** Whether nothing that the run puts in would eat a vessel. */
export function suits(clashes: readonly Clash[]): boolean {
  return clashes.every(({ severity }) => severity === 'caution');
}
