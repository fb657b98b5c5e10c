import { doubleAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { fields, flag, list, nullable, number, type Of, one, optional, text } from '#base/shape';
import { apparatusShape } from '#matter/gear';
import { molarMass, substanceById } from '#matter/substance';
import { waterOutC } from './apparatus.ts';
import { type Azeotrope, azeotropeOf } from './azeotrope.ts';
import { type Charge, chargeOf, gramsOf } from './charge.ts';
import { type CutPlan, planCut } from './cuts.ts';
import { fitStill, type StillReading } from './fit.ts';
import { admitHeated } from './heated-together.ts';
import { type Mixture, massPct, mixtureOf, moleFraction } from './mixture.ts';
import { admitCharge } from './refused.ts';
import { distil, type Run } from './run.ts';
import { stayingOf } from './staying.ts';
import type { Setup } from './still.ts';
import { type Warning, warningsOf } from './warnings.ts';

const pair = {
  /** Id of the substance that strengths count. */
  first: text(80),
  second: text(80),
  pressureHPa: number({ min: 20, max: 1100 }),
};

/** A flask as it is charged: g of the two that boil, mass % of the first, and what stays behind. */
export const stillShape = fields({
  ...pair,
  grams: number({ moreThan: 0, max: 50_000 }),
  pct: number({ min: 0, max: 100 }),
  staying: list(fields({ substanceId: text(240), grams: number({ min: 0, max: 50_000 }) }), 20),
  apparatus: apparatusShape,
  airC: number({ min: -30, max: 45 }),
  /** What the cut that is kept is to come to: mass %, or % of what was charged. */
  wanted: nullable(fields({ by: one('strength', 'recovery'), pct: number({ min: 0, max: 100 }) })),
  foams: optional(flag()),
  /** Air pressure outside, where it is less in the still. */
  outsideHPa: optional(number({ min: 500, max: 1100 })),
  /** °C that the bath does not pass. */
  bathC: optional(number({ min: 0, max: 400 })),
  /** mL held in column or separator above the flask. */
  heldBackMl: optional(number({ min: 0, max: 5000 })),
});
export type StillAsked = Of<typeof stillShape>;

/** One point of a run. */
export interface StillPoint {
  readonly overMl: number;
  readonly overG: number;
  readonly minutes: number;
  readonly headC: number;
  readonly potC: number;
  readonly pct: number;
  readonly potPct: number;
  /** Mass % of all that has gone over by then, and % of the first that was charged. */
  readonly allPct: number;
  readonly recoveryPct: number;
  /** % of the first that came as gas and did not condense, by then. */
  readonly gasPct: number;
  readonly mlPerMin: number;
}

export interface StillAnswer {
  readonly points: readonly StillPoint[];
  readonly azeotrope: Azeotrope | null;
  readonly warnings: readonly Warning[];
  readonly cut: CutPlan | null;
  readonly chargeMl: number;
  readonly boilsW: number;
  readonly condenser: { readonly loadPct: number; readonly outC: number | null };
  readonly ends: Run['ends'];
  /** The data it rests on, and whether they are rough. */
  readonly source: string;
  readonly about: boolean;
}

/** What a still is set up with, from what is asked; refuses what is not distilled here. */
export function setupFor(asked: StillAsked): Result<Setup> {
  const mixture = mixtureOf(asked.first, asked.second, asked.pressureHPa);
  if (!mixture.ok) return mixture;
  const plain = chargeOf(mixture.value, asked.grams, pctOfFirst(mixture.value, asked));
  const staying: (readonly [string, number])[] = [];
  for (const { substanceId, grams } of asked.staying) {
    const substance = substanceById(substanceId);
    if (!substance)
      return fail('unknown-substance', `“${substanceId}” is not a substance known here.`, { field: 'staying' });
    staying.push([substance.id, grams / molarMass(substance.formula)]);
  }
  const { first, second } = mixture.value;
  const heated = admitHeated([
    [first.id, plain.first * first.M],
    [second.id, plain.second * second.M],
    ...asked.staying.map(({ substanceId, grams }) => [substanceId, grams] as const),
  ]);
  if (!heated.ok) return heated;
  const charge: Charge = { ...plain, staying: stayingOf(staying) };
  const admitted = admitCharge(mixture.value, charge);
  if (!admitted.ok) return admitted;
  return ok({ mixture: mixture.value, charge, apparatus: asked.apparatus, airC: asked.airC });
}

/** The strength by the mixture’s own first, where it was asked the other way about. */
function pctOfFirst(mixture: Mixture, { first, pct }: StillAsked): number {
  return mixture.first.id === first ? pct : 100 - pct;
}

const POINTS = 160;

/** A run of a still from first drop to dry, its cut, its limit, what to mind. */
export function still(asked: StillAsked): Result<StillAnswer> {
  const setup = setupFor(asked);
  if (!setup.ok) return setup;
  const run = distil(setup.value);
  const { outsideHPa, bathC, heldBackMl, foams } = asked;
  return ok({
    points: pointsOf(run, POINTS),
    azeotrope: azeotropeOf(setup.value.mixture),
    warnings: warningsOf(run, {
      ...(foams === undefined ? {} : { foams }),
      ...(outsideHPa === undefined ? {} : { outsideHPa }),
      ...(bathC === undefined ? {} : { bathC }),
      ...(heldBackMl === undefined ? {} : { heldBackMl }),
    }),
    cut: asked.wanted && planCut(run, asked.wanted),
    chargeMl: run.chargeMl,
    boilsW: run.loadW[0] ?? 0,
    condenser: {
      loadPct: doubleAt(run.dutyW, 0) > 0 ? (100 * doubleAt(run.loadW, 0)) / doubleAt(run.dutyW, 0) : 0,
      outC: waterOutC(asked.apparatus, run.loadW[0] ?? 0),
    },
    ends: run.ends,
    source: setup.value.mixture.source,
    about: setup.value.mixture.grade === 'C' || asked.staying.length > 0,
  });
}

/** A run thinned to so many points, evenly in volume. */
export function pointsOf(run: Run, most: number): readonly StillPoint[] {
  const last = run.overMl.length - 1;
  const end = doubleAt(run.overMl, last);
  const { mixture, charge } = run.setup;
  const found: StillPoint[] = [];
  let next = 0;
  for (let i = 0; i <= last; i++) {
    if (doubleAt(run.overMl, i) < next && i < last) continue;
    next = doubleAt(run.overMl, i) + end / most;
    const [n1, n2] = [doubleAt(run.over1, i), doubleAt(run.over2, i)];
    found.push({
      overMl: doubleAt(run.overMl, i),
      overG: gramsOf(mixture, n1, n2),
      minutes: doubleAt(run.minutes, i),
      headC: doubleAt(run.headC, i),
      potC: doubleAt(run.potC, i),
      pct: doubleAt(run.pct, i),
      potPct: doubleAt(run.potPct, i),
      allPct: n1 + n2 > 0 ? massPct(mixture, n1 / (n1 + n2)) : doubleAt(run.pct, i),
      recoveryPct: charge.first > 0 ? (100 * n1) / charge.first : 0,
      gasPct: charge.first > 0 ? (100 * doubleAt(run.gas1, i)) / charge.first : 0,
      mlPerMin: doubleAt(run.mlPerMin, i),
    });
  }
  return found;
}

export const boilShape = fields({ ...pair, pct: number({ min: 0, max: 100 }) });

export interface BoilAnswer {
  readonly boilsAtC: number;
  /** Mass % of the vapour, and mole fractions of both. */
  readonly vapourPct: number;
  readonly x: number;
  readonly y: number;
  readonly azeotrope: Azeotrope | null;
  readonly source: string;
}

/** Where a mixture boils, and what its vapour holds. */
export function boil(asked: Of<typeof boilShape>): Result<BoilAnswer> {
  const found = mixtureOf(asked.first, asked.second, asked.pressureHPa);
  if (!found.ok) return found;
  const mixture = found.value;
  const x = moleFraction(mixture, mixture.first.id === asked.first ? asked.pct : 100 - asked.pct);
  if (x > mixture.ends + 1e-9)
    return fail(
      'impossible-strength',
      `What ${mixture.first.name} boils at in water is held up to ${massPct(mixture, mixture.ends).toFixed(0)} %.`,
      { field: 'pct' },
    );
  const y = mixture.vapour(x);
  return ok({
    boilsAtC: mixture.boilsAt(x),
    vapourPct: massPct(mixture, y),
    x,
    y,
    azeotrope: azeotropeOf(mixture),
    source: mixture.source,
  });
}

export const fitShape = fields({
  still: stillShape,
  /** Standard uncertainty of the charge’s strength, mass %; of the plates; of the heat, relative. */
  pctSd: number({ moreThan: 0, max: 50 }),
  platesSd: number({ moreThan: 0, max: 20 }),
  heatSd: number({ moreThan: 0, max: 1 }),
  readings: list(
    fields({
      minutes: number({ min: 0, max: 100_000 }),
      headC: optional(number({ min: -50, max: 400 })),
      potC: optional(number({ min: -50, max: 400 })),
      overMl: optional(number({ min: 0, max: 50_000 })),
      overG: optional(number({ min: 0, max: 50_000 })),
    }),
    50_000,
  ),
});

export interface FitAnswer {
  readonly pct: readonly [value: number, sd: number];
  readonly plates: readonly [value: number, sd: number];
  readonly heatShare: readonly [value: number, sd: number];
  readonly boilsW: readonly [value: number, sd: number];
  readonly used: number;
  readonly points: readonly StillPoint[];
  /** The same a standard uncertainty of the strength lower and higher. */
  readonly low: readonly StillPoint[];
  readonly high: readonly StillPoint[];
  /** Empty, or why the readings and the model do not go together. */
  readonly misfit: string;
}

/** Readings that no such still could give: the fit would chase them. */
function impossible(readings: readonly StillReading[]): string {
  let over = -1;
  for (const { minutes, overMl, overG } of [...readings].sort((a, b) => a.minutes - b.minutes)) {
    const now = overMl ?? overG;
    if (now === undefined) continue;
    if (now < over - 5)
      return `At ${minutes.toFixed(0)} min ${now.toFixed(0)} are over, less than the ${over.toFixed(0)} of before: one of the two is misread, or the receiver was changed without being entered.`;
    over = Math.max(over, now);
  }
  return '';
}

const MISFIT = 6;

/** A fit under way: gives how far it is, 0 to 1, then the answer. */
export function* fitting(asked: Of<typeof fitShape>): Generator<number, Result<FitAnswer>> {
  const setup = setupFor(asked.still);
  if (!setup.ok) return setup;
  if (asked.readings.length < 3)
    return fail('missing-part', 'A fit wants three readings or more: head or flask temperature, with what is over.', {
      field: 'readings',
    });
  const wrong = impossible(asked.readings as readonly StillReading[]);
  if (wrong !== '') return fail('out-of-range', wrong, { field: 'readings' });
  const { mixture, charge, apparatus, airC } = setup.value;
  const fitted = yield* fitStill({
    mixture,
    apparatus,
    airC,
    staying: charge.staying,
    prior: {
      pct: massPct(mixture, charge.first / (charge.first + charge.second)),
      pctSd: asked.pctSd,
      platesSd: asked.platesSd,
      heatSd: asked.heatSd,
      grams: gramsOf(mixture, charge.first, charge.second),
    },
    readings: asked.readings as readonly StillReading[],
  });
  return ok({
    pct: [fitted.pct.value, fitted.pct.sd],
    plates: [fitted.plates.value, fitted.plates.sd],
    heatShare: [fitted.heatShare.value, fitted.heatShare.sd],
    boilsW: [fitted.boilsW.value, fitted.boilsW.sd],
    used: fitted.used,
    points: pointsOf(fitted.run, POINTS),
    low: pointsOf(fitted.low, POINTS),
    high: pointsOf(fitted.high, POINTS),
    misfit:
      fitted.worst > MISFIT
        ? `A reading lies ${fitted.worst.toFixed(0)} times its uncertainty off: something else is in the flask, a thermometer sits wrong, or the heat was changed.`
        : '',
  });
}

/** The same, to its end. */
export function fit(asked: Of<typeof fitShape>): Result<FitAnswer> {
  const run = fitting(asked);
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
  }
}
