import { lastOf } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { fields, number, type Of, one } from '#base/shape';

/** A halide with acid and peroxide, as it stands mixed, mol/L. */
export const halideShape = fields({
  halide: one('bromide', 'iodide'),
  halideM: number({ min: 0, max: 10 }),
  /** Protons that its strong acids bring: two of sulfuric acid. */
  acidM: number({ min: 0, max: 20 }),
  /** Sulfate that keeps one of them back. */
  sulfateM: number({ min: 0, max: 10 }),
  peroxideM: number({ min: 0, max: 12 }),
  tempC: number({ min: -5, max: 60 }),
  hours: number({ moreThan: 0, max: 2000 }),
});
export type HalideInput = Of<typeof halideShape>;

export interface HalidePoint {
  readonly hours: number;
  /** mol/L of halogen that is there, of peroxide left, of oxygen gone off. */
  readonly halogenM: number;
  readonly peroxideM: number;
  readonly oxygenM: number;
}

export interface HalideAnswer {
  readonly course: readonly HalidePoint[];
  readonly after: HalidePoint;
  /** The most halogen that ever stands there, and when. */
  readonly most: HalidePoint;
  /** % of the halide that is halogen then. */
  readonly mostPct: number;
  /** Hours to nine tenths of the most. */
  readonly enoughH: number;
  /** How many times as fast it begins with half as much acid more, and 10 °C warmer. */
  readonly faster: { readonly acid: number; readonly warm: number };
  readonly verdict: 'soon' | 'wait' | 'never';
  readonly says: string;
}

const R = 8.314462618e-3;
/** Second acid constant of sulfuric acid, mol/L. */
const HSO4_K = 0.012;
/** How far hours may be off, either way, in dilute acid; beyond 1 mol/L it goes faster than this. */
export const HALIDE_FACTOR = 2;

/**
 * kJ/mol; the iodide’s as published for its path without acid, the bromide’s about a doubling for every 7 K (grade C).
 */
const EA = { iodide: 56, bromide: 90 } as const;
/** L/(mol s), and L²/(mol² s) with acid, at 25 °C: Liebhafsky and Mohammad 1933; Mohammad and Liebhafsky 1934. */
const K1 = 1.15e-2;
const K2 = { iodide: 0.175, bromide: 2.3e-4 } as const;
/** Bromine that stands beside peroxide once as much is made as is reduced back: [Br2] ÷ ([H+]² [Br−]²), L³/mol³. Bray and Livingston 1923. */
const STANDING = 0.28;

interface Mix {
  halide: number;
  protons: number;
  peroxide: number;
  halogen: number;
  oxygen: number;
}

/**
 * A halide oxidised by peroxide in acid, over time. Iodide: d[I2]/dt = (k1 + k2[H+])[H2O2][I−]; without acid peroxide only falls apart
 * on it. Bromide: k[H2O2][H+][Br−], and bromine reduces peroxide to oxygen at k[H2O2][Br2] ÷ (0.28[H+][Br−]), so what is thin comes to
 * next to nothing. A factor of two in hours; concentrations in place of activities, so strong mixtures go faster than said.
 */
export function halideCourse(input: HalideInput): Result<HalideAnswer> {
  if (!(input.halideM > 0)) return fail('out-of-range', 'There is no halide in it.', { field: 'halideM' });
  if (!(input.peroxideM > 0)) return fail('out-of-range', 'There is no peroxide in it.', { field: 'peroxideM' });
  const course = courseOf(input);
  const most = course.reduce((best, each) => (each.halogenM > best.halogenM ? each : best));
  const enough = course.find(({ halogenM }) => halogenM >= 0.9 * most.halogenM) ?? most;
  const first = beginning(input);
  const faster = {
    acid: ratio(beginning({ ...input, acidM: 1.5 * input.acidM, sulfateM: 1.5 * input.sulfateM }), first),
    warm: ratio(beginning({ ...input, tempC: input.tempC + 10 }), first),
  };
  const mostPct = (200 * most.halogenM) / input.halideM;
  const after = at(course, input.hours);
  const worth = verdictOf(mostPct, enough.hours);
  return ok({
    course,
    after,
    most,
    mostPct,
    enoughH: enough.hours,
    faster,
    verdict: worth,
    says: SAYS[worth],
  });
}

const SAYS: Readonly<Record<HalideAnswer['verdict'], string>> = {
  soon: 'It comes within the hour: cold, slowly, and with a look at it.',
  wait: 'It comes, and slowly: waiting is worth it. More acid brings more than more peroxide does.',
  never:
    'Too thin to come to much, however long it stands: peroxide takes the halogen back. More acid and less water, or begin again stronger.',
};

/** Under this part of the halide, %, waiting is not worth it. */
const LITTLE_PCT = 10;

