import { type Caution, type CautionFacts, type CautionId, cautionFor, classesOf, quenchSays } from '#core/guard';
import type { PlanFacts } from '#core/plan';
import { coolsTo } from '#core/technique';
import type { Material } from '#core/vessel';
import { gasOf, gasTotals } from './gas.ts';
import type { Walk } from './walk.ts';

/** Classes of what bites as an acid. */
const ACIDS = ['acid_strong', 'acid_weak', 'acid_nitric', 'formic_oxalic'];

type StepFacts = Omit<CautionFacts, 'riseK' | 'gases' | 'quench'>;

/** The cautions of each step, computed for these amounts in this place. */
export function cautionsByStep(
  facts: PlanFacts,
  walk: Walk,
  volumes: { readonly foamMl: number; readonly liquidMl: number },
  material: Material,
): Record<string, readonly Caution[]> {
  const by: Record<string, readonly Caution[]> = {};
  const shared = sharedFacts(facts, volumes);
  for (const [i, step] of facts.steps.entries()) {
    const riseK = walk.heats.find((each) => each.step === step.id)?.rise.value ?? null;
    const gases = step.cautions.some((id) => OF_GAS.has(id)) ? gasesAfter(facts, walk, i) : [];
    // A hot liquor that is cooled: the boil stands before the cold.
    const cold = coolsTo(step.op, facts);
    const quench = cold === null ? '' : quenchSays(material, 98, cold);
    const ids: readonly CautionId[] = quench === '' ? step.cautions : [...step.cautions, 'quench'];
    const said = ids.flatMap((id) => cautionFor(id, { ...shared, gases, riseK, quench }) ?? []);
    if (said.length > 0) by[step.id] = said;
  }
  return by;
}

function sharedFacts(facts: PlanFacts, volumes: { foamMl: number; liquidMl: number }): StepFacts {
  const bottles = Object.entries(facts.contents);
  const acids = bottles.flatMap(([role, { substance, w }]) => {
    const classes = classesOf(substance.id, w.value);
    if (!ACIDS.some((each) => classes.has(each))) return [];
    return [{ substanceId: substance.id, name: facts.names[role] ?? role, pct: w.value }];
  });
  return {
    acids,
    products: bottles.map(([, { substance, w }]) => ({ substanceId: substance.id, pct: w.value })),
    roomM3: facts.bench.roomM3,
    startC: facts.bench.tempC,
    ...volumes,
  };
}

/** Cautions that are about the gas of a step. */
const OF_GAS: ReadonlySet<CautionId> = new Set(['hydrogen', 'foam', 'ammonia-gas']);

/** All gases of a step, or of the next one that gives some, or of the one before; litres. */
function gasesAfter(facts: PlanFacts, { gases }: Walk, at: number): CautionFacts['gases'] {
  const later = new Set(facts.steps.slice(at).map(({ id }) => id));
  const first = gases.find((each) => later.has(each.step)) ?? gases[0];
  return gasTotals(gases.filter((each) => each.step === first?.step)).map(({ id, amount }) => ({
    id,
    litres: gasOf(facts, id, amount).volume.value,
  }));
}
