import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { BenchDefaults } from '#matter/gear';
import { parseLabel } from '#matter/label';
import { contentOf } from '#matter/stock';
import { contentsMass, emptyContents } from '#matter/vessel';
import { startPlan } from '#run/plan';
import { routeById } from '#run/route';
import { sheetOf } from '#run/sheet';
import { figure } from '#testing/standing';
import { add } from './index.ts';

const card = (
  label: string,
  others: readonly { substanceId: string; strength: { value: number; unit: 'w/w' | 'mol/L' } }[],
) => ({
  ...parseLabel(label, '2026-01-01', 20).card!,
  others,
});

describe('a bottle with more than one thing in it', () => {
  it('brings all of it, and weighs what it weighs', () => {
    const mixed = card('phosphoric acid 20 % 1 L', [
      { substanceId: 'citric-acid', strength: { value: 10, unit: 'w/w' } },
    ]);
    const content = unwrap(contentOf({ id: 'b', card: mixed, usedG: 0 }, 20));
    const { contents } = add(emptyContents, { ...content, name: 'cleaner' }, figure(200));
    // 200 g: 40 g of H3PO4 (97.99), 20 g of citric acid (192.12), 140 g of water.
    expect(contents.aqueous['phosphoric-acid']!.value).toBeCloseTo(40 / 97.994, 3);
    expect(contents.aqueous['citric-acid']!.value).toBeCloseTo(20 / 192.12, 3);
    expect(contents.waterG.value).toBeCloseTo(140, 6);
    expect(contentsMass(contents)).toBeCloseTo(200, 6);
  });

  it('wet, with salt left in it, brings the salt dissolved in its water', () => {
    const cake = card('copper carbonate 40 % 500 g', [
      { substanceId: 'water', strength: { value: 54, unit: 'w/w' } },
      { substanceId: 'sodium-sulfate', strength: { value: 6, unit: 'w/w' } },
    ]);
    const content = unwrap(contentOf({ id: 'b', card: cake, usedG: 0 }, 20));
    expect(content.wet).toBe(true);
    const { contents } = add(emptyContents, { ...content, name: 'cake' }, figure(100));
    expect(contents.aqueous['sodium-sulfate']!.value).toBeCloseTo(6 / 142.04, 4);
    expect(contents.waterG.value).toBeCloseTo(54, 6);
    expect(contents.inertG.value).toBe(0);
  });

  it('asks for the soda that its left-over acid takes', () => {
    const soda = (others: Parameters<typeof card>[1]) => {
      const route = routeById('zinc-carbonate-from-salt')!;
      const shelf = [
        { id: 's', card: card('zinc chloride 20 % 500 g', others), usedG: 0, archived: false },
        { id: 'c', card: card('sodium carbonate 100 % 1 kg', []), usedG: 0, archived: false },
      ];
      const plan = startPlan({
        route,
        target: { substanceId: 'zinc-chloride', amount: { value: 100, unit: 'g' }, strength: null, fromRole: 'salt' },
        bottles: { salt: 's', soda: 'c' },
        shelf: shelf as never,
        bench: BenchDefaults,
        day: '2026-01-01',
      });
      const sheet = unwrap(sheetOf({ ...plan, target: { ...plan.target, substanceId: 'basic-zinc-carbonate' } }));
      return sheet.additions.find(({ role }) => role === 'soda')!.amount.value;
    };
    // 100 g with 5 % of HCl: 0.1371 mol, half as much soda, 5 % over.
    const acid = soda([{ substanceId: 'hydrochloric-acid', strength: { value: 5, unit: 'w/w' } }]);
    expect(acid - soda([])).toBeCloseTo((1.05 * 0.1371) / 2, 3);
  });
});
