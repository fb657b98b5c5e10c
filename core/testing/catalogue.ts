import { itemAt, must } from '#base/lookup';
import { BenchDefaults } from '#matter/gear';
import { parseLabel } from '#matter/label';
import { substanceById } from '#matter/substance';
import { type Plan, startPlan } from '#run/plan';
import type { Route, ShelfBottle } from '#run/route';

/** Mass % of what is sold otherwise than at 30 %. */
const SOLD: Readonly<Record<string, number>> = {
  'hydrogen-peroxide': 11.9,
  'formic-acid': 85,
  'acetic-acid': 80,
  ethanol: 96,
};

/** A bottle for every role of a route: what it accepts first, as strong as it is sold. */
export function shelfForRoute(route: Route): readonly ShelfBottle[] {
  return route.roles.flatMap((role) => {
    const substance = substanceById(role.accepts[0] ?? '');
    if (!substance) return [];
    const usual = substance.form === 'dissolved' ? 30 : 99;
    const pct = SOLD[substance.id] ?? usual;
    const { card } = parseLabel(`${substance.name} ${pct}% 2 kg`, '2026-01-01', 20);
    return [
      {
        id: `bottle_${role.id}`,
        card: { ...must(card, 'card'), substanceId: substance.id },
        usedG: 0,
        archived: false,
      },
    ];
  });
}

/** Solutions without a density table are made dilute. */
const DILUTE: ReadonlySet<string> = new Set(['iodine-solution', 'tin-chloride']);

/** g of what is made in small amounts only; 50 of all else. */
const LITTLE: Readonly<Record<string, number>> = { iodine: 5, 'hypochlorite-crystals': 5 };

/** A plan of any route: 50 g of a solid, or as little as there may be, half a litre of a solution. */
export function planForRoute(route: Route): Plan {
  const bottles = Object.fromEntries(
    route.roles.map((role) => [role.id, role.accepts.length > 0 ? `bottle_${role.id}` : null]),
  );
  const { makes } = route;
  const solution = makes.kind === 'solution';
  const target = {
    substanceId: makes.substanceId ?? itemAt(itemAt(route.roles, 0).accepts, 0),
    amount: solution ? ({ value: 500, unit: 'mL' } as const) : ({ value: LITTLE[route.id] ?? 50, unit: 'g' } as const),
    strength: solution ? ({ value: DILUTE.has(route.id) ? 0.05 : 1, unit: 'mol/L' } as const) : null,
    fromRole: null,
  };
  return startPlan({
    route,
    target,
    bottles,
    shelf: shelfForRoute(route),
    bench: BenchDefaults,
    day: '2026-01-01',
  });
}
