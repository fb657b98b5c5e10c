import { datum, derive, type Figure, type Grade, given } from '#base/figure';
import { must } from '#base/lookup';
import { uncertain } from '#base/units';
import { density } from '#matter/solution';
import { molarMass, type Substance } from '#matter/substance';

/** How a bottle is kept. */
export interface Keeping {
  readonly tempC: number;
  readonly light: 'dark' | 'daylight';
}

export interface AgeingPoint {
  readonly day: number;
  /** Mass %, likeliest and the ends of the band. */
  readonly mid: number;
  readonly low: number;
  readonly high: number;
}

export interface Ageing {
  readonly points: readonly AgeingPoint[];
  readonly now: AgeingPoint;
  /** Day, counted from the start, by which the band is wider than ± 5 % of the value; null within the span computed. */
  readonly reassayDay: number | null;
  readonly source: string;
  readonly grade: Grade;
  readonly sentence: string;
}

/** Fraction left after `days`, at a rate `speed` times the likeliest. */
type Law = (startPct: number, days: number, keeping: Keeping, speed: number, substance: Substance) => number;

interface Model {
  readonly law: Law;
  /** How many times slower and faster than the likeliest it may well be. */
  readonly spread: readonly [number, number];
  readonly source: string;
  readonly grade: Grade;
}

const R = 8.314462618;
const SECONDS_A_DAY = 86_400;
/** Daylight through a pale bottle, against the dark. */
const DAYLIGHT = 3;

/**
 * Hypochlorite, second order: −dC/dt = k C², k = 1.2e-8·10^(0.149 I)·exp(−101000/R·(1/T − 1/298.15)) L/(mol s), the
 * ionic strength counting hypochlorite, the chloride sold with it and some alkali. Form: Lister 1956, Adam and Gordon
 * 1999; size: half-lives of Baker 1969. Within a third from 1 to 15 % and 15 to 60 °C, clean and dark.
 */
const hypochlorite: Law = (startPct, days, { tempC, light }, speed, substance) => {
  const at = density(substance, startPct, 20);
  const c0 = (10 * (at.ok ? at.value.gPerMl : 1.1) * startPct) / molarMass(substance.formula);
  const ionic = 2 * c0 + 0.2;
  const arrhenius = Math.exp((-101_000 / R) * (1 / (tempC + 273.15) - 1 / 298.15));
  const k = 1.2e-8 * 10 ** (0.149 * ionic) * arrhenius * speed * (light === 'daylight' ? DAYLIGHT : 1);
  return 1 / (1 + k * c0 * days * SECONDS_A_DAY);
};

/** First order, so much of it a year at 20 °C, faster by a factor every 10 K. */
function firstOrder(perYear: number, per10K: number, lightMatters: boolean): Law {
  return (_startPct, days, { tempC, light }, speed) => {
    const light3 = light === 'daylight' && lightMatters ? DAYLIGHT : 1;
    const rate = (perYear / 365.25) * per10K ** ((tempC - 20) / 10) * speed * light3;
    return Math.exp(-rate * days);
  };
}

const MODELS: Readonly<Record<string, Model>> = {
  'sodium-hypochlorite': {
    law: hypochlorite,
    spread: [1.4, 1.6],
    source: 'Lister 1956; Adam and Gordon 1999; Baker 1969',
    grade: 'B',
  },
  'hydrogen-peroxide': {
    law: firstOrder(0.08, 2.2, true),
    spread: [8, 2.5],
    source: 'opened shop peroxide, 1 to 20 % a year; factor 2.2 for 10 K',
    grade: 'C',
  },
  ammonia: {
    law: firstOrder(0.05, 1.5, false),
    spread: [4, 3],
    source: 'loss from an opened, capped bottle; estimate',
    grade: 'C',
  },
  'iron-sulfate-heptahydrate': {
    law: firstOrder(0.05, 2, true),
    spread: [4, 4],
    source: 'browning of moist crystals; estimate',
    grade: 'C',
  },
  'sodium-thiosulfate': {
    law: firstOrder(0.03, 2, true),
    spread: [3, 2],
    source: 'solution with a trace of carbonate, under 0.5 % a month',
    grade: 'C',
  },
  bromine: {
    law: firstOrder(1.5, 2, true),
    spread: [4, 4],
    source: 'bromine water through its stopper and by light; estimate',
    grade: 'C',
  },
  'tin-chloride': {
    law: firstOrder(2, 1.8, false),
    spread: [6, 4],
    source: 'opened bottle; several percent a day in an open one',
    grade: 'C',
  },
};

