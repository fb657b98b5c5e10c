import type { Figure } from '#base/figure';
import { durationText } from '#base/time';
import { formatNumber } from '#base/units';

/** A plan as a line of a comparison. */
export interface SheetRow {
  readonly cost: Figure | null;
  readonly handsOnH: number;
  readonly wait: string;
  readonly yieldPct: Figure | null;
  /** What to mind: its gases, or that it bites. */
  readonly watch: string;
}

/** What of a sheet stands in its line. */
interface RowOf {
  readonly gases: readonly { readonly name: string; readonly volume: Figure }[];
  readonly cost: Figure | null;
  readonly yieldPct: Figure | null;
  readonly hours: { readonly handsOn: number; readonly wait: readonly [number, number] };
}

/** A sheet as such a line; `corrosive` where a step of it says so. */
export function rowOf(sheet: RowOf, corrosive: boolean): SheetRow {
  const plain = corrosive ? 'corrosive' : 'nothing unusual';
  const gases = sheet.gases.map(({ name, volume }) => `${name}, ${formatNumber(volume.value, 2)} L`);
  return {
    cost: sheet.cost,
    handsOnH: sheet.hours.handsOn,
    wait: durationText(sheet.hours.wait),
    yieldPct: sheet.yieldPct,
    watch: gases.length > 0 ? gases.join('; ') : plain,
  };
}
