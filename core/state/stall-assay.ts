import type { EventBody } from '#core/log';
import type { BottleCard } from '#core/stock';
import type { StallAdvice } from '#core/technique';

/** What a stalled reaction told of a bottle, taken as an assay of it: its card, and the note in the run. */
export function stallAssay(
  card: BottleCard,
  stall: StallAdvice,
  at: { readonly step: string; readonly today: string },
): { readonly card: BottleCard; readonly entries: readonly EventBody[] } {
  const pct = Number(stall.strength.value.toPrecision(4));
  return {
    card: {
      ...card,
      strength: { value: pct, unit: 'w/w' },
      strengthBand: Number(stall.band.toPrecision(2)),
      assayed: true,
      since: at.today,
    },
    entries: [{ kind: 'noted', step: at.step, text: `${card.name} taken as ${pct} %, from what it dissolved.` }],
  };
}