/** A band wider than this share of its value wants an assay. */
const LIMIT = 0.05;
const STEPS = 60;

/** Strength after so many days, likeliest and its band; undefined for what keeps. */
export function strengthAfter(
  substance: Substance,
  start: { pct: number; band: number },
  day: number,
  keeping: Keeping,
): AgeingPoint | undefined {
  const model = MODELS[substance.id];
  if (!model || !(start.pct > 0) || !(day >= 0)) return undefined;
  const left = (pct: number, speed: number) => pct * model.law(pct, day, keeping, speed, substance);
  return {
    day,
    mid: left(start.pct, 1),
    low: left(Math.max(0, start.pct - start.band), model.spread[1]),
    high: left(start.pct + start.band, 1 / model.spread[0]),
  };
}

/**
 * A strength as a figure, aged by whole days; the same figure for what keeps. The speed of ageing is a source of uncertainty of
 * its own, one for each bottle, beside the label's.
 */
export function agedFigure(w: Figure, bottleId: string, substance: Substance, days: number, keeping: Keeping): Figure {
  const model = MODELS[substance.id];
  if (!model || days < 1 || !(w.value > 0)) return w;
  const place = `${keeping.light === 'dark' ? 'in the dark' : 'in daylight'} at ${Math.round(keeping.tempC)} °C`;
  const t = given({ symbol: 't', name: 'age', unit: 'd' }, Math.round(days), place);
  const [slower, faster] = model.spread;
  const uncertainty = { id: `ageing:${bottleId}`, name: `how fast ${substance.name} ages` };
  const s = datum(
    { symbol: 's', name: 'speed of ageing, its logarithm against the likeliest', unit: '1' },
    uncertain(0, Math.log(slower * faster) / 4, uncertainty),
    model,
  );
  return derive(
    { symbol: 'w', name: w.name, unit: '%' },
    'w₀, kept for t at the speed e^s',
    { 'w₀': w, t, s },
    (x) => x['w₀'] * model.law(x['w₀'], x.t, keeping, Math.exp(x.s), substance),
    { source: model.source, grade: model.grade },
  );
}

/**
 * How a bottle's strength goes from `start` (mass %, with its half-width) over `days`, `aheadDays` further. Undefined for
 * what keeps: most salts and mineral acids in a closed bottle.
 */
export function ageingOf(
  substance: Substance,
  start: { pct: number; band: number },
  days: number,
  aheadDays: number,
  keeping: Keeping,
): Ageing | undefined {
  const model = MODELS[substance.id];
  if (!model || !(start.pct > 0) || !(days >= 0)) return undefined;
  const at = (day: number) => must(strengthAfter(substance, start, day, keeping), 'strengthAfter');
  const span = days + aheadDays;
  const points = Array.from({ length: STEPS + 1 }, (_, i) => at((span * i) / STEPS));
  const wide = points.find(({ mid, low, high }) => mid <= 0 || (high - low) / 2 > LIMIT * mid);
  const now = at(days);
  return {
    points,
    now,
    reassayDay: wide?.day ?? null,
    source: model.source,
    grade: model.grade,
    sentence: sentenceOf(start.pct, now, keeping),
  };
}

function sentenceOf(start: number, { day, mid, low, high }: AgeingPoint, { tempC, light }: Keeping): string {
  const months = day / 30.44;
  const age = day < 60 ? `${Math.round(day)} days` : `${Math.round(months)} months`;
  const where = `kept at about ${Math.round(tempC)} °C${light === 'dark' ? ' in the dark' : ' in daylight'}`;
  const trust = (high - low) / 2 > LIMIT * mid ? 'Titrate before relying on it.' : 'The start still holds.';
  return `It began at ${round(start)} %. At ${age}, ${where}, expect ${round(low)} to ${round(high)} %. ${trust}`;
}

function round(value: number): string {
  return String(Number(value.toPrecision(value < 1 ? 2 : 3)));
}

/** Whole and part days from one ISO day to another, 0 when it lies ahead. */
export function daysBetween(since: string, today: string): number {
  return Math.max(0, (Date.parse(today) - Date.parse(since)) / 86_400_000);
}
