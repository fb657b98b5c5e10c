import type { CellRow } from './rows.ts';

/** Water that an open cell loses, kg for each m² and hour. */
export const openCells: readonly CellRow[] = [
  { id: '20 C', says: 'water surface', value: 0.06, low: 0.03, high: 0.12, unit: 'kg/(m2 h)', note: 'a salt solution times its water activity; lid cuts to a tenth', grade: 'C', source: 'computed from standard data; Perry (evaporation from open tanks)' },
  { id: '25 C', says: 'water surface', value: 0.09, low: 0.05, high: 0.18, unit: 'kg/(m2 h)', note: 'a salt solution times its water activity; lid cuts to a tenth', grade: 'C', source: 'computed from standard data; Perry (evaporation from open tanks)' },
  { id: '30 C', says: 'water surface', value: 0.14, low: 0.08, high: 0.25, unit: 'kg/(m2 h)', note: 'a salt solution times its water activity; lid cuts to a tenth', grade: 'C', source: 'computed from standard data; Perry (evaporation from open tanks)' },
  { id: '40 C', says: 'water surface', value: 0.33, low: 0.2, high: 0.5, unit: 'kg/(m2 h)', note: 'a salt solution times its water activity; lid cuts to a tenth', grade: 'C', source: 'computed from standard data; Perry (evaporation from open tanks)' },
  { id: '50 C', says: 'water surface', value: 0.65, low: 0.4, high: 1, unit: 'kg/(m2 h)', note: 'a salt solution times its water activity; lid cuts to a tenth', grade: 'C', source: 'computed from standard data; Perry (evaporation from open tanks)' },
  { id: '60 C', says: 'water surface', value: 1.2, low: 0.8, high: 1.8, unit: 'kg/(m2 h)', note: 'a salt solution times its water activity; lid cuts to a tenth', grade: 'C', source: 'computed from standard data; Perry (evaporation from open tanks)' },
  { id: '70 C', says: 'water surface', value: 2.1, low: 1.5, high: 3, unit: 'kg/(m2 h)', note: 'a salt solution times its water activity; lid cuts to a tenth', grade: 'C', source: 'computed from standard data; Perry (evaporation from open tanks)' },
  { id: '80 C', says: 'water surface', value: 3.5, low: 2.5, high: 5, unit: 'kg/(m2 h)', note: 'a salt solution times its water activity; lid cuts to a tenth', grade: 'C', source: 'computed from standard data; Perry (evaporation from open tanks)' },
];
