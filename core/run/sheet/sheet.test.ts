import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sdOf } from '#base/figure';
import { unwrap } from '#base/problem';
import { molarMass } from '#matter/substance';
import { type Sheet, sheetOf } from '#run/sheet';
import { times } from '#testing/property';
import { figuresIn, recompute } from '#testing/recompute';
import { planFor } from '#testing/shelf';

const sheet = (target: string, change?: Parameters<typeof planFor>[1]): Sheet =>
  unwrap(sheetOf(planFor(target, change)));
const line = (of: Sheet, role: string) => of.additions.find((each) => each.role === role)!;

describe('diluting an acid', () => {
  const acid = sheet('1.5 L of 2 mol/L hydrochloric acid');

  it('1.5 L at 2 mol/L needs about 343 mL of 28 % acid', () => {
    expect(line(acid, 'acid').dose.volume?.value).toBeCloseTo(342.9, 0);
    expect(line(acid, 'acid').dose.take).toEqual({ value: 343, unit: 'mL' });
  });

  it('makes the volume and strength asked for, within the label’s uncertainty', () => {
    expect(acid.made!.volume.value).toBeCloseTo(1500, -1);
    expect(acid.made!.strength.value).toBeCloseTo(2, 2);
    expect(sdOf(acid.made!.strength) / 2).toBeGreaterThan(0.01);
    expect(acid.uncertainty.sentence).toContain('label');
  });

  it('puts water in first and warms a little', () => {
    expect(acid.additions.map((each) => each.role)).toEqual(['water', 'acid']);
    const rise = acid.heats[0]!.rise.value;
    expect(rise).toBeGreaterThan(2);
    expect(rise).toBeLessThan(9);
  });

  it('by mass: 500 g of 10 % hydrochloric acid hold 50 g of acid', () => {
    const byMass = sheet('500 g of 10 % hydrochloric acid');
    expect(line(byMass, 'acid').dose.mass.value).toBeCloseTo(500 * (10 / 28), 6);
  });

  it('refuses what water cannot do, and what lies beyond a hobby bench', () => {
    const code = (target: string) => {
      const result = sheetOf(planFor(target));
      return result.ok ? 'made' : result.problem.code;
    };
    expect(code('1 L of 35 % hydrochloric acid')).toBe('too-weak');
    expect(code('1 L of 80 % sulfuric acid')).toBe('beyond-scope');
    expect(code('1 L hydrochloric acid')).toBe('missing-part');
    expect(code('25 L of 1 mol/L hydrochloric acid')).toBe('out-of-range');
  });
});

describe('sodium acetate from vinegar', () => {
  const acetate = sheet('sodium acetate from 250 mL vinegar');

  it('250 mL of 8 % vinegar is about 0.336 mol, 48.1 g of crystals and 4.0 L of gas at 20 °C', () => {
    expect(line(acetate, 'acid').amount.value).toBeCloseTo(0.336, 3);
    expect(line(acetate, 'carbonate').dose.mass.value).toBeCloseTo(48.1, 1);
    expect(acetate.gases[0]!.volume.value).toBeCloseTo(4.05, 1);
  });

  it('counts the water that every reagent brings', () => {
    const crystals = line(acetate, 'carbonate');
    expect(crystals.waterBrought.value).toBeCloseTo(10 * crystals.amount.value * molarMass('H2O'), 6);
    expect(line(acetate, 'acid').waterBrought.value).toBeCloseTo(252.4 * 0.92, 0);
  });

  it('yields no more than theory, and cools itself', () => {
    expect(acetate.product!.value).toBeLessThan(acetate.theory!.value);
    expect(acetate.theory!.value).toBeCloseTo(0.3363 * 136.08, 0);
    expect(acetate.heats[0]!.heat.value).toBeLessThan(0);
  });

  it('vinegar over leaves the crystals to limit and asks for less of them', () => {
    const over = sheet('sodium acetate from 250 mL vinegar', { controls: { 'acid-excess': 10 } });
    expect(over.limiting).toBe('carbonate');
    expect(line(over, 'carbonate').dose.mass.value).toBeCloseTo(48.1 / 1.1, 1);
  });
});

