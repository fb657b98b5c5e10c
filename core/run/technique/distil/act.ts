import { derive, type Figure, given } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { readingValue } from '#base/reading';
import type { FieldsOf } from '#base/shape';
import { molarMassFigure, type SubstanceId, substanceOf } from '#matter/substance';
import { at, holding, ledOff, poured, total, type VesselName, withAmount } from '#matter/vessel';
import { admitCharge, chargeMl, holdsCold } from '#model/still';
import { type At, controlFigure } from '../facts.ts';
import { liquidFigures } from '../liquid.ts';
import { begin, type Doing, type Outcome, type Standing } from '../outcome.ts';
import { aboutMl } from '../product.ts';
import { isUnderWay } from '../read-value.ts';
import { placeOf } from '../where.ts';
import { type CutFound, type Cutting, cutBy, type End } from './cut.ts';
import { apparatusOf, type Flask, flaskOf, WATER_M } from './flask.ts';
import { partOf, partWays } from './gone-over.ts';
import type { fields } from './op.ts';

type Op = FieldsOf<typeof fields>;

/** A cut goes over: as planned, or as far as the receiver was read. */
export function act(standing: Standing, op: Op, step: At): Result<Outcome> {
  const { facts } = step;
  const doing = begin(standing);
  const place = placeOf(op);
  const flask = flaskOf(at(standing.vessels, place), op, facts);
  if (!flask) return ok(doing);
  const admitted = admitCharge(flask.mixture, flask.charge);
  // What is refused is planning it; what has happened can always be entered, and what was charged stands in the flask.
  if (!admitted.ok && !hasReadings(step)) {
    const charged = standing.additions.some(({ actual }) => actual !== undefined);
    if (charged || step.going.onlyDone) return ok(doing);
    return fail(admitted.problem.code, admitted.problem.message, { field: `controls.${op.control}` });
  }
  const course = courseOf(standing, op, { flask, step });
  doing.figures = figuresOf(course);
  if (isUnderWay(step) && !course.read) return ok(doing);
  goesOver(doing, op, course);
  Object.assign(doing.figures, liquidFigures(doing.vessels, facts));
  return ok(doing);
}

function hasReadings({ entries }: At): boolean {
  return Object.keys(entries.readings).length > 0;
}

/** A cut as it is planned or was read. */
interface Course {
  readonly flask: Flask;
  readonly step: At;
  readonly first: boolean;
  readonly place: VesselName;
  readonly cutting: Cutting;
  readonly end: End;
  readonly found: CutFound;
  /** The volume it is known by, mL: read, or planned. */
  readonly volume: Figure;
  readonly read: boolean;
  /** mL that had gone over before, and that were charged in all. */
  readonly overMl: number;
  readonly chargedMl: number;
  /** Mass % of the receiver, where it was measured. */
  readonly pct: Figure | undefined;
}

/** A receiver is changed by eye, within this of the volume; or 3 mL. */
const EYE = 0.02;
const EYE_ML = 1.5;
/** How well a bare head’s plates are known. */
const PLATES_SD = 0.3;

function courseOf(standing: Standing, op: Op, { flask, step }: { flask: Flask; step: At }): Course {
  const { facts } = step;
  const { mixture, charge } = flask;
  const cutting: Cutting = {
    mixture,
    n1: charge.first,
    n2: charge.second,
    staying: charge.staying,
    apparatus: apparatusOf(facts),
    airC: facts.bench.tempC,
  };
  const place = placeOf(op);
  // What went over from another flask is no part of this charge.
  const over = standing.figures['still.over'];
  const overMl = over?.name === overFrom(place) ? over.value : 0;
  const chargedMl = chargeMl(mixture, charge) + overMl;
  const set = controlFigure(facts, op.control).value;
  const planned: End = op.by === 'pot' ? { potC: set } : { ml: Math.max(0, (set / 100) * chargedMl - overMl) };
  const { readings } = step.entries;
  const grams = readings.mass && readingValue(readings.mass)?.value;
  const ml = readings.volume && readingValue(readings.volume)?.value;
  const byGrams: End | undefined = grams !== undefined && grams >= 0 ? { grams } : undefined;
  const byMl: End | undefined = ml !== undefined && ml >= 0 ? { ml } : undefined;
  // While it goes over, what was read is where it is, and not where the receiver will be changed.
  const underWay = !step.entries.finished && !step.going.onlyDone;
  const isPast = (byMl && (ml ?? 0) > cutBy(cutting, planned).ml) || byGrams !== undefined;
  const read = underWay && !isPast ? undefined : (byGrams ?? byMl);
  const end = read ?? planned;
  const found = cutBy(cutting, end);
  const sd = byGrams ? 0.5 + 0.003 * found.ml : Math.max(EYE_ML, EYE * found.ml);
  const volume = given(
    { symbol: 'V', name: read ? 'volume that went over, read' : 'volume to go over', unit: 'mL' },
    { value: found.ml, uncertainty: { [`cut:${step.key}`]: { name: 'where the receiver was changed', effect: sd } } },
    read ? 'read at the receiver' : 'your cut, as near as it is made by eye',
  );
  return {
    flask,
    step,
    first: overMl === 0,
    place,
    cutting,
    end,
    found,
    volume,
    read: read !== undefined,
    overMl,
    chargedMl,
    pct: measuredPct(step),
  };
}

