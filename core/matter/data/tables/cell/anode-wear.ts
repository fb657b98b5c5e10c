import type { CellRow } from './rows.ts';

/** What anodes lose, mg for each ampere-hour. */
export const anodeWear: readonly CellRow[] = [
  { id: 'graphite rod, sulfate or bicarbonate, 20 mA/cm2, 25 C', says: '', value: 20, low: 5, high: 60, unit: 'mg/Ah', note: 'pencil and welding rods crumble sooner; 0.112 g/Ah if all went to CO2', grade: 'C', source: 'Pletcher and Walsh; electrowinning and plating texts; bench practice' },
  { id: 'graphite, saturated brine, cold', says: '', value: 4, low: 2, high: 8, unit: 'mg/Ah', note: '3 kg per tonne of chlorine in industry', grade: 'B', source: 'Pletcher and Walsh; electrowinning and plating texts; bench practice' },
  { id: 'graphite, weak brine or warm', says: '', value: 20, low: 8, high: 80, unit: 'mg/Ah', note: '', grade: 'C', source: 'Pletcher and Walsh; electrowinning and plating texts; bench practice' },
  { id: 'carbon battery rod (waxed), sulfate', says: '', value: 40, low: 10, high: 120, unit: 'mg/Ah', note: '', grade: 'C', source: 'Pletcher and Walsh; electrowinning and plating texts; bench practice' },
  { id: 'PbO2 on lead, sulfate', says: '', value: 1, low: 0.2, high: 5, unit: 'mg Pb/Ah', note: 'more on starting and idle', grade: 'C', source: 'Pletcher and Walsh; electrowinning and plating texts; bench practice' },
  { id: 'platinum, sulfate', says: '', value: 0.002, low: 0.0005, high: 0.01, unit: 'mg/Ah', note: '', grade: 'B', source: 'Pletcher and Walsh; electrowinning and plating texts; bench practice' },
  { id: 'platinised titanium, sulfate or brine', says: '', value: 0.005, low: 0.001, high: 0.02, unit: 'mg/Ah', note: '', grade: 'B', source: 'Pletcher and Walsh; electrowinning and plating texts; bench practice' },
  { id: 'MMO on titanium, brine or sulfate', says: '', value: 0.0005, low: 0.0001, high: 0.005, unit: 'mg/Ah', note: 'dies in strong alkali, by reversal, or by bending', grade: 'B', source: 'Pletcher and Walsh; electrowinning and plating texts; bench practice' },
  { id: 'nickel, alkali above 5 % NaOH', says: '', value: 0.05, low: 0.01, high: 0.5, unit: 'mg/Ah', note: '', grade: 'C', source: 'Pletcher and Walsh; electrowinning and plating texts; bench practice' },
  { id: 'stainless steel as anode in alkali without chloride', says: '', value: 0.5, low: 0.05, high: 5, unit: 'mg/Ah', note: 'chromate yellow when it goes: stop', grade: 'C', source: 'Pletcher and Walsh; electrowinning and plating texts; bench practice' },
  { id: 'copper anode, by design', says: '', value: 1186, low: 1150, high: 1200, unit: 'mg/Ah', note: '', grade: 'A', source: 'Pletcher and Walsh; electrowinning and plating texts; bench practice' },
  { id: 'zinc anode, by design', says: '', value: 1220, low: 1200, high: 1300, unit: 'mg/Ah', note: '', grade: 'A', source: 'Pletcher and Walsh; electrowinning and plating texts; bench practice' },
  { id: 'tin anode, by design', says: '', value: 2214, low: 2100, high: 2250, unit: 'mg/Ah', note: '', grade: 'A', source: 'Pletcher and Walsh; electrowinning and plating texts; bench practice' },
  { id: 'iron anode, by design', says: '', value: 1042, low: 1000, high: 1100, unit: 'mg/Ah', note: '', grade: 'A', source: 'Pletcher and Walsh; electrowinning and plating texts; bench practice' },
  { id: 'aluminium anode, by design', says: '', value: 336, low: 336, high: 500, unit: 'mg/Ah', note: '', grade: 'A', source: 'Pletcher and Walsh; electrowinning and plating texts; bench practice' },
  { id: 'lead anode', says: '', value: 3865, low: null, high: null, unit: 'mg/Ah', note: 'not to be used', grade: 'A', source: 'Pletcher and Walsh; electrowinning and plating texts; bench practice' },
];
