import { itemAt, must } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { fields, nullable, number, type Of, one } from '#base/shape';
import { formatNumber } from '#base/units';
import { capOfAmount } from '#matter/guard';
import { molarMass, substance, substanceOf } from '#matter/substance';
import { AIR_CONDUCTS, diffusion, stirredByItself } from './air-between.ts';
import { gPerMlAt, sublimationOf, vapourCold, vapourOver } from './vapour.ts';

export const sublimeShape = fields({
  substanceId: substance(),
  grams: number({ moreThan: 0, max: 1000 }),
  potC: number({ min: 0, max: 350 }),
  coverC: number({ min: -30, max: 200 }),
  /** cm² that it lies on. */
  dishCm2: number({ moreThan: 0, max: 2000 }),
  /** cm from it to the cover. */
  gapCm: number({ min: 0.2, max: 30 }),
  glass: one('borosilicate', 'soda-lime', 'porcelain'),
  /** null: until it is over. */
  hours: nullable(number({ moreThan: 0, max: 1000 })),
});
export type SublimeInput = Of<typeof sublimeShape>;

export interface SublimeAnswer {
  /** Pa over the dish, and left at the cover. */
  readonly potPa: number;
  readonly coverPa: number;
  /** g an hour while the bottom is covered: least, likely, most. */
  readonly gPerHour: readonly [number, number, number];
  /** Hours until all but a hundredth has gone over: least, likely, most. */
  readonly hours: readonly [number, number, number];
  /** g on the cover after the hours asked for, or at the end. */
  readonly over: number;
  /** g that go past the rim by then, and stay as vapour when it is opened: least, likely, most. */
  readonly lost: readonly [number, number, number];
  /** g an hour that would leave without a cover. */
  readonly openGPerHour: number;
  /** g of ice an hour that keep the cover cold. */
  readonly iceGPerHour: number;
  /** The same at other temperatures of the dish. */
  readonly at: readonly { readonly potC: number; readonly gPerHour: number; readonly hours: number }[];
  readonly says: readonly string[];
}

/** Pace within this factor, what is lost within that one. */
const PACE = 2;
const LOSS = 3;
/** cm/s with which vapour leaves an open dish in still air. */
const OPEN_CM_S = 0.2;
/** A watch glass on a rim leaves a slit of so many cm. */
const SLIT_CM = 0.02;
/** g/cm² below which the bottom shows. */
const THIN = 0.05;
const GAS_R = 8.314;
const KELVIN = 273.15;
const AIR_PA = 101_325;
/** K at once that glass of 3 mm stands. */
const SHOCK = { borosilicate: 120, 'soda-lime': 40, porcelain: 150 } as const;
const FUSION_J = 333.7;
const LEFT = 0.01;

/** A solid sublimed from a dish onto a cold cover. Amounts beyond the caps are not computed. */
export function sublime(input: SublimeInput): Result<SublimeAnswer> {
  const { substanceId, grams, potC, coverC, dishCm2, gapCm, hours } = input;
  const { name, formula } = substanceOf(substanceId);
  const M = molarMass(formula);
  const over = capOfAmount(formula, grams / M);
  if (over) return { ok: false, problem: { ...over, field: 'grams' } };
  const row = sublimationOf(substanceId);
  if (!row)
    return fail(
      'no-data',
      `The vapour over ${name} is not held; there are iodine, benzoic and salicylic acid, camphor, menthol, ammonium chloride and oxalic acid.`,
      { field: 'substanceId' },
    );
  const pace = paceAt(input, potC);
  if (pace === null)
    return fail(
      'out-of-range',
      row.meltsC !== null && potC > row.tempC[1] && row.meltsC <= row.tempC[1] + 1
        ? `At ${formatNumber(potC, 3)} °C ${name} has melted (${formatNumber(row.meltsC, 4)} °C): it spits and runs. Below that it sublimes.`
        : `The vapour over ${name} is held from ${row.tempC[0]} to ${row.tempC[1]} °C.`,
      { field: 'potC' },
    );
  if (coverC >= potC)
    return fail('out-of-range', `The cover (${formatNumber(coverC, 3)} °C) must be colder than the dish.`, {
      field: 'coverC',
    });
  const potPa = must(vapourOver(row, potC), 'vapourOver');
  const coverPa = Math.min(potPa, vapourCold(row, coverC));
  const toEnd = hoursTo(LEFT, grams, { pace, dishCm2 });
  const asked = hours ?? toEnd;
  const gone = grams - leftAfter(asked, grams, { pace, dishCm2 });
  const rim = SLIT_CM * Math.sqrt(4 * Math.PI * dishCm2);
  const escaping = 3600 * OPEN_CM_S * rim * gPerMlAt((potPa * coverPa) ** 0.5, M, (potC + coverC) / 2);
  const stays = dishCm2 * gapCm * gPerMlAt(coverPa, M, coverC);
  const lost = Math.min(gone, escaping * Math.min(asked, toEnd) + stays);
  const stir = stirring(input, potC, potPa);
  const watts =
    (pace / 3600 / M) * (row.heatKJ ?? 0) * 1000 + (AIR_CONDUCTS * stir * dishCm2 * (potC - coverC)) / gapCm;
  return ok({
    potPa,
    coverPa,
    gPerHour: [pace / PACE, pace, pace * PACE],
    hours: [toEnd / PACE, toEnd, toEnd * PACE],
    over: Math.max(0, gone - lost),
    lost: [lost / LOSS, lost, Math.min(gone, lost * LOSS)],
    openGPerHour: 3600 * OPEN_CM_S * dishCm2 * gPerMlAt(potPa, M, potC),
    iceGPerHour: (3600 * watts) / FUSION_J,
    at: others(input, row.tempC),
    says: sentences(input, row),
  });
}

