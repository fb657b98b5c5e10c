import type { BottleCard } from './bottle.ts';

/** Whether water is all that a bottle holds besides its substance. */
export function onlyWaterBesides(card: BottleCard): boolean {
  return card.others.length > 0 && card.others.every(({ substanceId }) => substanceId === 'water');
}
