import type { SaltingRow } from './rows.ts';

const source = 'Frankforter and Frary 1913; salting-out literature';

/** What a salt in plenty parts of a liquid that mixes with water: mass % of the liquid in the upper and the lower layer, 25 °C. */
export const saltings: readonly SaltingRow[] = [
  { liquid: 'ethanol', salt: 'potassium-carbonate', upper: [89, 91, 94], lower: [0.1, 0.3, 1], saltUpper: [0.05, 0.1, 0.3], saltLower: [51, 52.5, 53], parts: true, note: 'distil off, do not boil to dryness', source, grade: 'C' },
  { liquid: 'ethanol', salt: 'ammonium-sulfate', upper: [50, 58, 65], lower: [1, 3, 6], saltUpper: [0.5, 1.5, 3], saltLower: null, parts: true, note: '', source, grade: 'C' },
  { liquid: 'isopropanol', salt: 'sodium-chloride', upper: [65, 78, 86], lower: [3, 5, 8], saltUpper: [0.7, 2, 3], saltLower: [22, 23.5, 25], parts: true, note: 'one crop; repeat with fresh dry salt gains little', source, grade: 'C' },
  { liquid: 'isopropanol', salt: 'ammonium-sulfate', upper: [70, 78, 82], lower: [0.5, 1.5, 3], saltUpper: null, saltLower: null, parts: true, note: '', source, grade: 'C' },
  { liquid: 'isopropanol', salt: 'sodium-sulfate', upper: [50, 62, 70], lower: [3, 6, 10], saltUpper: null, saltLower: null, parts: true, note: '', source, grade: 'C' },
  { liquid: 'isopropanol', salt: 'potassium-carbonate', upper: [92, 94.5, 97], lower: [0.02, 0.1, 0.5], saltUpper: [0.005, 0.03, 0.1], saltLower: null, parts: true, note: '', source, grade: 'C' },
  { liquid: 'isopropanol', salt: 'sodium-carbonate', upper: [65, 72, 80], lower: null, saltUpper: null, saltLower: null, parts: true, note: '', source, grade: 'C' },
  { liquid: 'isopropanol', salt: 'magnesium-sulfate', upper: [50, 65, 75], lower: null, saltUpper: null, saltLower: null, parts: true, note: 'splits sluggishly', source, grade: 'C' },
  { liquid: 'acetone', salt: 'sodium-chloride', upper: [78, 84, 88], lower: [5, 8, 12], saltUpper: [0.1, 0.3, 0.6], saltLower: null, parts: true, note: '', source, grade: 'C' },
  { liquid: 'acetone', salt: 'potassium-carbonate', upper: [95, 96.5, 98], lower: [0.1, 0.3, 1], saltUpper: null, saltLower: null, parts: true, note: 'short contact; base slowly condenses acetone', source, grade: 'C' },
  { liquid: 'acetone', salt: 'ammonium-sulfate', upper: [72, 80, 85], lower: [2, 4, 7], saltUpper: null, saltLower: null, parts: true, note: '', source, grade: 'C' },
  { liquid: 'acetone', salt: 'sodium-sulfate', upper: [60, 70, 78], lower: null, saltUpper: null, saltLower: null, parts: true, note: '', source, grade: 'C' },
  { liquid: 'ethanol', salt: 'sodium-chloride', upper: null, lower: null, saltUpper: null, saltLower: null, parts: false, note: 'one phase at every strength: salt does not salt ethanol out', source, grade: 'B' },
  { liquid: 'ethanol', salt: 'sodium-sulfate', upper: null, lower: null, saltUpper: null, saltLower: null, parts: false, note: 'no second layer at 20-25 C, the salt just falls out', source, grade: 'B' },
  { liquid: 'methanol', salt: 'potassium-carbonate', upper: null, lower: null, saltUpper: null, saltLower: null, parts: false, note: 'one phase in practice: methanol is not salted out cleanly', source, grade: 'B' },
  { liquid: 'isopropanol', salt: 'calcium-chloride', upper: null, lower: null, saltUpper: null, saltLower: null, parts: false, note: 'salt dissolves in and binds to the alcohol: not for salting out', source, grade: 'B' },
  { liquid: 'acetone', salt: 'sodium-hydroxide', upper: null, lower: null, saltUpper: null, saltLower: null, parts: false, note: 'splits, but base condenses acetone: not to be used', source, grade: 'B' },
  { liquid: 'methanol', salt: 'sodium-chloride', upper: null, lower: null, saltUpper: null, saltLower: null, parts: false, note: 'one phase', source, grade: 'B' },
];
