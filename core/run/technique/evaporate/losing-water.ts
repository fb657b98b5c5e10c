import { fail, ok, type Result } from '#base/problem';
import { fields, nullable, number, type Of, text } from '#base/shape';
import { vesselsShape } from '#matter/gear';
import { admit, mindWarm } from '#matter/guard';
import { substanceById } from '#matter/substance';
import { boilingVessels, isShallow, type Stretch } from '#matter/vessel';
import { boilHours, dishEvaporation } from '#model/dish';
import { boilLimit } from '#model/dry';

/** A solution that is to lose water. Volumes mL, masses g, temperatures °C. */
export const losingWaterShape = fields({
  substanceId: text(80),
  fromMl: number({ moreThan: 0, max: 100_000 }),
  toMl: number({ min: 0, max: 100_000 }),
  awayG: number({ min: 0, max: 100_000 }),
  vessels: vesselsShape,
  /** Heat that goes into it, W; null to go by what the plate takes off, g/h. */
  watts: nullable(number({ moreThan: 0, max: 5000 })),
  evaporationGPerH: number({ moreThan: 0, max: 5000 }),
  dishCm2: number({ moreThan: 0, max: 10_000 }),
  liquidC: number({ min: -10, max: 110 }),
  airC: number({ min: 0, max: 45 }),
  humidityPct: number({ min: 0, max: 100 }),
  pressureHPa: number({ min: 600, max: 1100 }),
});

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

/** How long it takes to boil it away or to leave it to evaporate, in which vessels, and what to mind. */
export function losingWater(input: Of<typeof losingWaterShape>): Result<EvaporateAnswer> {
  const substance = substanceById(input.substanceId);
  if (!substance)
    return fail('unknown-substance', `“${input.substanceId}” is not a substance known here.`, { field: 'substanceId' });
  const allowed = admit(input, 'concentrate');
  if (!allowed.ok) return allowed;
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
      mindWarm(substance.species),
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
