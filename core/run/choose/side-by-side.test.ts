import { describe, expect, it } from 'vitest';
import { routeById } from '#run/route';
import { planForRoute } from '#testing/catalogue';
import { planFor } from '#testing/shelf';
import { methodColumns, sideBySide } from './side-by-side.ts';

describe('methods side by side', () => {
  it('sets each route and each of its methods in a row, and marks the best where they differ', () => {
    const rows = sideBySide([
      planForRoute(routeById('alum-recrystallised')!),
      planForRoute(routeById('copper-carbonate')!),
    ]);
    expect(rows.length).toBeGreaterThan(3);
    expect(rows.map(({ method }) => method)).toContain('left to evaporate');
    expect(new Set(rows.map(({ route, method }) => `${route} ${method}`)).size).toBe(rows.length);
    for (const column of methodColumns) {
      const values = rows.map((row) => JSON.stringify(row[column]));
      if (new Set(values).size === 1)
        expect(
          rows.some(({ best }) => best.includes(column)),
          column,
        ).toBe(false);
    }
    const known = rows.filter(({ yieldPct }) => yieldPct !== null);
    const top = Math.max(...known.map(({ yieldPct }) => yieldPct!.value));
    for (const row of known) if (row.best.includes('yieldPct')) expect(row.yieldPct!.value).toBeGreaterThan(top * 0.97);
  });

  it('counts the water that has to leave, and says why a row has no numbers', () => {
    const [row] = sideBySide([planFor('60 g zinc sulfate')]);
    expect(row!.awayG).toBeGreaterThan(10);
    const [wrong] = sideBySide([
      {
        ...planFor('60 g zinc sulfate'),
        target: { ...planFor('60 g zinc sulfate').target, amount: { value: -1, unit: 'g' } },
      },
    ]);
    expect(wrong).toMatchObject({ problem: expect.stringContaining('more than 0'), best: [] });
  });
});
