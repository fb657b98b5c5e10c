import type { CatalystRow, EsterAcidRow, EsterAlcoholRow } from './rows.ts';

const texts = 'rates of Goldschmidt, Smith, Rolfe and Hinshelwood; preparative practice';

/**
 * How fast acids take part, acetic acid with ethanol being 1: of the aliphatic ones as measured at 40 °C, of the aromatic ones as
 * reflux with ethanol and 15 mol% of sulfuric acid shows it, at 80 °C. What a mol of the acid itself catalyses, as mol of strong acid.
 */
export const esterAcids: readonly EsterAcidRow[] = [
  { acid: 'acetic-acid', rate: [1, 1, 1], atC: 25, activationKJ: 60, itself: 4e-5, source: texts, grade: 'A' },
  { acid: 'formic-acid', rate: [10, 15, 20], atC: 25, activationKJ: 60, itself: 1.1e-3, source: texts, grade: 'B' },
  { acid: 'lactic-acid', rate: [0.8, 1.1, 1.5], atC: 25, activationKJ: 60, itself: null, source: texts, grade: 'C' },
  { acid: 'salicylic-acid', rate: [0.015, 0.03, 0.06], atC: 80, activationKJ: 80, itself: null, source: texts, grade: 'C' },
  { acid: 'benzoic-acid', rate: [0.04, 0.075, 0.12], atC: 80, activationKJ: 80, itself: null, source: texts, grade: 'C' },
];

/** How fast alcohols take part, ethanol being 1. */
export const esterAlcohols: readonly EsterAlcoholRow[] = [
  { alcohol: 'ethanol', rate: 1, source: texts, grade: 'A' },
  { alcohol: 'methanol', rate: 2.2, source: texts, grade: 'B' },
  { alcohol: 'isoamyl-alcohol', rate: 0.89, source: texts, grade: 'C' },
  { alcohol: 'isopropanol', rate: 0.22, source: texts, grade: 'B' },
];

/** What makes them run: mol of strong acid that a mol of it counts for, and the usual charge, mol% of the acid. */
export const esterCatalysts: readonly CatalystRow[] = [
  { catalyst: 'sulfuric-acid', counts: 1, usualPct: [0.5, 2, 5], slowPct: [10, 20, 40], note: '', source: 'preparative practice', grade: 'C' },
  { catalyst: 'hydrochloric-acid', counts: 1, usualPct: [0.5, 2, 5], slowPct: [10, 20, 40], note: 'brings its water along', source: 'preparative practice', grade: 'C' },
  { catalyst: 'sodium-hydrogensulfate', counts: 0.08, usualPct: [5, 8, 15], slowPct: null, note: 'dry, stirred; it stays a solid', source: 'preparative practice', grade: 'C' },
  { catalyst: 'phosphoric-acid', counts: 0.006, usualPct: [10, 20, 30], slowPct: null, note: 'ten to thirty times slower than sulfuric acid', source: 'preparative practice', grade: 'C' },
];
