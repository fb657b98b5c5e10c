import { useMemo } from 'react';
import { substanceById } from '#matter/substance';
import { dryShare } from '#model/dish';
import { DishSum } from '#web/models/sums/dish-sum.tsx';
import type { PaneProps } from '#web/run/pane-props.ts';

/** This batch’s path over the solubility curve. */
export function DishPane({ run }: PaneProps) {
  const { plan } = run.batch;
  const { productId, sheet } = run.state;
  const start = useMemo(() => ({ ...startOf(run), coldC: Math.round(run.batch.plan.controls.cold ?? 10) }), [run]);
  return (
    <DishSum
      substanceId={productId}
      start={start}
      airC={plan.bench.tempC}
      pressureHPa={plan.bench.pressureHPa}
      dishCm2={dishArea(sheet.vessel?.vessel.diameterMm)}
    />
  );
}

/** What is in the dish: the dry substance as the product’s solid, and the water besides what its crystals hold. */
function startOf({ state }: PaneProps['run']): { grams: number; waterG: number; hotC: number } {
  const { sheet, productId } = state;
  const { now } = sheet;
  const solid = substanceById(productId);
  const grams = sheet.theory?.value ?? 0;
  if (!solid) return { grams: 0, waterG: 1, hotC: 80 };
  const water = now?.contents.waterG.value ?? 0;
  const bound = (1 - dryShare(solid.formula)) * grams;
  // Before anything is in, as much water as dissolves it warm is a fair guess.
  return { grams, waterG: Math.max(1, Math.round(water > bound ? water - bound : grams)), hotC: 80 };
}

function dishArea(diameterMm = 150): number {
  return Math.max(20, Math.round((Math.PI / 4) * (diameterMm / 10) ** 2));
}
