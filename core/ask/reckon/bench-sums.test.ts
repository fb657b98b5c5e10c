import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { times } from '#testing/property';
import { type Answer, reckonJson } from './index.ts';

function sum(line: string): { answers: readonly Answer[]; note: string } {
  const result = reckonJson(line);
  if ('problem' in result) throw new Error(`${line}: ${result.problem.message}`);
  return { answers: result.answers, note: result.note ?? '' };
}
const of = (line: string, label: string) => sum(line).answers.find((each) => each.label.startsWith(label))?.value;
const refusal = (line: string) => {
  const result = reckonJson(line);
  return 'problem' in result ? result.problem.message : '';
};

describe('an equation with amounts', () => {
  it('finds what is not written, what limits, what is left over and what is still needed', () => {
    const line = '7 g KBr + 60 mL 6% H2O2 + H2SO4 -> Br2';
    // 7 ÷ 119.00 = 0.05882 mol: 0.02941 of the reaction. Br2 159.81: 4.700 g; H2SO4 98.08: 2.885 g.
    expect(of(line, 'bromine')).toBeCloseTo(4.7, 2);
    expect(of(line, 'sulfuric acid needed')).toBeCloseTo(2.885, 2);
    // 60 mL × 1.0204 g/mL × 6 % = 3.673 g, 0.1080 mol; 0.0786 left, 2.67 g.
    expect(of(line, 'hydrogen peroxide left over')).toBeCloseTo(2.67, 1);
    expect(sum(line).note).toContain('2 KBr + H2O2 + H2SO4 → Br2 + 2 H2O + K2SO4');
    expect(sum(line).note).toContain('potassium bromide limits');
  });

  it('gives gas in litres and heat, and says where the heat is not known', () => {
    const zinc = '5 g Zn + 100 mL 20% H2SO4 -> ZnSO4 + H2';
    // 5 ÷ 65.38 = 0.07648 mol; × 24.055 L; × 153.9 kJ (Zn2+ −153.9, CODATA).
    expect(of(zinc, 'H2 set free')).toBeCloseTo(1.84, 2);
    expect(of(zinc, 'heat set free')).toBeCloseTo(11.77, 1);
    expect(sum('20 g NaHCO3 + 30 g citric acid -> CO2').note).toContain('Heat: not known');
    // 20 ÷ 84.007 = 0.2381 mol of gas, 10.48 g.
    expect(of('20 g NaHCO3 + 30 g citric acid -> CO2', 'CO2')).toBeCloseTo(10.48, 2);
  });

  it('takes the water of crystal out of a solution', () => {
    // 600 g of 5 % hold 30 g, 0.4996 mol of acetic acid; × 136.08: 67.98 g.
    expect(of('600 g 5% CH3COOH + 60 g NaHCO3 -> CH3COONa.3H2O', 'sodium acetate trihydrate')).toBeCloseTo(67.98, 1);
  });

  it('takes a hydrate with its water', () => {
    const line = '10 g CuSO4.5H2O + Na2CO3 -> Cu2(OH)2CO3';
    // 10 ÷ 249.68 = 0.04005 mol; half of it × 221.11; as much soda × 105.99.
    expect(of(line, 'Cu2(OH)2CO3')).toBeCloseTo(4.428, 2);
    expect(of(line, 'sodium carbonate needed')).toBeCloseTo(4.245, 2);
  });

  it.each([
    ['5 g NaCl + KBr -> Au', 'comes of nothing on the left'],
    ['KBr + 6% H2O2 + H2SO4 -> Br2', ''],
    ['0 g KBr + H2O2 + H2SO4 -> Br2', ''],
    ['-3 g KBr + H2O2 + H2SO4 -> Br2', 'below zero'],
    ['9 g NH4NO3 + Zn -> ZnO', 'not planned here'],
  ])('%s is answered or refused in a sentence', (line, says) => {
    const message = refusal(line);
    if (says !== '') expect(message).toContain(says);
    if (message !== '') expect(message).toMatch(/[.?]$/);
  });

  it('makes as much mass as goes in', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 500, noNaN: true }), (grams) => {
        const { answers } = sum(`${grams.toFixed(3)} g Na2CO3 + HCl -> CO2`);
        const g = answers.filter(({ unit }) => unit === 'g');
        const needed = g.filter(({ label }) => label.includes('needed')).reduce((all, { value }) => all + value, 0);
        const made = g.filter(({ label }) => !label.includes('needed')).reduce((all, { value }) => all + value, 0);
        expect(made).toBeCloseTo(Number(grams.toFixed(3)) + needed, 6);
      }),
      { numRuns: times(50) },
    );
  });
});

