import { BenchDefaults } from '#matter/gear';
import { chainsFor, findChains } from '#run/chain';
import { makeableFrom, sideBySide } from '#run/choose';
import { ownFrom } from '#run/own';
import { catalogue, type ShelfBottle } from '#run/route';
import { planForRoute, shelfForRoute } from '#testing/catalogue';
import { median, report } from './report.ts';

// Looking backwards over the whole catalogue from a shelf of 200 bottles, and forwards for all that it makes.
const ROUNDS = 9;
const BOTTLES = 200;

/** Every bottle that any route takes, over and over until there are so many. */
function shelfOf(count: number): readonly ShelfBottle[] {
  const all = catalogue.flatMap((route) =>
    shelfForRoute(route).map((each) => ({ ...each, id: `${route.id} ${each.id}` })),
  );
  return Array.from({ length: count }, (_, i) => {
    const bottle = all[i % all.length];
    if (!bottle) throw new Error('the catalogue takes no bottles');
    return { ...bottle, id: `bottle_${i}` };
  });
}

const shelf = shelfOf(BOTTLES);
const wanted = [...new Set(catalogue.map(({ makes, roles }) => makes.substanceId ?? roles[0]?.accepts[0]))].filter(
  (id) => id !== undefined,
);
const where = { shelf, bench: BenchDefaults, today: '2026-03-14' };

function timed(run: () => void): number {
  const times = Array.from({ length: ROUNDS }, () => {
    const from = performance.now();
    run();
    return performance.now() - from;
  });
  return median(times);
}

const back = timed(() => {
  for (const each of wanted) findChains({ wanted: each, from: null, shelf });
});
const ms = (value: number) => `${value.toFixed(1)} ms`;
report(`chains backwards to ${wanted.length} products, ${BOTTLES} bottles`, ms(back), '100 ms');
report(
  'a chain asked for, with its sheets',
  ms(timed(() => chainsFor({ text: '20 g zinc acetate from zinc', ...where }))),
  '200 ms',
);
const few = shelfOf(40);
report('what 40 bottles can make', ms(timed(() => makeableFrom({ ...where, shelf: few }))), '200 ms');
report(`what ${BOTTLES} bottles can make`, ms(timed(() => makeableFrom(where))), '200 ms');
const draft = {
  text: '40 g ammonium zinc sulfate',
  formula: '',
  gPer100gWater: null,
  bottles: shelf
    .filter(({ card }) => ['zinc', 'sulfuric-acid', 'ammonia'].includes(card.substanceId))
    .map(({ id }) => id)
    .slice(0, 6),
  equations: ['Zn + H2SO4 + NH3 -> (NH4)2Zn(SO4)2.6H2O + H2'],
  mine: null,
  controls: {},
};
report('a batch of one’s own, read and planned', ms(timed(() => ownFrom({ ...draft, ...where }))), '16 ms');
report('two routes side by side', ms(timed(() => sideBySide(catalogue.slice(5, 7).map(planForRoute)))), '100 ms');
