import type { DensityTable } from '../density-table.ts';

/** nitric acid in water: [mass %, g/mL] at each temperature. */
export const HNO3: DensityTable = {
  id: 'HNO3',
  formula: 'HNO3',
  series: [
    { tempC: 0, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0058], [2, 1.0117], [3, 1.0176], [5, 1.0296]] },
    { tempC: 10, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0053], [2, 1.0110], [3, 1.0167], [4, 1.0224], [5, 1.0282]] },
    { tempC: 15, grade: 'B', source: 'Lunge & Rey, as reprinted in Lange\'s Handbook', points: [[1.9, 1.0100], [3.7, 1.0200], [7.26, 1.0400], [8.99, 1.0500], [10.68, 1.0600], [17.11, 1.1000], [20.23, 1.1200], [23.31, 1.1400], [29.38, 1.1800], [32.36, 1.2000], [35.28, 1.2200], [38.29, 1.2400], [44.41, 1.2800], [47.49, 1.3000], [50.71, 1.3200], [57.57, 1.3600], [61.27, 1.3800], [65.3, 1.4000], [74.68, 1.4400], [79.98, 1.4600], [86.05, 1.4800], [94.09, 1.5000]] },
    { tempC: 20, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0036], [2, 1.0091], [4, 1.0201], [5, 1.0256], [6, 1.0312], [8, 1.0427], [9, 1.0485], [10, 1.0543], [14, 1.0781], [16, 1.0903], [18, 1.1026], [20, 1.1150], [24, 1.1404], [26, 1.1534], [28, 1.1666], [32, 1.1934], [34, 1.2071], [36, 1.2205], [40, 1.2463], [42, 1.2591], [44, 1.2719], [46, 1.2847], [50, 1.3100], [52, 1.3219], [54, 1.3336], [58, 1.3560], [60, 1.3667], [62, 1.3769], [66, 1.3959], [68, 1.4048], [70, 1.4134], [72, 1.4218], [76, 1.4375], [78, 1.4450], [80, 1.4521], [84, 1.4655], [86, 1.4716], [88, 1.4773], [92, 1.4873], [94, 1.4912], [96, 1.4952], [98, 1.5008], [100, 1.5129]] },
    { tempC: 25, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0024], [3, 1.0132], [4, 1.0186], [5, 1.0241], [10, 1.0523], [30, 1.1763], [40, 1.2417], [50, 1.3043], [70, 1.4062], [80, 1.4441], [90, 1.4741], [100, 1.5040]] },
    { tempC: 30, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0009], [3, 1.0114], [4, 1.0168], [5, 1.0222]] },
    { tempC: 40, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9973], [2, 1.0025], [4, 1.0129], [5, 1.0182]] },
    { tempC: 60, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9882], [2, 0.9932], [3, 0.9982], [4, 1.0033], [5, 1.0084]] },
  ],
};
