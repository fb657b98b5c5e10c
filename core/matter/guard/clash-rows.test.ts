import { describe, expect, it } from 'vitest';
import { incompatibilities, incompatibleMore } from '#matter/data';
import { allSubstances } from '#matter/substance';
import { allKeepAways, clashesOf, classesOf, keepAwayId, type Present } from './index.ts';

const every: readonly Present[] = [
  ...allSubstances.map(({ id }) => ({ substanceId: id, pct: 100, dry: true })),
  ...allKeepAways().map(({ id }) => ({ substanceId: keepAwayId(id), pct: 100, dry: true })),
];
const members = new Map<string, Present[]>();
for (const each of every)
  for (const name of classesOf(each.substanceId, each.pct)) members.set(name, [...(members.get(name) ?? []), each]);

const rows = [...incompatibilities, ...incompatibleMore];

describe('each pair that must not meet', () => {
  it('is held once', () => {
    const pairs = rows.map(({ a, b }) => [a, b].sort().join(' + '));
    expect(pairs.filter((pair, i) => pairs.indexOf(pair) !== i)).toEqual([]);
  });

  it('can be met: there is a thing of either kind, and the two together say it', () => {
    const silent = rows.filter((row) => {
      const beside = row.third ? [{ substanceId: members.get(row.third[0])?.[0]?.substanceId ?? '', pct: 100 }] : [];
      return !(members.get(row.a) ?? []).some((one) =>
        (members.get(row.b) ?? []).some(
          (other) =>
            one.substanceId !== other.substanceId &&
            clashesOf([one], other, { beside, tempC: 90 }).some(({ releases }) => releases === row.releases),
        ),
      );
    });
    expect(silent.map(({ a, b }) => `${a} + ${b}`)).toEqual([]);
  });

  it('gets no graver when it gets weaker', () => {
    const rank = { refuse: 3, danger: 2, caution: 1 } as const;
    for (const row of rows)
      for (const [i, [severity, a, b]] of row.grades.entries())
        for (const [other, fewerA, fewerB] of row.grades.slice(i + 1)) {
          expect(rank[other], `${row.a} + ${row.b}`).toBeLessThanOrEqual(rank[severity]);
          expect(fewerA < a || fewerB < b || other === severity, `${row.a} + ${row.b}`).toBe(true);
        }
  });

  it('says what it means in words of its own', () => {
    for (const { a, b, reason, releases } of rows) {
      expect(`${reason} ${releases}`, `${a} + ${b}`).not.toMatch(/as above|as copper|see (?:acid|peroxide|above)|_/i);
      expect(reason.length, `${a} + ${b}`).toBeGreaterThan(2);
    }
  });
});
