import type { SublimationRow } from './rows.ts';

/** Vapour pressure over the solid: log10(p/Pa) = A − B ÷ T, within the temperatures given. */
export const sublimations: readonly SublimationRow[] = [
  { substance: 'iodine', A: 12.44, B: 3228, tempC: [0, 113.6], meltsC: 113.6, heatKJ: 62.4, openLossMgPerCm2H: 3, dissociates: false, note: 'a dish at 60 to 100 °C, a cover below 15 °C; 0.1 ppm is its ceiling in air, 410 ppm stand over it at 25 °C', source: 'Gillespie and Fraser 1936 (two-constant fit, 5 %); CRC', grade: 'A' },
  { substance: 'benzoic-acid', A: 14.896, B: 4727, tempC: [20, 122.3], meltsC: 122.35, heatKJ: 90.5, openLossMgPerCm2H: 0.0039, dissociates: false, note: 'a dish at 105 to 120 °C in air', source: 'Ribeiro da Silva et al.; Malaspina 1973', grade: 'A' },
  { substance: 'salicylic-acid', A: 14.842, B: 4969, tempC: [20, 158], meltsC: 158.6, heatKJ: 95.1, openLossMgPerCm2H: 0.0006, dissociates: false, note: 'a dish at 120 to 140 °C; above 200 °C it loses carbon dioxide and turns to phenol', source: 'Davies and Jones 1954; Sabbah and Le 1993', grade: 'B' },
  { substance: 'ammonium-chloride', A: 12.045, B: 4301, tempC: [160, 340], meltsC: 520, heatKJ: 88.1, openLossMgPerCm2H: null, dissociates: true, note: 'its fume is fine dust', source: 'CRC vapour pressure table (total pressure of NH3 + HCl)', grade: 'A' },
  { substance: 'camphor', A: 10.646, B: 2681, tempC: [20, 178], meltsC: 178.8, heatKJ: 51.9, openLossMgPerCm2H: 2, dissociates: false, note: 'its vapour burns, flash point 64 °C: no flame; a dish at 100 to 140 °C', source: 'CRC vapour pressure table', grade: 'B' },
  { substance: 'menthol', A: 14.648, B: 4075, tempC: [10, 42], meltsC: 42.5, heatKJ: 78, openLossMgPerCm2H: 0.43, dissociates: false, note: 'it burns, flash point 93 °C; comes as needles or as oil', source: 'from liquid vapour pressure and heat of fusion', grade: 'C' },
  { substance: 'oxalic-acid', A: 14.56, B: 5114, tempC: [30, 150], meltsC: 189.5, heatKJ: 97.9, openLossMgPerCm2H: null, dissociates: false, note: 'its dust is poisonous; it falls apart from about 165 °C', source: 'Bradley and Cotson 1953; de Wit 1983', grade: 'C' },
];
