import { whenAsked } from '#core/bench';
import { routeShape } from '#core/route';
import { day, fields, instant, list, note, optional } from '#core/shape';
import { shelfShape } from '#core/stock';
import { benchShape } from '#core/vessel';
import { weekShape } from '#core/week';
import { verb } from '../verb.ts';

export const when = verb({
  name: 'when',
  input: fields({
    text: note(2000),
    shelf: shelfShape,
    bench: benchShape,
    today: day(),
    routes: optional(list(routeShape, 200)),
    week: weekShape,
    from: instant(),
    now: instant(),
  }),
  run: ({ week, from, now, ...asking }) => whenAsked(asking, { week, from: Date.parse(from), now: Date.parse(now) }),
  example: null,
});
