import { describe, expect, it } from 'vitest';
import { constantMass } from './index.ts';

const at = (hour: number, grams: number) => ({ at: new Date(Date.UTC(2026, 2, 14, hour)).toISOString(), grams });

describe('constant mass', () => {
  it('needs two weighings', () => {
    expect(constantMass([], 0.01)).toMatchObject({ constant: false, grams: null });
    expect(constantMass([at(8, 60)], 0.01)).toMatchObject({ constant: false, grams: 60, changePct: null });
  });

  it('is reached when the change is under half a percent, in whatever order they were entered', () => {
    const result = constantMass([at(16, 60.1), at(8, 63), at(12, 60.3)], 0.01);
    expect(result.constant).toBe(true);
    expect(result.grams).toBeCloseTo(60.2, 6);
  });

  it('is not reached while it loses, nor by two weighings minutes apart', () => {
    expect(constantMass([at(8, 63), at(12, 61)], 0.01).sentence).toContain('Still losing');
    const soon = constantMass(
      [
        { at: '2026-03-14T08:00:00Z', grams: 60 },
        { at: '2026-03-14T08:20:00Z', grams: 60 },
      ],
      0.01,
    );
    expect(soon.constant).toBe(false);
    expect(soon.sentence).toContain('20 min apart');
  });

  it('says that a gain is water from the air', () => {
    expect(constantMass([at(8, 60), at(12, 61)], 0.01).sentence).toContain('gained');
  });

  it('takes a coarse balance at its word', () => {
    expect(constantMass([at(8, 10), at(12, 9)], 1).constant).toBe(true);
  });
});