function measuredPct({ entries, key }: At): Figure | undefined {
  const read = entries.readings.strength;
  const found = read && readingValue(read);
  if (!found || !(found.value >= 0 && found.value <= 100)) return undefined;
  return given(
    { symbol: 'w', name: 'strength of the fraction, measured', unit: '%' },
    {
      value: found.value,
      uncertainty: { [`read:strength:${key}`]: { name: 'strength of the fraction', effect: found.sd } },
    },
    'measured at the bench',
  );
}

/**
 * mol that went over, by the model: its value, and first-order slopes by what is in the flask, by the volume and by the plates,
 * taken once. Good to about 5 % of the change it stands for.
 */
function overBy(course: Course, what: 'n1' | 'n2' | 'gas1', name: string): Figure {
  const { flask, cutting, found, volume } = course;
  const { mixture } = cutting;
  const taken = (changed: Partial<Cutting>, ml: number) => cutBy({ ...cutting, ...changed }, { ml }).caught[what];
  const base = found.caught[what];
  const { plates } = cutting.apparatus;
  // A plan that is only tried out needs no slopes.
  const by = course.step.going.exact ? NO_SLOPES : slopesOf(course, taken, base);
  const N = given(
    { symbol: 'N', name: 'theoretical plates', unit: '' },
    { value: plates, uncertainty: { plates: { name: 'plates of the still', effect: PLATES_SD } } },
    'your still',
  );
  const W = flask.other;
  return derive(
    { symbol: 'n', name, unit: 'mol' },
    'still(n₁, W, V, N)',
    { 'n₁': flask.n, W, V: volume, N },
    (x) =>
      Math.max(
        0,
        base +
          by.n1 * (x['n₁'] - flask.n.value) +
          (by.n2 / flask.otherM) * (x.W - W.value) +
          by.V * (x.V - volume.value) +
          by.N * (x.N - plates),
      ),
    { source: `Rayleigh’s equation with plates; ${mixture.source}`, grade: cutting.staying.grams > 0 ? 'C' : 'B' },
  );
}

interface Slopes {
  readonly n1: number;
  readonly n2: number;
  readonly V: number;
  readonly N: number;
}

const NO_SLOPES: Slopes = { n1: 0, n2: 0, V: 0, N: 0 };

/** First-order slopes. A still twice as full gives twice as much: the slope by water follows from the others (Euler). */
function slopesOf(
  { cutting, found }: Course,
  taken: (changed: Partial<Cutting>, ml: number) => number,
  base: number,
): Slopes {
  const { n1, n2, apparatus } = cutting;
  const d1 = 0.01 * n1;
  const dV = 0.01 * found.ml;
  const byN1 = d1 > 0 ? (taken({ n1: n1 + d1 }, found.ml) - base) / d1 : 0;
  const byV = dV > 0 ? (base - taken({}, found.ml - dV)) / dV : 0;
  return {
    n1: byN1,
    n2: n2 > 0 ? (base - byN1 * n1 - byV * found.ml) / n2 : 0,
    V: byV,
    N: (taken({ apparatus: { ...apparatus, plates: apparatus.plates + PLATES_SD } }, found.ml) - base) / PLATES_SD,
  };
}

/** mL of the first distillate that wet the condenser and stay there. */
const WETS_ML = 0.6;

/** What went over leaves the flask: into the receiver, as gas into the absorber or away, a film onto the condenser. */
function goesOver(doing: Doing, op: Op, course: Course): void {
  const { flask, found, pct } = course;
  const place = placeOf(op);
  const before = at(doing.vessels, place);
  const name = substanceOf(flask.first).name;
  let n1 = overBy(course, 'n1', `${name} gone over`);
  let other = inGrams(overBy(course, 'n2', `${substanceOf(flask.second).name} gone over`), flask);
  // A strength is that of what is wanted in water; of two other liquids it could be either.
  if (pct && flask.second === 'water') ({ n1, other } = asMeasured({ n1, other, pct, course }));
  const gas = found.caught.gas1 > 1e-9 ? overBy(course, 'gas1', `${name} that came as gas`) : undefined;
  const gone = gas ? total(`${name} gone over, in all`, 'mol', n1, gas) : n1;
  const { inFlask, caught } = partWays(before, flask, { n1, gone, other, any: found.ml > 0 });
  doing.vessels = holding(doing.vessels, place, inFlask);
  const wets = course.first && found.ml > 0 ? Math.min(0.3, WETS_ML / found.ml) : 0;
  doing.vessels = poured(doing.vessels, op.into, wets > 0 ? partOf(caught, 'x × (1 − f)', wets) : caught);
  if (wets > 0) doing.vessels = poured(doing.vessels, 'condenser', partOf(caught, 'x × f', wets));
  if (!gas) return;
  const led = op.over === 'absorber' ? takenUp(doing, op, { gas, mixture: flask.mixture }) : gas;
  if (!(led.value > 1e-9)) return;
  const gases = [{ id: gasOf(op.volatile), amount: led }];
  doing.vessels = ledOff(doing.vessels, gases);
  doing.gases.push(...gases);
}

