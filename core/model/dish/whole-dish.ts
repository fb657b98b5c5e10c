import { lastOf } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { fields, number, type Of, text } from '#base/shape';
import { substanceById } from '#matter/substance';
import { type Method, methods, type Pass, recrystallisations } from './methods.ts';
import { type DishPath, type DishStage, dishPath, leastWater } from './path.ts';
import { dryShare } from './solute.ts';

/** A dish to be computed: so much of a solid in so much water, and what is done with it. Masses g, temperatures °C. */
export const dishShape = fields({
  substanceId: text(80),
  grams: number({ moreThan: 0, max: 20_000 }),
  waterG: number({ moreThan: 0, max: 100_000 }),
  hotC: number({ min: 0, max: 110 }),
  coldC: number({ min: -10, max: 110 }),
  /** Boiled off before it is cooled. */
  boilAwayG: number({ min: 0, max: 100_000 }),
  crops: number({ min: 1, max: 4, whole: true }),
  impurityPct: number({ min: 0, max: 50 }),
  airC: number({ min: 0, max: 45 }),
  humidityPct: number({ min: 0, max: 100 }),
  pressureHPa: number({ min: 600, max: 1100 }),
  dishCm2: number({ moreThan: 0, max: 10_000 }),
});
export type DishInput = Of<typeof dishShape>;

export interface DishAnswer {
  readonly path: DishPath;
  readonly leastWaterG: number;
  readonly crystalsG: number;
  readonly yieldPct: number;
  readonly methods: readonly Method[];
  readonly passes: readonly Pass[];
  /** What one more recrystallisation brings and costs. */
  readonly once: string;
}

/** Liquor is boiled down by half for a further crop. */
const NEXT_CROP = 0.5;

/** A dish from hot to cold, with its crops, beside the other methods, and what one more recrystallisation brings. */
export function wholeDish(input: DishInput): Result<DishAnswer> {
  const substance = substanceById(input.substanceId);
  if (!substance) return fail('unknown-substance', `“${input.substanceId}” is not a substance known here.`);
  const { grams, waterG, hotC, coldC, boilAwayG, crops, airC } = input;
  if (coldC > hotC) return fail('out-of-range', 'The cold end lies below the hot one.', { field: 'coldC' });
  const r = dryShare(substance.formula);
  const anhydrousG = r * grams;
  const inAll = waterG + (1 - r) * grams;
  if (boilAwayG >= waterG && boilAwayG > 0)
    return fail('out-of-range', 'That boils it dry: leave some of the water.', { field: 'boilAwayG' });
  const stages: DishStage[] = [
    { label: 'hot', tempC: hotC, awayG: 0, collect: false },
    ...(boilAwayG > 0 ? [{ label: 'boiled down', tempC: hotC, awayG: boilAwayG, collect: false }] : []),
    { label: 'cold', tempC: coldC, awayG: 0, collect: true },
  ];
  let path = dishPath(substance, { anhydrousG, waterG: inAll }, stages);
  for (let crop = 2; path.ok && crop <= crops; crop++) {
    const left = lastOf(path.value.states).liquidWaterG;
    stages.push(
      { label: `boiled down, crop ${crop}`, tempC: hotC, awayG: NEXT_CROP * left, collect: false },
      { label: `cold, crop ${crop}`, tempC: coldC, awayG: 0, collect: true },
    );
    path = dishPath(substance, { anhydrousG, waterG: inAll }, stages);
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
  const side = methods(substance, grams, { hotC, coldC, airC }, open);
  const passes = recrystallisations(substance, { grams, impurityPct: input.impurityPct }, { hotC, coldC }, 3);
  const collected = path.value.states.filter(({ collectedG }) => collectedG > 0);
  const crystalsG = collected.reduce((sum, each) => sum + each.collectedG, 0);
  const gotDry = collected.reduce((sum, each) => sum + dryShare(each.phase) * each.collectedG, 0);
  return ok({
    path: path.value,
    leastWaterG: least.value,
    crystalsG,
    yieldPct: anhydrousG > 0 ? (100 * gotDry) / anhydrousG : 0,
    methods: side.ok ? side.value : [],
    passes: passes.ok ? passes.value : [],
    once: passes.ok ? onceMore(passes.value, grams, input.impurityPct) : '',
  });
}

function onceMore([first]: readonly Pass[], grams: number, impurityPct: number): string {
  if (!first || impurityPct <= 0) return 'Nothing is said of an impurity: once more only costs.';
  const lost = grams - first.gramsLeft;
  return `Once more: about ${impurityPct.toPrecision(2)} % of impurity down to ${first.impurityPct.toPrecision(1)} %, for ${lost.toPrecision(2)} g left in the liquor.`;
}
