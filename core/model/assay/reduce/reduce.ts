import { derive, type Figure, given, sdOf } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { uncertain } from '#base/units';
import { derivativeEnd, type EndPoint, inOrder } from '#matter/equilibrium';
import { USUAL_BURETTE } from '#matter/gear';
import { type Content, contentOf } from '#matter/stock';
import { molarMassFigure } from '#matter/substance';
import {
  type Known,
  type MeasuredMethod,
  type Method,
  type Pair,
  type TitrationMethod,
  weighingSd,
} from '#model/method';
import type { Told } from '../record/fold.ts';
import type { AssayPlan } from '../record/plan.ts';
import { knownOf, molPerGOf } from './known.ts';
import { titreOf } from './titre.ts';

/** An assay with everything that its plan says found: what its replicates are reduced by. */
export interface Setting {
  readonly plan: AssayPlan;
  readonly method: Method;
  readonly content: Content;
  readonly known: readonly Known[];
  /** Undefined for methods that do not titrate. */
  readonly pair: Pair | undefined;
}

/** What a plan is about; refuses a plan whose bottle, method and known solutions do not fit together. */
export function settingOf(plan: AssayPlan, method: Method | undefined): Result<Setting> {
  if (!method) return fail('no-data', `There is no method “${plan.methodId.slice(0, 40)}”.`, { field: 'methodId' });
  // Not aged: what it is now is to be found out.
  const content = contentOf(plan.bottle, plan.bench.tempC);
  if (!content.ok) return content;
  const known: Known[] = [];
  for (const each of plan.known) {
    const found = knownOf(each, plan.bench.tempC, plan.day);
    if (!found.ok) return found;
    known.push(found.value);
  }
  const setting = { plan, method, content: content.value, known };
  if (method.is === 'measured') {
    if (known.length < method.known.length)
      return fail('missing-part', 'Choose the solution of known strength it takes.', { field: 'known' });
    const why = method.suits(content.value, plan.bench);
    return why === null
      ? ok({ ...setting, pair: undefined })
      : fail('no-data', `This method does not fit: ${why}.`, { field: 'methodId' });
  }
  const [first] = known;
  if (!first)
    return fail('missing-part', 'Choose what is titrated with: a bottle of known strength.', { field: 'known' });
  const pair = pairOf(method, { unknown: content.value, known: first.content, turned: plan.turned });
  if (!pair)
    return fail(
      'no-data',
      `${method.title} does not titrate ${content.value.substance.name} with ${first.content.substance.name}.`,
      { field: 'known' },
    );
  return ok({ ...setting, pair });
}

interface Sides {
  readonly unknown: Content;
  readonly known: Content;
  readonly turned: boolean;
}

function pairOf(method: TitrationMethod, { unknown, known, turned }: Sides): Pair | undefined {
  const [inFlask, inBurette] = turned ? [known, unknown] : [unknown, known];
  return method.pairs.find(
    ({ flask, burette }) => flask === inFlask.substance.species && burette === inBurette.substance.species,
  );
}

interface Reading {
  readonly name: string;
  readonly value: number;
  readonly sd: number;
  readonly unit: string;
}

/** A reading with its instrument's uncertainty; readings of one replicate and name share nothing with others. */
function reading({ plan }: Setting, told: Told, { name, value, sd, unit }: Reading): Figure {
  const source = { id: `read:${plan.id}:${told.key}:${name}`, name: READ_NAMES[name] ?? 'readings' };
  return given(
    { symbol: SYMBOLS[name] ?? 'x', name: `${name}, replicate ${told.key}`, unit },
    uncertain(value, sd, source),
    'read',
  );
}

const SYMBOLS: Readonly<Record<string, string>> = {
  sampleG: 'm',
  titre: 'V',
  gasMl: 'V',
  grams: 'm',
  mL: 'V',
  tempC: 't',
  hPa: 'p',
};
const READ_NAMES: Readonly<Record<string, string>> = {
  sampleG: 'sample weighing',
  titre: 'titre',
  probe: 'end point by the probe',
  gasMl: 'gas volume',
  mL: 'volume',
  tempC: 'temperature',
  hPa: 'air pressure',
};

/** Relative standard uncertainty of a burette's or cylinder's own marks. */
const BURETTE_SD = 0.0007;

