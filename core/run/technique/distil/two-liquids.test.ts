import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amountOf, at, massOverAll } from '#matter/vessel';
import { done, on, read } from '#testing/on-route';
import { times } from '#testing/property';

const bottles = {
  acid: 'acetic acid 80 % 1 L',
  alcohol: 'ethanol 96 % 1 L',
  catalyst: 'sodium hydrogensulfate 95 % 1 kg',
  base: 'sodium hydrogencarbonate 99 % 1 kg',
  salt: 'table salt 99 % 1 kg',
  agent: 'anhydrous magnesium sulfate 98 % 300 g',
};
const acetate = on('ethyl-acetate', '60 g ethyl acetate', bottles);
const charge = { acid: 118, alcohol: 124, catalyst: 19, water: 70, base: 66, 'brine-water': 70, salt: 21, agent: 8 };
const all = Object.values(charge).reduce((a, b) => a + b, 0);
const upToTheStill = [
  ...Object.entries(charge).map(([role, grams]) => acetate.added(role === 'agent' ? 'agent' : role, role, grams)),
  ...done(
    'ready',
    'acid',
    'alcohol',
    'catalyst',
    'warm',
    'water',
    'base',
    'part',
    'brine-water',
    'salt',
    'part-brine',
    'agent',
    'dry',
  ),
];
const vessels = (...bodies: Parameters<typeof acetate.run>) =>
  acetate.run(...upToTheStill, ...bodies).sheet.now!.vessels;
const ester = (run: ReturnType<typeof vessels>, place: 'jar' | 'receiver 1' | 'receiver 2') =>
  amountOf(at(run, place), 'ethyl-acetate')?.value ?? 0;

describe('one liquid distilled off another', () => {
  it('the spirit comes first, with the azeotrope, and what is kept is purer than the charge', () => {
    const found = vessels(...done('still', 'boil', 'fore-run', 'heart'));
    const spirit = (place: 'receiver 1' | 'receiver 2') => amountOf(at(found, place), 'ethanol')!.value;
    const share = (place: 'receiver 1' | 'receiver 2') => spirit(place) / (spirit(place) + ester(found, place));
    expect(share('receiver 1')).toBeGreaterThan(share('receiver 2'));
    expect(ester(found, 'receiver 2')).toBeGreaterThan(5 * ester(found, 'jar'));
  });

  it('keeps its mass over every vessel, whatever was read at the receivers', () => {
    const gas = (found: ReturnType<typeof vessels>) => massOverAll(found);
    fc.assert(
      fc.property(
        fc.option(fc.double({ min: 0, max: 120, noNaN: true })),
        fc.option(fc.double({ min: 0, max: 120, noNaN: true })),
        (fore, heart) => {
          const found = vessels(
            ...done('still', 'boil'),
            ...(fore === null ? [] : [read('fore-run', 'volume', fore, 'mL')]),
            ...done('fore-run'),
            ...(heart === null ? [] : [read('heart', 'mass', heart, 'g')]),
            ...done('heart'),
          );
          expect(gas(found)).toBeCloseTo(all, 5);
          for (const contents of Object.values(found))
            for (const n of Object.values(contents?.organic ?? {})) expect(n?.value ?? 0).toBeGreaterThanOrEqual(-1e-9);
        },
      ),
      { numRuns: times(25) },
    );
  });

  it('counts a second flask from its own first drop', () => {
    const salicylate = on('ethyl-salicylate', '40 g ethyl salicylate', {
      acid: 'salicylic acid 99 % 500 g',
      alcohol: 'ethanol 96 % 1 L',
      catalyst: 'sulfuric acid 37 % 1 L',
      binder: 'anhydrous magnesium sulfate 98 % 500 g',
      base: 'sodium hydrogencarbonate 99 % 1 kg',
      salt: 'table salt 99 % 1 kg',
      agent: 'anhydrous magnesium sulfate 98 % 500 g',
    });
    const run = salicylate.run(...done(...salicylate.plan.route.steps.map(({ id }) => id)));
    const strip = at(run.sheet.now!.vessels, 'receiver 1');
    const heart = at(run.sheet.now!.vessels, 'receiver 3');
    expect(amountOf(strip, 'ethanol')!.value).toBeGreaterThan(20 * (amountOf(strip, 'ethyl-salicylate')?.value ?? 0));
    expect(amountOf(heart, 'ethyl-salicylate')!.value).toBeGreaterThan(0.1);
    // More water than drops stays with the salts, and is not sent over with the spirit.
    expect(strip.waterG.value).toBe(0);
  });
});