/** Gas led over cold water is taken up as far as that holds it at 20 °C; the rest goes on. */
function takenUp(doing: Doing, op: Op, { gas, mixture }: { gas: Figure; mixture: Flask['mixture'] }): Figure {
  const there = at(doing.vessels, op.into);
  const x = holdsCold(mixture);
  const had = there.aqueous[op.volatile]?.value ?? 0;
  const room = Math.max(0, (there.waterG.value / WATER_M) * (x / Math.max(1e-6, 1 - x)) - had);
  const most = given(
    { symbol: 'n', name: 'that cold water still holds', unit: 'mol' },
    room,
    'vapour pressure over it at 20 °C',
  );
  const name = substanceOf(op.volatile).name;
  const stays = derive({ symbol: 'n', name: `${name} taken up`, unit: 'mol' }, 'min(g; n)', { g: gas, n: most }, (v) =>
    Math.min(v.g, v.n),
  );
  doing.vessels = holding(doing.vessels, op.into, withAmount(there, 'aqueous', op.volatile, stays));
  return derive(
    { symbol: 'n', name: `${name} past the absorber`, unit: 'mol' },
    'g − n',
    { g: gas, n: stays },
    (v) => v.g - v.n,
  );
}

const GAS: Readonly<Partial<Record<SubstanceId, SubstanceId>>> = {
  'hydrochloric-acid': 'hydrogen-chloride',
  ammonia: 'ammonia-gas',
};
const gasOf = (id: SubstanceId): SubstanceId => GAS[id] ?? id;

function inGrams(n: Figure, { second }: Pick<Flask, 'second'>): Figure {
  const M = molarMassFigure(substanceOf(second).formula);
  return derive({ symbol: 'W', name: n.name, unit: 'g' }, 'n × M', { n, M }, (x) => x.n * x.M);
}

/** A fraction whose strength was measured holds what that says of its mass; never more than there was. */
function asMeasured({ n1, other, pct, course }: { n1: Figure; other: Figure; pct: Figure; course: Course }) {
  const M = molarMassFigure(substanceOf(course.flask.first).formula);
  const m = derive(
    { symbol: 'm', name: 'mass of the fraction', unit: 'g' },
    'n × M + W',
    { n: n1, M, W: other },
    (x) => x.n * x.M + x.W,
  );
  const most = course.flask.n;
  const n = derive(
    { symbol: 'n', name: n1.name, unit: 'mol' },
    'min(n₀; m × w ÷ (100 × M))',
    { 'n₀': most, m, w: pct, M },
    (x) => Math.min(x['n₀'], (x.m * x.w) / (100 * x.M)),
  );
  const W = derive({ symbol: 'W', name: other.name, unit: 'g' }, 'm − n × M', { m, n, M }, (x) => x.m - x.n * x.M);
  return { n1: n, other: W };
}

const overFrom = (place: VesselName): string => `gone over from the ${place}, in all`;

function figuresOf({ found, overMl, chargedMl, volume, cutting, flask, place }: Course): Record<string, Figure> {
  const celsius = (name: string, value: number) =>
    given(
      { symbol: 'T', name, unit: '°C' },
      { value, uncertainty: { thermometer: { name: 'thermometer and table', effect: 0.2 } } },
      'boiling curve at this pressure',
    );
  const plain = (name: string, unit: string, value: number) =>
    given({ symbol: 'x', name, unit }, value, 'by the model');
  return {
    'distil.volume': volume,
    'distil.head': celsius('head temperature at the change', found.headC),
    'distil.pot': celsius('temperature of the flask at the change', found.potC),
    'distil.from': celsius('head temperature at the first drop', found.fromHeadC),
    'distil.minutes': plain('time it takes to go over', 'min', found.caught.minutes),
    'still.over': aboutMl(overFrom(place), overMl + found.ml),
    'still.charge': aboutMl('charged', chargedMl),
    'still.left': aboutMl('left in the flask', Math.max(0, chargeMl(cutting.mixture, flask.charge) - found.ml)),
  };
}
