import { describe, expect, it } from 'vitest';
import { type Figure, workingOf } from '#core/figure';
import { unwrap } from '#core/problem';
import { catalogue } from '#core/route';
import { sheetOf } from '#core/sheet';
import { runState } from '#core/state';
import { planForRoute } from '#testing/catalogue';
import { figuresIn, recompute } from '#testing/recompute';

describe.each(catalogue.map((route) => [route.id, route] as const))('the route %s', (_, route) => {
  const plan = planForRoute(route);
  const sheet = unwrap(sheetOf(plan));

  it('comes to what was asked for, within its own uncertainty', () => {
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
