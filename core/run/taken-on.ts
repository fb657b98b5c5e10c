import { sdOf } from '#core/figure';
import { fail, ok, type Result } from '#core/problem';
import type { Sheet } from './sheet.ts';

/** What a wet product holds, for its label: mass % of the dry substance with its 95 % band, and the share that goes. */
export interface TakenOn {
  readonly pct: number;
  readonly bandPct: number;
  /** 0 to 1 of the batch. */
  readonly share: number;
}

/**
 * A product that goes on before it is dry: `wetG` is all of it as it is, `takenG` what is taken. Its content is what the
 * sheet expects, so its uncertainty is the sheet's; less can be in it than water alone would say, never more than all of it.
 */
export function takenOn(sheet: Sheet, wetG: number, takenG: number): Result<TakenOn> {
  const { product } = sheet;
  if (!product || !(product.value > 0))
    return fail('out-of-range', 'Nothing has been caught yet: filter it off first.', { field: 'wetG' });
  if (!(wetG > 0)) return fail('out-of-range', 'All of it, wet, weighs more than 0 g.', { field: 'wetG' });
  if (!(takenG > 0) || takenG > wetG)
    return fail('out-of-range', 'What is taken is more than 0 g and at most all of it.', { field: 'takenG' });
  const pct = Math.min(100, (100 * product.value) / wetG);
  return ok({ pct, bandPct: (200 * sdOf(product)) / wetG, share: takenG / wetG });
}
