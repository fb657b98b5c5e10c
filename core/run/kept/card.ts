import type { BottleCard } from '#matter/stock';
import { read, type Stored } from './stored.ts';

/** Version 1: what stood between source and product was “half-made”. */
interface CardBefore extends Omit<BottleCard, 'group'> {
  readonly group: string;
}

/** A card as it was stored under a version, as it is read today. */
export function cardFrom(stored: Stored, version: number): BottleCard {
  if (version >= 2) return read<BottleCard>(stored);
  const card = read<CardBefore>(stored);
  return { ...card, group: (card.group === 'half-made' ? 'intermediate' : card.group) as BottleCard['group'] };
}
