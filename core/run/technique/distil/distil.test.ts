import { describe, expect, it } from 'vitest';
import { sdOf } from '#base/figure';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import { USUAL_STILL } from '#matter/gear';
import { amountOf, at, massOverAll } from '#matter/vessel';
import { caughtBetween, chargeOf, distil, mixtureById } from '#model/still';
import { on } from '#testing/on-route';
import { atStep, figure, standingWith, vesselOf } from '#testing/standing';
import { techniques } from '../catalogue.ts';

const { plan } = on('constant-boiling-acid', '100 g hydrochloric acid', { acid: 'hydrochloric acid 28 % 5 L' });
const cleaner = on('nitric-acid', '50 g nitric acid', { cleaner: 'nitric acid 20 % 5 L' }).plan;
const spirit = on('dried-ethanol', '50 g ethanol', {
  spirit: 'ethanol 90 % v/v 1 L',
  agent: 'anhydrous copper sulfate 99 % 100 g',
}).plan;

const OP = { volatile: 'hydrochloric-acid', into: 'receiver 1', control: 'cut-1' } as const;
/** 600 g of 18 % acid. */
const flask = standingWith(vesselOf(492, { 'hydrochloric-acid': 108 }));
const act = (op: Parameters<typeof techniques.distil.act>[1], step = atStep(plan)) =>
  unwrap(techniques.distil.act(flask, op, step));
const gramsIn = (
  vessels: ReturnType<typeof act>['vessels'],
  place: 'pot' | 'receiver 1' | 'condenser',
  id: 'hydrochloric-acid',
) => (amountOf(at(vessels, place), id)?.value ?? 0) * 36.46;

