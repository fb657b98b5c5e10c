import type { DensityTable } from '../density-table.ts';

/** sodium chloride in water: [mass %, g/mL] at each temperature. */
export const NaCl: DensityTable = {
  id: 'NaCl',
  formula: 'NaCl',
  series: [
    { tempC: 0, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0075], [2, 1.0151], [4, 1.0304], [12, 1.0924], [16, 1.1242], [20, 1.1566], [26, 1.2071]] },
    { tempC: 10, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0071], [2, 1.0144], [4, 1.0292], [8, 1.0591], [16, 1.1206], [20, 1.1525], [24, 1.1856], [26, 1.2025]] },
    { tempC: 20, grade: 'A', source: 'CRC Handbook, concentrative properties of aqueous solutions', points: [[1, 1.0053], [3, 1.0196], [4, 1.0268], [5, 1.0340], [7, 1.0486], [8, 1.0559], [9, 1.0633], [12, 1.0857], [14, 1.1009], [16, 1.1162], [20, 1.1478], [22, 1.1640], [24, 1.1804], [26, 1.1972]] },
    { tempC: 25, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0041], [4, 1.0253], [8, 1.0541], [12, 1.0837], [20, 1.1453], [24, 1.1778], [26, 1.1944]] },
    { tempC: 40, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9991], [2, 1.0059], [8, 1.0480], [12, 1.0770], [16, 1.1069], [24, 1.1697], [26, 1.1861]] },
    { tempC: 60, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9900], [2, 0.9967], [4, 1.0103], [12, 1.0667], [16, 1.0962], [20, 1.1268], [26, 1.1747]] },
    { tempC: 80, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9785], [2, 0.9852], [4, 0.9988], [8, 1.0264], [16, 1.0842], [20, 1.1146], [24, 1.1463], [26, 1.1626]] },
    { tempC: 100, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9651], [4, 0.9855], [8, 1.0134], [12, 1.0420], [20, 1.1017], [24, 1.1331], [26, 1.1492]] },
  ],
};
