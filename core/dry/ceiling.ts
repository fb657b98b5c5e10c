import { type LimitRow, limits } from '#core/data';
import type { Grade } from '#core/figure';

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

/** The lowest ceiling that is known of a solid, by its formula; undefined when none is. */
export function ceilingOf(formula: string): Ceiling | undefined {
  const found = limits
    .filter((row) => row.formula === formula && DOES[row.property] !== undefined)
    .flatMap((row) => {
      const at = row.low ?? row.high;
      return at === undefined
        ? []
        : [{ tempC: at - MARGIN_K, why: `from ${at} °C ${DOES[row.property]}`, grade: row.grade }];
    })
    .sort((a, b) => a.tempC - b.tempC);
  return found[0];
}

/** Relative humidity (%) of the air at 25 °C over which it draws water; undefined when it is not known. */
export function deliquescence(formula: string): number | undefined {
  return limits.find((row) => row.formula === formula && row.property === 'deliquescence')?.low;
}

/** Relative humidity (%) at 25 °C under which a hydrate gives up water; undefined when it is not known. */
export function weathers(formula: string): number | undefined {
  return limits.find((row) => row.formula === formula && row.property === 'hydrate-pair')?.high;
}

/** °C above which its solution must not be boiled down; undefined when that is not known. */
export function boilLimit(
  formula: string,
): { readonly tempC: number; readonly why: string; readonly grade: Grade } | undefined {
  const row = limits.find((each) => each.formula === formula && each.property === 'boil-down-limit');
  const tempC = row?.high ?? row?.low;
  return row && tempC !== undefined ? { tempC, why: row.detail, grade: row.grade } : undefined;
}
