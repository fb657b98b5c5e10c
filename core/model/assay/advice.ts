import { derive, type Figure, sdOf } from '#base/figure';
import { formatNumber } from '#base/units';
import { USUAL_BURETTE } from '#matter/gear';
import type { Sight } from '#model/method';
import { isBlank } from './record/fold.ts';
import { molPerGOf } from './reduce/known.ts';
import type { Setting } from './reduce/reduce.ts';
import type { Statistics } from './reduce/statistics.ts';
import { levelNow } from './reduce/titre.ts';
import type { AssayResult, ReplicateState } from './standing.ts';

/** What to do next, in words readable at two metres. */
export interface Advice {
  readonly headline: string;
  readonly more: string;
  readonly steps: readonly string[];
  /** Name of the entry to read next; null when nothing is. */
  readonly reads: string | null;
  /** Titre at which the sign is expected, and the ends of its 95 % band; null where none is foretold. */
  readonly expected: {
    readonly titre: number;
    readonly low: number;
    readonly high: number;
    readonly unit: 'g' | 'mL';
  } | null;
  readonly used: number | null;
  readonly toGo: Figure | null;
  /** About how many drops that is, least and most; null away from the end. */
  readonly drops: readonly [number, number, number] | null;
  readonly sights: readonly Sight[];
  /** The sight of now, by its place among them. */
  readonly now: number;
  readonly cautions: readonly string[];
}

interface Standing {
  readonly replicates: readonly ReplicateState[];
  readonly current: string;
  readonly blank: Figure | null;
  readonly result: AssayResult | null;
  readonly statistics: Statistics | null;
}

/** One drop, g or mL, of a burette or a dropper bottle. */
const DROP = 0.045;
/** Replicates from which on one stops when the tolerance is met. */
const ENOUGH = 3;
/** Share of the expected titre up to which one runs it in. */
const FAST_TO = 0.85;

export function adviceOf(setting: Setting, standing: Standing): Advice {
  return setting.method.is === 'titration' ? whileTitrating(setting, standing) : whileMeasuring(setting, standing);
}

function whileMeasuring({ method, plan, content }: Setting, standing: Standing): Advice {
  const at = standing.replicates.find(({ key }) => key === standing.current);
  const entries = method.is === 'measured' ? method.entries : [];
  const next = entries.find(({ name, taken }) => at?.read[name] === undefined && !taken);
  const base = { expected: null, used: null, toGo: null, drops: null, sights: [], now: 0, cautions: method.cautions };
  const steps = stepsOf(method.is === 'measured' ? method.steps : [], plan.sampleG);
  if (next)
    return {
      ...base,
      steps,
      headline: `Read: ${next.label}`,
      more: at ? '' : finishedText(standing, plan.tolerancePct),
      reads: next.name,
    };
  const found = at?.found;
  const headline = at?.problem
    ? 'These readings contradict each other'
    : `${content.substance.name}: ${found ? formatNumber(found.value, 3) : '?'} %`;
  return { ...base, steps, headline, more: at?.problem?.message ?? 'Is it so? Then end this replicate.', reads: null };
}

function stepsOf(steps: readonly string[], sampleG: number): readonly string[] {
  return steps
    .map((each) => each.replace('{sample}', `about ${formatNumber(sampleG, 3)} g`))
    .filter((each) => each !== '');
}

function whileTitrating(setting: Setting, standing: Standing): Advice {
  const { method, plan, pair } = setting;
  if (method.is !== 'titration' || !pair) throw new Error('not a titration');
  const at = standing.replicates.find(({ key }) => key === standing.current);
  const blank = isBlank(standing.current);
  const expected = expectedTitre(setting, standing, at);
  const used = at?.titre?.value ?? (at && levelNow(at.levels) !== null ? 0 : null);
  const unit = plan.byMass ? 'g' : 'mL';
  const base = {
    steps: stepsOf(method.steps(pair), plan.sampleG),
    expected: expected && { ...bandOf(expected), unit: unit as 'g' | 'mL' },
    used,
    toGo: null,
    drops: null,
    sights: method.sights(pair),
    now: 0,
    cautions: method.cautions,
  };
  if (!at || (!blank && at.read.sampleG === undefined)) {
    const sample = `Weigh about ${formatNumber(plan.sampleG, 3)} g into the flask`;
    const { result, statistics } = standing;
    if (!at && result?.enough && (statistics?.n ?? 0) >= ENOUGH)
      return {
        ...base,
        headline: `Enough: known to ± ${formatNumber(result.relativePct, 2)} %`,
        more: `Write it on the bottle. A further replicate begins with about ${formatNumber(plan.sampleG, 3)} g.`,
        reads: 'sampleG',
      };
    return { ...base, headline: sample, more: finishedText(standing, plan.tolerancePct), reads: 'sampleG' };
  }
  if (at.levels.length === 0 && at.probed.length === 0) {
    const level = plan.byMass ? 'Weigh the full dropper bottle' : 'Read the burette';
    return {
      ...base,
      headline: level,
      more: 'Before the first drop: what goes out is counted from here.',
      reads: 'level',
    };
  }
  const byProbe = probeAdvice(at);
  if (byProbe) return { ...base, ...byProbe, reads: 'level' };
  return { ...base, ...nearing(setting, { used: used ?? 0, expected }), reads: 'level' };
}

