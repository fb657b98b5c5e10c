import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nullSpace } from './balance.ts';
import { balance, balancedText } from './index.ts';

const coefficients = (text: string) => {
  const result = balance(text);
  return result.ok ? result.value.coefficients : result.problem.message;
};

describe('balance', () => {
  it.each([
    ['H2 + O2 -> H2O', [2, 1, 2]],
    ['KMnO4 + H2O2 + H2SO4 -> MnSO4 + K2SO4 + O2 + H2O', [2, 5, 3, 2, 1, 5, 8]],
    ['KMnO4 + HCl = KCl + MnCl2 + Cl2 + H2O', [2, 16, 2, 2, 5, 8]],
    ['K2Cr2O7 + FeSO4 + H2SO4 → Cr2(SO4)3 + Fe2(SO4)3 + K2SO4 + H2O', [1, 6, 7, 1, 3, 1, 7]],
    ['MnO4^- + Fe2+ + H+ -> Mn2+ + Fe3+ + H2O', [1, 5, 8, 1, 5, 4]],
    ['Cr2O7^2- + H+ + e- -> Cr3+ + H2O', [1, 14, 6, 2, 7]],
    ['Na2S2O3 + I2 -> NaI + Na2S4O6', [2, 1, 2, 1]],
    ['Zn+H2SO4->ZnSO4+H2', [1, 1, 1, 1]],
    ['Fe3++Cu->Fe2++Cu2+', [2, 1, 2, 1]],
    ['2 Al + 3 H2SO4 = Al2(SO4)3 + 3 H2', [2, 3, 1, 3]],
    ['[Fe(CN)6]^4- + MnO4^- + H+ -> [Fe(CN)6]^3- + Mn2+ + H2O', [5, 1, 8, 5, 1, 4]],
    ['Cu(s) + HNO3(aq) -> Cu(NO3)2(aq) + NO(g) + H2O(l)', [3, 8, 3, 2, 4]],
    ['CuSO4.5H2O -> CuSO4 + H2O', [1, 1, 5]],
    ['CaSO4.0.5H2O + H2O -> CaSO4.2H2O', [2, 3, 2]],
    ['P4 + NaOH + H2O -> PH3 + NaH2PO2', [1, 3, 3, 1, 3]],
    ['C6H12O6 + O2 -> CO2 + H2O', [1, 6, 6, 6]],
    // Each whole, though the numbers are large.
    [
      '[Cr(N2H4CO)6]4[Cr(CN)6]3 + KMnO4 + H2SO4 -> K2Cr2O7 + MnSO4 + CO2 + KNO3 + K2SO4 + H2O',
      [10, 1176, 1399, 35, 1176, 420, 660, 223, 1879],
    ],
  ])('%s', (text, wanted) => expect(coefficients(text)).toEqual(wanted));

  it.each([
    ['H2 + O2', 'two sides'],
    ['', 'two sides'],
    ['H2 -> O2', 'H stands on one side only'],
    ['H2 + O2 -> H2O + Xx', 'no element'],
    ['NaCl + H2O -> NaOH + HCl + Na2O', 'independent'],
    ['CO2 + H2O -> H2CO3 + O2', 'O2 takes no part'],
    ['H2 + + O2 -> H2O', 'empty place'],
  ])('says of “%s” what is wrong', (text, part) => {
    expect(coefficients(text)).toContain(part);
  });

  it('reports the independent reactions instead of guessing', () => {
    const result = balance('KClO3 + HCl -> KCl + Cl2 + ClO2 + H2O');
    expect(result.ok ? '' : result.problem.code).toBe('several-reactions');
    expect(result.ok ? '' : result.problem.message).toContain('2 independent');
  });

  it('says where the oxygen of a peroxide goes when that decides', () => {
    const result = balance('KMnO4 + H2O2 + H2SO4 -> MnSO4 + K2SO4 + O2 + H2O');
    expect(result.ok && result.value.note).toContain('from the peroxide');
    expect(result.ok && balancedText(result.value)).toBe('2 KMnO4 + 5 H2O2 + 3 H2SO4 → 2 MnSO4 + K2SO4 + 5 O2 + 8 H2O');
  });

  it('recovers a thousand random true reactions', () => {
    const elements = ['H', 'C', 'N', 'O', 'Na', 'S', 'Cl', 'Fe'];
    const molecule = fc
      .array(fc.integer({ min: 0, max: 4 }), { minLength: 8, maxLength: 8 })
      .filter((counts) => counts.some((n) => n > 0));
    const text = (counts: readonly number[]) =>
      counts.map((n, i) => (n === 0 ? '' : `${elements[i]}${n === 1 ? '' : n}`)).join('');
    let recovered = 0;
    fc.assert(
      fc.property(
        fc.array(molecule, { minLength: 2, maxLength: 4 }),
        fc.array(fc.integer({ min: 1, max: 7 }), { minLength: 4, maxLength: 4 }),
        fc.integer({ min: 1, max: 3 }),
        (reactants, counts, share) => {
          // The products are the sum of the reactants, dealt out in two parts, so that the reaction is true by making.
          const total = elements.map((_, i) => reactants.reduce((sum, m, j) => sum + m[i]! * counts[j]!, 0));
          const first = total.map((n) => Math.floor(n / (share + 1)));
          const second = total.map((n, i) => n - first[i]!);
          fc.pre(first.some((n) => n > 0) && second.some((n) => n > 0));
          const all = [...reactants, first, second];
          const rows = elements.map((_, i) => all.map((m, j) => BigInt(m[i]! * (j < reactants.length ? 1 : -1))));
          fc.pre(nullSpace(rows, all.length).length === 1);
          const result = balance(`${reactants.map(text).join(' + ')} -> ${text(first)} + ${text(second)}`);
          expect(result.ok).toBe(true);
          if (!result.ok) return;
          const found = result.value.coefficients;
          const divisor = found.reduce((g, n) => (n === 0 ? g : gcd(g, n)), 0);
          expect(divisor).toBe(1);
          for (const row of rows) expect(row.reduce((sum, n, j) => sum + n * BigInt(found[j]!), 0n)).toBe(0n);
          recovered += 1;
        },
      ),
      { numRuns: 1000 },
    );
    expect(recovered).toBe(1000);
  });
});

function gcd(a: number, b: number): number {
  return b === 0 ? a : gcd(b, a % b);
}
