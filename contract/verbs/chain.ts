import { ok } from '#base/problem';
import { day, fields, list, note, optional } from '#base/shape';
import { BenchDefaults, benchShape } from '#matter/gear';
import { shelfShape } from '#matter/stock';
import { type ChainAnswer, chainsFor } from '#run/chain';
import { routeShape } from '#run/route';
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
