import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import { parseLabel } from '#matter/label';
import type { EventBody } from '#run/log';
import { advise } from '#run/state';
import { molIn } from '#testing/asking';
import { done, on, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

const copper = on('copper-carbonate', '23 g copper carbonate', {
  copper: 'copper sulfate pentahydrate 100 % 1 kg',
  soda: 'sodium carbonate decahydrate 100 % 1 kg',
});
const baking = { card: parseLabel('sodium bicarbonate 100 % 1 kg', '2026-01-01', 20).card!, usedG: 0 };
const spoon = (step: string): EventBody => ({
  kind: 'added',
  step,
  role: null,
  bottleId: 'bottle_baking',
  reading: exactReading(5, 'g'),
  reason: '',
  stock: baking,
});
const short = [
  copper.added('copper', 'copper', 44),
  copper.added('soda', 'soda', 30),
  ...done('copper', 'water', 'soda-water', 'soda'),
];
const G_PER_MOL = 221.11;
// 44 g ÷ 249.69 = 0.1762 mol of copper; 30 g ÷ 286.14 = 0.1048 mol of soda; 5 g ÷ 84.007 = 0.0595 mol of bicarbonate, two for each copper.
const BY_SODA = (0.1048 / 2) * G_PER_MOL;
const WITH_SPOON = ((0.1048 + 0.0595 / 2) / 2) * G_PER_MOL;

describe('a precipitant that falls short', () => {
  it('says what is still dissolved', () => {
    // 0.0714 mol of copper sulfate, 159.6 g/mol: 11.4 g.
    expect(molIn(copper.run(...short).sheet.now!.contents)['copper-sulfate']).toBeCloseTo(0.0714, 3);
    const advice = unwrap(advise(copper.plan, eventsAt(START, ...short), 'settle', START));
    expect(advice.own).toMatchObject({
      says: { left: expect.stringContaining('11 g of copper(II) sulfate is still dissolved') },
    });
  });

  it.each([
    ['before the step is ended', [spoon('settle'), ...done('settle')]],
    ['while it is filtered', [...done('settle'), spoon('collect'), ...done('collect')]],
    ['when it is dried', [...done('settle', 'collect', 'wash'), spoon('dry')]],
  ])('counts a spoon of another put in %s', (when, entries) => {
    // Once it is filtered off there is no copper left for it; a filter and its washing keep most of a gram, and 3 % more.
    const solid = when === 'when it is dried' ? BY_SODA : WITH_SPOON;
    expect(copper.run(...short, ...entries).sheet.product!.value).toBeCloseTo(0.97 * solid - 0.68, 1);
  });
});
