import { describe, expect, it } from 'vitest';
import { clashesOf, keepAwayId, keepAwayIn, type Present } from './index.ts';

const at = (substanceId: string, pct: number, more: Partial<Present> = {}): Present => ({ substanceId, pct, ...more });
const worst = (a: Present, b: Present, tempC = 18) => {
  const one = clashesOf([a], b, { tempC })[0]?.severity ?? 'nothing';
  // Whichever of the two is there first.
  expect(clashesOf([b], a, { tempC })[0]?.severity ?? 'nothing').toBe(one);
  return one;
};
const away = (name: string) => at(keepAwayId(keepAwayIn(name)!.id), 100);
const solid = { dry: true } as const;

describe('what clashes by the strength it really has', () => {
  it.each([
    [at('manganese-dioxide', 80, solid), at('hydrochloric-acid', 20), 'refuse'],
    [at('potassium-alum', 99, solid), at('sodium-hypochlorite', 4), 'refuse'],
    [at('potassium-hydrogen-tartrate', 99, solid), at('sodium-hypochlorite', 4), 'refuse'],
    [at('zinc-chloride', 30), at('sodium-hypochlorite', 4), 'refuse'],
    [at('potassium-thiocyanate', 99, solid), at('sodium-hypochlorite', 4), 'refuse'],
    [at('urea', 99, solid), at('nitric-acid', 53), 'refuse'],
    [at('silver', 99, solid), at('nitric-acid', 53), 'danger'],
    [at('tin', 99, solid), at('nitric-acid', 53), 'danger'],
    [at('tin', 99, solid), at('hydrochloric-acid', 20), 'danger'],
    [at('ammonium-nitrate', 99, solid), at('zinc', 99, solid), 'refuse'],
    [at('ammonium-nitrate', 99, solid), at('sodium-chloride', 99, solid), 'refuse'],
    [at('potassium-nitrate', 99, solid), at('magnesium', 99, solid), 'danger'],
    [at('potassium-nitrate', 99, solid), away('aluminium powder'), 'refuse'],
    [at('iron-oxide', 99, solid), away('aluminium powder'), 'refuse'],
    [at('potassium-permanganate', 99, solid), at('potassium-bromide', 99, solid), 'danger'],
    [at('sodium-dithionite', 85, solid), at('water', 100), 'danger'],
    [at('sodium-metabisulfite', 97, solid), at('sodium-hypochlorite', 5), 'refuse'],
    [at('potassium-peroxymonosulfate', 50, solid), at('acetone', 99), 'refuse'],
    [at('hydrogen-peroxide', 12), at('potassium-permanganate', 99, solid), 'refuse'],
    [at('sulfuric-acid', 93), at('potassium-permanganate', 99, solid), 'refuse'],
    [at('sulfuric-acid', 93), at('formic-acid', 60), 'refuse'],
    [at('calcium-carbonate', 99, solid), at('hydrochloric-acid', 9), 'caution'],
    [at('calcium-oxide', 90, solid), at('water', 100), 'danger'],
  ] as const)('%o with %o: %s', (a, b, severity) => {
    expect(worst(a, b)).toBe(severity);
  });

  it.each([
    [at('sodium-chloride', 99, solid), at('water', 100)],
    [at('ammonium-chloride', 99, solid), at('water', 100)],
    [at('hydrochloric-acid', 5), at('water', 100)],
    [at('sodium-hydroxide', 3), at('hydrochloric-acid', 3)],
    [at('potassium-ferrocyanide', 1), at('hydrochloric-acid', 1)],
    [at('sodium-thiosulfate', 10), at('potassium-nitrate', 10)],
    [at('potassium-permanganate', 1), at('sulfuric-acid', 1)],
    [at('sodium-formate', 99, solid), at('sodium-carbonate', 99, solid)],
    [at('boric-acid', 99, solid), at('sodium-hypochlorite', 4)],
    [at('boric-acid', 99, solid), at('zinc', 99, solid)],
    [at('ammonium-sulfate', 20), at('copper-sulfate', 20)],
    [at('hydrogen-peroxide', 3), at('ethanol', 96)],
    [at('hydrogen-peroxide', 3), at('acetic-acid', 5)],
    [at('borax', 99, solid), at('hydrochloric-acid', 5)],
    [at('sodium-hydroxide', 2), at('acetic-acid', 5)],
    [at('potassium-nitrate', 25), at('sucrose', 10)],
    [at('copper', 99, solid), at('sulfuric-acid', 20)],
  ] as const)('nothing is said of %o with %o', (a, b) => {
    expect(worst(a, b)).toBe('nothing');
  });

  it.each([
    [at('sodium-hydroxide', 5), at('hydrochloric-acid', 5)],
    [at('sulfuric-acid', 37), at('hydrogen-peroxide', 3)],
    [at('nitric-acid', 10), at('sucrose', 10)],
    [at('silver-nitrate', 99, solid), at('ethanol', 96)],
  ] as const)('a reminder at most of %o with %o', (a, b) => {
    expect(['caution', 'nothing']).toContain(worst(a, b));
  });

  it('says only hot what only happens hot', () => {
    const [copper, acid] = [at('copper', 99, solid), at('sulfuric-acid', 93)] as const;
    expect(worst(copper, acid, 18)).not.toBe('danger');
    expect(worst(copper, acid, 90)).toBe('danger');
    // Not known is not cold.
    expect(clashesOf([copper], acid)[0]?.severity).toBe('danger');
  });

  it('takes a drop for less of a danger, and never for less of a refusal', () => {
    const lye = at('sodium-hydroxide', 30);
    expect(worst(lye, at('hydrochloric-acid', 20, { g: 0.05 }))).toBe('caution');
    expect(worst(lye, at('hydrochloric-acid', 20, { g: 50 }))).toBe('danger');
    expect(worst(at('sodium-hypochlorite', 5), at('hydrochloric-acid', 20, { g: 0.05 }))).toBe('refuse');
  });

  it('refuses silver and spirit only where nitric acid is there too', () => {
    const [silver, spirit] = [at('silver-nitrate', 20), at('ethanol', 96)] as const;
    const severity = (beside: readonly Present[]) => clashesOf([silver], spirit, { beside })[0]?.severity;
    expect(severity([])).toBe('caution');
    expect(severity([at('nitric-acid', 30)])).toBe('refuse');
  });

  it.each([
    ['petrol', 'calcium-hypochlorite'],
    ['sawdust', 'nitric-acid'],
    ['weedkiller', 'sulfuric-acid'],
    ['used cat litter', 'sodium-hypochlorite'],
    ['limescale cleaner', 'sodium-hypochlorite'],
    ['bromine tablets', 'acetone'],
    ['lime sulfur', 'hydrochloric-acid'],
    ['glass etch', 'hydrochloric-acid'],
  ])('keeps %s from %s', (name, id) => {
    expect(worst(away(name), at(id, id === 'hydrochloric-acid' ? 20 : 65))).toBe('refuse');
  });
});

describe('a drop', () => {
  const acid: Present = { substanceId: 'nitric-acid', pct: 53, g: 100 };
  const severity = (g: number) => clashesOf([acid], { substanceId: 'silver', pct: 99, dry: true, g })[0]?.severity;

  it('is less than a tenth of a gram: what is a danger from there on is a caution below', () => {
    expect(severity(0.099)).toBe('caution');
    expect(severity(0.1)).toBe('danger');
    expect(severity(0.5)).toBe('danger');
    expect(severity(100)).toBe('danger');
  });
});

describe('what is dissolved', () => {
  // Permanganate sets glycols on fire as crystals; in water they are a caution.
  const glycol: Present = { substanceId: 'glycerol', pct: 90, g: 50 };
  const permanganate: Present = { substanceId: 'potassium-permanganate', pct: 99, dry: true, g: 5 };
  const beside = (pct: number) =>
    clashesOf([glycol], permanganate, { beside: [{ substanceId: 'water', pct, g: 100 }] })[0]?.severity;

  it('is so from a fifth of water on', () => {
    expect(beside(19)).toBe('refuse');
    expect(beside(21)).toBe('caution');
  });
});