/** The titre of a replicate as it stands, in g or mL, with how well it is read; null before there is one. */
export function titreFigure(setting: Setting, told: Told): Figure | null {
  const { plan, method } = setting;
  const probed = plan.byMass ? null : derivativeEnd(inOrder(told.probed));
  if (probed) return probedTitre(setting, told, probed);
  const value = titreOf(told.levels, plan.byMass);
  if (value === null || method.is !== 'titration') return null;
  const burette = plan.bench.burette ?? USUAL_BURETTE;
  const readSd = plan.byMass ? weighingSd(plan.bench) : (burette.stepMl / 2 / Math.sqrt(3)) * Math.SQRT2;
  const read = reading(setting, told, { name: 'titre', value, sd: readSd, unit: plan.byMass ? 'g' : 'mL' });
  const end = { [`end:${plan.id}`]: { name: 'end point', effect: method.endSdMl } };
  const marks: Figure['uncertainty'] = plan.byMass
    ? {}
    : { 'burette:marks': { name: 'burette', effect: BURETTE_SD * value } };
  return { ...read, name: `titre of replicate ${told.key}`, uncertainty: { ...read.uncertainty, ...end, ...marks } };
}

/** A titre by the steepest place of a probe's readings: no eye is in it. */
function probedTitre(setting: Setting, told: Told, { titreMl, sdMl }: EndPoint): Figure {
  const read = reading(setting, told, { name: 'probe', value: titreMl, sd: sdMl, unit: 'mL' });
  const marks = { 'burette:marks': { name: 'burette', effect: BURETTE_SD * titreMl } };
  return {
    ...read,
    name: `titre of replicate ${told.key}, by the probe`,
    uncertainty: { ...read.uncertainty, ...marks },
  };
}

/** Mean titre of the blanks that came to their end; null without any. */
export function blankOf(setting: Setting, blanks: readonly Told[]): Figure | null {
  const titres = blanks.filter(({ state }) => state === 'sign').flatMap((each) => titreFigure(setting, each) ?? []);
  const [first] = titres;
  if (!first) return null;
  const inputs = Object.fromEntries(titres.map((each, i) => [`b${i + 1}`, each]));
  const shown = titres.length === 1 ? 'b1' : `(${titres.map((_, i) => `b${i + 1}`).join(' + ')}) ÷ ${titres.length}`;
  return derive(
    { symbol: 'b', name: 'blank', unit: first.unit },
    shown,
    inputs,
    (x) => Object.values(x).reduce((a, b) => a + b, 0) / titres.length,
  );
}

/**
 * Mass % of the bottle's substance that one replicate finds. Refused while a reading is missing, and where readings contradict
 * each other.
 */
export function resultOf(setting: Setting, told: Told, blank: Figure | null): Result<Figure> {
  const found =
    setting.method.is === 'titration' ? titrated(setting, told, blank) : measured(setting, setting.method, told);
  if (!found.ok) return found;
  const { method, plan } = setting;
  const w = withDilution(plan, found.value);
  if (!Number.isFinite(w.value)) return fail('out-of-range', 'These readings give no strength: one of them is nought.');
  if (!(w.value <= MOST_PCT) || !Number.isFinite(sdOf(w)))
    return fail('impossible-strength', 'That comes to far more than all of it: check sample, titre and units.');
  if (method.besidesSd === 0) return ok(w);
  const aside = { [`besides:${method.id}`]: { name: method.besides, effect: method.besidesSd * w.value } };
  return ok({ ...w, uncertainty: { ...w.uncertainty, ...aside } });
}

/** A little over all of it is a matter of uncertainty; this is none. */
const MOST_PCT = 150;

function titrated(setting: Setting, told: Told, blank: Figure | null): Result<Figure> {
  const { plan, content, known, pair } = setting;
  const gross = titreFigure(setting, told);
  if (!gross)
    return fail('missing-part', 'No titre yet: read the level at the start and at the end.', { field: 'level' });
  const m = sampleOf(setting, told);
  if (!m.ok) return m;
  if (blank && blank.value > gross.value)
    return fail('out-of-range', 'The blank took more titrant than the sample: one of the two is wrong.', {
      field: 'level',
    });
  const net = blank
    ? derive(
        { symbol: 'V', name: `titre less blank`, unit: gross.unit },
        'Vg − b',
        { Vg: gross, b: blank },
        (x) => x.Vg - x.b,
      )
    : gross;
  const r = given(
    { symbol: 'r', name: 'in the flask a mole of titrant', unit: '' },
    pair?.ratio ?? Number.NaN,
    pair?.reaction ?? '',
  );
  const M = molarMassFigure(content.substance.formula);
  const [first] = known;
  if (!first) return fail('missing-part', 'Choose what is titrated with.', { field: 'known' });
  if (!plan.turned) {
    const c = plan.byMass ? first.molPerG : first.molPerMl;
    if (!c)
      return fail('no-density', `The density of ${first.content.substance.name} is not held: count it by mass.`, {
        field: 'byMass',
      });
    return ok(
      derive(
        { symbol: 'w', name: `${content.substance.name} found`, unit: '%' },
        '100 × V × c × r × M ÷ m',
        { V: net, c, r, M, m: m.value },
        (x) => (100 * x.V * x.c * x.r * x.M) / x.m,
      ),
    );
  }
  return standardised(setting, { net, m: m.value, r, M });
}

