import { fail, ok, type Result } from '#base/problem';
import type { Substance } from '#matter/substance';
import { solubilityOf, solubilityRange } from './solubility.ts';
import { dryShare, phaseFormula } from './solute.ts';

/** A dish at one temperature, left until nothing changes. Masses g, the water of crystals counted with the crystals. */
export interface DishState {
  readonly tempC: number;
  /** Dry substance and water in all, crystals included. */
  readonly anhydrousG: number;
  readonly waterG: number;
  /** The solid that is stable, as a formula; its mass with crystal water. */
  readonly phase: string;
  readonly crystalsG: number;
  /** What is dissolved, g dry, in the water that is left as liquid. */
  readonly dissolvedG: number;
  readonly liquidWaterG: number;
  /** g dry per 100 g water at saturation here. */
  readonly saturation: number;
}

/** What a dish comes to at a temperature: all dissolved, or crystals of the stable solid in a saturated liquor. */
export function dishAt(substance: Substance, anhydrousG: number, waterG: number, tempC: number): Result<DishState> {
  if (!(anhydrousG >= 0) || !(waterG >= 0)) return fail('out-of-range', 'Amounts of salt and water are 0 g or more.');
  const at = solubilityOf(substance, tempC);
  if (!at.ok) return at;
  const { gPer100gWater: s, phase } = at.value;
  const r = dryShare(phaseFormula(phase));
  const crystalsG = crystalMass(anhydrousG, waterG, s, r);
  return ok({
    tempC,
    anhydrousG,
    waterG,
    phase: phaseFormula(phase),
    crystalsG,
    dissolvedG: anhydrousG - r * crystalsG,
    liquidWaterG: waterG - (1 - r) * crystalsG,
    saturation: s,
  });
}

/** g of crystals from A g dry in W g water; no less than 0, no more than the salt or the water gives. */
export function crystalMass(A: number, W: number, s: number, r: number): number {
  const all = Math.min(A / r, r < 1 ? W / (1 - r) : Number.POSITIVE_INFINITY);
  const spread = r - (s * (1 - r)) / 100;
  if (spread <= 0) return A > (s * W) / 100 ? all : 0;
  return Math.max(0, Math.min(all, (A - (s * W) / 100) / spread));
}

export interface DishStage {
  readonly label: string;
  readonly tempC: number;
  /** Water that is taken away before it, g; negative for water added. */
  readonly awayG: number;
  /** True when the crystals are filtered off and leave the dish. */
  readonly collect: boolean;
}

export interface DishPath {
  readonly states: readonly (DishState & { readonly label: string; readonly collectedG: number })[];
  /** The curve, °C and g dry per 100 g water, with the phase that is stable. */
  readonly curve: readonly { readonly tempC: number; readonly s: number; readonly phase: string }[];
}

const POINTS = 200;

/** A dish through its stages, with the curve it runs along. Refuses as soon as a stage lies outside the table. */
export function dishPath(
  substance: Substance,
  start: { anhydrousG: number; waterG: number },
  stages: readonly DishStage[],
): Result<DishPath> {
  let { anhydrousG, waterG } = start;
  const states: DishPath['states'][number][] = [];
  for (const { label, tempC, awayG, collect } of stages) {
    if (awayG > waterG) return fail('out-of-range', `“${label}” takes away more water than there is.`);
    waterG -= awayG;
    const at = dishAt(substance, anhydrousG, waterG, tempC);
    if (!at.ok) return at;
    states.push({ ...at.value, label, collectedG: collect ? at.value.crystalsG : 0 });
    if (collect) {
      anhydrousG = at.value.dissolvedG;
      waterG = at.value.liquidWaterG;
    }
  }
  return ok({ states, curve: curveOf(substance) });
}

const CURVES = new Map<string, DishPath['curve']>();

/** The curve of a substance; tables do not change, so it is drawn once. */
function curveOf(substance: Substance): DishPath['curve'] {
  const key = substance.solubility;
  if (key === null) return [];
  const known = CURVES.get(key) ?? drawn(substance);
  CURVES.set(key, known);
  return known;
}

function drawn(substance: Substance): DishPath['curve'] {
  const range = solubilityRange(substance);
  if (!range) return [];
  const [low, high] = range;
  return Array.from({ length: POINTS }, (_, i) => low + ((high - low) * i) / (POINTS - 1)).flatMap((tempC) => {
    const at = solubilityOf(substance, tempC);
    return at.ok ? [{ tempC, s: at.value.gPer100gWater, phase: phaseFormula(at.value.phase) }] : [];
  });
}

/** The least water, g, that dissolves so much of a solid (its own crystal water helps) at a temperature. */
export function leastWater(substance: Substance, grams: number, tempC: number): Result<number> {
  const at = solubilityOf(substance, tempC);
  if (!at.ok) return at;
  const r = dryShare(substance.formula);
  return ok(Math.max(0, (100 * r * grams) / at.value.gPer100gWater - (1 - r) * grams));
}
