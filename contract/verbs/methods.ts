import { day, fields, number } from '#base/shape';
import { BenchDefaults, benchShape } from '#matter/gear';
import { shelfShape, shelvedShape } from '#matter/stock';
import { methodsFor } from '#model/assay';
import { verb } from '../verb.ts';
import { exampleCard } from './example-card.ts';

export const methods = verb({
  name: 'methods',
  input: fields({
    bottle: shelvedShape,
    shelf: shelfShape,
    bench: benchShape,
    day: day(),
    tolerancePct: number({ moreThan: 0, max: 100 }),
  }),
  run: methodsFor,
  example: {
    bottle: { id: 'b1', card: exampleCard, usedG: 250 },
    shelf: [],
    bench: BenchDefaults,
    day: '2026-03-14',
    tolerancePct: 1,
  },
});
