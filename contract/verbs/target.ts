import { day, fields, list, note, optional } from '#base/shape';
import { benchShape } from '#matter/gear';
import { shelfShape } from '#matter/stock';
import { choicesFor } from '#run/choose';
import { routeShape } from '#run/route';
import { verb } from '../verb.ts';

export const target = verb({
  name: 'target',
  input: fields({
    text: note(2000),
    shelf: shelfShape,
    bench: benchShape,
    today: day(),
    routes: optional(list(routeShape, 200)),
  }),
  run: choicesFor,
  example: {
    text: '60 g zinc sulfate',
    shelf: [],
    bench: {
      place: 'shed',
      tempC: 16,
      pressureHPa: 1009,
      balanceG: 0.01,
      cylindersMl: [10, 100, 250],
      measures: [{ name: 'tea scoop', of: 'washing soda', gramsEach: 5.2, sdG: 0.3 }],
      vessels: [{ name: '400 mL beaker', capacityMl: 400, diameterMm: 76, heightMm: 108 }],
      roomM3: 20,
      evaporationGPerH: 150,
    },
    today: '2026-03-14',
  },
});
