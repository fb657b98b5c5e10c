import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { BenchDefaults } from '#matter/gear';
import { compute } from '../compute.ts';
import { verbs } from '../verbs.ts';

const dry = verbs.dry.run;
const evaporate = verbs.evaporate.run;
const precipitate = verbs.precipitate.run;
const saltout = verbs.saltout.run;

const evaporation = {
  substanceId: 'zinc-acetate-dihydrate',
  fromMl: 400,
  toMl: 60,
  awayG: 300,
  vessels: [...BenchDefaults.vessels],
  watts: null,
  evaporationGPerH: 150,
  dishCm2: 300,
  liquidC: 20,
  airC: 20,
  humidityPct: 50,
  pressureHPa: 1013,
};
const wet = {
  substanceId: 'potassium-alum',
  waterG: 12,
  areaCm2: 300,
  roomC: 20,
  humidityPct: 55,
  pressureHPa: 1013,
  ceiling: null,
};

describe('evaporating', () => {
  it('takes what the plate takes off, or what its power gives', () => {
    expect(unwrap(evaporate(evaporation)).boilH).toBeCloseTo(2, 9);
    // 300 g × (2257 + 4.18 × 75) J ÷ (300 W × 0.5 × 3600 s).
    expect(unwrap(evaporate({ ...evaporation, watts: 300 })).boilH).toBeCloseTo(1.43, 2);
  });

  it('says how long it stands open, and that damp air never takes it', () => {
    const open = unwrap(evaporate(evaporation));
    expect(open.dishH![0]).toBeLessThan(open.dishH![1]);
    expect(unwrap(evaporate({ ...evaporation, dishCm2: 600 })).dishH![0]).toBeCloseTo(open.dishH![0] / 2, 6);
    expect(unwrap(evaporate({ ...evaporation, humidityPct: 99 })).dishH).toBeNull();
  });

  it('knows the ceiling of a solution, the last tenth that spatters, and what lies shallow', () => {
    expect(unwrap(evaporate(evaporation)).warnings.join(' ')).toContain('Not above 70 °C');
    const far = unwrap(evaporate({ ...evaporation, substanceId: 'potassium-nitrate', toMl: 1 }));
    expect(far.warnings.join(' ')).toMatch(/last tenth.*shallow/);
    expect(unwrap(evaporate({ ...evaporation, substanceId: 'potassium-nitrate' })).warnings).toEqual([]);
  });

  it('refuses more than there was', () => {
    expect(evaporate({ ...evaporation, toMl: 500 })).toMatchObject({ ok: false, problem: { field: 'toMl' } });
    expect(evaporate({ ...evaporation, substanceId: 'phlogiston' }).ok).toBe(false);
  });
});

describe('drying', () => {
  it('takes the route’s ceiling when it is lower, and the published one without it', () => {
    expect(unwrap(dry(wet)).ceiling).toMatchObject({ tempC: 40, grade: 'B' });
    const mine = { tempC: 35, why: 'alum weathers' };
    expect(unwrap(dry({ ...wet, ceiling: mine })).ceiling).toMatchObject(mine);
    expect(unwrap(dry({ ...wet, substanceId: 'copper-i-chloride' })).ceiling).toBeNull();
  });

  it('refuses a rinse with ethanol to a nitrate, and air to what draws water', () => {
    const nitrate = unwrap(dry({ ...wet, substanceId: 'sodium-nitrate', humidityPct: 80 })).methods;
    expect(nitrate.filter(({ verdict }) => verdict === 'no').map(({ id }) => id)).toEqual(['air', 'solvent rinse']);
  });
});

describe('precipitating and salting out', () => {
  it('leave what the product of the ions allows', () => {
    const at = unwrap(precipitate({ solid: 'barium sulfate', cationMol: 0.01, anionMol: 0.02, litres: 1, beside: 0 }));
    expect(at.pct).toBeGreaterThan(99.9);
    expect(at.anionLeft).toBeCloseTo(0.01, 5);
    expect(unwrap(saltout({ added: 'NaOH', saltG: 30, waterG: 100, addedG: 0 })).downG).toBe(0);
    // 10 mol/kg of lye leave 8.8 g of salt in 100 g of water.
    expect(unwrap(saltout({ added: 'NaOH', saltG: 30, waterG: 100, addedG: 39.997 })).staysG).toBeCloseTo(8.8, 1);
  });

  it.each([
    ['precipitate', { solid: 'sugar', cationMol: 1, anionMol: 1, litres: 1, beside: 0 }, 'sugar'],
    ['precipitate', { solid: 'AgCl', cationMol: 1, anionMol: 1, litres: 0, beside: 0 }, 'litres'],
    ['precipitate', { solid: 'AgCl', cationMol: -1, anionMol: 1, litres: 1, beside: 0 }, 'cationMol'],
    ['saltout', { added: 'KOH', saltG: 1, waterG: 100, addedG: 1 }, 'added'],
    ['saltout', { added: 'HCl', saltG: 1, waterG: 10, addedG: 40 }, 'tabulated'],
    ['dry', { ...wet, humidityPct: 120 }, 'humidityPct'],
    ['dry', { ...wet, areaCm2: 0 }, 'areaCm2'],
    ['evaporate', { ...evaporation, awayG: Number.NaN }, 'awayG'],
    ['evaporate', { ...evaporation, vessels: [] }, 'vessels'],
  ])('refuse over HTTP what cannot be: %s %j', (verb, bad, part) => {
    const answer = compute(verb, bad);
    expect(answer.ok).toBe(false);
    if (!answer.ok) expect(answer.problem.message + (answer.problem.field ?? '')).toContain(part);
  });
});
