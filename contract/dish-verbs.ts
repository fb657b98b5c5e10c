import {
  type DishPath,
  type DishStage,
  dishPath,
  dryShare,
  leastWater,
  type Pass,
  recrystallisations,
  type School,
  schools,
} from '#core/dish';
import { fail, ok, type Result } from '#core/problem';
import { substanceById } from '#core/substance';
import { phAsWashed, portionsFor, type WashReading, washed, washings, washReading } from '#core/wash';

/** A dish to be reckoned: so much of a solid in so much water, and what is done with it. Masses g, temperatures °C. */
export interface DishInput {
  readonly substanceId: string;
  readonly grams: number;
  readonly waterG: number;
  readonly hotC: number;
  readonly coldC: number;
  /** Boiled off before it is cooled. */
  readonly boilAwayG: number;
  readonly crops: number;
  readonly impurityPct: number;
  readonly airC: number;
  readonly humidityPct: number;
  readonly pressureHPa: number;
  readonly dishCm2: number;
}

export interface DishAnswer {
  readonly path: DishPath;
  readonly leastWaterG: number;
  readonly crystalsG: number;
  readonly yieldPct: number;
  readonly schools: readonly School[];
  readonly passes: readonly Pass[];
  /** What one more recrystallisation brings and costs. */
  readonly once: string;
}

/** Liquor is boiled down by half for a further crop. */
const NEXT_CROP = 0.5;

export function dish(input: DishInput): Result<DishAnswer> {
  const substance = substanceById(input.substanceId);
  if (!substance) return fail('unknown-substance', `“${input.substanceId}” is not a substance known here.`);
  const { grams, waterG, hotC, coldC, boilAwayG, crops, airC } = input;
  if (coldC > hotC) return fail('out-of-range', 'The cold end lies below the hot one.', { field: 'coldC' });
  const r = dryShare(substance.formula);
  const dryG = r * grams;
  const inAll = waterG + (1 - r) * grams;
  if (boilAwayG >= waterG && boilAwayG > 0)
    return fail('out-of-range', 'That boils it dry: leave some of the water.', { field: 'boilAwayG' });
  const stages: DishStage[] = [
    { label: 'hot', tempC: hotC, awayG: 0, collect: false },
    ...(boilAwayG > 0 ? [{ label: 'boiled down', tempC: hotC, awayG: boilAwayG, collect: false }] : []),
    { label: 'cold', tempC: coldC, awayG: 0, collect: true },
  ];
  let path = dishPath(substance, { dryG, waterG: inAll }, stages);
  for (let crop = 2; path.ok && crop <= crops; crop++) {
    const left = path.value.states.at(-1)!.liquidWaterG;
    stages.push(
      { label: `boiled down, crop ${crop}`, tempC: hotC, awayG: NEXT_CROP * left, collect: false },
      { label: `cold, crop ${crop}`, tempC: coldC, awayG: 0, collect: true },
    );
    path = dishPath(substance, { dryG, waterG: inAll }, stages);
  }
  if (!path.ok) return path;
  const least = leastWater(substance, grams, hotC);
  if (!least.ok) return least;
  const open = {
    areaCm2: input.dishCm2,
    liquidC: airC,
    airC,
    humidityPct: input.humidityPct,
    pressureHPa: input.pressureHPa,
    windMS: 0.1,
    waterActivity: 0.93,
  };
  const side = schools(substance, grams, { hotC, coldC, airC }, open);
  const passes = recrystallisations(substance, { grams, impurityPct: input.impurityPct }, { hotC, coldC }, 3);
  const collected = path.value.states.filter(({ collectedG }) => collectedG > 0);
  const crystalsG = collected.reduce((sum, each) => sum + each.collectedG, 0);
  const gotDry = collected.reduce((sum, each) => sum + dryShare(each.phase) * each.collectedG, 0);
  return ok({
    path: path.value,
    leastWaterG: least.value,
    crystalsG,
    yieldPct: dryG > 0 ? (100 * gotDry) / dryG : 0,
    schools: side.ok ? side.value : [],
    passes: passes.ok ? passes.value : [],
    once: passes.ok ? onceMore(passes.value, grams, input.impurityPct) : '',
  });
}

function onceMore([first]: readonly Pass[], grams: number, impurityPct: number): string {
  if (!first || impurityPct <= 0) return 'Nothing is said of an impurity: once more only costs.';
  const lost = grams - first.gramsLeft;
  return `Once more: about ${impurityPct.toPrecision(2)} % of impurity down to ${first.impurityPct.toPrecision(1)} %, for ${lost.toPrecision(2)} g left in the liquor.`;
}

export interface WashInput {
  readonly retainedMl: number;
  readonly portionMl: number;
  /** Share of what is dissolved that may stay, %. */
  readonly goalPct: number;
  readonly productGPer100Ml: number;
  /** What the washings read, and at which reading they are clean. */
  readonly readings: readonly WashReading[];
  readonly goalReading: number | null;
  readonly quantity: 'conductivity' | 'pH';
}

export interface WashAnswer {
  readonly portions: number | null;
  readonly leftPct: number;
  readonly lostG: number;
  /** The same water in one to six portions. */
  readonly ways: readonly { readonly portions: number; readonly left: number; readonly lostG: number }[];
  readonly sentence: string;
}

export function wash(input: WashInput): Result<WashAnswer> {
  const { retainedMl, portionMl, goalPct, productGPer100Ml, readings, goalReading, quantity } = input;
  const portions = portionsFor(retainedMl, portionMl, goalPct / 100) ?? null;
  const count = portions ?? 0;
  const fallen =
    quantity === 'pH' && goalReading !== null ? phAsWashed(readings, goalReading) : { readings, goal: goalReading };
  const byCake = washed({ retainedMl, portionsMl: [portionMl] });
  const more = fallen.goal === null ? undefined : washReading(fallen.readings, fallen.goal, byCake);
  return ok({
    portions,
    leftPct: 100 * washed({ retainedMl, portionsMl: Array.from({ length: Math.min(count, 200) }, () => portionMl) }),
    lostG: (count * portionMl * productGPer100Ml) / 100,
    ways: washings(retainedMl, Math.max(1, count) * portionMl, 6, productGPer100Ml),
    sentence: washSentence(readings, more, goalReading),
  });
}

function washSentence(readings: readonly WashReading[], more: number | undefined, goal: number | null): string {
  if (goal === null || readings.length === 0) return '';
  if (more === 0) return 'Stop: it is clean.';
  if (more === undefined)
    return readings.length < 2
      ? 'Read the next washings too: one reading tells no fall.'
      : 'The readings do not fall: the cake is channelled, stir it up.';
  if (readings.length < 2) return `About ${more} more, by what the cake holds; read the next washings too.`;
  return more === 1 ? 'One more.' : `About ${more} more.`;
}