function verdictOf(mostPct: number, enoughH: number): HalideAnswer['verdict'] {
  if (mostPct < LITTLE_PCT) return 'never';
  return enoughH <= 1 ? 'soon' : 'wait';
}

const ratio = (a: number, b: number): number => (b > 0 ? a / b : 1);

/** mol/(L s) of halogen as it begins. */
function beginning(input: HalideInput): number {
  const mix = mixOf(input);
  return forward(mix, free(mix, input), rates(input));
}

const mixOf = ({ halideM, acidM, peroxideM }: HalideInput): Mix => ({
  halide: halideM,
  protons: acidM,
  peroxide: peroxideM,
  halogen: 0,
  oxygen: 0,
});

interface Rates {
  readonly halide: HalideInput['halide'];
  readonly plain: number;
  readonly acid: number;
}

function rates({ halide, tempC }: HalideInput): Rates {
  const warm = Math.exp((-EA[halide] / R) * (1 / (tempC + 273.15) - 1 / 298.15));
  return { halide, plain: halide === 'iodide' ? K1 * warm : 0, acid: K2[halide] * warm };
}

/** [H+] that is free: hydrogensulfate keeps its own, by its constant. */
function free({ protons }: Mix, { sulfateM }: HalideInput): number {
  if (!(sulfateM > 0)) return Math.max(0, protons);
  const b = HSO4_K + sulfateM - protons;
  return Math.max(0, (-b + Math.sqrt(b * b + 4 * HSO4_K * Math.max(0, protons))) / 2);
}

const forward = (mix: Mix, h: number, { plain, acid }: Rates): number => (plain + acid * h) * mix.peroxide * mix.halide;

/** Part of anything that one step uses, at most. */
const STEP = 0.01;
const MOST_STEPS = 20_000;
const POINTS = 120;

function courseOf(input: HalideInput): readonly HalidePoint[] {
  const mix = mixOf(input);
  const k = rates(input);
  const points: HalidePoint[] = [point(0, mix)];
  const last = input.hours * 3600;
  let t = 0;
  for (let i = 0; i < MOST_STEPS && t < last; i += 1) {
    const dt = Math.min(stepOf(mix, input, k), last - t, last / POINTS);
    go(mix, { h: free(mix, input), k, dt });
    t += dt;
    if (t / 3600 - lastOf(points).hours >= input.hours / POINTS - 1e-12 || t >= last) points.push(point(t / 3600, mix));
  }
  // Nothing is left that could go on.
  if (t < last) points.push(point(input.hours, mix));
  return points;
}

const point = (hours: number, { halogen, peroxide, oxygen }: Mix): HalidePoint => ({
  hours,
  halogenM: halogen,
  peroxideM: peroxide,
  oxygenM: oxygen,
});

function stepOf(mix: Mix, input: HalideInput, k: Rates): number {
  const h = free(mix, input);
  const made = forward(mix, h, k);
  const all = made + back(mix, h, k);
  const most = Math.min(mix.peroxide, mix.halide / 2, Math.max(mix.protons / 2, STEP * mix.peroxide));
  return all > 0 ? Math.max(1e-6, (STEP * most) / all) : Number.POSITIVE_INFINITY;
}

/** mol/(L s) of bromine that peroxide reduces back. */
function back({ halogen, halide, peroxide }: Mix, h: number, k: Rates): number {
  if (k.halide === 'iodide' || halogen <= 0 || h <= 0 || halide <= 0) return 0;
  return (k.acid / STANDING) * peroxide * (halogen / (h * halide));
}

function go(mix: Mix, { h, k, dt }: { h: number; k: Rates; dt: number }): void {
  const made = dt * forward(mix, h, k);
  const canAcid = Math.max(0, mix.protons / 2);
  // Without acid to spend, iodide only makes peroxide fall apart.
  const halogen = k.halide === 'iodide' ? Math.min(made, canAcid, mix.halide / 2) : Math.min(made, mix.halide / 2);
  const fast = h > 0 && mix.halide > 0 ? (k.acid / STANDING) * mix.peroxide * (dt / (h * mix.halide)) : 0;
  const before = mix.halogen + halogen;
  const after = k.halide === 'iodide' ? before : before / (1 + fast);
  const reduced = before - after;
  const change = after - mix.halogen;
  mix.peroxide = Math.max(0, mix.peroxide - made - reduced);
  mix.halogen = after;
  mix.halide = Math.max(0, mix.halide - 2 * change);
  mix.protons = Math.max(0, mix.protons - 2 * change);
  mix.oxygen += reduced + (made - halogen) / 2;
}

/** What stands there at so many hours, straight between the points of a course. */
function at(course: readonly HalidePoint[], hours: number): HalidePoint {
  const upper = course.findIndex((each) => each.hours >= hours - 1e-9);
  return course[upper] ?? lastOf(course);
}
