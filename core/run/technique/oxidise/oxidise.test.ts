import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { amountOf, at, massOverAll } from '#matter/vessel';
import { sheetOf } from '#run/sheet';
import { advise } from '#run/state';
import type { OxidiseAdvice } from '#run/technique';
import { done, on, read, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

const bottles = {
  bromide: 'sodium bromide 99 % 500 g',
  acid: 'sulfuric acid 37 % 1 L',
  peroxide: 'hydrogen peroxide 11.9 % 500 mL',
};
const water = on('bromine-water', '50 g bromine', bottles);
const charged = [
  water.added('water', 'water', 22),
  water.added('bromide', 'bromide', 3.2),
  water.added('acid', 'acid', 16.3),
  water.added('peroxide', 'peroxide', 4.4),
  ...done('ready', 'water', 'bromide', 'acid', 'peroxide'),
];
const saysAfter = (...bodies: Parameters<typeof water.run>) =>
  unwrap(advise(water.plan, eventsAt(START, ...charged, ...bodies), 'stand', START)).own!.says as OxidiseAdvice;
const bromine = (run: ReturnType<typeof water.run>) =>
  amountOf(at(run.sheet.now!.vessels, 'pot'), 'bromine')?.value ?? 0;

describe('bromide left with acid and peroxide', () => {
  it('makes bromine as far as its hours allow, and keeps its mass, its oxygen led off', () => {
    const run = water.run(...charged, ...done('stand'));
    const { vessels } = run.sheet.now!;
    expect(massOverAll(vessels)).toBeCloseTo(22 + 3.2 + 16.3 + 4.4, 6);
    // 3.2 g × 99 % ÷ 102.9 = 0.0308 mol of bromide: 0.0154 of bromine at the most.
    expect(bromine(run)).toBeGreaterThan(0.15 * 0.0154);
    expect(bromine(run)).toBeLessThan(0.8 * 0.0154);
    expect(at(vessels, 'air').gas.oxygen!.value).toBeGreaterThan(0);
    const left = amountOf(at(vessels, 'pot'), 'sodium-bromide')!.value;
    expect(left + 2 * bromine(run)).toBeCloseTo(0.0308, 3);
  });

  it('without acid, or without peroxide, nothing comes', () => {
    const none = (skip: string) =>
      charged.filter(
        (each) => !(each.kind === 'added' && each.step === skip) && !(each.kind === 'finished' && each.step === skip),
      );
    for (const skip of ['acid', 'peroxide'])
      expect(
        bromine(water.run(...none(skip), { kind: 'step-skipped', step: skip, reason: '' }, ...done('stand'))),
      ).toBe(0);
  });

  it('goes by how warm it stood and how long', () => {
    const at20 = saysAfter(read('stand', 'temperature', 20, '°C'));
    const at5 = saysAfter(read('stand', 'temperature', 5, '°C'));
    expect(at5.answer.enoughH).toBeGreaterThan(3 * at20.answer.enoughH);
    expect(at20.answer.faster.acid).toBeGreaterThan(1.2);
    // Two of thiosulfate crystals, 248.2, for each bromine, a fifth to spare.
    expect(at20.quenchG).toBeCloseTo((at20.mostG / 159.8) * 2 * 248.2 * 1.2, 1);
  });

  it('is worth no wait where it is thin, and the plan of strong bromine water is refused', () => {
    const thin = on('bromine-water', '50 g bromine', bottles);
    const sheet = unwrap(sheetOf({ ...thin.plan, controls: { ...thin.plan.controls, thin: 3000, 'acid-excess': 0 } }));
    expect(sheet.figures['freed.conversion']!.value).toBeLessThan(5);
    const strong = sheetOf({
      ...thin.plan,
      controls: { ...thin.plan.controls, thin: 500, 'acid-excess': 600, hours: 2 },
    });
    expect(strong.ok ? 'within' : strong.problem.message).toMatch(/within|above 3 %/);
  });
});
