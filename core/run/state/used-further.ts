import { sdOf } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import type { BottleCard } from '#matter/stock';
import { speciesOf, substanceOf } from '#matter/substance';
import type { EventBody } from '#run/log';
import type { Sheet } from '#run/sheet';
import { leftOverIn } from './left-over.ts';
import type { RunState } from './state.ts';

/** What a wet product holds, for its label: mass % of the dry substance with its 95 % band, and the share that goes. */
export interface UsedFurther {
  readonly pct: number;
  readonly bandPct: number;
  /** 0 to 1 of the batch. */
  readonly share: number;
}

/**
 * A product that is used further before it is dry: `wetG` is all of it as it is, `takenG` what is taken. Its content is what
 * the sheet expects, so its uncertainty is the sheet's; less can be in it than water alone would say, never more than all.
 */
export function usedFurther({ product }: Sheet, wetG: number, takenG: number): Result<UsedFurther> {
  if (!product || !(product.value > 0))
    return fail('out-of-range', 'Nothing has been caught yet: filter it off first.', { field: 'wetG' });
  if (!(wetG > 0)) return fail('out-of-range', 'All of it, wet, weighs more than 0 g.', { field: 'wetG' });
  if (!(takenG > 0) || takenG > wetG)
    return fail('out-of-range', 'What is taken is more than 0 g and at most all of it.', { field: 'takenG' });
  const pct = Math.min(100, (100 * product.value) / wetG);
  return ok({ pct, bandPct: (200 * sdOf(product)) / wetG, share: takenG / wetG });
}

/** What of the mother liquor is still in a wet product that was not washed. */
function unwashed({ steps, sheet, productId }: RunState, pct: number): BottleCard['others'] {
  const liquor = sheet.now?.liquor;
  if (!liquor || steps.some(({ technique, status }) => technique === 'wash' && status === 'done')) return [];
  return leftOverIn(liquor, speciesOf(substanceOf(productId)).id).map(({ substanceId, strength }) => ({
    substanceId,
    strength: { ...strength, value: Number(((strength.value * (100 - pct)) / 100).toPrecision(3)) },
  }));
}

interface Taking {
  readonly batch: { readonly id: string; readonly number: number };
  readonly step: string;
  readonly wetG: number;
  readonly takenG: number;
  readonly bottleId: string;
  /** ISO day. */
  readonly today: string;
  readonly why: string;
}

/** The intermediate's bottle, and what is entered in the run for it: the first entry puts it on the shelf. */
export function furtherUse(
  state: RunState,
  { batch, step, wetG, takenG, bottleId, today, why }: Taking,
): Result<{ readonly card: BottleCard; readonly entries: readonly EventBody[] }> {
  const found = usedFurther(state.sheet, wetG, takenG);
  if (!found.ok) return found;
  const { pct, bandPct, share } = found.value;
  const { name } = substanceOf(state.productId);
  const salts = unwashed(state, pct);
  const water = 100 - pct - salts.reduce((sum, { strength }) => sum + strength.value, 0);
  const card: BottleCard = {
    name: `${name}, wet, batch ${batch.number}`,
    substanceId: state.productId,
    strength: { value: Number(pct.toPrecision(4)), unit: 'w/w' },
    others: [
      { substanceId: 'water', strength: { value: Number(Math.max(0, water).toPrecision(4)), unit: 'w/w' } },
      ...salts,
    ],
    strengthBand: Number(Math.max(0.1, bandPct).toPrecision(2)),
    assayed: false,
    size: { value: takenG, unit: 'g' },
    price: null,
    container: 'jar',
    group: 'intermediate',
    since: today,
    labelText: '',
    fromBatch: batch.id,
    note: `Wet: ${formatNumber(pct, 3)} ± ${formatNumber(bandPct, 2)} % of it is ${name}, by what was expected.`,
  };
  const reason = why || 'used further, wet';
  if (share < 1)
    return ok({ card, entries: [{ kind: 'poured-off', step, share, batchId: null, bottleId, card, why: reason }] });
  // All of it goes: what the run would still have done is left out.
  const rest = state.steps.filter(({ status }) => status !== 'done' && status !== 'skipped');
  return ok({
    card,
    entries: [
      { kind: 'bottled', bottleId, card },
      ...rest.map(({ key }): EventBody => ({ kind: 'step-skipped', step: key, reason })),
    ],
  });
}
