import { describe, expect, it } from 'vitest';
import { type Figure, workingOf } from '#core/figure';
import { unwrap } from '#core/problem';
import { catalogue, type Route, type ShelfBottle } from '#core/route';
import { parseLabel } from '#core/stock';
import { substanceById } from '#core/substance';
import { BenchDefaults } from '#core/vessel';
import { figuresIn, recompute } from '../testing/recompute.ts';
import { runState, sheetOf, startPlan } from './index.ts';

/** A bottle for every role of a route: what it accepts first, as strong as it is sold. */
function shelfFor(route: Route): readonly ShelfBottle[] {
  return route.roles.flatMap((role) => {
    const substance = substanceById(role.accepts[0] ?? '');
    if (!substance) return [];
    const pct = substance.form === 'dissolved' ? 30 : 99;
    const { card, problems } = parseLabel(`${substance.name} ${pct}% 2 kg`, '2026-01-01', 20);
    expect(problems).toEqual([]);
    return [{ id: `bottle_${role.id}`, card: { ...card!, substanceId: substance.id }, usedG: 0, archived: false }];
  });
}

function planFor(route: Route) {
  const shelf = shelfFor(route);
  const bottles = Object.fromEntries(
    route.roles.map((role) => [role.id, role.accepts.length > 0 ? `bottle_${role.id}` : null]),
  );
  const solution = route.makes.kind === 'solution';
  const substanceId = route.makes.kind === 'solution' ? route.roles[0]!.accepts[0]! : route.makes.substanceId;
  const target = {
    substanceId,
    amount: solution ? ({ value: 500, unit: 'mL' } as const) : ({ value: 50, unit: 'g' } as const),
    strength: solution ? ({ value: 1, unit: 'mol/L' } as const) : null,
    fromRole: null,
  };
  return startPlan(route, target, bottles, shelf, BenchDefaults, '2026-01-01');
}

describe.each(catalogue.map((route) => [route.id, route] as const))('the route %s', (_, route) => {
  const plan = planFor(route);
  const sheet = unwrap(sheetOf(plan));

  it('comes to what was asked for, within its own doubt', () => {
    if (route.makes.kind === 'solution') expect(sheet.made!.strength.value).toBeCloseTo(1, 1);
    else {
      expect(sheet.product!.value).toBeGreaterThan(48.5);
      expect(sheet.product!.value).toBeLessThan(51.5);
      expect(sheet.yieldPct!.value).toBeGreaterThan(30);
      expect(sheet.yieldPct!.value).toBeLessThanOrEqual(100.5);
      expect(sheet.limiting).not.toBeNull();
    }
    expect(sheet.vessel!.holds).toBe(true);
  });

  it('shows formulas that give its numbers, and fills every sentence of its steps', () => {
    for (const figure of figuresIn(sheet)) check(figure);
    const run = unwrap(runState(plan, []));
    for (const step of run.steps)
      for (const parts of [step.title, step.act, step.until, step.expect, step.trouble, step.why, step.skipCosts])
        for (const part of parts) expect(part.is === 'text' ? part.text : part.shown).not.toMatch(/[{}]|NaN|undefined/);
  });
});

function check(figure: Figure): void {
  expect(Number.isFinite(figure.value), figure.name).toBe(true);
  expect(workingOf(figure).length).toBeGreaterThan(0);
  const again = recompute(figure);
  if (again !== undefined)
    expect(Math.abs(again - figure.value), figure.name).toBeLessThan(1e-5 * Math.max(1, Math.abs(figure.value)));
}