/** What a probe's readings say of the end; undefined while they say nothing. */
function probeAdvice({ probe }: ReplicateState) {
  const last = probe?.points.at(-1)?.titreMl;
  if (!probe || last === undefined) return undefined;
  const none = { toGo: null, drops: null };
  if (probe.end) {
    const past = last - probe.end.titreMl;
    return {
      ...none,
      headline: `The end was at ${formatNumber(probe.end.titreMl, 4)} mL`,
      more: `${formatNumber(past, 2)} mL are past it: enough to see it. End this replicate.`,
      now: 2,
    };
  }
  if (!probe.gran) return undefined;
  const toGo = probe.gran.titreMl - last;
  if (toGo <= 0)
    return {
      ...none,
      headline: 'By drops: the end is here',
      more: 'A reading after each, until the curve flattens again.',
      now: 1,
    };
  const near = toGo < NEAR_SHARE * probe.gran.titreMl;
  return {
    ...none,
    headline: near ? `Slow down: about ${formatNumber(toGo, 2)} mL to go` : `About ${formatNumber(toGo, 2)} mL to go`,
    more: `Gran’s line ends at ${formatNumber(probe.gran.titreMl, 3)} mL, about.${near ? ' Tenths of a millilitre, a reading after each.' : ''}`,
    now: near ? 1 : 0,
  };
}

/** Part of the titre before the end in which one goes by tenths. */
const NEAR_SHARE = 0.12;

/** How near the end is, from what has gone in. */
function nearing({ plan }: Setting, { used, expected }: { readonly used: number; readonly expected: Figure | null }) {
  const unit = plan.byMass ? 'g' : 'mL';
  if (!expected)
    return {
      headline: 'Go on until the sign',
      more: 'How much it will take is not known: a quick rough one first tells.',
      toGo: null,
      drops: null,
      now: 0,
    };
  const toGo = { ...expected, symbol: 'Δ', name: 'to go', value: expected.value - used };
  const band = bandOf(expected);
  const text = (x: number) => `${formatNumber(Math.max(x, 0), x < 1 ? 1 : 2)} ${unit}`;
  if (used > band.high)
    return {
      headline: 'More than was expected',
      more: 'Go on by drops until the sign: the bottle is stronger than it was taken for, or the sign was missed.',
      toGo,
      drops: null,
      now: 1,
    };
  if (used >= band.low)
    return {
      headline: 'By drops: it can come now',
      more: `Expected between ${text(band.low)} and ${text(band.high)}. Swirl half a minute after each.`,
      toGo,
      drops: dropsOf(toGo),
      now: 1,
    };
  if (used >= FAST_TO * band.low)
    return {
      headline: `Slow down: about ${text(toGo.value)} to go`,
      more: 'Swirl half a minute after each drop.',
      toGo,
      drops: dropsOf(toGo),
      now: 1,
    };
  const fast = FAST_TO * band.low;
  const refill = overFull(plan, expected.value);
  return {
    headline: `Run in to about ${text(fast)}`,
    more: `${text(fast - used)} more, then slowly.${refill}`,
    toGo,
    drops: null,
    now: 0,
  };
}

function overFull(plan: Setting['plan'], titre: number): string {
  const { capacityMl } = plan.bench.burette ?? USUAL_BURETTE;
  return !plan.byMass && titre > capacityMl
    ? ' It takes more than the burette holds: fill up in the middle and enter both levels.'
    : '';
}

