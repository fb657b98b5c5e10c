import type { Figure } from '#base/figure';
import { gasVolume } from '#matter/reaction';
import { type SubstanceId, substanceOf } from '#matter/substance';
import { total } from '#matter/vessel';
import type { PlanFacts } from '#run/plan';
import type { SheetGas } from './sheet.ts';

interface GasAmount {
  readonly id: SubstanceId;
  readonly amount: Figure;
}

/** mol of each gas in all, largest first. */
export function gasTotals(gases: readonly GasAmount[]): readonly GasAmount[] {
  const ids = [...new Set(gases.map(({ id }) => id))];
  return ids
    .map((id) => ({
      id,
      amount: total(id, 'mol', ...gases.filter((each) => each.id === id).map(({ amount }) => amount)),
    }))
    .sort((a, b) => b.amount.value - a.amount.value);
}

/** A gas in litres at this bench. */
export function gasOf({ bench }: PlanFacts, id: SubstanceId, amount: Figure): SheetGas {
  const { name } = substanceOf(id);
  return { id, name, volume: gasVolume(amount, name, bench.tempC, bench.pressureHPa) };
}
