import { methodsFor } from '#core/assay';
import { day, fields, number } from '#core/shape';
import { shelfShape, shelvedShape } from '#core/stock';
import { BenchDefaults, benchShape } from '#core/vessel';
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
