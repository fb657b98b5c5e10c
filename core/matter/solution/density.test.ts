import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { type DensityTable, densityTables } from '#matter/data';
import { substanceOf } from '#matter/substance';
import { density, interpolate } from './density.ts';

const gradeA = densityTables.flatMap((table) =>
  table.series.filter(({ grade, points }) => grade === 'A' && points.length >= 6).map((series) => ({ table, series })),
);

/** The table without one row of one series. */
function without(table: DensityTable, tempC: number, pct: number): DensityTable {
  return {
    ...table,
    series: table.series.map((series) =>
      series.tempC === tempC ? { ...series, points: series.points.filter(([w]) => w !== pct) } : series,
    ),
  };
}

describe('density rows left out of the tables', () => {
  it('come back within 0.0005 g/mL at grade A, but where leaving one out opens a gap of 10 % or at the bend of the strongest acids', () => {
    const misses: number[] = [];
    for (const { table, series } of gradeA) {
      for (const [i, [pct, rho]] of series.points.entries()) {
        const before = series.points[i - 1]?.[0] ?? 0;
        const after = series.points[i + 1]?.[0];
        if (after === undefined) continue;
        const miss = Math.abs(interpolate(without(table, series.tempC, pct), pct, series.tempC).gPerMl - rho);
        misses.push(miss);
        const bent = pct >= 95 && ['H2SO4', 'HNO3', 'acetic_acid'].includes(table.id);
        const gap = after - before >= 10;
        const bound = gap ? 0.0035 : 0.0005;
        expect(miss, `${table.id} ${pct} % at ${series.tempC} °C`).toBeLessThan(bent && !gap ? 0.001 : bound);
      }
    }
    expect(misses.length).toBeGreaterThan(900);
    const sorted = misses.sort((a, b) => a - b);
    expect(sorted[Math.floor(0.97 * sorted.length)]).toBeLessThan(0.0005);
  });

  it('come back within 0.001 g/mL when a whole temperature between two others is left out', () => {
    for (const { table, series } of gradeA) {
      const temps = table.series.filter(({ points }) => points.length >= 6).map((each) => each.tempC);
      const neighbours = temps.filter((tempC) => Math.abs(tempC - series.tempC) <= 11 && tempC !== series.tempC);
      if (!neighbours.some((t) => t < series.tempC) || !neighbours.some((t) => t > series.tempC) || temps.length < 4)
        continue;
      const reduced = { ...table, series: table.series.filter(({ tempC }) => tempC !== series.tempC) };
      const top = Math.min(...reduced.series.map(({ points }) => points.at(-1)![0]));
      for (const [pct, rho] of series.points) {
        if (pct > top) continue;
        // Where the rows left are 20 % apart the shape itself is thin.
        const bound = table.id === 'H2SO4' && pct > 55 ? 0.0025 : 0.001;
        expect(
          Math.abs(interpolate(reduced, pct, series.tempC).gPerMl - rho),
          `${table.id} ${pct} % at ${series.tempC} °C`,
        ).toBeLessThan(bound);
      }
    }
  });

  it('leave the curve monotone wherever the rows are', () => {
    for (const { table, series } of gradeA) {
      for (let i = 1; i < series.points.length; i++) {
        const [from, low] = series.points[i - 1]!;
        const [to, high] = series.points[i]!;
        // Sulfuric and acetic acid are densest before they are pure.
        if (to > 97 && ['H2SO4', 'acetic_acid'].includes(table.id)) continue;
        if (from >= 65 && table.id === 'acetic_acid') continue;
        const sign = Math.sign(high - low);
        let before = low;
        for (let part = 1; part <= 4; part++) {
          const here = interpolate(table, from + ((to - from) * part) / 4, series.tempC).gPerMl;
          expect(sign * (here - before), `${table.id} ${from} to ${to} % at ${series.tempC} °C`).toBeGreaterThan(-1e-5);
          before = here;
        }
      }
    }
  });
});

describe('a liquid sold neat, without a table of its mixtures', () => {
  // Published at 25 °C, g/mL; the rows are of 20 °C.
  it.each([
    ['ethyl-acetate', 0.8945],
    ['methanol', 0.7866],
    ['glycerol', 1.258],
    ['isoamyl-alcohol', 0.8055],
  ] as const)('%s has %d', (id, gPerMl) => {
    expect(unwrap(density(substanceOf(id), 100, 25)).gPerMl).toBeCloseTo(gPerMl, 2);
  });

  it('is not carried on to mixtures', () => {
    expect(density(substanceOf('glycerol'), 50, 20)).toMatchObject({ ok: false });
    expect(unwrap(density(substanceOf('isoamyl-alcohol'), 95, 20)).grade).toBe('C');
  });
});
