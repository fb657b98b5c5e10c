import { fields, list } from '#base/shape';
import { BenchDefaults } from '#matter/gear';
import { assayPlanShape, assayState, newAssayEntryShape } from '#model/assay';
import { verb } from '../verb.ts';
import { exampleCard } from './example-card.ts';

export const assay = verb({
  name: 'assay',
  input: fields({ plan: assayPlanShape, entries: list(newAssayEntryShape, 2000) }),
  run: ({ plan, entries }) => assayState(plan, entries),
  example: {
    plan: {
      id: 'assay_example',
      bottle: { id: 'b1', card: exampleCard, usedG: 250 },
      methodId: 'metal',
      turned: false,
      known: [],
      byMass: true,
      sampleG: 20,
      dilution: null,
      indicator: null,
      tolerancePct: 10,
      bench: BenchDefaults,
      day: '2026-03-14',
    },
    entries: [
      {
        id: 'ev_example01',
        happenedAt: '2026-03-14T09:00:00Z',
        body: { kind: 'read', replicate: '1', name: 'sampleG', value: 20.1 },
      },
      {
        id: 'ev_example02',
        happenedAt: '2026-03-14T09:01:00Z',
        body: { kind: 'read', replicate: '1', name: 'beforeG', value: 9.82 },
      },
      {
        id: 'ev_example03',
        happenedAt: '2026-03-14T19:00:00Z',
        body: { kind: 'read', replicate: '1', name: 'afterG', value: 4.77 },
      },
      {
        id: 'ev_example04',
        happenedAt: '2026-03-14T19:01:00Z',
        body: { kind: 'ended', replicate: '1', as: 'sign', note: '' },
      },
    ],
  },
});
