import { boilHours, type DrivesOut, dishEvaporation, saltOut } from '#core/dish';
import { boilLimit, type Ceiling, type DryingSchool, dryingSchools } from '#core/dry';
import { classesOf } from '#core/guard';
import { completeness, saltByName } from '#core/precipitate';
import { fail, ok, type Result } from '#core/problem';
import { substanceById } from '#core/substance';
import { boilingVessels, isShallow, type OwnVessel, type Stretch } from '#core/vessel';

/** A solid to be dried. Masses g, temperatures °C. */
export interface DryInput {
  readonly substanceId: string;
  readonly waterG: number;
  readonly areaCm2: number;
  readonly roomC: number;
  readonly humidityPct: number;
  readonly pressureHPa: number;
  /** The route's own ceiling, with its reason; null for the published one alone. */
  readonly ceiling: { readonly tempC: number; readonly why: string } | null;
}

export interface DryAnswer {
  readonly ceiling: Ceiling | null;
  readonly schools: readonly DryingSchool[];
}

export function dry(input: DryInput): Result<DryAnswer> {
  const substance = substanceById(input.substanceId);
  if (!substance)
    return fail('unknown-substance', `“${input.substanceId}” is not a substance known here.`, { field: 'substanceId' });
  const { ceiling, schools } = dryingSchools({
    ...input,
    substance,
    routeCeiling: input.ceiling ? { ...input.ceiling, grade: 'B' } : undefined,
    classes: classesOf(substance.id, 100),
  });
  return ok({ ceiling: ceiling ?? null, schools });
}

/** A solution that is to lose water. Volumes mL, masses g, temperatures °C. */
export interface EvaporateInput {
  readonly substanceId: string;
  readonly fromMl: number;
  readonly toMl: number;
  readonly awayG: number;
  readonly vessels: readonly OwnVessel[];
  /** Heat that goes into it, W; null to go by what the plate takes off, g/h. */
  readonly watts: number | null;
  readonly evaporationGPerH: number;
  readonly dishCm2: number;
  readonly liquidC: number;
  readonly airC: number;
  readonly humidityPct: number;
  readonly pressureHPa: number;
}

export interface EvaporateAnswer {
  readonly boilH: number;
  /** Hours in an open dish, least and most; null when it never gets there. */
  readonly dishH: readonly [number, number] | null;
  readonly dishGPerH: number;
  readonly stretches: readonly Stretch[];
  readonly warnings: readonly string[];
}

/** Of a plate's power half reaches the liquid. */
const PLATE_PART = 0.5;
/** A saturated salt gives off about this share of what water would. */
const WATER_ACTIVITY = 0.93;
/** Beyond this share of it gone, what is left spatters. */
const LAST_SHARE = 0.9;

export function evaporate(input: EvaporateInput): Result<EvaporateAnswer> {
  const substance = substanceById(input.substanceId);
  if (!substance)
    return fail('unknown-substance', `“${input.substanceId}” is not a substance known here.`, { field: 'substanceId' });
  const { fromMl, toMl, awayG, vessels, watts, evaporationGPerH } = input;
  if (toMl > fromMl) return fail('out-of-range', 'Evaporating leaves less than there was.', { field: 'toMl' });
  const rate = dishEvaporation({
    areaCm2: input.dishCm2,
    liquidC: input.liquidC,
    airC: input.airC,
    humidityPct: input.humidityPct,
    pressureHPa: input.pressureHPa,
    windMS: 0.1,
    waterActivity: WATER_ACTIVITY,
  });
  const open = awayG / rate;
  const stretches = boilingVessels(vessels, fromMl, toMl);
  const limit = boilLimit(substance);
  const last = stretches.at(-1);
  return ok({
    boilH: watts === null ? awayG / evaporationGPerH : boilHours(awayG, watts, PLATE_PART),
    dishH: rate > 1e-6 ? [open * 0.7, open * 1.5] : null,
    dishGPerH: rate,
    stretches,
    warnings: [
      limit ? `Not above ${limit.tempC} °C: ${limit.why}.` : '',
      fromMl > 0 && 1 - toMl / fromMl > LAST_SHARE
        ? 'The last tenth spatters and cakes: take it off before, and let the rest go in an open dish.'
        : '',
      last && isShallow(last.vessel, toMl)
        ? `At the end it lies shallow in the ${last.vessel.name}: low heat, and stay with it.`
        : '',
    ].filter((each) => each !== ''),
  });
}

/** Two solutions that give a sparing salt. Amounts mol, volume L, salts beside it mol/L of ionic strength. */
export interface PrecipitateInput {
  readonly solid: string;
  readonly cationMol: number;
  readonly anionMol: number;
  readonly litres: number;
  readonly beside: number;
}

export interface PrecipitateAnswer {
  readonly formula: string;
  readonly name: string;
  readonly mol: number;
  readonly pct: number;
  readonly cationLeft: number;
  readonly anionLeft: number;
  readonly saturation: number;
  readonly note: string;
}

export function precipitate({ solid, ...of }: PrecipitateInput): Result<PrecipitateAnswer> {
  const salt = saltByName(solid);
  if (!salt)
    return fail('unknown-substance', `No solubility product of “${solid.slice(0, 60)}” is held here.`, {
      field: 'solid',
    });
  const at = completeness(salt, of, of.beside);
  if (!at.ok) return at;
  const { mol, pct, cationLeft, anionLeft, saturation } = at.value;
  return ok({
    formula: salt.formula,
    name: salt.name,
    mol,
    pct,
    cationLeft,
    anionLeft,
    saturation,
    note: salt.note ?? '',
  });
}

export interface SaltOutInput {
  readonly added: DrivesOut;
  readonly saltG: number;
  readonly waterG: number;
  readonly addedG: number;
}

export interface SaltOutAnswer {
  readonly downG: number;
  readonly staysG: number;
  readonly gPer100gWater: number;
  readonly grade: string;
  readonly source: string;
}

/** Sodium chloride that strong alkali or acid drives out, at room temperature. */
export function saltout({ added, ...of }: SaltOutInput): Result<SaltOutAnswer> {
  const out = saltOut(added, of);
  if (!out.ok) return out;
  const { downG, staysG, beside } = out.value;
  return ok({ downG, staysG, ...beside });
}
