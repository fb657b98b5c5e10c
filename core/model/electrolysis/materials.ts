import { anodeWear, electrodeMaterials } from '#matter/data';
import type { AnodeMaterial } from '#matter/gear';
import { anodeEfficiency } from '#model/cell';

/** What is to be known of an anode: what it bears, what it loses, what it leaves. */
export interface AnodeSaid {
  readonly bears: string;
  readonly note: string;
  /** mg for each A·h, with its range; null for one that dissolves by design. */
  readonly wear: { readonly value: number; readonly low: number; readonly high: number } | null;
  /** % of its current that does what it should, in sulfate. */
  readonly efficiencyPct: number;
}

const ROWS: Readonly<Record<AnodeMaterial, readonly [material: string, wear: string | null]>> = {
  copper: ['copper', null],
  zinc: ['copper', null],
  iron: ['copper', null],
  carbon: ['graphite', 'graphite rod, sulfate or bicarbonate, 20 mA/cm2, 25 C'],
  'lead dioxide': ['PbO2 on Pb', 'PbO2 on lead, sulfate'],
  platinum: ['platinum / platinised titanium', 'platinised titanium, sulfate or brine'],
  'mixed oxide': ['MMO on Ti (RuO2/IrO2)', 'MMO on titanium, brine or sulfate'],
  nickel: ['nickel', 'nickel, alkali above 5 % NaOH'],
  'stainless steel': ['stainless steel 304/316', 'stainless steel as anode in alkali without chloride'],
};

export function anodeSaid(material: AnodeMaterial): AnodeSaid {
  const [name, wear] = ROWS[material];
  const row = electrodeMaterials.find((each) => each.material === name && each.side === 'anode');
  const worn = anodeWear.find(({ id }) => id === wear);
  return {
    bears: row ? `${row.use} ${row.verdict}`.trim() : '',
    note: row?.note ?? '',
    wear:
      worn?.value == null ? null : { value: worn.value, low: worn.low ?? worn.value, high: worn.high ?? worn.value },
    efficiencyPct: anodeEfficiency(material, 'neutral').value,
  };
}
