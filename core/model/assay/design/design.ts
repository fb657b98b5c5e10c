import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { USUAL_BURETTE } from '#matter/gear';
import { molarMass } from '#matter/substance';
import type { Method, Pair } from '#model/method';
import { weighingSd } from '#model/method';
import { LEVEL, type Told } from '../record/fold.ts';
import type { AssayPlan } from '../record/plan.ts';
import { resultOf, type Setting, settingOf } from '../reduce/reduce.ts';

/** A way to assay a bottle, worked out to its amounts, with what it can reach. */
export interface Design {
  readonly plan: AssayPlan;
  /** g or mL; null for methods that do not titrate. */
  readonly titre: number | null;
  /** ± % of the strength that three replicates reach, 95 %. */
  readonly reachesPct: number;
  /** What most of it comes from. */
  readonly mostly: string;
  readonly remarks: readonly string[];
}

/** Titre by mass that is well read and not tedious, g; share of a burette that is. */
const GOOD_TITRE_G = 20;
const GOOD_SHARE = 0.7;
/** Replicates that a design is judged by. */
export const REPLICATES = 3;
/** What a burette's marks are to blame for. */
const BY_VOLUME: ReadonlySet<string> = new Set(['titre', 'burette']);
/** Part of the tolerance that weighing the sample may take. */
const WEIGHING_SHARE = 0.3;
/** Lightest sample that is handled well, g; heaviest that a flask takes. */
const LIGHTEST_G = 0.2;
const HEAVIEST_G = 100;
const LIGHTEST_DILUTED_G = 2;

/** The plan with its amounts found: the sample that puts the titre where it is well read, diluted first where it would be too small to weigh. */
export function designed(draft: AssayPlan, method: Method): Result<Design> {
  const first = settingOf(draft, method);
  if (!first.ok) return first;
  const setting = first.value;
  const remarks: string[] = [];
  const plan = method.is === 'titration' ? titrationPlan(setting, remarks) : measuredPlan(setting);
  const again = settingOf(plan, method);
  if (!again.ok) return again;
  const titre = method.is === 'titration' ? foretold(again.value) : null;
  const reach = reachOf(again.value, titre);
  if (!reach.ok) return reach;
  if (!Number.isFinite(reach.value.reachesPct + plan.sampleG))
    return fail('out-of-range', 'No sample of this bottle makes a titre that can be read.', { field: 'bottle' });
  const { reachesPct, mostly } = reach.value;
  if (method.is === 'titration' && !plan.byMass && reachesPct > plan.tolerancePct && BY_VOLUME.has(mostly))
    remarks.push(
      `± ${formatNumber(plan.tolerancePct, 2)} % cannot be reached with this burette: count the titrant on the balance instead.`,
    );
  return ok({ plan, titre, reachesPct, mostly, remarks });
}

function goodTitre({ byMass, bench }: AssayPlan): number {
  return byMass ? GOOD_TITRE_G : GOOD_SHARE * (bench.burette ?? USUAL_BURETTE).capacityMl;
}

function titrationPlan(setting: Setting, remarks: string[]): AssayPlan {
  const { plan } = setting;
  const sampleG = sampleFor(setting, goodTitre(plan));
  const sd = weighingSd(plan.bench);
  const wanted = (plan.tolerancePct / 100 / 2) * WEIGHING_SHARE;
  if (sampleG < LIGHTEST_G || sd / sampleG > wanted) {
    const least = Math.max(LIGHTEST_G, sd / wanted);
    const times = [2, 5, 10, 20, 50, 100].find((each) => each * sampleG >= least) ?? 100;
    // Enough for three samples and a rinse, and enough to be weighed well itself.
    const takeG = tidy(sampleG * times);
    const weighG = tidy(Math.max((takeG * 5) / times, least, LIGHTEST_DILUTED_G));
    remarks.push(
      `A sample of ${tidy(sampleG)} g would be weighed to ± ${tidy((200 * sd) / sampleG)} %: so it is diluted first.`,
    );
    return { ...plan, sampleG: takeG, dilution: { weighG, toG: tidy(weighG * times) } };
  }
  if (sampleG > HEAVIEST_G) {
    remarks.push(
      'The bottle is weak for this titrant: a smaller sample is taken, and the titre is short. A weaker titrant would read better.',
    );
    return { ...plan, sampleG: HEAVIEST_G };
  }
  return { ...plan, sampleG: tidy(sampleG) };
}

/** g in the flask for a titre, by what the bottle is taken for. */
function sampleFor({ plan, content, known, pair }: Setting, titre: number): number {
  const [first] = known;
  const r = (pair as Pair).ratio;
  const M = molarMass(content.substance.formula);
  if (!first) return Number.NaN;
  if (plan.turned) {
    const density = plan.byMass ? 1 : (content.density?.value ?? 1);
    const burette = (titre * density * Math.max(content.w.value, 1e-3)) / 100 / M;
    return (burette * r) / first.molPerG.value;
  }
  const c = plan.byMass ? first.molPerG.value : (first.molPerMl?.value ?? Number.NaN);
  return (titre * c * r * M * 100) / Math.max(content.w.value, 1e-3);
}

function foretold(setting: Setting): number {
  const perTitre = sampleFor(setting, 1);
  const { dilution, sampleG } = setting.plan;
  const diluted = dilution ? dilution.weighG / dilution.toG : 1;
  return (sampleG * diluted) / perTitre;
}

function measuredPlan({ plan, method, content }: Setting): AssayPlan {
  const model = method.is === 'measured' ? method.model(content, plan.bench) : {};
  const sampleG = model.sampleG ?? (model.beforeG ?? 0) - (model.dishG ?? 0);
  return { ...plan, sampleG: sampleG > 0 ? tidy(sampleG) : 1 };
}

/** What three replicates as planned would reach: the readings foretold go through the same reduction as real ones. */
function reachOf(setting: Setting, titre: number | null): Result<{ reachesPct: number; mostly: string }> {
  const one = resultOf(setting, foretoldReplicate(setting, titre), null);
  if (!one.ok) return one;
  const w = one.value;
  const sharedIds = (id: string) => !id.startsWith('read:');
  let variance = 0;
  const by = new Map<string, number>();
  for (const [id, { name, effect }] of Object.entries(w.uncertainty)) {
    const part = effect ** 2 / (sharedIds(id) ? 1 : REPLICATES);
    variance += part;
    by.set(name, (by.get(name) ?? 0) + part);
  }
  const [mostly] = [...by].sort((a, b) => b[1] - a[1]);
  return ok({ reachesPct: (200 * Math.sqrt(variance)) / w.value, mostly: mostly?.[0] ?? '' });
}

function foretoldReplicate({ plan, method, content }: Setting, titre: number | null): Told {
  const model = method.is === 'measured' ? method.model(content, plan.bench) : { sampleG: plan.sampleG };
  const read = Object.fromEntries(Object.entries(model).map(([name, value]) => [name, { value, entryId: '' }]));
  const level = (value: number) => ({ kind: 'read' as const, replicate: '1', name: LEVEL, value });
  const levels = titre === null ? [] : levelsOf(titre, plan.byMass).map(level);
  return { key: '1', blank: false, state: 'sign', out: false, read, levels, probed: [] };
}

/** A dropper bottle grows lighter, a burette's marks grow. */
function levelsOf(titre: number, byMass: boolean): number[] {
  return byMass ? [titre + 100, 100] : [0, titre];
}

/** To two digits, as one weighs “about”. */
function tidy(x: number): number {
  return Number(x.toPrecision(2));
}
