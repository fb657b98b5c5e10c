import { datum, derive, type Figure, given } from '#base/figure';
import { must } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { fields, nullable, number, type Of } from '#base/shape';
import { molarVolume } from '#matter/reaction';
import { molarMass, type SubstanceId, substance, substanceOf } from '#matter/substance';
import { type Charge, formedAtEnd } from './equilibrium.ts';
import { litresOf } from './litres.ts';
import { constantAt, esterOf, halfInWashH } from './pairs.ts';
import { type CoursePoint, courseOf, formedAfter, HOURS_FACTOR, hoursTo, strongOf } from './rate.ts';

/** A liquid or solid as weighed: g of it, and how much of that is the substance; the rest is water. */
const weighed = fields({
  substanceId: substance(),
  grams: number({ moreThan: 0, max: 50_000 }),
  pct: number({ moreThan: 0, max: 100 }),
});

export const esterShape = fields({
  acid: weighed,
  alcohol: weighed,
  /** What makes it run; null: nothing was added. */
  catalyst: nullable(weighed),
  tempC: number({ min: -20, max: 180 }),
  /** How long it is kept there; null: to its end. */
  hours: nullable(number({ moreThan: 0, max: 10_000 })),
  /** Water led off on the way, g. */
  waterOffG: number({ min: 0, max: 50_000 }),
});
export type EsterInput = Of<typeof esterShape>;

/** What another excess would bring: mol of each, how far it comes, what is left to be neutralised. */
export interface ExcessChoice {
  readonly more: 'acid' | 'alcohol';
  /** mol of it for a mol of the other. */
  readonly ratio: number;
  readonly conversionPct: number;
  readonly extraG: number;
  readonly bicarbonateG: number;
}

export interface EsterAnswer {
  readonly name: string;
  readonly substanceId: string;
  readonly limiting: 'acid' | 'alcohol';
  /** mol of the other for a mol of it. */
  readonly ratio: number;
  readonly K: Figure;
  /** At the end: of the limiting one, %, and g. */
  readonly conversion: Figure;
  readonly mass: Figure;
  /** After the hours asked for; null where it cannot be told, or none were asked. */
  readonly after: { readonly conversionPct: number; readonly grams: number } | null;
  /** Hours to 95 % of the end: least, likely, most; null where nothing makes it run that is known. */
  readonly hours: readonly [number, number, number] | null;
  readonly why: string;
  readonly course: readonly CoursePoint[];
  /** g in the flask at the end. */
  readonly left: { readonly acidG: number; readonly alcoholG: number; readonly waterG: number };
  /** What neutralises acid and catalyst that are left, and its gas at 20 °C. */
  readonly bicarbonateG: number;
  readonly gasL: number;
  readonly excess: readonly ExcessChoice[];
  /** If all water were led off but a twentieth: what that would bring. */
  readonly driestPct: number;
  /** Hours until half of the ester dissolved in a wash of pH 9 is gone, 25 °C; null where not known. */
  readonly halfInWashH: number | null;
}

const WATER_M = molarMass('H2O');
const SODA = 84.007;
const EXCESSES = [1, 1.5, 2, 3, 5] as const;

