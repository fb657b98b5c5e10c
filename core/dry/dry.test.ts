import { describe, expect, it } from 'vitest';
import { constantMass, desiccantDoses, hydrateBy } from './index.ts';

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

describe('which hydrate a mass says', () => {
  it('reads the water of the crystal from the mass and the moles in it', () => {
    // 0.1 mol of MgSO4·7H2O is 24.648 g; at 22.85 g it holds 6 H2O.
    expect(hydrateBy('MgSO4.7H2O', 24.65, 0.1, 0.01, 0.0003)).toMatchObject({ says: 'as its formula' });
    expect(hydrateBy('MgSO4.7H2O', 22.85, 0.1, 0.01, 0.0003)!.water).toBeCloseTo(6, 1);
    expect(hydrateBy('MgSO4.7H2O', 22.85, 0.1, 0.01, 0.0003)).toMatchObject({ says: 'over-dried' });
    expect(hydrateBy('MgSO4.7H2O', 27, 0.1, 0.01, 0.0003)).toMatchObject({ says: 'wetter' });
    expect(hydrateBy('MgSO4.7H2O', 0, 0.1, 0.01, 0.001)).toBeUndefined();
  });
});

describe('drying a liquid', () => {
  it('doses by the water, forbids what reacts, and knows what each leaves', () => {
    const spirit = desiccantDoses('alcohol', 500, 5, 18);
    expect(spirit.find(({ desiccant }) => desiccant.id === 'calcium-chloride')).toMatchObject({
      grams: 0,
      forbidden: 'it forms a compound with alcohols',
    });
    // 500 g at 5 % down to 0.3 %: 23.5 g of water, ÷ 0.3 × 1.5 = 117.5 g.
    expect(spirit.find(({ desiccant }) => desiccant.id === 'magnesium-sulfate')!.grams).toBeCloseTo(117.5, 1);
    expect(
      desiccantDoses('ester', 100, 2, 18).find(({ desiccant }) => desiccant.id === 'calcium-oxide')!.forbidden,
    ).toContain('esters');
    expect(
      desiccantDoses('ester', 100, 2, 40).find(({ desiccant }) => desiccant.id === 'sodium-sulfate')!.forbidden,
    ).toContain('32 °C');
    for (const { grams } of desiccantDoses('hydrocarbon', 100, 0, 18)) expect(grams).toBe(0);
  });
});
