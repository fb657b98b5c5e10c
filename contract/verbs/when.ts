import { day, fields, instant, list, note, optional } from '#base/shape';
import { benchShape } from '#matter/gear';
import { shelfShape } from '#matter/stock';
import { whenAsked } from '#run/agenda';
import { routeShape } from '#run/route';
import { weekShape } from '#run/week';
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