describe('a cut', () => {
  it('takes what the still’s own model takes, and keeps the mass', () => {
    const { vessels, figures } = act(OP, atStep(plan, {}, { 'cut-1': 30 }));
    const mixture = mixtureById('hydrogen-chloride-water', plan.bench.pressureHPa);
    const run = distil({ mixture, charge: chargeOf(mixture, 600, 18), apparatus: USUAL_STILL, airC: plan.bench.tempC });
    const expected = caughtBetween(run, 0, 0.3 * run.chargeMl);
    const caught =
      gramsIn(vessels, 'receiver 1', 'hydrochloric-acid') + gramsIn(vessels, 'condenser', 'hydrochloric-acid');
    expect(caught / (expected.n1 * 36.46)).toBeCloseTo(1, 1);
    expect(figures['distil.volume']!.value).toBeCloseTo(0.3 * run.chargeMl, -1);
    expect(figures['distil.head']!.value).toBeCloseTo(expected.headC[1], 0);
    expect(massOverAll(vessels)).toBeCloseTo(600, 6);
  });

  it('goes by what the receiver weighed, whatever was planned; and by its volume', () => {
    const weighed = act(OP, atStep(plan, { readings: { mass: exactReading(100, 'g') }, finished: true }));
    const inIt = at(weighed.vessels, 'receiver 1');
    const film = at(weighed.vessels, 'condenser');
    expect(
      inIt.waterG.value +
        film.waterG.value +
        gramsIn(weighed.vessels, 'receiver 1', 'hydrochloric-acid') +
        gramsIn(weighed.vessels, 'condenser', 'hydrochloric-acid'),
    ).toBeCloseTo(100, 0);
    const half = act(OP, atStep(plan, { readings: { volume: exactReading(50, 'mL') }, finished: true }));
    expect(half.figures['distil.volume']!.value).toBeCloseTo(50, 6);
    // More than there is comes to all there is.
    const all = act(OP, atStep(plan, { readings: { volume: exactReading(5000, 'mL') }, finished: true }));
    expect(at(all.vessels, 'pot').waterG.value).toBeGreaterThanOrEqual(0);
    expect(massOverAll(all.vessels)).toBeCloseTo(600, 6);
  });

  it('holds what was measured of it, in the place of the model', () => {
    const readings = { mass: exactReading(100, 'g'), strength: exactReading(12, '%') };
    const { vessels } = act(OP, atStep(plan, { readings, finished: true }));
    const inIt = at(vessels, 'receiver 1');
    const grams = gramsIn(vessels, 'receiver 1', 'hydrochloric-acid');
    expect((100 * grams) / (grams + inIt.waterG.value)).toBeCloseTo(12, 2);
    expect(massOverAll(vessels)).toBeCloseTo(600, 6);
    // Never more than was charged.
    const most = act(
      OP,
      atStep(plan, { readings: { mass: exactReading(400, 'g'), strength: exactReading(90, '%') }, finished: true }),
    );
    expect(gramsIn(most.vessels, 'pot', 'hydrochloric-acid')).toBeGreaterThanOrEqual(-1e-9);
  });

  it('is less sure where it is changed by eye than where it is weighed', () => {
    const eye = act(OP, atStep(plan, {}, { 'cut-1': 20 }));
    const weighed = act(OP, atStep(plan, { readings: { mass: exactReading(111, 'g') }, finished: true }));
    const sd = (of: typeof eye) => sdOf(at(of.vessels, 'receiver 1').waterG);
    expect(sd(weighed)).toBeLessThan(sd(eye));
  });

  it('of acid past its azeotrope leads gas away, or into the absorber as far as that holds it', () => {
    const strong = standingWith(vesselOf(432, { 'hydrochloric-acid': 168 }));
    const away = unwrap(techniques.distil.act(strong, OP, atStep(plan, {}, { 'cut-1': 30 })));
    expect(away.gases[0]).toMatchObject({ id: 'hydrogen-chloride' });
    expect(massOverAll(away.vessels)).toBeCloseTo(600, 6);
    const led = { ...OP, into: 'absorber', over: 'absorber' } as const;
    const cold = { ...strong, vessels: { ...strong.vessels, absorber: vesselOf(300, {}) } };
    const taken = unwrap(techniques.distil.act(cold, led, atStep(plan, {}, { 'cut-1': 30 })));
    expect(taken.gases).toHaveLength(0);
    expect(massOverAll(taken.vessels)).toBeCloseTo(900, 6);
    const small = { ...strong, vessels: { ...strong.vessels, absorber: vesselOf(1, {}) } };
    expect(unwrap(techniques.distil.act(small, led, atStep(plan, {}, { 'cut-1': 5 }))).gases.length).toBeGreaterThan(0);
  });

  it('does nothing where nothing boils, and is refused only while it is planned', () => {
    expect(unwrap(techniques.distil.act(standingWith(vesselOf(100, {})), OP, atStep(plan))).figures).toEqual({});
    const op = { volatile: 'nitric-acid', into: 'receiver 1', control: 'cut-1' } as const;
    const past = standingWith(vesselOf(60, { 'nitric-acid': 240 }));
    expect(techniques.distil.act(past, op, atStep(cleaner))).toMatchObject({
      ok: false,
      problem: { code: 'beyond-scope' },
    });
    const happened = techniques.distil.act(
      past,
      op,
      atStep(cleaner, { readings: { mass: exactReading(40, 'g') }, finished: true }),
    );
    expect(happened.ok).toBe(true);
    // Once it stands in the flask nothing is refused: nothing more is planned of it.
    const line = {
      step: 'x',
      role: 'cleaner',
      roleName: 'x',
      bottleId: null,
      name: 'x',
      dose: { mass: figure(1), volume: undefined, take: { value: 1, unit: 'g' as const }, takeMassG: 1, with: '' },
      actual: figure(1),
      amount: figure(1),
      waterBrought: figure(0),
      limiting: false,
    };
    expect(unwrap(techniques.distil.act({ ...past, additions: [line] }, op, atStep(cleaner))).figures).toEqual({});
  });

  it('by the flask’s temperature ends there: sulfuric acid of about 62 % at 145 °C', () => {
    const { plan: made } = on('sulfuric-acid-by-displacement', '50 g sulfuric acid', {
      salt: 'sodium hydrogensulfate 99 % 1 kg',
      acid: 'hydrochloric acid 31 % 5 L',
    });
    const op = { volatile: 'hydrochloric-acid', into: 'receiver 1', control: 'stop', by: 'pot' } as const;
    const liquor = standingWith(vesselOf(260, { 'hydrochloric-acid': 70, 'sulfuric-acid': 98 }));
    const { vessels, figures } = unwrap(techniques.distil.act(liquor, op, atStep(made, {}, { stop: 145 })));
    expect(figures['distil.pot']!.value).toBeCloseTo(145, 0);
    const left = at(vessels, 'pot').waterG.value;
    expect(Math.abs((100 * 98) / (98 + left) - 62)).toBeLessThan(4);
    expect(gramsIn(vessels, 'pot', 'hydrochloric-acid')).toBeLessThan(3);
  });
});

