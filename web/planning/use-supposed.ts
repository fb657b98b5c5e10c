import { useState } from 'react';
import type { BottleCard } from '#matter/stock';
import type { ShelfBottle } from '#run/route';

export type SupposedBottle = ShelfBottle;

const PREFIX = 'bottle_supposed';

export function isSupposed(bottleId: string | null): boolean {
  return bottleId?.startsWith(PREFIX) ?? false;
}

/** Bottles that are only supposed; this page forgets them. */
export function useSupposed() {
  const [bottles, setBottles] = useState<readonly SupposedBottle[]>([]);
  const [made, setMade] = useState(0);
  return {
    bottles,
    suppose: (card: BottleCard) => {
      setMade(made + 1);
      setBottles([...bottles, { id: `${PREFIX}${made}`, card, usedG: 0, archived: false }]);
    },
    forget: (id: string) => setBottles(bottles.filter((each) => each.id !== id)),
  };
}
