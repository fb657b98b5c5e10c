import type { DensityTable } from '../density-table.ts';

/** calcium chloride in water: [mass %, g/mL] at each temperature. */
export const CaCl2: DensityTable = {
  id: 'CaCl2',
  formula: 'CaCl2',
  series: [
    { tempC: 0, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[2, 1.0171], [4, 1.0346], [8, 1.0703], [16, 1.1454], [20, 1.1853], [25, 1.2376], [30, 1.2922]] },
    { tempC: 20, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook; CRC Handbook, concentrative properties of aqueous solutions', points: [[1, 1.0065], [3, 1.0232], [4, 1.0316], [5, 1.0401], [7, 1.0572], [8, 1.0659], [9, 1.0747], [12, 1.1015], [14, 1.1198], [16, 1.1386], [20, 1.1775], [25, 1.2284], [30, 1.2816], [40, 1.3957]] },
    { tempC: 30, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[2, 1.0120], [4, 1.0286], [8, 1.0626], [12, 1.0978], [16, 1.1345], [25, 1.2236], [30, 1.2764], [35, 1.3316], [40, 1.3895]] },
    { tempC: 40, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[2, 1.0084], [8, 1.0586], [12, 1.0937], [16, 1.1301], [25, 1.2186], [30, 1.2709], [35, 1.3255], [40, 1.3826]] },
    { tempC: 60, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[2, 0.9994], [8, 1.0492], [12, 1.0840], [16, 1.1202], [25, 1.2079], [30, 1.2597], [35, 1.3137], [40, 1.3700]] },
    { tempC: 80, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[2, 0.9881], [8, 1.0382], [12, 1.0730], [16, 1.1092], [25, 1.1965], [30, 1.2478], [35, 1.3013], [40, 1.3571]] },
    { tempC: 100, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[2, 0.9748], [8, 1.0257], [12, 1.0610], [16, 1.0973], [25, 1.1846], [30, 1.2359], [35, 1.2893], [40, 1.3450]] },
  ],
};
