import { ok } from '#base/problem';
import { day, fields, list, map, note, nullable, number, text } from '#base/shape';
import { BenchDefaults, benchShape } from '#matter/gear';
import { shelfShape } from '#matter/stock';
import { type OwnAnswer, ownFrom } from '#run/own';
import { routeShape } from '#run/route';
import { verb } from '../verb.ts';

const input = fields({
  text: note(200),
  formula: note(120),
  gPer100gWater: nullable(number({ min: 0, max: 5000 })),
  bottles: list(text(60), 20),
  equations: list(text(300), 12),
  mine: nullable(routeShape),
  controls: map(number(), 60),
  shelf: shelfShape,
  bench: benchShape,
  today: day(),
});

/** A batch of one's own, as far as it is written: its equations balanced, and a plan as soon as there is enough for one. */
export const own = verb({
  name: 'own',
  input,
  run: (draft) => ok<OwnAnswer>(ownFrom(draft)),
  example: {
    text: '40 g ammonium zinc sulfate',
    formula: '',
    gPer100gWater: null,
    bottles: [],
    equations: ['Zn + H2SO4 + NH3 -> (NH4)2Zn(SO4)2.6H2O + H2'],
    mine: null,
    controls: {},
    shelf: [],
    bench: BenchDefaults,
    today: '2026-03-14',
  },
});