/** How far an acid and an alcohol come, how long it takes, and what is left. Moles decide; the mixture is taken as ideal. */
export function ester(input: EsterInput): Result<EsterAnswer> {
  const { acid, alcohol, catalyst, tempC, hours } = input;
  const row = esterOf(acid.substanceId, alcohol.substanceId);
  if (!row)
    return fail(
      'no-data',
      `No equilibrium is held of ${substanceOf(acid.substanceId).name} with ${substanceOf(alcohol.substanceId).name}; there are acetic, formic, salicylic, benzoic and lactic acid with ethanol, methanol, and some with isoamyl alcohol or propan-2-ol.`,
      { field: 'acid.substanceId' },
    );
  const strong = catalyst ? strongOf(catalyst.substanceId, molOf(catalyst)) : 0;
  if (strong === undefined)
    return fail(
      'no-data',
      `${substanceOf(must(catalyst, 'catalyst').substanceId).name} is no catalyst for this: sulfuric acid, hydrochloric acid, sodium hydrogensulfate or phosphoric acid is.`,
      { field: 'catalyst.substanceId' },
    );
  const held = catalyst?.substanceId === 'sulfuric-acid' ? molOf(catalyst) : 0;
  const charge: Charge = {
    acid: molOf(acid),
    alcohol: molOf(alcohol),
    water: (waterG(acid) + waterG(alcohol) + (catalyst ? waterG(catalyst) : 0)) / WATER_M,
    ester: 0,
    taken: input.waterOffG / WATER_M + held,
  };
  const at = constantAt(row, tempC);
  const K = datum(
    { symbol: 'K', name: 'equilibrium constant, in moles', unit: '' },
    { value: at, uncertainty: { K: { name: 'equilibrium as published', effect: (row.kHigh - row.kLow) / 4 } } },
    row,
  );
  const limiting = charge.acid <= charge.alcohol ? 'acid' : 'alcohol';
  const least = Math.min(charge.acid, charge.alcohol);
  const n = {
    'n(acid)': given({ symbol: 'n(acid)', name: 'acid', unit: 'mol' }, charge.acid, 'as weighed'),
    'n(alcohol)': given({ symbol: 'n(alcohol)', name: 'alcohol', unit: 'mol' }, charge.alcohol, 'as weighed'),
    'n(water)': given({ symbol: 'n(water)', name: 'water that comes along', unit: 'mol' }, charge.water, 'as weighed'),
    'n(off)': given(
      { symbol: 'n(off)', name: 'water led off or held by the acid', unit: 'mol' },
      charge.taken,
      'as said',
    ),
    K,
  };
  const formed = derive(
    { symbol: 'x', name: 'ester at the end', unit: 'mol' },
    'x (n(water) + x − n(off)) = K (n(acid) − x)(n(alcohol) − x)',
    n,
    (v) =>
      formedAtEnd(
        { acid: v['n(acid)'], alcohol: v['n(alcohol)'], water: v['n(water)'], ester: 0, taken: v['n(off)'] },
        v.K,
      ),
    { source: 'mass action in an ideal mixture', grade: row.grade === 'A' ? 'B' : 'C' },
  );
  const M = molarMass(row.formula);
  const end = formed.value;
  const litres = litresOf([
    [acid.substanceId, pureG(acid)],
    [alcohol.substanceId, pureG(alcohol)],
    ['water', charge.water * WATER_M],
    ...(catalyst ? [[catalyst.substanceId, pureG(catalyst)] as const] : []),
  ]);
  const course =
    courseOf(
      { acidId: acid.substanceId, alcoholId: alcohol.substanceId, charge, litres, strong },
      { K: at, end, tempC },
    ) ?? [];
  const toEnd = course.length > 0 ? hoursTo(course, 0.95 * end) : null;
  const later = hours !== null && course.length > 0 ? formedAfter(course, hours) : null;
  const acids = charge.acid - end + (catalyst ? acidOf(catalyst.substanceId) * molOf(catalyst) : 0);
  return ok({
    name: row.name,
    substanceId: row.ester,
    limiting,
    ratio: Math.max(charge.acid, charge.alcohol) / least,
    K,
    conversion: derive(
      { symbol: 'X', name: `of the ${limiting} that turns to ester`, unit: '%' },
      '100 × x ÷ n',
      { x: formed, n: n[limiting === 'acid' ? 'n(acid)' : 'n(alcohol)'] },
      (v) => (100 * v.x) / v.n,
    ),
    mass: derive(
      { symbol: 'm', name: `${row.name} at the end`, unit: 'g' },
      'x × M',
      { x: formed, M: given({ symbol: 'M', name: 'molar mass', unit: 'g/mol' }, M, 'from its formula') },
      (v) => v.x * v.M,
    ),
    after: later === null ? null : { conversionPct: (100 * later) / least, grams: later * M },
    hours: toEnd === null ? null : [toEnd / HOURS_FACTOR, toEnd, toEnd * HOURS_FACTOR],
    why: toEnd === null ? 'Without a strong acid it takes weeks or more: how long is not known.' : '',
    course,
    left: {
      acidG: (charge.acid - end) * molarMass(substanceOf(acid.substanceId).formula),
      alcoholG: (charge.alcohol - end) * molarMass(substanceOf(alcohol.substanceId).formula),
      waterG: Math.max(0, charge.water + end - input.waterOffG / WATER_M) * WATER_M,
    },
    bicarbonateG: SODA * acids,
    gasL: acids * molarVolume(20, 1013.25),
    excess: choices(input, { charge, K: at, catalystAcid: acids - (charge.acid - end) }),
    driestPct: (100 * formedAtEnd({ ...charge, taken: charge.water + DRIEST * least }, at)) / least,
    halfInWashH: halfInWashH(row),
  });
}

/** Led off as far as it goes: a twentieth of the water that forms stays. */
const DRIEST = 0.95;

const molOf = ({ substanceId, grams, pct }: EsterInput['acid']) =>
  (grams * pct) / 100 / molarMass(substanceOf(substanceId).formula);
const pureG = ({ grams, pct }: EsterInput['acid']) => (grams * pct) / 100;
const waterG = ({ grams, pct }: EsterInput['acid']) => grams * (1 - pct / 100);

/** Protons of a catalyst that base has to take up. */
const acidOf = (id: SubstanceId) => (id === 'sulfuric-acid' || id === 'phosphoric-acid' ? 2 : 1);

/** More of either for the least that is there: what it brings, and what it costs. */
function choices(
  { acid, alcohol }: EsterInput,
  { charge, K, catalystAcid }: { charge: Charge; K: number; catalystAcid: number },
): ExcessChoice[] {
  const least = Math.min(charge.acid, charge.alcohol);
  return (['acid', 'alcohol'] as const).flatMap((more) =>
    EXCESSES.map((ratio) => {
      const bottle = more === 'acid' ? acid : alcohol;
      const extra = least * (ratio - 1);
      const M = molarMass(substanceOf(bottle.substanceId).formula);
      const grams = (extra * M * 100) / bottle.pct;
      const base = perMol(acid) * least + perMol(alcohol) * least;
      const set: Charge = {
        acid: least + (more === 'acid' ? extra : 0),
        alcohol: least + (more === 'alcohol' ? extra : 0),
        water: base + perMol(bottle) * extra,
        ester: 0,
        taken: charge.taken,
      };
      const x = formedAtEnd(set, K);
      return {
        more,
        ratio,
        conversionPct: (100 * x) / least,
        extraG: grams,
        bicarbonateG: SODA * (set.acid - x + catalystAcid),
      };
    }),
  );
}

/** mol of water that comes with a mol of it. */
function perMol(bottle: EsterInput['acid']): number {
  return waterG(bottle) / WATER_M / molOf(bottle);
}
