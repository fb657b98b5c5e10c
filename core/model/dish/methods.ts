import { itemAt, lastOf } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import type { Substance } from '#matter/substance';
import { hasAntisolvent, solubilityInEthanol } from './antisolvent.ts';
import { dishHours, type OpenDish } from './evaporate.ts';
import { type DishStage, dishPath, leastWater } from './path.ts';
import { dryShare } from './solute.ts';

export interface Method {
  readonly id: 'cooling' | 'slow evaporation' | 'gentle boil-down' | 'antisolvent';
  readonly crystalsG: number;
  /** Of what the solid charged could give. */
  readonly yieldPct: number;
  /** Impurity that was in the charge and comes along, % of it. */
  readonly impurityKeptPct: number;
  readonly hours: readonly [number, number];
  readonly risk: string;
}

/** Liquor held by crystals, g per g, after one rinse: clear slow ones hold least. Estimates, grade C. */
const HELD: Readonly<Record<Method['id'], number>> = {
  cooling: 0.06,
  'slow evaporation': 0.02,
  'gentle boil-down': 0.1,
  antisolvent: 0.12,
};
/** A liquor is never taken further than this share of the water that was poured on: below it everything precipitates. */
const LEAST_WATER = 0.25;

/** One batch by each method: hot dissolved with a tenth of water to spare, then cooled, left to evaporate, or boiled down by half and cooled. */
export function methods(
  substance: Substance,
  grams: number,
  temps: { hotC: number; coldC: number; airC: number },
  dish: OpenDish,
): Result<readonly Method[]> {
  if (!(grams > 0)) return fail('out-of-range', 'An amount is more than 0 g.');
  const least = leastWater(substance, grams, temps.hotC);
  if (!least.ok) return least;
  const r = dryShare(substance.formula);
  const anhydrousG = r * grams;
  const waterG = 1.1 * least.value + (1 - r) * grams;
  const hot: DishStage = { label: 'hot', tempC: temps.hotC, awayG: 0, collect: false };
  const cold: DishStage = { label: 'cold', tempC: temps.coldC, awayG: 0, collect: true };
  // What was poured on can go; the water of the crystals has to stay.
  const added = 1.1 * least.value;
  const open = added * (1 - LEAST_WATER);
  const ways: readonly [Method['id'], readonly DishStage[], Method['hours'] | undefined, string][] = [
    ['cooling', [hot, cold], [6, 16], 'none to speak of'],
    [
      'slow evaporation',
      [hot, { label: 'open', tempC: temps.airC, awayG: open, collect: true }],
      openHours(open, dish),
      'dust, and a crust when it is warm',
    ],
    [
      'gentle boil-down',
      [hot, { label: 'boiled down', tempC: temps.hotC, awayG: added / 2, collect: false }, cold],
      [2, 16],
      'crust and spatter; a lower hydrate when too hot',
    ],
  ];
  const found: Method[] = [];
  for (const [id, stages, hours, risk] of ways) {
    const path = dishPath(substance, { anhydrousG, waterG }, stages);
    if (!path.ok) return path;
    const last = lastOf(path.value.states);
    const liquorG = last.liquidWaterG + last.dissolvedG;
    // Impurity stays in the liquor; what the crystals hold of it goes with them.
    const held = last.crystalsG > 0 ? Math.min(1, (HELD[id] * last.crystalsG) / Math.max(1e-9, liquorG)) : 0;
    if (hours)
      found.push({
        id,
        crystalsG: last.crystalsG,
        yieldPct: (100 * dryShare(last.phase) * last.crystalsG) / anhydrousG,
        impurityKeptPct: 100 * held,
        hours,
        risk,
      });
  }
  const ethanol = byEthanol(substance, anhydrousG, waterG, temps.airC);
  return ok(ethanol ? [...found, ethanol] : found);
}

/** Ethanol poured in until the solvent holds this much of it, %: beyond, the yield gains little and oils precipitate. */
const ETHANOL_PCT = 50;

/** Ethanol into the solution at room temperature, where data exist: quick, fine crystals. Anhydrous salts only are held. */
function byEthanol(substance: Substance, anhydrousG: number, waterG: number, airC: number): Method | undefined {
  if (!hasAntisolvent(substance)) return undefined;
  const s = solubilityInEthanol(substance, ETHANOL_PCT, airC);
  if (!s.ok) return undefined;
  const stays = Math.min(anhydrousG, (s.value * waterG) / 100);
  const crystalsG = anhydrousG - stays;
  const ethanolG = waterG * (ETHANOL_PCT / (100 - ETHANOL_PCT));
  const held = Math.min(1, (HELD.antisolvent * crystalsG) / (waterG + ethanolG + stays));
  return {
    id: 'antisolvent',
    crystalsG,
    yieldPct: (100 * crystalsG) / anhydrousG,
    impurityKeptPct: 100 * held,
    hours: [0.5, 2],
    risk: `about ${Math.round(ethanolG)} g of ethanol: no flame; fine crystals that hold liquor`,
  };
}

function openHours(grams: number, dish: OpenDish): Method['hours'] | undefined {
  const hours = dishHours(grams, dish);
  return hours === undefined ? undefined : [hours * 0.7, hours * 1.5];
}

export interface Pass {
  readonly pass: number;
  readonly gramsLeft: number;
  readonly impurityPct: number;
}

/** One more recrystallisation by cooling, and another: what is left of the solid and of its impurity after each. */
export function recrystallisations(
  substance: Substance,
  start: { grams: number; impurityPct: number },
  temps: { hotC: number; coldC: number },
  passes: number,
): Result<readonly Pass[]> {
  const list: Pass[] = [];
  let { grams, impurityPct } = start;
  for (let pass = 1; pass <= passes; pass++) {
    const impurityG = (grams * impurityPct) / 100;
    const own = grams - impurityG;
    const least = leastWater(substance, own, temps.hotC);
    if (!least.ok) return least;
    const r = dryShare(substance.formula);
    const path = dishPath(substance, { anhydrousG: r * own, waterG: 1.1 * least.value + (1 - r) * own }, [
      { label: 'cold', tempC: temps.coldC, awayG: 0, collect: true },
    ]);
    if (!path.ok) return path;
    const last = itemAt(path.value.states, 0);
    const liquorG = last.liquidWaterG + last.dissolvedG + impurityG;
    const kept = Math.min(impurityG, (impurityG * HELD.cooling * last.crystalsG) / Math.max(1e-9, liquorG));
    grams = last.crystalsG + kept;
    impurityPct = grams > 0 ? (100 * kept) / grams : 0;
    list.push({ pass, gramsLeft: grams, impurityPct });
  }
  return ok(list);
}
