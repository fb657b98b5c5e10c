import type { Route } from '../route.ts';
import { dry } from './common-steps.ts';
import { silicaFromWashedSand as washedSand } from './silica.ts';
import { step } from './step.ts';

/** Step of the route for washed sand, which the one for common sand does in its own way. */
const OWN: readonly string[] = ['clean', 'dry', 'jar'];
const stepOf = (id: string) => washedSand.steps.find((each) => each.id === id) ?? [];

/** From common sand to the oxide: leached first, and baked to the oxide at the end. */
export const silicaFromCommonSand: Route = {
  ...washedSand,
  id: 'silica-from-common-sand',
  title: 'common sand leached with acid, fused with lye, gelled, baked',
  summary:
    'Common sand is leached with acid until it gives off no more iron and lime, washed, dried and weighed; then it melts into lye, is gelled, washed, and baked until it is the oxide.',
  roles: [
    {
      id: 'leach',
      name: 'leaching acid',
      accepts: ['hydrochloric-acid'],
      refuses: [{ substanceId: 'sulfuric-acid', why: 'It leaves lime behind as gypsum.' }],
      tolerates: 'Yellow acid will do.',
      measure: 'volume',
      dose: { by: 'per-gram', role: 'sand', control: 'leach' },
    },
    ...washedSand.roles,
  ],
  controls: [
    {
      id: 'leach',
      name: 'leaching acid, by the sand',
      unit: 'g/100 g',
      min: 20,
      max: 300,
      step: 5,
      start: 60,
      note: 'Sand with shells or lime in it takes more: add until it no longer fizzes.',
    },
    ...washedSand.controls.filter(({ id }) => id !== 'gel-water'),
    {
      id: 'gel-water',
      name: 'water it keeps',
      unit: '%',
      min: 0,
      max: 10,
      step: 0.5,
      start: 0.5,
      note: 'Gel dried at 105 °C keeps about 5 %, baked at 400 to 600 °C one or two; above 900 °C it is the oxide and keeps next to none.',
    },
  ],
  drying: null,
  byProducts: [
    {
      name: 'spent leaching acid',
      keep: 'Iron and lime in acid: neutralise with chalk or soda, outdoors, let it settle; the sludge is handed in, the rest goes as your local rules say.',
    },
    ...washedSand.byProducts,
  ],
  steps: [
    step({
      id: 'leach-acid',
      title: 'Pour {leach.volume} of acid over the sand, by parts',
      act: 'Half as much again of the sand as {sand.mass}, in a plastic or glass jar, as much water on it; {leach.volume} of {leach.name} by small parts, each when the last no longer fizzes. Covered with a cold lid, at most hand-warm: hot, it gives off hydrogen chloride. A day.',
      until: 'It no longer fizzes, and the acid no longer turns yellow.',
      expect: 'Fizzing where there is lime, yellow from iron.',
      trouble: 'Fizzing that goes on: shells or limestone. More acid, or another sand.',
      why: 'Iron and lime would go into the gel.',
      skipCosts: 'A yellow gel, and a melt that spits.',
      op: { do: 'add', role: 'leach', in: 'jar' },
      leave: { alone: true, lookEveryMin: 720, reason: 'acid and sand, covered, ventilated' },
      where: 'ventilated',
      cautions: ['corrosive', 'fume', 'foam', 'law'],
      handsOnMin: 30,
      waitH: [12, 36],
    }),
    step({
      id: 'clean',
      title: 'Wash the sand to neutral, dry it hot',
      act: 'Pour the acid off and keep it apart. Cover with water, stir, let it settle, pour off; five or six times. Dry it hot, weigh it (what it lost was not sand), crush it fine, wet or under a mask.',
      until: 'The water over it is neutral to indicator paper.',
      expect: 'White to grey sand; some per cent lighter.',
      why: 'Acid left in it would take lye; water and molten lye spit.',
      skipCosts: 'A melt that spits.',
      leave: { alone: true, lookEveryMin: 240, reason: 'it settles and dries alone' },
      handsOnMin: 40,
      waitH: [4, 24],
    }),
    ...washedSand.steps.filter(({ id }) => !OWN.includes(id)),
    dry({
      title: 'Bake it to the oxide',
      act: 'Dry the gel at 105 °C; then in a porcelain or quartz crucible, covered, an hour at 400 °C and two above 900 °C. Cold, weigh it; half an hour more, weigh again; stop at {product.mass}.',
      until: 'Two weighings differ by less than 0.5 %.',
      expect: 'It shrinks and goes from clear to white. About {product.mass}; dried gel loses about a twentieth.',
      trouble: 'It crackles and jumps: too wet for the fire, dry it longer at 105 °C.',
      why: 'Air-dried it is silicic acid, nine tenths water; dried at 105 °C it is gel; baked it is the dioxide, and draws no more water.',
      skipCosts: 'A gel, not the oxide.',
      ceilingC: 1100,
      op: { do: 'dry', waterControl: 'gel-water' },
      timer: { name: 'weigh again', minutes: 120 },
      leave: { alone: false, lookEveryMin: 30, reason: 'a red-hot crucible' },
      where: 'ventilated',
      waitH: [6, 30],
    }),
    ...[stepOf('jar')].flat(),
  ],
};

/** From washed quartz sand to gel, from common sand to the oxide. */
