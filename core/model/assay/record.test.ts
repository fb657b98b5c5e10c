import { describe, expect, it } from 'vitest';
import { sdOf } from '#base/figure';
import { unwrap } from '#base/problem';
import { phAt, solutionOf } from '#matter/equilibrium';
import { type Bench, BenchDefaults } from '#matter/gear';
import { parseLabel } from '#matter/label';
import { asAssayed, contentOf, type Shelved } from '#matter/stock';
import {
  type AssayBody,
  type AssayEntry,
  type AssayPlan,
  appliedOf,
  assayState,
  entryCheck,
  foretoldCurve,
  simulatedPh,
  strengthFromTitres,
  testsFor,
} from './index.ts';

const bench: Bench = { ...BenchDefaults, burette: { capacityMl: 50, stepMl: 0.1 } };
const bottle = (id: string, label: string): Shelved => ({
  id,
  card: parseLabel(label, '2026-11-01', 20).card!,
  usedG: 0,
});
const vinegar = bottle('vin', 'vinegar 5% 500 mL');
const lye = bottle('lye', 'sodium hydroxide 0.1 mol/L 1 L');
const plan: AssayPlan = {
  id: 'assay_burette',
  bottle: vinegar,
  methodId: 'acid-base',
  turned: false,
  known: [lye],
  byMass: false,
  sampleG: 2,
  dilution: null,
  indicator: null,
  tolerancePct: 1,
  bench,
  day: '2026-11-02',
};
let count = 0;
const entry = (body: AssayBody): AssayEntry => ({ id: `ev_${++count}`, happenedAt: '2026-11-02T10:00:00Z', body });
const read = (replicate: string, name: string, value: number) => entry({ kind: 'read', replicate, name, value });
const said = (body: AssayBody, before: readonly AssayEntry[] = []) => {
  const checked = entryCheck(plan, before, body);
  return checked.ok ? '' : checked.problem.message;
};

describe('an entry', () => {
  it.each<[string, AssayBody, RegExp]>([
    ['above the burette', { kind: 'read', replicate: '1', name: 'level', value: 62 }, /ends at 50 mL.*filled up/],
    ['below its mark', { kind: 'read', replicate: '1', name: 'level', value: -0.1 }, /no mark below 0/],
    ['in another unit', { kind: 'read', replicate: '1', name: 'level', value: 10, unit: 'g' }, /counts that in mL/],
    ['of no weight', { kind: 'read', replicate: '1', name: 'sampleG', value: 0 }, /more than 0 g/],
    [
      'of more than the bottle holds',
      { kind: 'read', replicate: '1', name: 'sampleG', value: 800 },
      /cannot come out of it/,
    ],
    ['of a name that is none', { kind: 'read', replicate: '1', name: 'colour', value: 1 }, /no reading “colour”/],
    ['filled the wrong way', { kind: 'refilled', replicate: '1', from: 10, to: 40 }, /nearer to 0/],
    ['diluted to less', { kind: 'diluted', weighG: 10, toG: 5 }, /more of it than before/],
    ['left out that is not there', { kind: 'left-out', replicate: '7', out: true, why: '' }, /no replicate 7/],
    ['ended before it began', { kind: 'ended', replicate: '1', as: 'sign', note: '' }, /not weighed yet/],
  ])('%s is told why', (_, body, says) => {
    expect(said(body)).toMatch(says);
  });

  it('may be spoilt at any time, and a level may stand still', () => {
    expect(said({ kind: 'ended', replicate: '1', as: 'spoilt', note: '' })).toBe('');
    const before = [read('1', 'level', 3)];
    expect(said({ kind: 'read', replicate: '1', name: 'level', value: 3 }, before)).toBe('');
    expect(said({ kind: 'read', replicate: '1', name: 'level', value: 2.9 }, before)).toMatch(/only goes on/);
  });
});

