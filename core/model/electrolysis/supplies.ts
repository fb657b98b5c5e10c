import { must } from '#base/lookup';
import { type SupplyId, supplyRows } from '#matter/data';

/** A usual supply, and whether it would do. */
export interface SupplyJudged {
  readonly name: string;
  /** V it gives, A at most as its kind has them. */
  readonly volts: number;
  readonly does: 'yes' | 'nearly' | 'no';
  readonly why: string;
}

/** What usual supplies bear, A, and hold, A·h; theirs to the row of the table. */
const KINDS: readonly {
  readonly id: SupplyId;
  readonly name: string;
  readonly amps: number;
  readonly ampHours: number | null;
  readonly inSeries: number;
}[] = [
  { id: 'USB charger 5 V', name: 'USB charger, 5 V', amps: 2, ampHours: null, inSeries: 1 },
  { id: 'wall adapter 12 V, switched', name: 'plug-in adapter, 12 V DC', amps: 1.5, ampHours: null, inSeries: 1 },
  { id: 'alkaline AA cell', name: '4 alkaline AA in series', amps: 0.5, ampHours: 2, inSeries: 4 },
  { id: 'zinc-carbon lantern 6 V', name: 'lantern battery, 6 V', amps: 0.5, ampHours: 7, inSeries: 1 },
  { id: 'NiMH AA cell', name: '4 rechargeable AA in series', amps: 1, ampHours: 2.2, inSeries: 4 },
  { id: 'lithium power bank, 5 V port', name: 'power bank, 5 V', amps: 2, ampHours: 6, inSeries: 1 },
  { id: 'solar panel 12 V 20 W', name: 'solar panel, 12 V 20 W, in full sun', amps: 1.1, ampHours: null, inSeries: 1 },
];

/** Which usual supplies are enough for volts at a current, through a charge. A·h of batteries as makers give them, about. */
export function suppliesFor({
  voltsAtFirst,
  voltsAtMost,
  voltsAtLeast,
  amps,
  ampHours,
}: {
  readonly voltsAtFirst: number;
  readonly voltsAtMost: number;
  readonly voltsAtLeast: number;
  readonly amps: number;
  readonly ampHours: number;
}): readonly SupplyJudged[] {
  return KINDS.flatMap((kind): readonly SupplyJudged[] => {
    const row = must(
      supplyRows.find(({ id }) => id === kind.id),
      'supply',
    );
    if (row.value === null) return [];
    const volts = row.value * kind.inSeries;
    const of = (does: SupplyJudged['does'], why: string): readonly SupplyJudged[] => [
      { name: kind.name, volts, does, why },
    ];
    if (kind.amps < amps * 0.98) return of('no', `gives ${kind.amps} A at most`);
    if (volts < voltsAtLeast) return of('no', `${volts} V never bring that current`);
    if (kind.ampHours !== null && kind.ampHours < ampHours)
      return of('no', `holds about ${kind.ampHours} A·h of the ${ampHours.toFixed(1)} that are needed`);
    const over = volts > 1.5 * voltsAtMost && kind.ampHours === null && kind.inSeries === 1;
    if (over) return of('nearly', 'more volts than it takes: it draws too much without a resistor or a limit');
    if (volts < voltsAtFirst) return of('nearly', 'starts slower, and comes to that current as it conducts better');
    if (volts < voltsAtMost) return of('nearly', 'the current falls towards the end');
    return of('yes', 'enough to the end');
  });
}