describe('zinc sulfate', () => {
  const zinc = sheet('60 g zinc sulfate');

  it('scales so that the expected product is what was asked for', () => {
    expect(zinc.product!.value).toBeCloseTo(60, 0);
    expect(zinc.limiting).toBe('zinc');
    // By hand: 60 ÷ 0.7614 ÷ 287.54 = 0.27406 mol; × 65.38 ÷ 0.99 = 18.10 g; acid × 1.05 × 98.07 ÷ 0.37 = 76.3 g
    const n = 60 / (zinc.yieldPct!.value / 100) / 287.54;
    expect(line(zinc, 'zinc').dose.mass.value).toBeCloseTo((n * 65.38) / 0.99, 1);
    expect(line(zinc, 'acid').dose.mass.value).toBeCloseTo((n * 1.05 * 98.07) / 0.37, 0);
    expect(zinc.gases[0]!.volume.value).toBeCloseTo(n * 24.055, 1);
  });

  it('warns of hydrogen and of heat, in numbers, at their steps', () => {
    expect(zinc.cautions.dissolve!.map((each) => each.id)).toEqual(['hydrogen', 'heat']);
    expect(zinc.cautions.dissolve![0]!.text).toContain('L of air');
    expect(zinc.gauges.find((each) => each.id === 'heat')!.state).toBe('stop');
  });

  it('warns when it would crust in the boil', () => {
    const far = sheet('60 g zinc sulfate', { controls: { 'boil-to': 75 } });
    expect(far.gauges.find((each) => each.id === 'crust')!.state).toBe('stop');
  });

  it('refuses settings at which nothing crystallises, and amounts of crystals in mL', () => {
    const none = sheetOf(planFor('60 g zinc sulfate', { controls: { 'boil-to': 40, 'evaporate-to': 100, cold: 30 } }));
    expect(none.ok ? '' : none.problem.message).toContain('nothing crystallises');
    const volume = sheetOf(planFor('60 mL zinc sulfate'));
    expect(volume.ok ? '' : volume.problem.code).toBe('unit-does-not-fit');
  });

  it('says what is short on the shelf', () => {
    const much = sheet('1.8 kg zinc sulfate');
    expect(much.shortages.map((each) => each.field)).toEqual(['bottles.acid']);
    expect(much.shortages[0]!.message).toContain('are wanted');
  });
});

describe('every sheet', () => {
  const targets = [
    '1.5 L of 2 mol/L hydrochloric acid',
    'sodium acetate from 250 mL vinegar',
    '60 g zinc sulfate',
    '500 mL of 10 % sulfuric acid',
  ];

  it.each(targets)('of %s shows formulas that give its numbers', (target) => {
    let checked = 0;
    for (const figure of figuresIn(sheet(target))) {
      const value = recompute(figure);
      if (value === undefined) continue;
      checked += 1;
      expect(
        Math.abs(value - figure.value),
        `${figure.name}: ${figure.origin.by === 'formula' ? figure.origin.formula : ''}`,
      ).toBeLessThan(1e-5 * Math.max(1, Math.abs(figure.value)));
    }
    expect(checked).toBeGreaterThan(8);
  });

  it('grows in step with what is asked for', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 500, noNaN: true }), (grams) => {
        const one = sheet(`${grams.toFixed(1)} g zinc sulfate`);
        const two = sheet(`${(2 * Number(grams.toFixed(1))).toFixed(1)} g zinc sulfate`);
        expect(line(two, 'zinc').dose.mass.value / line(one, 'zinc').dose.mass.value).toBeCloseTo(2, 6);
      }),
      { numRuns: times(20) },
    );
  });

  it('has finite numbers at every corner of its controls', () => {
    const plan = planFor('60 g zinc sulfate');
    const corners = fc.record({
      'acid-excess': fc.constantFrom(0, 30),
      'acid-strength': fc.constantFrom(10, 30),
      'boil-to': fc.constantFrom(40, 75),
      'evaporate-to': fc.constantFrom(40, 100),
      cold: fc.constantFrom(0, 30),
    });
    fc.assert(
      fc.property(corners, fc.constantFrom(0, 16, 45), (controls, tempC) => {
        const result = sheetOf({ ...plan, controls, bench: { ...plan.bench, tempC } });
        if (!result.ok) {
          expect(result.problem.message).toMatch(/\.$/);
          return;
        }
        for (const figure of figuresIn(result.value)) expect(Number.isFinite(figure.value), figure.name).toBe(true);
      }),
      { numRuns: times(40) },
    );
  });

  it('refuses a plan whose numbers cannot be', () => {
    const plan = planFor('60 g zinc sulfate');
    const field = (changed: typeof plan) => {
      const result = sheetOf(changed);
      return result.ok ? 'taken' : result.problem.field;
    };
    expect(field({ ...plan, target: { ...plan.target, amount: { value: -5, unit: 'g' } } })).toBe('target.amount');
    expect(field({ ...plan, target: { ...plan.target, amount: { value: Number.NaN, unit: 'g' } } })).toBe(
      'target.amount',
    );
    expect(field({ ...plan, controls: { ...plan.controls, cold: -40 } })).toBe('controls.cold');
    expect(field({ ...plan, bench: { ...plan.bench, tempC: 99 } })).toBe('bench.tempC');
    expect(field({ ...plan, bottles: { ...plan.bottles, zinc: null } })).toBe('bottles.zinc');
    expect(field({ ...plan, bottles: { ...plan.bottles, zinc: plan.bottles.acid ?? null } })).toBe('bottles.zinc');
  });
});
