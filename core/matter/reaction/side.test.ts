import { describe, expect, it } from 'vitest';
import { imbalance, reactionText, sideReactions } from './index.ts';

const textOf = (acid: string, base: string) => {
  const found = sideReactions().find(({ id }) => id === `side: ${acid} + ${base}`);
  return found && reactionText(found);
};

describe('what meets in a vessel', () => {
  it('is balanced, in whole numbers, and of each pair once', () => {
    const all = sideReactions();
    expect(all.length).toBeGreaterThan(150);
    for (const each of all) {
      expect(imbalance(each), each.id).toEqual({});
      expect(
        [...each.reactants, ...each.products].every(({ n }) => Number.isInteger(n) && n > 0),
        each.id,
      ).toBe(true);
      const ids = each.products.map(({ substanceId }) => substanceId);
      expect(new Set(ids).size, each.id).toBe(ids.length);
    }
    expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
  });

  it.each([
    ['nitric-acid', 'calcium-carbonate', '2 HNO₃ + CaCO₃ → Ca(NO₃)₂ + CO₂ + H₂O'],
    ['formic-acid', 'copper-carbonate', '4 HCOOH + Cu₂CO₃(OH)₂ → 2 Cu(HCOO)₂ + CO₂ + 3 H₂O'],
    ['citric-acid', 'sodium-hydrogencarbonate', 'C₆H₈O₇ + 3 NaHCO₃ → Na₃C₆H₅O₇ + 3 CO₂ + 3 H₂O'],
    ['sulfuric-acid', 'aluminium-hydroxide', '3 H₂SO₄ + 2 Al(OH)₃ → Al₂(SO₄)₃ + 6 H₂O'],
    ['sodium-hydrogensulfate', 'potassium-carbonate', '2 NaHSO₄ + K₂CO₃ → Na₂SO₄ + K₂SO₄ + CO₂ + H₂O'],
    ['ammonium-sulfate', 'sodium-hydroxide', '(NH₄)₂SO₄ + 2 NaOH → Na₂SO₄ + 2 NH₃ + 2 H₂O'],
    ['hydrochloric-acid', 'calcium-formate', '2 HCl + Ca(HCOO)₂ → CaCl₂ + 2 HCOOH'],
    // Salts that no record holds.
    ['citric-acid', 'calcium-carbonate', '2 C₆H₈O₇ + 3 CaCO₃ → Ca₃(C₆H₅O₇)₂ + 3 CO₂ + 3 H₂O'],
    ['lactic-acid', 'zinc-oxide', '2 C₃H₆O₃ + ZnO → Zn(C₃H₅O₃)₂ + H₂O'],
    ['acetic-acid', 'ammonia', 'CH₃COOH + NH₃ → CH₃COONH₄'],
    ['sulfuric-acid', 'basic-zinc-carbonate', '5 H₂SO₄ + Zn₅(CO₃)₂(OH)₆ → 5 ZnSO₄ + 2 CO₂ + 8 H₂O'],
  ])('%s takes %s', (acid, base, text) => expect(textOf(acid, base)).toBe(text));

  it('lets strong acids go before weak ones, and lye before carbonates', () => {
    const ids = sideReactions().map(({ id }) => id);
    const at = (id: string) => ids.indexOf(`side: ${id}`);
    expect(at('hydrochloric-acid + sodium-hydroxide')).toBeLessThan(at('hydrochloric-acid + calcium-carbonate'));
    expect(at('hydrochloric-acid + calcium-carbonate')).toBeLessThan(at('acetic-acid + sodium-hydroxide'));
    expect(at('acetic-acid + calcium-carbonate')).toBeLessThan(at('hydrochloric-acid + sodium-acetate'));
  });
});
