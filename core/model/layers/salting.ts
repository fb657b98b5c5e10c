import { fail, ok, type Result } from '#base/problem';
import { type SaltingRow, saltings } from '#matter/data';
import { type SubstanceId, substanceOf } from '#matter/substance';
import { solubilityOf } from '#model/dish';

/** What salt in plenty parts of a liquid and its water. Masses g, shares mass %. */
export interface SaltedLayers {
  readonly row: SaltingRow;
  readonly upperG: number;
  readonly upperPct: readonly [low: number, usual: number, high: number];
  /** g of the liquid above, and of what went in, %; null where the lower layer is not known. */
  readonly liquidUpG: number;
  readonly upPct: number | null;
  readonly lowerG: number;
  /** Salt that it takes until some stays undissolved. */
  readonly saltG: number;
}

const AT_C = 25;

export const saltingOf = (liquid: string, salt: string) =>
  saltings.find((row) => row.liquid === liquid && row.salt === salt);

/**
 * So much of a liquid and water with a salt until some stays undissolved, at about 25 °C: two balances over two layers of the
 * published composition. Refuses what does not part, or must not.
 */
export function saltLayers(
  { liquid, salt }: { liquid: SubstanceId; salt: SubstanceId },
  liquidG: number,
  waterG: number,
): Result<SaltedLayers> {
  const row = saltingOf(liquid, salt);
  const [name, saltName] = [substanceOf(liquid).name, substanceOf(salt).name];
  if (!row) return fail('no-data', `Whether ${saltName} parts ${name} from water is not held.${serving(liquid)}`);
  if (!row.parts || !row.upper)
    return fail('out-of-range', `${saltName} is not for ${name}: ${row.note}.${serving(liquid)}`);
  const up = row.upper[1] / 100;
  const saltUp = (row.saltUpper?.[1] ?? 0) / 100;
  const low = (row.lower?.[1] ?? 0) / 100;
  const saltLow = saltBelow(row, low);
  if (saltLow === null) return fail('no-data', `No solubility of ${saltName} is held.`);
  // liquid: up U + low D; water: (1 − up − saltUp) U + (1 − low − saltLow) D.
  const [a, b, c, d] = [up, low, 1 - up - saltUp, 1 - low - saltLow];
  const det = a * d - b * c;
  const U = (liquidG * d - b * waterG) / det;
  const D = (a * waterG - c * liquidG) / det;
  if (U <= 0)
    return fail(
      'out-of-range',
      `Too little ${name}: it stays in the brine, which holds about ${Math.round(100 * low)} %.`,
    );
  if (D <= 0)
    return fail('out-of-range', `It is drier than salt would leave it (about ${row.upper[1]} %): nothing parts.`);
  return ok({
    row,
    upperG: U,
    upperPct: row.upper,
    liquidUpG: up * U,
    upPct: row.lower ? (100 * up * U) / liquidG : null,
    lowerG: D,
    saltG: saltUp * U + saltLow * D,
  });
}

/** Salt in the lower layer: as published, or as much as its water holds. */
function saltBelow(row: SaltingRow, low: number): number | null {
  if (row.saltLower) return row.saltLower[1] / 100;
  const found = solubilityOf(substanceOf(row.salt as SubstanceId), AT_C);
  return found.ok ? ((1 - low) * found.value.gPer100gWater) / (100 + found.value.gPer100gWater) : null;
}

function serving(liquid: string): string {
  const names = saltings
    .filter((row) => row.liquid === liquid && row.parts)
    .map(({ salt }) => substanceOf(salt as SubstanceId).name);
  return names.length > 0 ? ` These part it: ${names.join(', ')}.` : '';
}
