import { itemAt, must } from '#base/lookup';
import { unwrap } from '#base/problem';
import { type Bench, BenchDefaults } from '#matter/gear';
import { parseLabel } from '#matter/label';
import type { EventBody, RunEvent } from '#run/log';
import { type Plan, startPlan } from '#run/plan';
import { parseTarget, routesFor, type ShelfBottle } from '#run/route';

const LABELS: Readonly<Record<string, string>> = {
  brick: 'Slabwright hydrochloric acid 28 % 5 L 11.50',
  soda: 'Snowdrift washing soda crystals 100 % 1 kg 2.10',
  vinegar: 'Picklewell vinegar 8 % 5 L 5.50',
  zinc: 'Ridgeway zinc 99 % 900 g 14.00',
  battery: 'Dray sulfuric acid 37 % 1 L 7.90',
};

/** A shelf for tests, at 20 °C. */
export const testShelf: readonly ShelfBottle[] = Object.entries(LABELS).map(([id, label]) => ({
  id: `bottle_${id}`,
  card: must(parseLabel(label, '2026-01-01', 20).card, 'card'),
  usedG: 0,
  archived: false,
}));

/** The first plan for a target, from the test shelf. */
export function planFor(
  target: string,
  change: { controls?: Record<string, number>; bench?: Partial<Bench> } = {},
): Plan {
  const bench = { ...BenchDefaults, ...change.bench };
  const { substanceId, amount, strength, fromSubstanceId } = parseTarget(target, bench.tempC);
  const makes = must(substanceId, `substance in “${target}”`);
  const choice = itemAt(unwrap(routesFor(makes, testShelf)), 0);
  const fromRole = fromSubstanceId
    ? must(
        choice.route.roles.find((role) => role.accepts.includes(fromSubstanceId)),
        'roles',
      ).id
    : null;
  const plan = startPlan({
    route: choice.route,
    target: { substanceId: makes, amount: must(amount, 'amount'), strength, fromRole },
    bottles: choice.bottles,
    shelf: testShelf,
    bench,
    day: '2026-01-01',
  });
  return { ...plan, controls: { ...plan.controls, ...change.controls } };
}

/** Writes events one minute apart. */
export function eventsAt(start: string, ...bodies: readonly EventBody[]): RunEvent[] {
  return bodies.map((body, i) => {
    const at = new Date(Date.parse(start) + i * 60_000).toISOString();
    return { id: `ev_test${String(i).padStart(4, '0')}`, happened: { at, giveOrTakeMin: 0 }, writtenAt: at, body };
  });
}
