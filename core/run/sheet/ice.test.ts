import { describe, expect, it } from 'vitest';
import { given } from '#base/figure';
import { unwrap } from '#base/problem';
import { sheetOf } from '#run/sheet';
import { runState } from '#run/state';
import { on } from '#testing/on-route';
import { iceFor } from './ice.ts';

const heat = (kJ: number, rise: number, notKnown: Parameters<typeof iceFor>[0]['notKnown'] = []) => ({
  step: 'lye',
  heat: given({ symbol: 'Q', name: 'heat', unit: 'kJ' }, kJ, 'test'),
  rise: given({ symbol: 'ΔT', name: 'rise', unit: 'K' }, rise, 'test'),
  notKnown,
});

describe('ice in place of water', () => {
  it('takes what is over the ceiling: 10 kJ and 30 K from 20 to 25 °C are 20 g by hand', () => {
    // 333 J/K; 8.33 kJ over; 333.6 + 4.18 × 20 J for each gram.
    expect(iceFor(heat(10, 30), { startC: 20, ceilingC: 25 })!.value).toBeCloseTo(8333 / 417.2, 2);
  });

  it('is none where it stays under, cools, or a part of the heat is not known', () => {
    expect(iceFor(heat(1, 3), { startC: 20, ceilingC: 25 })).toBeUndefined();
    expect(iceFor(heat(-5, -15), { startC: 20, ceilingC: 25 })).toBeUndefined();
    expect(iceFor(heat(10, 30, [{ what: 'heat', says: 'No.' }]), { startC: 20, ceilingC: 25 })).toBeUndefined();
  });

  it('stands in the step that wants it: lye of 4.04 g in 25 g of water warms by about 40 K', () => {
    const bleach = on('hypochlorite-by-chlorine', '40 g sodium hypochlorite', {
      lye: 'sodium hydroxide 99 % 1 kg',
      source: 'trichloroisocyanuric acid 90 % 1 kg',
      acid: 'hydrochloric acid 18 % 1 L',
    });
    const step = unwrap(runState(bleach.plan, [])).steps.find(({ key }) => key === 'lye')!;
    const text = step.expect.map((part) => (part.is === 'text' ? part.text : part.shown)).join('');
    expect(text).toMatch(/\d g of ice in place of water/);
  });
});

describe('frost', () => {
  it('names the bottles that freeze where it is done, and says nothing in the warm', () => {
    const iodine = on('iodine', '4 g iodine', {
      iodide: 'potassium iodide 99 % 100 g',
      acid: 'hydrochloric acid 10 % 500 mL',
      peroxide: 'hydrogen peroxide 3 % 500 mL',
    });
    const first = (tempC: number) => {
      const sheet = unwrap(sheetOf({ ...iodine.plan, bench: { ...iodine.plan.bench, tempC } }));
      return (sheet.cautions[iodine.plan.route.steps[0]!.id] ?? []).find(({ id }) => id === 'frost')?.text ?? '';
    };
    expect(first(1)).toMatch(/Water and wash bottles freeze at 0 °C; .*peroxide from about -2 °C/i);
    // 10 % hydrochloric acid: −11 °C.
    expect(first(1)).not.toMatch(/hydrochloric/i);
    expect(first(20)).toBe('');
  });
});