describe('a pH probe', () => {
  const sample = read('1', 'sampleG', 2);
  const trueMl = 16.6;
  const titration = {
    sample: unwrap(solutionOf([{ substanceId: 'acetic-acid', molPerL: (0.1 * trueMl) / 52 }], 20)),
    sampleMl: 52,
    titrant: unwrap(solutionOf([{ substanceId: 'sodium-hydroxide', molPerL: 0.1 }], 20)),
  };
  const probe = (titre: number) => {
    const found = phAt(titration, titre);
    return entry({
      kind: 'probed',
      replicate: '1',
      titre,
      pH: found.outcome === 'solved' ? Number(found.pH.toFixed(2)) : 7,
    });
  };
  const early = [0, 2, 4, 6, 8, 10, 12, 14].map(probe);
  const whole = [...early, ...[15, 15.8, 16.2, 16.4, 16.6, 16.8, 17, 17.5, 18.5, 20].map(probe)];

  it('tells the end before it comes', () => {
    const { advice } = unwrap(assayState(plan, [sample, ...early]));
    expect(advice.headline).toMatch(/(?:Slow down: )?[Aa]bout [23]\.\d mL to go/);
  });

  it('takes the place of the eye, and tells the pKa', () => {
    const ended = entry({ kind: 'ended', replicate: '1', as: 'sign', note: '' });
    const state = unwrap(assayState(plan, [sample, ...whole, ended]));
    expect(state.replicates[0]!.titre?.value).toBeCloseTo(trueMl, 1);
    expect(state.replicates[0]!.probe?.fit?.pKa).toBeCloseTo(4.76, 1);
    expect(state.result?.w.value).toBeCloseTo((0.1 * trueMl * 60.052) / 2 / 10, 1);
  });

  it('is simulated the same for the same seed, and refused where there is no pH to follow', () => {
    const at = { replicate: '1', titreMl: 5, seed: 11 };
    expect(simulatedPh(plan, [sample], at)).toEqual(simulatedPh(plan, [sample], at));
    const other = {
      ...plan,
      bottle: bottle('per', 'hydrogen peroxide 3% 250 mL'),
      methodId: 'permanganate',
      known: [bottle('mn', 'potassium permanganate 0.02 mol/L 1 L')],
    };
    expect(simulatedPh(other, [], at)).toMatchObject({ ok: false });
  });

  it('is foretold: a curve to its end, an indicator that fits', () => {
    const { curve, ends, indicators } = unwrap(foretoldCurve(plan));
    expect(curve.length).toBeGreaterThan(50);
    expect(ends[0]!.pH).toBeGreaterThan(8);
    expect(Math.abs(indicators[0]!.relative!)).toBeLessThan(0.005);
    // Counted by mass, of a titrant that is no water: the curve still ends where it should.
    const strong = { ...plan, byMass: true, known: [bottle('lye2', 'sodium hydroxide 2 mol/L 1 L')], sampleG: 40 };
    expect(Math.abs(unwrap(foretoldCurve(strong)).indicators[0]!.relative!)).toBeLessThan(0.005);
  });
});

describe('a result that is written on its bottle', () => {
  const three = ['1', '2', '3'].flatMap((key, i) => [
    read(key, 'sampleG', 2),
    read(key, 'level', 0),
    read(key, 'level', 16.6 + 0.02 * i),
    entry({ kind: 'ended', replicate: key, as: 'sign', note: '' }),
  ]);

  it('comes back out of it with the same uncertainty', () => {
    const { body, uses } = unwrap(appliedOf(plan, three));
    const card = asAssayed(vinegar.card, body);
    const { w } = unwrap(contentOf({ ...vinegar, card }, 20));
    const found = unwrap(assayState(plan, three)).result!.w;
    expect(w.value).toBeCloseTo(found.value, 9);
    expect(sdOf(w)).toBeCloseTo(sdOf(found), 6);
    expect(uses).toEqual([
      { bottleId: 'vin', grams: 6 },
      { bottleId: 'lye', grams: expect.closeTo(49.86, 6) },
    ]);
  });

  it('is refused of a rehearsal', () => {
    const practice = entry({ kind: 'probed', replicate: '3', titre: 1, pH: 4, simulated: true });
    const applied = appliedOf(plan, [...three, practice]);
    expect(applied.ok ? '' : applied.problem.message).toMatch(/rehearsal/);
  });

  it('is refused while there is none', () => {
    expect(appliedOf(plan, three.slice(0, 3))).toMatchObject({ ok: false });
  });
});

describe('titres without a bottle', () => {
  it('find what a hand calculation finds', () => {
    const answer = unwrap(
      strengthFromTitres({
        analyte: 'acetic-acid',
        titrant: 'sodium-hydroxide',
        titrantMolPerL: 0.1012,
        titrantSd: 0.0003,
        byMass: false,
        replicates: [{ sampleG: 2.013, titre: 18.42 }],
        blanks: [0.04],
        dilution: { weighG: 10, toG: 100 },
        balanceG: 0.001,
      }),
    );
    // (18.42 − 0.04) × 0.1012 × 60.052 / 2013 × 100 × 10.
    expect(answer.result.w.value).toBeCloseTo(((18.38 * 0.1012 * 60.052) / 2013) * 1000, 2);
    expect(answer.result.budget.map(({ name }) => name)).toContain('strength of the titrant');
  });

  it('are refused where nothing titrates it, and where the blank is above', () => {
    const sum = {
      titrantMolPerL: 0.1,
      titrantSd: 0,
      byMass: false,
      replicates: [{ sampleG: 1, titre: 5 }],
      dilution: null,
      balanceG: 0.01,
    } as const;
    expect(strengthFromTitres({ ...sum, analyte: 'sucrose', titrant: 'sodium-hydroxide', blanks: [] })).toMatchObject({
      ok: false,
    });
    expect(
      strengthFromTitres({ ...sum, analyte: 'acetic-acid', titrant: 'sodium-hydroxide', blanks: [9] }),
    ).toMatchObject({ ok: false });
  });
});

describe('tests of identity', () => {
  it('are of the substance that is meant, hydrate or not', () => {
    expect(testsFor('copper-sulfate-pentahydrate').identity[0]?.of).toMatch(/copper/);
    expect(testsFor('sodium-formate').identity.length).toBeGreaterThan(0);
    expect(testsFor('sodium-thiosulfate-pentahydrate').identity.map(({ reagents }) => reagents)).toContain(
      'its melting point',
    );
    expect(testsFor('nobody')).toEqual({ identity: [], limit: [] });
    expect(testsFor('zinc-sulfate').limit.map(({ of }) => of)).toContain('iron');
    expect(testsFor('iron-sulfate').limit.map(({ of }) => of)).not.toContain('iron');
  });
});
