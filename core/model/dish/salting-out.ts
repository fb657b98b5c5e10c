import type { Grade } from '#base/figure';
import { itemAt, lastOf } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { type MixedSaltRow, mixedSalts } from '#matter/data';

export type DrivesOut = MixedSaltRow['added'];

export interface SaltedOut {
  /** g of sodium chloride per 100 g of water that stay, at the strength of what was added. */
  readonly gPer100gWater: number;
  readonly grade: Grade;
  readonly source: string;
}

const SOURCE = 'Harvie, Møller and Weare (1984); caustic plant figures';
/** Molar masses of what is added, g/mol. */
const MOLAR: Readonly<Record<DrivesOut, number>> = { NaOH: 39.997, HCl: 36.461 };

/**
 * Sodium chloride that stays beside sodium hydroxide or hydrochloric acid, by mol of it in a kg of water: the shared ion
 * drives it out. ln(s) straight between the rows, 20 to 25 °C; within 3 % to 6 mol/kg, within a quarter beyond.
 */
export function saltBeside(added: DrivesOut, molPerKgWater: number): Result<SaltedOut> {
  if (!(molPerKgWater >= 0)) return fail('out-of-range', 'What is added is 0 mol or more.');
  const rows = mixedSalts.filter((row) => row.added === added).sort((a, b) => a.molPerKgWater - b.molPerKgWater);
  const top = lastOf(rows);
  if (molPerKgWater > top.molPerKgWater)
    return fail(
      'out-of-range',
      `Sodium chloride in ${added} is tabulated to ${top.molPerKgWater} mol in a kg of water.`,
    );
  const at = Math.max(
    1,
    rows.findIndex((row) => row.molPerKgWater >= molPerKgWater),
  );
  const [low, high] = [itemAt(rows, at - 1), itemAt(rows, at)];
  const part = (molPerKgWater - low.molPerKgWater) / (high.molPerKgWater - low.molPerKgWater);
  const ln = (row: MixedSaltRow) => Math.log(row.gSaltPer100gWater);
  return ok({
    gPer100gWater: Math.exp(ln(low) + part * (ln(high) - ln(low))),
    grade: low.grade > high.grade ? low.grade : high.grade,
    source: SOURCE,
  });
}

/** g of sodium chloride that drops out of a liquor of salt, water and alkali or acid (all g), at room temperature. */
export function saltOut(
  added: DrivesOut,
  of: { readonly saltG: number; readonly waterG: number; readonly addedG: number },
): Result<{ readonly downG: number; readonly staysG: number; readonly beside: SaltedOut }> {
  const { saltG, waterG, addedG } = of;
  if (!(waterG > 0) || !(saltG >= 0) || !(addedG >= 0))
    return fail('out-of-range', 'The water is more than 0 g, the rest 0 g or more.');
  const beside = saltBeside(added, (1000 * addedG) / MOLAR[added] / waterG);
  if (!beside.ok) return beside;
  const holds = (beside.value.gPer100gWater * waterG) / 100;
  return ok({ downG: Math.max(0, saltG - holds), staysG: Math.min(saltG, holds), beside: beside.value });
}
