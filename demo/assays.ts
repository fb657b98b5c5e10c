/** An assay of Millrace Shed: which bottle, by which way, what its replicates strayed by. */
export interface DemoAssay {
  /** Name of the bottle, as on the shelf. */
  readonly bottle: string;
  readonly methodId: string;
  readonly byMass: boolean;
  readonly daysAgo: number;
  /** What the bottle holds against what it was taken for. */
  readonly holds: number;
  /** How far each replicate strays, relative; empty for one that is only planned. */
  readonly strays: readonly number[];
  readonly note?: string;
}

export const demoAssays: readonly DemoAssay[] = [
  {
    bottle: 'Permanganate, made up',
    methodId: 'permanganate',
    byMass: true,
    daysAgo: 38,
    holds: 0.986,
    strays: [0.0008, -0.0011, 0.0004],
    note: 'Filtered through glass wool first; brown flocks stayed behind.',
  },
  {
    bottle: 'Fern & Finch Hair Cream Peroxide',
    methodId: 'permanganate',
    byMass: true,
    daysAgo: 36,
    holds: 0.912,
    strays: [0.0021, -0.0015, -0.0006],
    note: 'The cream hides the first pink: swirled half a minute after each drop.',
  },
  {
    bottle: 'Thiosulfate, made up',
    methodId: 'iodometric',
    byMass: true,
    daysAgo: 24,
    holds: 1.008,
    strays: [0.0006, -0.0009, 0.0002, 0.0118],
    note: 'The fourth was left standing before the starch went in.',
  },
  {
    bottle: 'Lye, made up',
    methodId: 'acid-base',
    byMass: true,
    daysAgo: 17,
    holds: 0.974,
    strays: [-0.0012, 0.0014, 0.0003],
  },
  { bottle: 'Halo Pool Brightener', methodId: 'iodometric', byMass: true, daysAgo: 0, holds: 1, strays: [] },
];
