import type { Grade } from '#base/figure';
import { ceilings, type LimitRow, limits } from '#matter/data';
import type { Substance } from '#matter/substance';

/** The temperature above which a solid is no longer what it is. */
export interface Ceiling {
  readonly tempC: number;
  readonly why: string;
  readonly grade: Grade;
}

/** What each property does to a solid that gets warmer. */
const DOES: Partial<Record<LimitRow['property'], string>> = {
  'melts-in-own-water': 'it melts in its own water',
  dehydration: 'it loses its crystal water',
  decomposition: 'it decomposes',
  sublimation: 'it goes off as vapour',
};

/** Kept below the published temperature: an oven swings, and the limit itself is a few degrees wide. */
const MARGIN_K = 5;

const CEILINGS = new Map(ceilings.map((row) => [row.id, row]));

/**
 * The highest temperature at which a solid is dried in practice: in a vented oven, or in air where no oven is allowed; 0
 * means not to warm it at all. Where practice says nothing, some degrees below the first published change. Undefined
 * when neither is held.
 */
export function ceilingOf(substance: Substance): Ceiling | undefined {
  const row = substance.ceiling === null ? undefined : CEILINGS.get(substance.ceiling);
  const practice = row && (row.ovenMaxC || row.airMaxC);
  if (row && practice !== null && practice !== undefined) {
    const from = row.firstChangeC === null ? '' : `from ${row.firstChangeC} °C: `;
    return { tempC: practice, why: `${from}${row.above || row.why}`, grade: row.grade };
  }
  const found = limitsOf(substance)
    .filter((each) => DOES[each.property] !== undefined)
    .flatMap((each) => {
      const at = each.low ?? each.high;
      return at === undefined
        ? []
        : [{ tempC: at - MARGIN_K, why: `from ${at} °C ${DOES[each.property]}`, grade: each.grade }];
    })
    .sort((a, b) => a.tempC - b.tempC);
  return found[0];
}

/** Relative humidity (%) of the air at 25 °C over which it draws water; undefined when it is not known. */
export function deliquescence(substance: Substance): number | undefined {
  return limitsOf(substance).find((row) => row.property === 'deliquescence')?.low;
}

/** Relative humidity (%) at 25 °C under which a hydrate loses water; undefined when it is not known. */
export function weathers(substance: Substance): number | undefined {
  return limitsOf(substance).find((row) => row.property === 'hydrate-pair')?.high;
}

/** °C above which its solution must not be boiled down; undefined when that is not known. */
export function boilLimit(
  substance: Substance,
): { readonly tempC: number; readonly why: string; readonly grade: Grade } | undefined {
  const row = limitsOf(substance).find((each) => each.property === 'boil-down-limit');
  const tempC = row?.high ?? row?.low;
  return row && tempC !== undefined ? { tempC, why: row.detail, grade: row.grade } : undefined;
}

function limitsOf(substance: Substance): readonly LimitRow[] {
  return limits.filter((row) => substance.limits.includes(row.formula));
}
