import type { DrivenOutRow } from './rows.ts';

const source = 'Long and McDevit, Chem. Rev. 51 (1952) 119; Xie, Shiu and Mackay 1997, of like esters and alcohols';

/** How a salt drives small esters and alcohols out of water: log10(s₀/s) = k × mol of salt for a kg of water. About a third either way. */
export const drivenOut: readonly DrivenOutRow[] = [
  { salt: 'sodium-chloride', k: 0.15, ions: 2, source, grade: 'C' },
  { salt: 'potassium-chloride', k: 0.13, ions: 2, source, grade: 'C' },
  { salt: 'sodium-hydrogencarbonate', k: 0.2, ions: 2, source, grade: 'C' },
  { salt: 'potassium-hydrogencarbonate', k: 0.17, ions: 2, source, grade: 'C' },
  { salt: 'sodium-carbonate', k: 0.5, ions: 3, source, grade: 'C' },
  { salt: 'potassium-carbonate', k: 0.45, ions: 3, source, grade: 'C' },
  { salt: 'sodium-sulfate', k: 0.5, ions: 3, source, grade: 'C' },
  { salt: 'ammonium-sulfate', k: 0.45, ions: 3, source, grade: 'C' },
  { salt: 'magnesium-sulfate', k: 0.4, ions: 2, source, grade: 'C' },
  { salt: 'calcium-chloride', k: 0.3, ions: 3, source, grade: 'C' },
];