function dropsOf(toGo: Figure): readonly [number, number, number] {
  const half = 2 * sdOf(toGo);
  const count = (x: number) => Math.max(0, Math.round(x / DROP));
  return [count(toGo.value), count(toGo.value - half), count(toGo.value + half)];
}

function bandOf(expected: Figure): { readonly titre: number; readonly low: number; readonly high: number } {
  const half = Math.max(2 * sdOf(expected), DROP);
  return { titre: expected.value, low: Math.max(0, expected.value - half), high: expected.value + half };
}

/** The titre that this sample is expected to take: by the replicates that are done, else by what the bottle is taken for. */
export function expectedTitre(
  setting: Setting,
  { result, blank, statistics }: Pick<Standing, 'result' | 'blank' | 'statistics'>,
  at: ReplicateState | undefined,
): Figure | null {
  const { plan, content, known, pair } = setting;
  const [first] = known;
  if (!first || !pair) return null;
  if (at?.blank) return null;
  const sampleG = at?.read.sampleG?.value ?? plan.sampleG;
  const scatter = statistics?.sd ?? null;
  const w = result
    ? {
        ...result.w,
        uncertainty: { scatter: { name: 'scatter', effect: Math.max(scatter ?? 0, 0.003 * result.w.value) } },
      }
    : content.w;
  if (!(w.value > 0)) return null;
  const perG = molPerGOf({ ...content, w });
  const before = result !== null;
  const gross = plan.turned
    ? turnedTitre(setting, { perG, sampleG, before })
    : directTitre(setting, { perG, sampleG, before });
  return gross && blank
    ? derive(
        { symbol: 'V', name: 'expected titre', unit: gross.unit },
        'V₁ + b',
        { 'V₁': gross, b: blank },
        (x) => x['V₁'] + x.b,
      )
    : gross;
}

interface Expecting {
  readonly perG: Figure;
  readonly sampleG: number;
  /** By replicates that were done with the same solutions: their uncertainty is in both and cancels. */
  readonly before: boolean;
}

function settled(figure: Figure | undefined, before: boolean): Figure | undefined {
  return figure && before ? { ...figure, uncertainty: {} } : figure;
}

function directTitre({ plan, known, pair }: Setting, { perG, sampleG, before }: Expecting): Figure | null {
  const c = settled(plan.byMass ? known[0]?.molPerG : known[0]?.molPerMl, before);
  const ratio = pair?.ratio ?? Number.NaN;
  if (!c || !(c.value > 0)) return null;
  const m = sampleG * (plan.dilution ? plan.dilution.weighG / plan.dilution.toG : 1);
  return derive(
    { symbol: 'V', name: 'expected titre', unit: plan.byMass ? 'g' : 'mL' },
    'm × n ÷ (r × c)',
    { n: perG, c },
    (x) => (m * x.n) / (ratio * x.c),
  );
}

function turnedTitre({ plan, content, known, pair }: Setting, { perG, sampleG, before }: Expecting): Figure | null {
  const k = settled(known[0]?.molPerG, before);
  const ratio = pair?.ratio ?? Number.NaN;
  if (!k) return null;
  const density = plan.byMass ? 1 : content.density?.value;
  if (density === undefined) return null;
  const diluted = plan.dilution ? plan.dilution.weighG / plan.dilution.toG : 1;
  return derive(
    { symbol: 'V', name: 'expected titre', unit: plan.byMass ? 'g' : 'mL' },
    'm × k ÷ (r × n)',
    { k, n: perG },
    (x) => (sampleG * diluted * x.k) / (ratio * x.n * density),
  );
}

/** What stands after the replicates that are done. */
function finishedText({ result, statistics }: Standing, tolerancePct: number): string {
  if (!result || !statistics) return '';
  const { n } = statistics;
  const band = `± ${formatNumber(result.relativePct, 2)} %`;
  if (result.enough && n >= ENOUGH) return `${n} done, ${band} of it: enough. It can be written on the bottle.`;
  if (result.enough)
    return `${n} done, ${band} of it. ${n === 1 ? 'A second tells a blunder' : 'A third guards against a blunder'}.`;
  const [worst] = result.budget;
  return `${n} done, ${band} of it; ± ${formatNumber(tolerancePct, 2)} % was wanted. Most of it is ${worst?.name ?? 'scatter'}.`;
}
