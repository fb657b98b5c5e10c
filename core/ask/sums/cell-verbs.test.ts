import { describe, expect, it } from 'vitest';
import { reckon } from '#ask/reckon';
import { unwrap } from '#base/problem';

const found = (line: string) => unwrap(reckon(line)).answers;
const said = (line: string) => {
  const answer = reckon(line);
  return answer.ok ? '' : answer.problem.message;
};

describe('a current in one line', () => {
  it('gives hours and charge of so many electrons', () => {
    // 0.2 × 96485.332 ÷ 3600 = 5.36030 A·h.
    const [time, charge] = found('0.2 mol e- at 1.5 A');
    expect(charge!.value).toBeCloseTo(5.3603, 4);
    expect(time!.value).toBeCloseTo(3.57353, 4);
    expect(found('0,2 mol electrons at 1500 mA')[0]!.value).toBeCloseTo(3.57353, 4);
  });

  it('gives hours for a salt, and grams of what an electrode makes', () => {
    expect(found('22 g CuSO4.5H2O at 0.7 A 80%')[0]!.value).toBeCloseTo(8.434, 2);
    expect(found('0.8 A 18 h NaOH 70%')[0]!.value).toBeCloseTo(15.04, 1);
  });

  it('gives the warmth of a small cell, and warns', () => {
    const answer = unwrap(reckon('2.1 A 12 V 250 mL heat'));
    expect(answer.answers[0]!.value).toBeCloseTo((3600 * (12 - 1.481) * 2.1) / 1000, 1);
    expect(answer.note).toMatch(/boil/);
    expect(found('0.3 A 3 V 1 L heat')[1]!.value).toBeLessThan(25);
  });

  it('gives conductivities within 3 % of what is published', () => {
    expect(found('conductivity 1 mol/L NaOH')[0]!.value / 178).toBeCloseTo(1, 1);
    // Kohlrausch: 121.1 mS/cm of 10 % NaCl at 18 °C.
    expect(Math.abs(found('conductivity 10% NaCl at 18 C')[0]!.value / 121.1 - 1)).toBeLessThan(0.03);
    expect(Math.abs(found('conductivity 0,1 mol/L KCl')[0]!.value / 12.88 - 1)).toBeLessThan(0.03);
  });

  it('reads amp-hours of a meter, exponents, and gases by either name', () => {
    // 4 × 3600 ÷ (2 × 96485.332) = 0.0746228 mol; × 63.546 = 4.7420 g.
    for (const line of ['4 A h Cu', '4 Ah copper', '4000 mAh Cu', '4 A·h Cu', '2 A 2 h Cu'])
      expect(found(line)[0]!.value).toBeCloseTo(4.742, 3);
    expect(found('1e-1 mol e- at .5 A')[1]!.value).toBeCloseTo(2.68015, 4);
    expect(found('0.8 A 18 h H2')[1]!.value).toBeCloseTo(0.268642, 5);
    expect(found('0.8 A 18 h hydrogen')[1]!.value).toBeCloseTo(0.268642, 5);
  });

  it('leaves the crystal water out of a strength by mass', () => {
    // 20 % of the decahydrate is 20 × 105.99 ÷ 286.14 = 7.408 % of the carbonate.
    const [hydrate] = found('conductivity 20% Na2CO3.10H2O');
    expect(hydrate!.value).toBeCloseTo(found('conductivity 7.408% Na2CO3')[0]!.value, 1);
  });

  it('takes all for heat where too few volts split water', () => {
    expect(found('2.1 A 1 V 250 mL heat')[0]!.value).toBeCloseTo((3600 * 2.1) / 1000, 2);
  });

  it.each([
    ['0.8 A 18 h Cl2', /at most 0.1 mol/],
    ['0.8 A 18 h chlorine', /at most 0.1 mol/],
    ['20 A 18 h Br2', /at most 0.03 mol/],
    ['4 Ah 2 h Cu', /one too many/],
    ['-4 Ah Cu', /0 or more/],
    ['4 Ah', /Of what/],
    ['conductivity 0 mol/L NaOH', /pure water/],
    ['conductivity 10% NaHCO3', /dissolves to about 1\.\d mol/],
    ['0.2 mol e- at 0 A', /more than 0/],
    ['-1 mol e- at 2 A', /0 or more/],
    ['2 A 12 V 0 mL heat', /more than 0/],
    ['conductivity NaOH', /How strong/],
    ['conductivity 0% NaOH', /above 0/],
    ['conductivity 1 mol/L NaOH at 95 C', /0 to 80/],
    ['conductivity 1 mol/L citric acid', /not held/],
    ['conductivity 50 mol/L NaOH', /12 mol\/L/],
  ])('%s is refused in a sentence', (line, says) => {
    expect(said(line)).toMatch(says);
  });
});
