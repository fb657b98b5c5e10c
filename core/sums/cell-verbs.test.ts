import { describe, expect, it } from 'vitest';
import { unwrap } from '#core/problem';
import { reckon } from '#core/reckon';

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

  it.each([
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
