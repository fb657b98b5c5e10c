import { describe, expect, it } from 'vitest';
import { type RegulatedRow, regulated } from '#matter/data';
import type { Country } from '#matter/gear';
import { countries } from '#matter/gear';
import { allSubstances } from '#matter/substance';
import { callsOf } from '#run/care';
import { allKeepAways, keepAwayId, LAW_CHANGES, type LawQuestion, lawOn } from './index.ts';

const things = [...allSubstances.map(({ id }) => id), ...allKeepAways().map(({ id }) => keepAwayId(id))];

/** Whether a row is ever said: of anything on a shelf, as strong and as much as it comes. */
function fires({ id, when }: RegulatedRow): boolean {
  const { deed } = when;
  if (deed === 'always') return LAW_CHANGES !== '';
  return things.some((substanceId) =>
    lawOn({ substanceId, deed, pct: 100, kg: 1000 } satisfies LawQuestion).some((each) => each.id === id),
  );
}

const said = (question: LawQuestion, country?: Country) => lawOn(question, country).map(({ id }) => id);

describe('rules by place', () => {
  it.each(regulated.map((row) => [row.id, row] as const))('%s can be said', (_, row) => {
    expect(fires(row)).toBe(true);
  });

  it('each say what they are, of themselves, with where and when', () => {
    for (const { rule, source, date } of regulated) {
      expect(rule).not.toMatch(/as above/i);
      expect(`${source} ${date}`.length).toBeGreaterThan(4);
    }
  });

  it('are those of the country that was chosen', () => {
    const peroxide = { substanceId: 'hydrogen-peroxide', deed: 'have', pct: 30 } as const;
    expect(said(peroxide, 'EU')).toContain('hydrogen-peroxide-eu');
    expect(said(peroxide, 'EU').some((id) => id.endsWith('-uk'))).toBe(false);
    expect(said(peroxide, 'UK')).toEqual(['hydrogen-peroxide-uk']);
    expect(said(peroxide, 'elsewhere')).toEqual([]);
    expect(said(peroxide).length).toBeGreaterThan(3);
  });

  it.each([
    // At just the limit the EU’s rule does not apply; oxalic acid, iodine, lye, borax by their own thresholds.
    ['hydrogen-peroxide', 12, 'EU', false],
    ['hydrogen-peroxide', 12.1, 'EU', true],
    ['oxalic-acid-dihydrate', 99, 'UK', true],
    ['oxalic-acid-dihydrate', 8, 'UK', false],
    ['iodine', 99, 'US', true],
    ['iodine', 2, 'US', false],
    ['sodium-hydroxide', 20, 'UK', true],
    ['sodium-hydroxide', 5, 'UK', false],
    ['borax', 99, 'EU', true],
    ['hydrochloric-acid', 9, 'UK', false],
    ['hydrochloric-acid', 28, 'UK', true],
    ['aluminium', 99, 'EU', false],
    ['sodium-chloride', 99, 'EU', false],
  ] as const)('%s at %d %% in the %s: %s', (substanceId, pct, country, applies) => {
    expect(
      lawOn({ substanceId, deed: 'have', pct }, country).some(({ binds }) => binds) ||
        said({ substanceId, deed: 'have', pct }, country).length > 0,
    ).toBe(applies);
  });

  it('ask of what is made as of what is bought', () => {
    const made = (pct: number) => said({ substanceId: 'sulfuric-acid', deed: 'make', pct }, 'EU');
    expect(made(37)).toEqual(['making-a-restricted-precursor-eu']);
    expect(made(10)).toEqual([]);
  });

  it('count how much, where a rule does', () => {
    const permanganate = (kg: number) => said({ substanceId: 'potassium-permanganate', deed: 'have', kg }, 'US');
    expect(permanganate(1)).toEqual([]);
    expect(permanganate(60)).toEqual(['potassium-permanganate-us']);
  });

  it('put what binds oneself before what binds sellers', () => {
    // Sulfuric acid of 37 %: the public is bound in the EU and the UK; elsewhere, exporters, dealers and works.
    const notes = lawOn({ substanceId: 'sulfuric-acid', deed: 'have', pct: 37 });
    expect(notes.slice(0, 2).map(({ id }) => id)).toEqual(['sulfuric-acid-eu', 'sulfuric-acid-uk']);
    expect(notes.slice(2).some(({ id }) => id === 'sulfuric-acid-eu' || id === 'sulfuric-acid-uk')).toBe(false);
  });

  it.each([
    ['acetone', 100],
    ['borax', 100],
    ['methanol', 100],
  ])('on selling %s bind the seller, and nobody who has it', (substanceId, pct) => {
    const notes = lawOn({ substanceId, pct, deed: 'have' }, 'EU');
    expect(notes.length).toBeGreaterThan(0);
    for (const { binds, sentence } of notes) expect(binds, sentence).toBe(false);
  });

  it.each(countries.filter((each) => each !== 'elsewhere'))('are held of %s, with a number to call', (country) => {
    expect(
      regulated.filter(({ jurisdictions }) => jurisdictions.some((each) => each === country)).length,
    ).toBeGreaterThan(2);
    expect(callsOf({ country })[0]?.number).toMatch(/^\d+$/);
  });
});
