import { describe, expect, it } from 'vitest';
import { sdOf } from '#base/figure';
import { unwrap } from '#base/problem';
import { amountOf, at, massOverAll } from '#matter/vessel';
import { advise } from '#run/state';
import type { AbsorbAdvice } from '#run/technique';
import { done, on, read, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

const acid = on('hydrochloric-acid-by-gas', '200 g hydrochloric acid', {
  salt: 'table salt 99 % 1 kg',
  hydrogensulfate: 'sodium hydrogensulfate 95 % 1.5 kg',
});
const charged = [
  acid.added('first', 'salt', 59.03),
  acid.added('water', 'water', 100),
  acid.added('second', 'hydrogensulfate', 151.7),
  ...done('ready', 'first', 'water', 'second'),
];
/** g of hydrogen chloride in the absorber. */
const inWater = (run: ReturnType<typeof acid.run>) =>
  amountOf(at(run.sheet.now!.vessels, 'absorber'), 'hydrochloric-acid')!.value * 36.46;

describe('a gas led into water', () => {
  it('a mol of salt: 24 L, of which four fifths arrive, 29.2 g and 22.6 %', () => {
    const run = acid.run(...charged, ...done('gas'));
    expect(run.sheet.figures['absorbed.gas']!.value).toBeCloseTo(24.05, 1);
    expect(inWater(run)).toBeCloseTo(29.17, 1);
    expect(run.sheet.figures['product.pct']!.value).toBeCloseTo(22.6, 1);
    expect(run.sheet.theory!.value).toBeCloseTo(36.46, 1);
  });

  it('keeps its mass: what arrives, what stays in the flask, what is in the air', () => {
    const { vessels } = acid.run(...charged, ...done('gas')).sheet.now!;
    expect(massOverAll(vessels)).toBeCloseTo(59.03 + 100 + 151.7, 6);
    expect(at(vessels, 'pot').gas['hydrogen-chloride']!.value).toBeCloseTo(0.2, 2);
  });

  it('goes by what the absorber gained, and what never came is not said to have', () => {
    const run = acid.run(...charged, read('gas', 'mass', 20, 'g'), ...done('gas'));
    expect(inWater(run)).toBeCloseTo(20, 2);
    // Two weighings have their uncertainty, however exactly they are written.
    expect(sdOf(run.sheet.product!)).toBeGreaterThan(0.001);
    expect(massOverAll(run.sheet.now!.vessels)).toBeCloseTo(310.73, 6);
    // More than all of it cannot have come.
    expect(inWater(acid.run(...charged, read('gas', 'mass', 90, 'g'), ...done('gas')))).toBeCloseTo(36.46, 1);
  });

  it('lets past what so little water does not hold', () => {
    const little = [charged[0]!, acid.added('water', 'water', 20), ...charged.slice(2)];
    const run = acid.run(...little, ...done('gas'));
    // 69.7 g for 100 g of water at 25 °C.
    expect(inWater(run)).toBeCloseTo(13.94, 1);
    expect(run.sheet.figures['absorbed.escapes']!.value).toBeGreaterThan(10);
  });

  it('is still to come in full as long as only a part was weighed', () => {
    const events = eventsAt(START, ...charged, read('gas', 'mass', 12, 'g'));
    const says = unwrap(advise(acid.plan, events, 'gas', START)).own!.says as AbsorbAdvice;
    expect(says.gainedG).toBe(12);
    expect(says.toGainG).toBeCloseTo(29.17, 1);
  });

  it('ammonia from lawn fertiliser and lime: by hand 34.06 g in theory from 132.1 g', () => {
    const ammonia = on('ammonia-by-gas', '150 g ammonia', {
      salt: 'ammonium sulfate 100 % 1 kg',
      lime: 'calcium hydroxide 96 % 1 kg',
    });
    const run = ammonia.run(
      ammonia.added('first', 'salt', 132.14),
      ...done('ready', 'first', 'water', 'second', 'gas'),
    );
    expect(run.sheet.theory!.value).toBeCloseTo(34.06, 1);
  });
});
