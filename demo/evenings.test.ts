import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { whenFree } from './evenings.ts';

describe('hours at the bench', () => {
  it('are evenings and weekends, never before the instant asked about, and soon', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1_700_000_000_000, max: 1_900_000_000_000 }), (at) => {
        const free = new Date(whenFree(at));
        expect(free.getTime()).toBeGreaterThanOrEqual(at);
        expect(free.getTime() - at).toBeLessThan(26 * 3_600_000);
        const hour = free.getHours() + free.getMinutes() / 60;
        const weekend = free.getDay() === 0 || free.getDay() === 6;
        expect(hour).toBeGreaterThanOrEqual(weekend ? 9.5 : 17.7);
        expect(hour).toBeLessThan(22.1);
      }),
    );
  });

  it('leave an instant of an evening as it is', () => {
    const evening = new Date(2026, 2, 12, 19, 30).getTime();
    expect(whenFree(evening)).toBe(evening);
    expect(new Date(whenFree(new Date(2026, 2, 12, 3, 0).getTime())).getHours()).toBeGreaterThanOrEqual(17);
  });
});