/** What stands in the burette is found by what was weighed into the flask. */
function standardised(
  { plan, content, known }: Setting,
  { net, m, r, M }: Readonly<Record<'net' | 'm' | 'r' | 'M', Figure>>,
): Result<Figure> {
  const k = known[0] && molPerGOf(known[0].content);
  if (!k) return fail('missing-part', 'Choose the standard that is weighed.', { field: 'known' });
  if (!(net.value > 0)) return fail('out-of-range', 'The titre is nought: nothing was used.', { field: 'level' });
  const naming = { symbol: 'w', name: `${content.substance.name} found`, unit: '%' };
  if (plan.byMass)
    return ok(
      derive(naming, '100 × m × k × M ÷ (r × V)', { m, k, M, r, V: net }, (x) => (100 * x.m * x.k * x.M) / (x.r * x.V)),
    );
  const { density } = content;
  if (!density)
    return fail('no-density', `The density of ${content.substance.name} is not held: count it by mass.`, {
      field: 'byMass',
    });
  return ok(
    derive(
      naming,
      '100 × m × k × M ÷ (r × V × ρ)',
      { m, k, M, r, V: net, ρ: density },
      (x) => (100 * x.m * x.k * x.M) / (x.r * x.V * x.ρ),
    ),
  );
}

function sampleOf(setting: Setting, told: Told): Result<Figure> {
  const value = told.read.sampleG?.value;
  if (value === undefined) return fail('missing-part', 'The sample is not weighed yet.', { field: 'sampleG' });
  if (!(value > 0)) return fail('out-of-range', 'A sample weighs more than nought.', { field: 'sampleG' });
  return ok(reading(setting, told, { name: 'sampleG', value, sd: weighingSd(setting.plan.bench), unit: 'g' }));
}

function measured(setting: Setting, method: MeasuredMethod, told: Told): Result<Figure> {
  const { content, plan, known } = setting;
  const read: Record<string, Figure> = {};
  for (const { name, label, unit, sd, taken } of method.entries) {
    const value = told.read[name]?.value ?? taken?.(plan.bench);
    if (value === undefined) return fail('missing-part', `Still to read: ${label}.`, { field: name });
    read[name] = reading(setting, told, { name, value, sd: sd(plan.bench, value), unit });
  }
  if (read.sampleG && !(read.sampleG.value > 0))
    return fail('out-of-range', 'A sample weighs more than nought.', { field: 'sampleG' });
  return method.strength({ content, bench: plan.bench, read, known, byMass: plan.byMass });
}

/** What was found with the diluted sample, as with the sample itself. */
function withDilution({ dilution, bench, id, turned }: AssayPlan, w: Figure): Figure {
  if (!dilution) return w;
  const sd = weighingSd(bench);
  const weighed = (symbol: string, name: string, value: number) =>
    given(
      { symbol, name, unit: 'g' },
      uncertain(value, sd, { id: `dilute:${id}:${symbol}`, name: 'weighing for dilution' }),
      'read',
    );
  const a = weighed('a', 'weighed to be diluted', dilution.weighG);
  const b = weighed('b', 'diluted to', dilution.toG);
  const naming = { symbol: 'w', name: w.name, unit: '%' };
  // Less of the standard is in the flask than was weighed; more of the bottle is in the bottle.
  return turned
    ? derive(naming, 'w₁ × a ÷ b', { 'w₁': w, a, b }, (x) => (x['w₁'] * x.a) / x.b)
    : derive(naming, 'w₁ × b ÷ a', { 'w₁': w, a, b }, (x) => (x['w₁'] * x.b) / x.a);
}
