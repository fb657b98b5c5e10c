import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { given } from '#base/figure';
import { unwrap } from '#base/problem';
import { allSubstances, type Substance, substanceById } from '#matter/substance';
import { times } from '#testing/property';
import { density, massFraction, type StrengthUnit, strengthIn, strengthsOf, strengthUnits } from './index.ts';

const of = (id: string) => substanceById(id)!;
const pct = (value: number) => given({ symbol: 'w', name: 'w', unit: '%' }, value, 'test');
const dense = allSubstances.filter((each) => each.density !== null);
const units = Object.keys(strengthUnits) as StrengthUnit[];
/** Units whose number can mean two strengths where a density turns back, or that count one substance only. */
const OWN: Partial<Record<StrengthUnit, string>> = { vol: 'hydrogen-peroxide', 'Cl g/L': 'sodium-hypochlorite' };

/** Strongest mass % that a density is held for at 20 °C. */
function strongest(substance: Substance): number {
  let most = 0;
  for (let w = 1; w <= 99; w++) if (density(substance, w, 20).ok) most = w;
  return most;
}
const MOST = new Map(dense.map((each) => [each.id, strongest(each)]));

describe('a strength in any unit and back', () => {
  it('is the strength it was', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...dense),
        fc.constantFrom(...units),
        fc.double({ min: 0.02, max: 0.95, noNaN: true }),
        (substance, unit, part) => {
          if (OWN[unit] !== undefined && OWN[unit] !== substance.id) return;
          const w = part * MOST.get(substance.id)!;
          const there = strengthIn(pct(w), unit, substance, 20);
          if (!there.ok) {
            expect(there.problem.message).toMatch(/[.!]$/);
            return;
          }
          const back = massFraction({ value: there.value.value, unit }, substance, 20);
          // Where a density turns back two strengths fit, and that is said.
          if (!back.ok) expect(back.problem.message).toMatch(/fits two|does not reach|needs the density|is densest at/);
          else expect(Math.abs(back.value - w), `${substance.id} ${w} ${unit}`).toBeLessThan(0.02 + 0.002 * w);
        },
      ),
      { numRuns: times(400) },
    );
  });

  // Trade tables: muriatic acid 20 °Bé is 31.45 %, sulfuric acid 66 °Bé 93.2 %, caustic 100 °Tw 1.5 g/mL, proof ethanol 57.1 % in the old British sense is not meant.
  it.each([
    ['hydrochloric-acid', 31.45, 'Bé', 20, 0.2],
    ['sulfuric-acid', 93.2, 'Bé', 66, 0.35],
    ['sulfuric-acid', 62.2, 'Bé', 50, 0.3],
    ['nitric-acid', 67.2, 'Bé', 42, 0.3],
    ['sodium-hydroxide', 47.3, 'Tw', 100, 1.2],
    ['ammonia', 29.4, 'Bé', 26, 0.4],
    ['hydrogen-peroxide', 30, 'vol', 110, 1.5],
    ['sulfuric-acid', 37, 'SG', 1.277, 0.003],
    ['ethanol', 79.2, 'v/v', 85, 0.4],
    ['ethanol', 42.4, 'proof', 100, 1],
  ] as const)('%s at %d %% is %s %d', (id, w, unit, published, within) => {
    const there = unwrap(strengthIn(pct(w), unit, of(id), 20));
    expect(Math.abs(there.value - published)).toBeLessThan(within);
  });

  it('refuses a unit that counts something else, and says of what it counts', () => {
    for (const [unit, id] of [
      ['vol', 'ammonia'],
      ['Cl g/L', 'hydrogen-peroxide'],
    ] as const) {
      const refused = strengthIn(pct(5), unit, of(id), 20);
      expect(refused.ok).toBe(false);
      expect(massFraction({ value: 5, unit }, of(id), 20).ok).toBe(false);
    }
    expect(strengthIn(pct(100), 'g/100g', of('ethanol'), 20).ok).toBe(false);
  });
});

describe('a strength in every unit that its trade uses', () => {
  it('shows each figure finite, with volumes only for what is poured', () => {
    for (const substance of dense) {
      const shown = strengthsOf(pct(0.6 * MOST.get(substance.id)!), substance, 20, true);
      expect(shown.length).toBeGreaterThan(3);
      for (const figure of shown) expect(Number.isFinite(figure.value), `${substance.id} ${figure.name}`).toBe(true);
      expect(shown.map(({ unit }) => unit)).toContain('mol/L');
    }
    expect(strengthsOf(pct(99), of('boric-acid'), 20, false).map(({ unit }) => unit)).toEqual(['%', 'mol/kg']);
  });

  it('gives bleach its chlorine, peroxide its oxygen and ethanol its share by volume', () => {
    const names = (id: string, w: number) =>
      strengthsOf(pct(w), of(id), 20, true)
        .map(({ name }) => name)
        .join('; ');
    expect(names('sodium-hypochlorite', 10)).toContain('chlorine');
    expect(names('hydrogen-peroxide', 9)).toContain('oxygen');
    expect(names('ethanol', 60)).toMatch(/by volume|% vol/);
  });
});
