import { BenchDefaults } from '#matter/gear';
import { portionShape, strengthOfPortion } from '#model/assay';
import { verb } from '../verb.ts';
import { exampleCard } from './example-card.ts';

export const portion = verb({
  name: 'portion',
  input: portionShape,
  run: strengthOfPortion,
  example: {
    analyte: 'sodium-hydroxide',
    titrant: { id: 'b1', card: { ...exampleCard, strength: { value: 0.5, unit: 'mol/L' } }, usedG: 0 },
    byMass: true,
    sampleG: 10.02,
    titre: 19.87,
    bench: BenchDefaults,
    day: '2026-03-14',
  },
});