/** g an hour from a covered bottom at a temperature; null where no vapour pressure is held. */
function paceAt(input: SublimeInput, potC: number): number | null {
  const row = must(sublimationOf(input.substanceId), 'sublimationOf');
  const hot = vapourOver(row, potC);
  if (hot === null) return null;
  const { formula } = substanceOf(input.substanceId);
  const [yHot, yCold] = [Math.min(0.95, hot / AIR_PA), Math.min(0.94, vapourCold(row, input.coverC) / AIR_PA)];
  const meanC = (potC + input.coverC) / 2;
  const D = diffusion(formula, meanC) * stirring(input, potC, hot);
  // mol/(cm² s) through air that stands still, by Stefan; Pa m³ to cm³ is a million.
  const perCm2 = ((D / input.gapCm) * AIR_PA * Math.log((1 - yCold) / (1 - yHot))) / (GAS_R * (meanC + KELVIN)) / 1e6;
  return Math.max(0, 3600 * perCm2 * input.dishCm2 * molarMass(formula));
}

function stirring({ substanceId, coverC, gapCm }: SublimeInput, potC: number, potPa: number): number {
  const M = molarMass(substanceOf(substanceId).formula);
  return stirredByItself({ hotC: potC, coldC: coverC, cm: gapCm, share: Math.min(0.95, potPa / AIR_PA), M });
}

interface Bed {
  readonly pace: number;
  readonly dishCm2: number;
}

/** Hours until a share of it is left: steady while the bottom is covered, then from grains that shrink. */
function hoursTo(share: number, grams: number, { pace, dishCm2 }: Bed): number {
  if (!(pace > 0)) return Number.POSITIVE_INFINITY;
  const thin = THIN * dishCm2;
  const rest = share * grams;
  const steady = Math.max(0, grams - Math.max(thin, rest)) / pace;
  const from = Math.min(grams, thin);
  return rest >= from ? steady : steady + (3 * thin ** (2 / 3) * (Math.cbrt(from) - Math.cbrt(rest))) / pace;
}

function leftAfter(hours: number, grams: number, { pace, dishCm2 }: Bed): number {
  const thin = THIN * dishCm2;
  const covered = Math.max(0, grams - thin) / Math.max(1e-300, pace);
  if (hours <= covered) return grams - pace * hours;
  const root = Math.cbrt(Math.min(grams, thin)) - ((hours - covered) * pace) / (3 * thin ** (2 / 3));
  return Math.max(0, root) ** 3;
}

const STEP_C = 10;

/** Two steps colder, two warmer, as far as the vapour is held. */
function others(input: SublimeInput, [low, high]: readonly [number, number]): SublimeAnswer['at'] {
  return [-2, -1, 0, 1, 2].flatMap((step) => {
    const potC = input.potC + STEP_C * step;
    if (potC < low || potC > high || potC <= input.coverC) return [];
    const gPerHour = paceAt(input, potC) ?? 0;
    return [{ potC, gPerHour, hours: hoursTo(LEFT, input.grams, { pace: gPerHour, dishCm2: input.dishCm2 }) }];
  });
}

function sentences(
  { potC, coverC, glass }: SublimeInput,
  { note, dissociates }: { note: string; dissociates: boolean },
) {
  const jump = potC - coverC;
  return [
    jump > SHOCK[glass]
      ? `${glass === 'porcelain' ? 'Porcelain' : `${itemAt(glass, 0).toUpperCase()}${glass.slice(1)} glass`} cracks at a jump of about ${SHOCK[glass]} K, and here are ${formatNumber(jump, 3)}: let the dish cool before the ice goes off, never a hot dish onto a cold plate.`
      : '',
    'Water comes over first and lies on the cover: dry it beforehand. What does not sublime stays in the dish.',
    dissociates ? 'It goes over as two gases and comes together as fine dust: a wide cold space.' : '',
    note === '' ? '' : `${itemAt(note, 0).toUpperCase()}${note.slice(1)}.`,
  ].filter((each) => each !== '');
}
