import { fail, ok, type Result } from '#base/problem';
import { type CurvePoint, curveOf, phAt, type Titration } from './curve.ts';
import { type IndicatorError, indicatorsFor, isRising } from './indicators.ts';
import { type Dissolved, solutionOf, systemOf } from './solution.ts';

export interface TitrationAsked {
  readonly sample: readonly Dissolved[];
  readonly sampleMl: number;
  readonly titrant: Dissolved;
  readonly tempC: number;
  /** Points of the curve. */
  readonly points: number;
}

export interface TitrationAnswer {
  readonly curve: readonly CurvePoint[];
  /** Titres at which one proton more of what is titrated is done, and the pH there. */
  readonly ends: readonly CurvePoint[];
  /** What ending by a colour does at the last end, best first. */
  readonly indicators: readonly IndicatorError[];
  readonly rising: boolean;
}

/** Protons a mole gives off (or takes up) one after the other, each with its pKa; strong ones stand at the ends of the scale. */
function protonsOf(substanceId: string, byAlkali: boolean): Result<readonly number[]> {
  const system = systemOf(substanceId);
  if (!system.ok) return system;
  const { steps, protons, count, spectators, baseCharge } = system.value;
  const pKas = solutionOf([{ substanceId, molPerL: 1 }], 25);
  if (!pKas.ok) return pKas;
  const own = pKas.value.families[0]?.pKas ?? [];
  // What its charges lack to nought is free acid or alkali.
  const net = count * (baseCharge + protons) + spectators;
  const strong = Math.max(0, byAlkali ? -net : net);
  const weak = byAlkali ? own.slice(steps.length - protons) : own.slice(0, steps.length - protons).reverse();
  const seen = weak.filter((pKa) => (byAlkali ? pKa <= WEAKEST_ACID : pKa >= WEAKEST_BASE));
  return ok([
    ...Array<number>(strong).fill(byAlkali ? STRONG_ACID : STRONG_BASE),
    ...seen.flatMap((pKa) => Array<number>(count).fill(pKa)),
  ]);
}

/** pKa beyond which water levels the jump away. */
const WEAKEST_ACID = 10.5;
const WEAKEST_BASE = 3;
/** What is stronger than water's own ions is levelled to them: their ends come together with those next to them. */
const STRONG_ACID = 0;
const STRONG_BASE = 13.8;
/** Units of pKa between two protons whose ends are seen apart. */
const APART = 3.5;

/** The curve of a titration by a strong acid or alkali, its equivalence points, and the signs that fit. */
export function titrate({ sample, sampleMl, titrant, tempC, points }: TitrationAsked): Result<TitrationAnswer> {
  if (!(sampleMl > 0 && sampleMl <= 1e5))
    return fail('out-of-range', 'A sample takes up more than 0 mL, and at most 100 L.', { field: 'sampleMl' });
  if (!(titrant.molPerL > 0))
    return fail('out-of-range', 'The titrant is stronger than 0 mol/L.', { field: 'titrant' });
  const [flask, burette] = [solutionOf(sample, tempC), solutionOf([titrant], tempC)];
  if (!flask.ok) return flask;
  if (!burette.ok) return burette;
  const [acid, alkali] = [protonsOf(titrant.substanceId, true), protonsOf(titrant.substanceId, false)];
  if (!acid.ok) return acid;
  if (!alkali.ok) return alkali;
  const [acidity, alkalinity] = [acid.value.length, alkali.value.length];
  if (acidity + alkalinity === 0)
    return fail('no-data', 'The titrant is neither acid nor alkali.', { field: 'titrant' });
  const byAlkali = alkalinity >= acidity;
  const titration: Titration = { sample: flask.value, sampleMl, titrant: burette.value };
  const equivalents = endsOf(sample, byAlkali);
  if (!equivalents.ok) return equivalents;
  const perMl = Math.max(acidity, alkalinity) * titrant.molPerL;
  const ends = equivalents.value.map((each) => (each * sampleMl) / perMl);
  const last = ends.at(-1) ?? sampleMl;
  const curve = curveOf(titration, 1.4 * last, points);
  if (!curve.ok) return curve;
  const atEnd = ends.map((titreMl) => {
    const found = phAt(titration, titreMl);
    return { titreMl, pH: found.outcome === 'solved' ? found.pH : Number.NaN };
  });
  return ok({
    curve: curve.value,
    ends: atEnd,
    indicators: indicatorsFor(titration, last),
    rising: isRising(titration, last),
  });
}

/** mol/L of the titrant's protons after which each end comes that is seen by itself, and the last. */
function endsOf(sample: readonly Dissolved[], byAlkali: boolean): Result<readonly number[]> {
  const all: { readonly pKa: number; readonly molPerL: number }[] = [];
  for (const { substanceId, molPerL } of sample) {
    const protons = protonsOf(substanceId, byAlkali);
    if (!protons.ok) return protons;
    if (molPerL > 0) all.push(...protons.value.map((pKa) => ({ pKa, molPerL })));
  }
  all.sort((a, b) => (byAlkali ? a.pKa - b.pKa : b.pKa - a.pKa));
  const ends: number[] = [];
  let done = 0;
  for (const [i, { pKa, molPerL }] of all.entries()) {
    done += molPerL;
    const next = all[i + 1];
    if (!next || Math.abs(next.pKa - pKa) >= APART) ends.push(done);
  }
  return ends.length > 0
    ? ok(ends)
    : fail('out-of-range', byAlkali ? 'Nothing in the flask takes alkali.' : 'Nothing in the flask takes acid.', {
        field: 'sample',
      });
}
