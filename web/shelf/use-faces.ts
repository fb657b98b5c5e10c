import { useMemo } from 'react';
import type { BottleAnswer } from '#contract/api';
import type { BottleFace } from '#matter/stock';
import { today } from '../parts/day.ts';
import { useCompute } from '../worker/compute.ts';

/** As many stand in sight at first. */
const IN_SIGHT = 60;

/** What each bottle shows, computed in the worker: those in sight first, all of a long shelf after them. */
export function useFaces(bottles: readonly BottleAnswer[], tempC: number): ReadonlyMap<string, BottleFace> {
  const first = useCompute('shelf', useInput(bottles, IN_SIGHT, tempC)).value;
  const long = bottles.length > IN_SIGHT;
  // Not before the first are there: the worker does one after another.
  const rest = useInput(bottles, Number.POSITIVE_INFINITY, tempC);
  const all = useCompute('shelf', long && first ? rest : undefined).value;
  return useMemo(() => new Map([...(first ?? []), ...(all ?? [])].map((face) => [face.id, face])), [first, all]);
}

function useInput(bottles: readonly BottleAnswer[], most: number, tempC: number) {
  return useMemo(
    () => ({
      bottles: bottles.slice(0, most).map(({ id, card, usedG, archived }) => ({ id, card, usedG, archived })),
      tempC,
      today: today(),
    }),
    [bottles, most, tempC],
  );
}