describe('drying over a salt', () => {
  const wet = {
    ...standingWith(vesselOf(0, {})),
    vessels: {
      'receiver 2': { ...vesselOf(5, { ethanol: 95 }), solid: vesselOf(0, { 'copper-sulfate': 20 }, false).solid },
    },
  };
  const op = { in: 'receiver 2', role: 'agent', liquid: 'ethanol', into: 'jar' } as const;

  it('binds what it can down to what it leaves, keeps a part, and lets the rest through', () => {
    const { vessels, figures } = unwrap(techniques['dry-over'].act(wet, op, atStep(spirit)));
    // 0.8 % of 95 g is 0.76 g: 4.24 g are bound, of 8.6 that 20 g could.
    expect(figures['dried.water']!.value).toBeCloseTo(4.24, 2);
    const jar = at(vessels, 'jar');
    const ethanol = amountOf(jar, 'ethanol')!.value * 46.07;
    expect((100 * jar.waterG.value) / (ethanol + jar.waterG.value)).toBeCloseTo(0.79, 1);
    expect(amountOf(jar, 'copper-sulfate')).toBeUndefined();
    expect(massOverAll(vessels)).toBeCloseTo(120, 6);
    // 20 g of agent keep 0.7 g each: 14 g of the 95.8 that are left to run.
    expect(ethanol + jar.waterG.value).toBeCloseTo(95.76 - 14, 0);
  });

  it('binds no more than its capacity, and goes by what was weighed afterwards', () => {
    const little = {
      ...wet,
      vessels: {
        'receiver 2': { ...vesselOf(5, { ethanol: 95 }), solid: vesselOf(0, { 'copper-sulfate': 2 }, false).solid },
      },
    };
    expect(unwrap(techniques['dry-over'].act(little, op, atStep(spirit))).figures['dried.water']!.value).toBeCloseTo(
      0.86,
      2,
    );
    const weighed = unwrap(
      techniques['dry-over'].act(
        wet,
        op,
        atStep(spirit, { readings: { mass: exactReading(70, 'g') }, finished: true }),
      ),
    );
    const jar = at(weighed.vessels, 'jar');
    expect(amountOf(jar, 'ethanol')!.value * 46.07 + jar.waterG.value).toBeCloseTo(70, 2);
  });
});

describe('salting out of strong acid', () => {
  it('leaves so much of the sodium as the published range says', () => {
    const made = on('sulfuric-acid-by-displacement', '50 g sulfuric acid', {
      salt: 'sodium hydrogensulfate 99 % 1 kg',
      acid: 'hydrochloric acid 31 % 5 L',
    }).plan;
    // 1 mol of salt, 2 mol of 31 % acid: 162 g of water, 1 mol of acid over; cold. 5.6 to 11.2 % of the sodium stays, the sulfate helping.
    const standing = standingWith(
      vesselOf(162, { 'hydrochloric-acid': 36.46, 'sodium-chloride': 58.44, 'sulfuric-acid': 98.08 }),
    );
    const left = (cold: number) =>
      unwrap(techniques['salt-out'].act(standing, { control: 'cold' }, atStep(made, {}, { cold }))).figures[
        'salt.left'
      ]!.value;
    expect(left(5)).toBeLessThan(left(25));
    // Counted without the sulfate it is more than that.
    expect(left(5)).toBeGreaterThan(5);
    expect(left(25)).toBeLessThan(60);
    const much = standingWith(
      vesselOf(324, { 'hydrochloric-acid': 109.4, 'sodium-chloride': 58.44, 'sulfuric-acid': 98.08 }),
    );
    const four = unwrap(techniques['salt-out'].act(much, { control: 'cold' }, atStep(made, {}, { cold: 5 })));
    expect(four.figures['salt.left']!.value).toBeLessThan(60);
    expect(massOverAll(four.vessels)).toBeCloseTo(324 + 109.4 + 58.44 + 98.08, 3);
  });
});
