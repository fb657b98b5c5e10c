import { volatiles } from '#matter/data';
import { molarMass, substanceOf } from '#matter/substance';
import type { RefluxSetup } from '#model/ester';
import type { Flask } from './flask.ts';

/** J/(g K) of liquids that are not water, about; and of water. */
const ORGANIC_CP = 2.3;
const WATER_CP = 4.18;
/** W that an ordinary condenser of 30 cm takes with its water running: about 8 mL of spirit a minute. */
const CONDENSER_W = 120;
const HPA_PER_MMHG = 1.33322;

/** A flask as it would stand under a condenser; null where none of it is known to boil. */
export function refluxSetupOf(
  flask: Flask,
  { airC, pressureHPa }: { airC: number; pressureHPa: number },
): RefluxSetup | null {
  const { acid, alcohol, ester, charge, row } = flask;
  const boiling = [acid, alcohol, ester].flatMap((id) => {
    const found = volatiles.find((each) => each.id === id);
    if (!found?.antoine) return [];
    const [A, B, C] = found.antoine;
    return [{ id, boilKJ: found.boilKJ, boilsC: B / (A - Math.log10(pressureHPa / HPA_PER_MMHG)) - C }];
  });
  const lowest = boiling.sort((a, b) => a.boilsC - b.boilsC)[0];
  if (!lowest) return null;
  const grams = (id: typeof acid, mol: number) => mol * molarMass(substanceOf(id).formula);
  const organic = grams(acid, charge.acid) + grams(alcohol, charge.alcohol) + grams(ester, charge.ester);
  return {
    mixture: { acidId: acid, alcoholId: alcohol, charge, litres: flask.litres, strong: flask.strong },
    pair: row,
    boilsC: lowest.boilsC,
    heatCapacity: Math.max(10, organic * ORGANIC_CP + charge.water * molarMass('H2O') * WATER_CP),
    vapourKJ: lowest.boilKJ,
    vapourM: molarMass(substanceOf(lowest.id).formula),
    airC,
    condenserW: CONDENSER_W,
  };
}
