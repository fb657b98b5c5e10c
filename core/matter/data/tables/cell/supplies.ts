import type { CellRow } from './rows.ts';

/** What supplies give, V; and what leads bear, A. */
export const supplyRows = [
  { id: 'USB charger 5 V', says: '1-3 A; switches off when overloaded; ripple 50-150 mV', value: 5, low: 4.75, high: 5.25, unit: 'V', note: '', grade: 'B', source: "typical manufacturers' data" },
  { id: 'wall adapter 12 V, switched', says: '0.5-3 A; hiccups when the cell takes more: needs a resistor or constant current', value: 12, low: 11.4, high: 12.6, unit: 'V', note: '', grade: 'B', source: "typical manufacturers' data" },
  { id: 'wall adapter, old transformer type', says: '0.3-1 A; 9-12 V nominal, 30-50 % higher unloaded, ripple 10-100 %', value: 14, low: 10, high: 18, unit: 'V', note: '', grade: 'C', source: "typical manufacturers' data" },
  { id: 'computer supply, 5 V rail', says: '15-30 A, no useful limit: fuse it', value: 5, low: 4.75, high: 5.25, unit: 'V', note: '', grade: 'B', source: "typical manufacturers' data" },
  { id: 'computer supply, 12 V rail', says: '10-40 A: fuse it', value: 12, low: 11.4, high: 12.6, unit: 'V', note: '', grade: 'B', source: "typical manufacturers' data" },
  { id: 'bench supply 30 V, constant current', says: '3-10 A; set the current limit, the voltage follows', value: 30, low: 0, high: 30, unit: 'V', note: '', grade: 'A', source: "typical manufacturers' data" },
  { id: 'battery charger 12 V, unsmoothed', says: '2-10 A mean, half waves: a meter reads the mean, efficiency unchanged', value: 13, low: 6, high: 18, unit: 'V', note: '', grade: 'B', source: "typical manufacturers' data" },
  { id: 'car battery', says: 'hundreds of A on a short: fuse at the clamp', value: 12.6, low: 11, high: 14.5, unit: 'V', note: '', grade: 'A', source: "typical manufacturers' data" },
  { id: 'lead-acid 12 V 7 Ah block', says: '7 Ah at 20 h rate, 4 Ah at 1 h rate', value: 12.6, low: 11, high: 13, unit: 'V', note: '', grade: 'A', source: "typical manufacturers' data" },
  { id: 'alkaline D cell', says: '15 Ah at 0.1 A, 8 Ah at 0.5 A', value: 1.5, low: 0.9, high: 1.6, unit: 'V', note: '', grade: 'B', source: "typical manufacturers' data" },
  { id: 'alkaline C cell', says: '7 Ah at 0.1 A, 4 Ah at 0.5 A', value: 1.5, low: 0.9, high: 1.6, unit: 'V', note: '', grade: 'B', source: "typical manufacturers' data" },
  { id: 'alkaline AA cell', says: '2.5 Ah at 0.1 A, 1.2 Ah at 0.5 A', value: 1.5, low: 0.9, high: 1.6, unit: 'V', note: '', grade: 'B', source: "typical manufacturers' data" },
  { id: 'alkaline 9 V block', says: '0.5 Ah at 25 mA, 0.3 Ah at 100 mA', value: 9, low: 5.4, high: 9.6, unit: 'V', note: '', grade: 'B', source: "typical manufacturers' data" },
  { id: 'zinc-carbon lantern 6 V', says: '6-9 Ah at 0.1 A', value: 6, low: 3.6, high: 6.4, unit: 'V', note: '', grade: 'C', source: "typical manufacturers' data" },
  { id: 'NiMH AA cell', says: '2.0-2.4 Ah up to 1 A', value: 1.2, low: 1, high: 1.4, unit: 'V', note: '', grade: 'B', source: "typical manufacturers' data" },
  { id: 'lithium power bank, 5 V port', says: '6 Ah per 10 Ah printed; many switch off below 0.1 A', value: 5, low: 4.75, high: 5.2, unit: 'V', note: '', grade: 'B', source: "typical manufacturers' data" },
  { id: 'solar panel 12 V 20 W', says: '1.1 A in full sun, acts as constant current', value: 17, low: 12, high: 21, unit: 'V', note: '', grade: 'B', source: "typical manufacturers' data" },
  { id: '0.14 mm2 (AWG 26), crocodile test lead', says: 'copper, free air, not coiled; drop 250 mV per A and metre there and back', value: 2, low: 1, high: 3, unit: 'A', note: 'clip and joint warm up first; over 10 A screw or solder', grade: 'B', source: 'IEC 60364 type tables, single core in air, rounded down' },
  { id: '0.25 mm2 (AWG 24)', says: 'copper, free air, not coiled; drop 140 mV per A and metre there and back', value: 3, low: 2, high: 4, unit: 'A', note: 'clip and joint warm up first; over 10 A screw or solder', grade: 'B', source: 'IEC 60364 type tables, single core in air, rounded down' },
  { id: '0.5 mm2 (AWG 20)', says: 'copper, free air, not coiled; drop 70 mV per A and metre there and back', value: 6, low: 4, high: 9, unit: 'A', note: 'clip and joint warm up first; over 10 A screw or solder', grade: 'B', source: 'IEC 60364 type tables, single core in air, rounded down' },
  { id: '0.75 mm2 (AWG 18)', says: 'copper, free air, not coiled; drop 47 mV per A and metre there and back', value: 9, low: 6, high: 12, unit: 'A', note: 'clip and joint warm up first; over 10 A screw or solder', grade: 'B', source: 'IEC 60364 type tables, single core in air, rounded down' },
  { id: '1.5 mm2 (AWG 16)', says: 'copper, free air, not coiled; drop 23 mV per A and metre there and back', value: 15, low: 12, high: 18, unit: 'A', note: 'clip and joint warm up first; over 10 A screw or solder', grade: 'B', source: 'IEC 60364 type tables, single core in air, rounded down' },
  { id: '2.5 mm2 (AWG 14)', says: 'copper, free air, not coiled; drop 14 mV per A and metre there and back', value: 20, low: 16, high: 25, unit: 'A', note: 'clip and joint warm up first; over 10 A screw or solder', grade: 'B', source: 'IEC 60364 type tables, single core in air, rounded down' },
  { id: '4 mm2 (AWG 12)', says: 'copper, free air, not coiled; drop 9 mV per A and metre there and back', value: 27, low: 22, high: 32, unit: 'A', note: 'clip and joint warm up first; over 10 A screw or solder', grade: 'B', source: 'IEC 60364 type tables, single core in air, rounded down' },
] as const satisfies readonly CellRow[];

export type SupplyId = (typeof supplyRows)[number]['id'];
