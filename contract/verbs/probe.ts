import { fields, list, number, text } from '#base/shape';
import { BenchDefaults } from '#matter/gear';
import { assayPlanShape, newAssayEntryShape, simulatedPh } from '#model/assay';
import { verb } from '../verb.ts';
import { exampleCard } from './example-card.ts';

const lye = {
  ...exampleCard,
  name: 'Lye',
  substanceId: 'sodium-hydroxide',
  strength: { value: 0.1, unit: 'mol/L' as const },
};

/** The simulated pH probe: what it shows after so much titrant. */
export const probe = verb({
  name: 'probe',
  input: fields({
    plan: assayPlanShape,
    entries: list(newAssayEntryShape, 2000),
    replicate: text(4),
    titreMl: number({ min: 0, max: 5000 }),
    seed: number({ min: 0, max: 1e6 }),
  }),
  run: ({ plan, entries, ...at }) => simulatedPh(plan, entries, at),
  example: {
    plan: {
      id: 'assay_example',
      bottle: { id: 'b1', card: exampleCard, usedG: 250 },
      methodId: 'acid-base',
      turned: false,
      known: [{ id: 'b2', card: lye, usedG: 0 }],
      byMass: false,
      sampleG: 0.5,
      dilution: null,
      indicator: null,
      tolerancePct: 1,
      bench: BenchDefaults,
      day: '2026-03-14',
    },
    entries: [],
    replicate: '1',
    titreMl: 30,
    seed: 7,
  },
});
