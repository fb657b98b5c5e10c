import { type ChainAnswer, chainsFor } from '#core/chain';
import { ok } from '#core/problem';
import { routeShape } from '#core/route';
import { day, fields, list, note, optional } from '#core/shape';
import { shelfShape } from '#core/stock';
import { BenchDefaults, benchShape } from '#core/vessel';
import { verb } from '../verb.ts';

/** Ways to a reagent over intermediates, from a shelf. */
export const chain = verb({
  name: 'chain',
  input: fields({
    text: note(200),
    shelf: shelfShape,
    bench: benchShape,
    today: day(),
    routes: optional(list(routeShape, 200)),
  }),
  run: (asked) => ok<ChainAnswer>(chainsFor(asked)),
  example: { text: '20 g zinc acetate from zinc', shelf: [], bench: BenchDefaults, today: '2026-03-14' },
});