describe('sums of the bench', () => {
  it('boils off water: 260 mL at 0.9982 g/mL, 2256.5 J/g, from 20 °C', () => {
    const line = 'evaporate 350 mL to 90 mL';
    expect(of(line, 'water that goes')).toBeCloseTo(259.5, 1);
    // 259.5 × 2.2565 + 349.4 × 0.335 = 702.6 kJ; ÷ 300 W: 0.65 h.
    expect(of(line, 'heat')).toBeCloseTo(702.6, 0);
    expect(of(line, 'at 300 W')).toBeCloseTo(0.65, 2);
    expect(refusal('evaporate 90 mL to 350 mL')).toContain('It gets less');
    expect(refusal('evaporate 90 mL')).toContain('Write evaporate');
  });

  it('takes the water of a spirit from its strength by volume', () => {
    // 93 % v/v is 89.7 % by mass, 0.818 g/mL: 80 mL are 65.5 g with 6.8 g of water.
    expect(sum('dry 80 mL 93% ethanol').note).toContain('65.5 g with 6.8 g of water');
    expect(refusal('dry 80 mL ethanol')).toContain('Write dry');
  });

  it('says what of a room’s air a gas would be', () => {
    // 18 ÷ 44.01 × 24.055 L = 9.84 L in 24 000 L: 410 ppm.
    expect(of('18 g CO2 in 24 m3', 'CO2 in the air')).toBeCloseTo(410, 0);
    expect(sum('18 g CO2 in 24 m3').note).toMatch(/^Below 40.000 ppm/);
    expect(sum('2 L Cl2 in 24 m³').note).toMatch(/Above 10(\.0)? ppm, where it kills/);
    // A quarter of the lower limit, 1 %, of 20 m3 is 200 L.
    expect(sum('190 L H2 in 20 m3').note).toContain('Below 1 %');
    expect(sum('210 L H2 in 20 m3').note).toContain('Above 1 %');
    // 5 mL × 0.907 g/mL × 25 % ÷ 17.03 g/mol = 0.0666 mol, 1.60 L: 80 ppm of the liquid, not 0.25 of so much gas.
    expect(of('5 mL 25% NH3 in 20 m3', 'ammonia in the air')).toBeCloseTo(80, 0);
    // 12 L/h ÷ (3 × 20 m3) = 200 ppm; 20 × ln(200 ÷ 0.5) = 119.8 min; 12 ÷ 0.5 × 1000 = 24 000 m3/h.
    expect(of('0.2 L/min Cl2 in 20 m3 3/h', 'Cl2 in the air')).toBeCloseTo(200, 3);
    expect(of('0.2 L/min Cl2 in 20 m3 3/h', 'until it is below')).toBeCloseTo(119.8, 1);
    expect(of('0.2 L/min Cl2 in 20 m3 3/h', 'fresh air')).toBeCloseTo(24000, 0);
    // 10 ÷ 58.08 × 24.055 = 4.14 L: 207 ppm.
    expect(of('10 g acetone in 20 m3', 'acetone in the air')).toBeCloseTo(207, 0);
    expect(refusal('5 g NaCl in 20 m3')).toContain('no gas');
    expect(refusal('5 g CO2 in 0 m3')).toContain('more than 0');
  });

  it('finds the strength that has a pH, and refuses one that there is not', () => {
    for (const [c, name] of [
      [0.1, 'CH3COOH'],
      [0.02, 'NH3'],
      [0.05, 'Na2CO3'],
    ] as const) {
      const pH = sum(`pH ${c} mol/L ${name}`).answers[0]!.value;
      expect(sum(`pH ${pH.toFixed(4)} ${name}`).answers[0]!.value).toBeCloseTo(c, 3);
    }
    expect(refusal('pH 5 Na2CO3')).toContain('is of something else');
  });

  it('names what must not meet, by any name it is sold under', () => {
    expect(sum('clash bleach + vinegar').note).toMatch(/^Never together:.*chlorine/);
    expect(sum('clash descaler and bleach').note).toContain('Never together');
    expect(sum('clash sugar + chalk').note).toContain('no promise');
    expect(refusal('clash bleach')).toContain('Two things');
  });

  it('says of the densest acid that its density does not tell', () => {
    expect(refusal('SG 1.84 H2SO4 in %')).toContain('its density does not tell which');
    expect(refusal('SG 2.4 H2SO4 in %')).toContain('does not reach');
  });

  it('weighs out a solution by c, V and M alone', () => {
    // 0.1 × 158.03 = 15.80 g; 2 × 0.05 × 189.6 = 18.96 g.
    expect(sum('1 L 0.1 mol/L KMnO4 in g').answers[0]!.value).toBeCloseTo(15.8, 2);
    expect(sum('50 mL 2 mol/L SnCl2 in g').answers[0]!.value).toBeCloseTo(18.96, 2);
  });

  it('says what a mole costs, and which is the better buy', () => {
    const line = 'price washing soda crystals 100% 1 kg 2.10 or soda ash 100% 500 g 3.40';
    // 2.10 × 286.14 ÷ 1000 = 0.601; 3.40 × 105.99 ÷ 500 = 0.721.
    const { answers, note } = sum(line);
    expect(answers[0]!.value).toBeCloseTo(0.601, 3);
    expect(answers[1]!.value).toBeCloseTo(0.721, 3);
    expect(note).toMatch(/^washing soda crystals 100% 1 kg 2.10 is the cheaper by the mole, 1.2 times/);
    expect(refusal('price soda ash 500 g')).toContain('What does');
    expect(refusal('price descaler 500 g 3')).toContain('more than one thing');
    expect(refusal('price')).toContain('Write price');
    expect(sum('price zinc strip 1 kg 9 or magnesium ribbon 1 kg 20').note).toContain('not the same substance');
  });
});
