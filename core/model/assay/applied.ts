import { derive, type Figure, sdOf } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { roundToUncertainty } from '#base/units';
import type { StrengthUnit } from '#matter/solution';
import type { BottleEventBody, Content } from '#matter/stock';
import { molarMassFigure } from '#matter/substance';
import { methodById } from '#model/method';
import type { AssayEntry } from './record/entries.ts';
import { toldBy } from './record/fold.ts';
import type { AssayPlan } from './record/plan.ts';
import { settingOf } from './reduce/reduce.ts';
import { titreOf } from './reduce/titre.ts';
import { assayState, titleOf } from './state.ts';

export interface Use {
  readonly bottleId: string;
  readonly grams: number;
}

/** What is written on the bottle, and what was taken out of which. */
export interface Applied {
  readonly body: Extract<BottleEventBody, { kind: 'assayed' }>;
  readonly uses: readonly Use[];
}

/** The result of an assay as its bottle takes it up: in the unit of its label where that can be, with what it leans on. */
export function appliedOf(plan: AssayPlan, entries: readonly AssayEntry[]): Result<Applied> {
  if (entries.some(({ body }) => body.kind === 'probed' && body.simulated))
    return fail('out-of-range', 'This was a rehearsal with the simulated probe: it is not written on a real bottle.');
  const state = assayState(plan, entries);
  if (!state.ok) return state;
  const { result, statistics } = state.value;
  if (!result || !statistics)
    return fail('missing-part', 'No replicate has come to its end yet: there is nothing to write on the bottle.');
  if (!(result.w.value > 0)) return fail('out-of-range', 'A strength of nought is not written on a bottle.');
  const setting = settingOf(plan, methodById(plan.methodId));
  if (!setting.ok) return setting;
  // A purity a little over all of it is all of it, within its uncertainty.
  const w = result.w.value > 100 ? { ...result.w, value: 100 } : result.w;
  const { figure, unit } = asLabelled(w, setting.value.content, plan.bottle.card.strength?.unit);
  const { value, band } = roundToUncertainty(figure.value, sdOf(figure));
  const n = `${statistics.n} replicate${statistics.n === 1 ? '' : 's'}`;
  return ok({
    body: {
      kind: 'assayed',
      strength: { value: figure.value, unit },
      band: Math.max(2 * sdOf(figure), 1e-9),
      measured: {
        assayId: plan.id,
        method: titleOf(setting.value).slice(0, 120),
        day: plan.day,
        sources: sourcesOf(figure),
      },
      said: `${value}${band ? ` ± ${band}` : ''} ${figure.unit}, ${n}`,
    },
    uses: usesOf(plan, entries),
  });
}

/** The largest: what is left out is nothing beside them. */
const MOST_SOURCES = 60;

function sourcesOf({ uncertainty }: Figure) {
  return Object.entries(uncertainty)
    .map(([id, { name, effect }]) => ({ id: id.slice(0, 200), name: name.slice(0, 200), effect }))
    .sort((a, b) => Math.abs(b.effect) - Math.abs(a.effect))
    .slice(0, MOST_SOURCES);
}

function asLabelled(
  w: Figure,
  { substance, density }: Content,
  unit: StrengthUnit | undefined,
): { readonly figure: Figure; readonly unit: StrengthUnit } {
  if (unit !== 'mol/L' || !density) return { figure: w, unit: 'w/w' };
  const M = molarMassFigure(substance.formula);
  const figure = derive(
    { symbol: 'c', name: 'strength found', unit: 'mol/L' },
    '10 × ρ × w ÷ M',
    { w, M, ρ: density },
    (x) => (10 * x.ρ * x.w) / x.M,
  );
  return { figure, unit };
}

/** g that went out of each bottle: samples (or what was diluted), and titrant. */
function usesOf(plan: AssayPlan, entries: readonly AssayEntry[]): readonly Use[] {
  const { replicates, blanks, dilution } = toldBy(entries);
  const diluted = dilution ?? plan.dilution;
  const samples = replicates.reduce((sum, { read }) => sum + (read.sampleG?.value ?? 0), 0);
  const titres = [...replicates, ...blanks].reduce((sum, { levels }) => sum + (titreOf(levels, plan.byMass) ?? 0), 0);
  const weighed = diluted && samples > 0 ? diluted.weighG : samples;
  const [first] = plan.known;
  const inFlask = plan.turned ? first?.id : plan.bottle.id;
  const inBurette = plan.turned ? plan.bottle.id : first?.id;
  // A millilitre of a dilute titrant weighs a gram, near enough for what is left in a bottle.
  return [
    ...(inFlask !== undefined && weighed > 0 ? [{ bottleId: inFlask, grams: weighed }] : []),
    ...(inBurette !== undefined && titres > 0 ? [{ bottleId: inBurette, grams: titres }] : []),
  ];
}
