import { describe, expect, it } from 'vitest';
import { given } from '#base/figure';
import { catalogue } from '#run/route';
import { gasVolume, imbalance, type Reaction, reactionHeat, reactionText, solutionHeat } from './index.ts';

const reactions = catalogue.flatMap((route) => route.reactions);
const byId = (id: string) => reactions.find((each) => each.id === id)!;

describe('reactions', () => {
  it('of every route balance in atoms and charge', () => {
    expect(reactions.length).toBeGreaterThan(1);
    for (const reaction of reactions) expect(imbalance(reaction), reaction.id).toEqual({});
  });

  it('that do not balance say what is over', () => {
    const wrong: Reaction = {
      id: 'x',
      reactants: [
        { substanceId: 'zinc', n: 1 },
        { substanceId: 'hydrochloric-acid', n: 1 },
      ],
      products: [{ substanceId: 'hydrogen', n: 1 }],
    };
    expect(imbalance(wrong)).toEqual({ Zn: -1, Cl: -1, H: 1 });
  });

  it('are written as chemists write them', () =>
    expect(reactionText(byId('dissolve'))).toBe('Zn + H₂SO₄ → ZnSO₄ + H₂'));
});

describe('reaction heat', () => {
  it('of zinc in dilute acid is −153.9 kJ/mol (NBS 1982, Zn²⁺)', () => {
    expect(reactionHeat(byId('dissolve'))).toBeCloseTo(-153.89, 1);
  });

  it('of washing crystals in vinegar takes heat up, by its heat of solution more than the anhydrous salt', () => {
    const dissolved = reactionHeat(byId('neutralise'))!;
    const decahydrate = dissolved + solutionHeat('sodium-carbonate-decahydrate')!;
    const anhydrous = dissolved + solutionHeat('sodium-carbonate')!;
    expect(decahydrate).toBeGreaterThan(50);
    // Parker 1965: heats of solution of the two differ by 67.9 + 26.7 = 94.6 kJ/mol.
    expect(Math.abs(decahydrate - anhydrous - 94.6)).toBeLessThan(4);
  });
});

describe('gas volume', () => {
  const mol = given({ symbol: 'n', name: 'n', unit: 'mol' }, 1, 'one');
  it('of a mole at 0 °C and 1013.25 hPa is 22.414 L', () =>
    expect(gasVolume(mol, 'gas', 0, 1013.25).value).toBeCloseTo(22.414, 3));
  it('of a mole at 20 °C is 24.06 L', () => expect(gasVolume(mol, 'gas', 20, 1013.25).value).toBeCloseTo(24.055, 2));
});
