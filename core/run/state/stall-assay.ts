import type { BottleCard } from '#matter/stock';
import type { EventBody } from '#run/log';
import type { StallAdvice } from '#run/technique';

/** What a stalled reaction told of a bottle, taken as an assay of it: its card, and the entry that makes it hold for the whole run. */
export function stallAssay(
  card: BottleCard,
  stall: StallAdvice,
  at: { readonly step: string; readonly today: string },
): { readonly card: BottleCard; readonly entries: readonly EventBody[] } {
  const pct = Number(stall.strength.value.toPrecision(4));
  const bandPct = Number(stall.band.toPrecision(2));
  return {
    card: {
      ...card,
      strength: { value: pct, unit: 'w/w' },
      strengthBand: bandPct,
      assayed: true,
      since: at.today,
    },
    entries:
      stall.bottleId === null
        ? []
        : [{ kind: 'assayed', step: at.step, bottleId: stall.bottleId, pct, bandPct, how: 'from what it dissolved' }],
  };
}
