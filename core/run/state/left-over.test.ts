import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { furtherUse, leftOverIn } from '#run/state';
import { molIn } from '#testing/asking';
import { done, on } from '#testing/on-route';

describe('what goes on to the shelf', () => {
  it('keeps the acid that was left over in a solution made here', () => {
    const zinc = on('zinc-chloride', '500 mL of 1 mol/L zinc chloride', {
      zinc: 'zinc 99 % 1 kg',
      acid: 'hydrochloric acid 30 % 5 L',
    });
    const run = zinc.run(
      zinc.added('zinc', 'zinc', 20),
      zinc.added('acid', 'acid', 120),
      ...done('ready', 'zinc', 'water', 'acid', 'dissolve', 'filter', 'make-up'),
    );
    // 20 g of 99 %: 0.3028 mol of zinc take 0.6057 of the 0.9874 mol of acid: 0.3817 mol, 13.9 g, stay.
    expect(molIn(run.sheet.now!.contents)['hydrochloric-acid']).toBeCloseTo(0.3817, 3);
    const [acid] = leftOverIn(run.sheet.now!.contents, 'zinc-chloride');
    expect(acid!.substanceId).toBe('hydrochloric-acid');
    expect(acid!.strength.value).toBeCloseTo((100 * 13.92) / run.sheet.now!.massG, 1);
  });

  it('keeps the sulfate of a cake that was not washed, and none of one that was', () => {
    const copper = on('copper-carbonate', '20 g copper carbonate', {
      copper: 'copper sulfate pentahydrate 99 % 1 kg',
      soda: 'sodium carbonate 99 % 1 kg',
    });
    const until = done('copper', 'water', 'soda-water', 'soda', 'settle', 'collect');
    const further = (...more: string[]) =>
      unwrap(
        furtherUse(copper.run(...until, ...done(...more)), {
          batch: { id: 'b', number: 1 },
          step: 'wash',
          wetG: 60,
          takenG: 60,
          bottleId: 'x',
          today: '2026-03-14',
          why: '',
        }),
      ).card;
    const raw = further();
    expect(raw.others.map(({ substanceId }) => substanceId)).toEqual(
      expect.arrayContaining(['water', 'sodium-sulfate']),
    );
    const all = raw.strength!.value + raw.others.reduce((sum, { strength }) => sum + strength.value, 0);
    expect(all).toBeCloseTo(100, 1);
    expect(further('wash').others.map(({ substanceId }) => substanceId)).toEqual(['water']);
  });
});
