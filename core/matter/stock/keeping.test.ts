import { describe, expect, it } from 'vitest';
import { keepings } from '#matter/data';
import { allSubstances, substanceOf } from '#matter/substance';
import { keepingOf } from './keeping.ts';

describe('how a reagent keeps', () => {
  it('goes by its strength, and by whether it is a solution', () => {
    const strong = keepingOf(substanceOf('hydrochloric-acid'), { dissolved: true, pct: 30 });
    expect(strong[0]!.as).toBe('>= 20 %');
    expect(strong[0]!.sentences.join(' ')).toContain('fumes off when opened');
    const weak = keepingOf(substanceOf('hydrochloric-acid'), { dissolved: true, pct: 5 });
    expect(weak.map(({ as }) => as)).not.toContain('>= 20 %');
    const solid = keepingOf(substanceOf('sodium-hydroxide'), { dissolved: false, pct: 98 });
    for (const { as } of solid) expect(as).not.toContain('mol/L');
  });

  it('of a hydrate without a row of its own is that of its species, and nothing is made up', () => {
    for (const substance of allSubstances) {
      for (const { sentences, source } of keepingOf(substance, { dissolved: false, pct: 99 })) {
        expect(source.length).toBeGreaterThan(10);
        for (const said of sentences) expect(said, substance.id).toMatch(/^[A-Z].*\.$/);
      }
    }
  });

  it('has months from least to most in every row', () => {
    for (const { id, months } of keepings) {
      const known = months.filter((each): each is number => each !== null);
      expect(
        [...known].sort((a, b) => a - b),
        id,
      ).toEqual(known);
    }
  });
});
